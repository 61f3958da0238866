package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Labs on paper, to be worked on by hand, and with the key. */
@ExtendWith(ServerExtension.class)
class WorksheetTest {

    /** Points of a sheet of letter paper. */
    private static final float LETTER_WIDTH = 612;
    private static final float A4_HEIGHT = 842;

    private final Visitor ines = Visitor.signedIn("ines");

    private PDDocument paper(String path) throws IOException {
        return Loader.loadPDF(ines.getForBytes(path));
    }

    private String text(String path) throws IOException {
        try (PDDocument pdf = paper(path)) {
            return new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
        }
    }

    @Test
    void everyShippedLabIsPrintedWithAllThatIsAskedAndOnlyTheTeachersPaperHasTheKey() throws IOException {
        for (JsonNode lab : ines.json("/api/labs")) {
            String path = "/api/labs/" + lab.get("id").asString() + "/paper";
            String student = text(path);
            String teacher = text(path + "?key=true&size=LETTER");
            assertThat(student).as(lab.get("title").asString()).contains(lab.get("title").asString(), "Name ____")
                    .doesNotContain("Right: ", "Slip, ", "[×]");
            assertThat(teacher).contains("With key, for the teacher");
            boolean recorded = lab.get("ways").toString().contains("recordings");
            assertThat(student).contains(recorded ? "At the screen: recordings of" : "At the screen: ");
            for (JsonNode part : ines.json("/api/labs/" + lab.get("id").asString()).at("/sheet/parts")) {
                assertThat(student).contains(part.get("title").asString().strip());
                for (JsonNode block : part.get("blocks")) {
                    if (block.has("prompt")) {
                        String words = block.get("prompt").asString().replaceAll("\\s+", " ");
                        assertThat(student.replace(" ", "")).contains(words.substring(0, Math.min(40, words.length()))
                                .replace(" ", ""));
                    }
                    if (block.get("type").asString().equals("number")) {
                        assertThat(teacher).contains("Right: ");
                    }
                }
            }
        }
    }

    @Test
    void theKeySaysWhereTheTruthComesFrom() throws IOException {
        String clock = text("/api/labs/" + ines.lab("The lamp keeper's clock") + "/paper?key=true");
        assertThat(clock).contains("Right: 9.81 m", "within 2.5 %", "Slip, 39.24 m");
        String brass = text("/api/labs/" + ines.lab("Is it brass?") + "/paper?key=true");
        assertThat(brass).contains("of the student's trials");
        String sled = text("/api/labs/" + ines.lab("The slip's lost label") + "/paper?key=true");
        assertThat(sled).contains("each student's own",
                "what follows from the student's table");
        String proton = text("/api/labs/" + ines.lab("One proton more") + "/paper?key=true");
        assertThat(proton).contains("[×]", "To be seen: ");
    }

    @Test
    void theSheetIsAsLargeAsWasAskedForAndCanBeReadAloud() throws IOException {
        String path = "/api/labs/" + ines.lab("The coal run") + "/paper";
        try (PDDocument a4 = paper(path); PDDocument letter = paper(path + "?size=LETTER")) {
            assertThat(a4.getPage(0).getMediaBox().getHeight()).isEqualTo(A4_HEIGHT,
                    org.assertj.core.data.Offset.offset(1f));
            assertThat(letter.getPage(0).getMediaBox().getWidth()).isEqualTo(LETTER_WIDTH,
                    org.assertj.core.data.Offset.offset(1f));
            assertThat(a4.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
        }
        assertThat(ines.get(path + "?size=A3").statusCode()).isEqualTo(400);
        assertThat(Visitor.signedIn("esi.lund").get(path + "?key=true").statusCode()).isEqualTo(403);
    }

    @Test
    void aGraphOfATableWithoutNumbersIsPrinted() throws IOException {
        String lab = Visitor.read(ines.post("/api/drafts", Map.of("apparatus", "pendulum"))).get("id").asString();
        Map<String, Object> table = Map.of("type", "table", "id", "t", "title", "Words", "rows", 2, "columns", List.of(
                Map.of("id", "w", "name", "word", "symbol", "w", "unit", "", "kind", "label")));
        Map<String, Object> graph = Map.of("type", "graph", "id", "g", "table", "t");
        Map<String, Object> sheet = Map.of("title", "Odd", "summary", "", "minutes", 5, "apparatus", "pendulum",
                "parts",
                List.of(Map.of("id", "p", "kind", "measure", "title", "P", "blocks", List.of(table, graph))));
        JsonNode kept = Visitor.read(ines.put("/api/drafts/" + lab, Map.of("sheet", sheet, "seen", 1)));
        assertThat(kept.get("faults")).isEmpty();
        assertThat(text("/api/drafts/" + lab + "/paper")).contains("Upwards: …");
    }

    @Test
    void oneIsPrintedAsItIsWrittenByWhoWritesItAlone() throws IOException {
        String lab = Visitor.read(ines.post("/api/drafts", Map.of("labId", ines.lab("The coal run")))).get("id")
                .asString();
        assertThat(text("/api/drafts/" + lab + "/paper")).contains("Copy of The coal run");
        assertThat(Visitor.signedIn("tobiah").get("/api/drafts/" + lab + "/paper").statusCode()).isEqualTo(404);
        HttpResponse<String> faulty = ines.put("/api/drafts/" + lab, Map.of("sheet", Map.of("title", "Nothing"), "seen",
                1));
        assertThat(faulty.statusCode()).isEqualTo(200);
        assertThat(ines.get("/api/drafts/" + lab + "/paper").statusCode()).isEqualTo(409);
    }
}
