package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A work as a PDF, read again by a reader of PDFs. */
@ExtendWith(ServerExtension.class)
class ReportTest {

    private static final List<Map<String, Object>> COLUMNS = List.of(
            Map.of("id", "load", "name", "load", "symbol", "load", "unit", "", "kind", "label"),
            Map.of("id", "m", "name", "mass", "symbol", "m", "unit", "g", "kind", "measured"),
            Map.of("id", "t", "name", "10 bounces", "symbol", "t_10", "unit", "s", "kind", "measured", "uncertainty", "0.2"),
            Map.of("id", "T2", "name", "period squared", "symbol", "T²", "unit", "", "kind", "calculated", "formula", "(t_10/10)^2"));

    private static Room measured() {
        Room room = Room.of("ines", "The slip's lost label");
        room.keep("expect", "answer", Map.of("choice", 1, "reason", "Twice, <b>I think</b>: √4 is 2."),
                "expect", "sketch", Map.of("strokes", List.of(List.of(0, 0, 1, 1))), "expect", "seal", Map.of("sealed", true),
                "swing", "columns", Map.of("columns", COLUMNS), "swing", "rows", Map.of("order", List.of("r1", "r2")),
                "swing", "cell/r1/load", Map.of("text", "lead"), "swing", "cell/r1/m", Map.of("text", "100.0", "uncertainty", "0.5"),
                "swing", "cell/r1/t", Map.of("text", "4.70"), "swing", "cell/r2/m", Map.of("text", "150"), "swing", "cell/r2/t", Map.of("text", "9.99"),
                "swing", "row/r2", Map.of("out", "counted wrongly", "note", "by Una"),
                "why", "answer", Map.of("text", "First line, 5 N/m, ε θ ⁻¹.\nSecond line."));
        room.fill("still");
        room.student().post("/api/works/" + room.work() + "/checks", Map.of("block", "k", "number", "1.5", "unit", "kg"));
        return room;
    }

    private static String png(int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        image.setRGB(width / 2, height / 2, Color.ORANGE.getRGB());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return Base64.getEncoder().encodeToString(out.toByteArray());
    }

    private static Map<String, Object> asked(String png) {
        return Map.of("zone", "Pacific/Auckland", "pictures", List.of(Map.of("block", "swing-graph", "png", png, "alt", "Graph of it", "caption",
                "Two bounces", "words", List.of("T² = (1.67 ± 0.02) s²/kg · m"))));
    }

    private static PDDocument pdf(byte[] bytes) throws IOException {
        return Loader.loadPDF(bytes);
    }

    @Test
    void theReportHoldsAllThatWasAskedTypedDrawnAndSaid() throws IOException {
        Room room = measured();
        room.student().post("/api/works/" + room.work() + "/submission", Map.of());
        room.teacher().post("/api/works/" + room.work() + "/marks", Map.of("block", "why", "points", 3, "comment", "Say why."));
        for (Visitor reader : List.of(room.student(), room.teacher())) {
            try (PDDocument pdf = pdf(reader.postForPdf("/api/works/" + room.work() + "/report", asked(png(640, 400))))) {
                String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
                assertThat(text).contains("The slip's lost label", "Handed in", "Find the spring's constant in two ways", "● It doubles",
                        "○ It stays the same", "Twice, <b>I think</b>: √4 is 2.", "Sealed before measuring.", "100.0 ± 0.5", "4.70 ± 0.2",
                        "0.221 ± 0.019", "Row 2 left out: counted wrongly. by Una", "= (t_10/10)^2", "T² = (1.67 ± 0.02) s²/kg · m", "Two bounces",
                        "First line, 5 N/m, ε θ ⁻¹.", "Second line.", "Best try: 1.5 kg.", "Marked: 3 of 4 points. Say why.", "1 / ");
                assertThat(pdf.getDocumentInformation().getTitle()).startsWith("The slip's lost label – Visitor");
                assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).as("can be read aloud").isTrue();
                assertThat(images(pdf)).singleElement().satisfies(i -> {
                    assertThat(i.getWidth()).isEqualTo(640);
                    assertThat(new Color(i.getImage().getRGB(320, 200))).isEqualTo(Color.ORANGE);
                });
            }
        }
    }

    private static List<PDImageXObject> images(PDDocument pdf) throws IOException {
        List<PDImageXObject> found = new ArrayList<>();
        for (PDPage page : pdf.getPages()) {
            for (var name : page.getResources().getXObjectNames()) {
                if (page.getResources().getXObject(name) instanceof PDImageXObject image) {
                    found.add(image);
                }
            }
        }
        return found;
    }

    @Test
    void aReportIsForItsStudentAndTheirTeacherOnly() {
        Room room = measured();
        Map<String, Object> nothing = Map.of("zone", "UTC", "pictures", List.of());
        for (Visitor other : List.of(Visitor.signedIn("tobiah"), Visitor.signedIn("arlo.venn"))) {
            assertThat(other.post("/api/works/" + room.work() + "/report", nothing).statusCode()).isEqualTo(404);
        }
        assertThat(room.student().withoutToken().post("/api/works/" + room.work() + "/report", nothing).statusCode()).isEqualTo(403);
    }

    @Test
    void onlyPicturesThatCanBePrintedAreTaken() throws IOException {
        Room room = measured();
        String path = "/api/works/" + room.work() + "/report";
        byte[] svg = "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(java.nio.charset.StandardCharsets.UTF_8);
        // A header that promises 60,000 by 60,000.
        byte[] bomb = Base64.getDecoder().decode(png(1, 1));
        Arrays.fill(bomb, 16, 24, (byte) 0);
        bomb[18] = (byte) 0xea;
        bomb[22] = (byte) 0xea;
        for (String bad : List.of(Base64.getEncoder().encodeToString(svg), Base64.getEncoder().encodeToString(bomb), "no base64!", "")) {
            var answer = room.student().post(path, asked(bad));
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(400);
            assertThat(Visitor.read(answer).get("field").asString()).isEqualTo("pictures");
        }
        assertThat(Visitor.read(room.student().post(path, Map.of("zone", "Atlantis/Port", "pictures", List.of()))).get("field").asString()).isEqualTo("zone");
    }
}
