package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Labs of one's own as files, with pictures, on the shelf of the school; when they are due, as a calendar. */
@ExtendWith(ServerExtension.class)
class OwnLabsTest {

    private static final JdbcTemplate DATABASE = ServerExtension.bean(JdbcTemplate.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Visitor ines = Visitor.signedIn("ines");
    private final Visitor tobiah = Visitor.signedIn("tobiah");

    private static byte[] picture(int width, int height, String format) throws IOException {
        BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D to = picture.createGraphics();
        to.setColor(Color.ORANGE);
        to.fillOval(5, 5, width - 10, height - 10);
        to.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, format, out);
        return out.toByteArray();
    }

    private String kept(byte[] file) {
        HttpResponse<String> answer = ines.postFile("/api/pictures", file);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Visitor.read(answer).get("id").asString();
    }

    private static String copyOf(Visitor teacher, String title) {
        return Visitor.read(teacher.post("/api/drafts", Map.of("labId", teacher.lab(title)))).get("id").asString();
    }

    @SuppressWarnings("unchecked")
    private void say(String lab, String title, String markdown) {
        JsonNode draft = ines.json("/api/drafts/" + lab);
        Map<String, Object> sheet = JSON.convertValue(draft.get("sheet"), new TypeReference<>() { });
        sheet.put("title", title);
        List<Map<String, Object>> parts = (List<Map<String, Object>>) sheet.get("parts");
        List<Map<String, Object>> blocks = (List<Map<String, Object>>) parts.get(0).get("blocks");
        blocks.stream().filter(b -> b.get("type").equals("text")).findFirst().orElseThrow().put("markdown", markdown);
        assertThat(ines.put("/api/drafts/" + lab, Map.of("sheet", sheet, "seen", draft.get("number").asInt()))
                .statusCode())
                .isEqualTo(200);
    }

    private static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                parts.put(e.getName(), in.readAllBytes());
            }
        }
        return parts;
    }

    private static byte[] packed(Map<String, byte[]> parts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        }
        return out.toByteArray();
    }

    @Test
    void aPictureLosesAllButItselfAndIsMadeToFit() throws IOException {
        String id = kept(picture(3000, 1000, "png"));
        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(
                Visitor.signedIn("esi.lund").getForBytes("/api/pictures/" + id)));
        assertThat(seen.getWidth()).isEqualTo(1400);
        assertThat(seen.getHeight()).isEqualTo(467);
        byte[] clean = picture(60, 40, "jpeg");
        ByteArrayOutputStream told = new ByteArrayOutputStream();
        told.write(clean, 0, 2);
        told.write(new byte[] {(byte) 0xFF, (byte) 0xFE, 0, 15});
        told.writeBytes("taken at home".getBytes(StandardCharsets.UTF_8));
        told.write(clean, 2, clean.length - 2);
        told.writeBytes("<script>alert(1)</script>".getBytes(StandardCharsets.UTF_8));
        byte[] shown = ines.getForBytes("/api/pictures/" + kept(told.toByteArray()));
        assertThat(new String(shown, StandardCharsets.ISO_8859_1)).doesNotContain("taken at home", "script");
        assertThat(ImageIO.read(new ByteArrayInputStream(shown)).getWidth()).isEqualTo(60);
        assertThat(kept(clean)).as("what is clean stays as it is").isEqualTo(kept(clean));
        assertThat(ines.getForBytes("/api/pictures/" + kept(clean))).isEqualTo(clean);
    }

    @Test
    void whatIsNoPictureIsRefusedInWords() throws IOException {
        byte[] huge = picture(40, 30, "png");
        // It says of itself that it is as large as a field.
        huge[18] = 0x7F;
        Map<String, byte[]> files = Map.of("neither a PNG nor a JPEG",
                "<svg onload='x'/>".getBytes(StandardCharsets.UTF_8),
                "picture elements", huge, "can't be read", java.util.Arrays.copyOf(picture(400, 300, "png"), 90));
        files.forEach((words, file) -> {
            HttpResponse<String> answer = ines.postFile("/api/pictures", file);
            assertThat(answer.statusCode()).isEqualTo(400);
            assertThat(answer.body()).contains("Picture: ", words);
        });
        assertThat(Visitor.signedIn("esi.lund").postFile("/api/pictures", picture(9, 9, "png")).statusCode())
                .isEqualTo(403);
        assertThat(ines.get("/api/pictures/" + "0".repeat(64)).statusCode()).isEqualTo(404);
        assertThat(new Visitor().get("/api/pictures/" + kept(picture(9, 9, "png"))).statusCode()).isEqualTo(401);
    }

    @Test
    void aTextShowsItsPicturesAndFormulasAndNothingElse() throws IOException {
        String lab = copyOf(ines, "The coal run");
        String id = kept(picture(80, 50, "png"));
        say(lab, "Pictured", "See ![a sun](picture:" + id + "), ![far](https://example.org/x.png), $a_1*b_2$, $$x^2$$ "
                + "and $5 or $6 and <b>no</b>.");
        JsonNode draft = ines.json("/api/drafts/" + lab);
        String html = draft.at("/shown/parts/0/blocks").toString();
        assertThat(html).contains("<img src=\\\"/api/pictures/" + id + "\\\" alt=\\\"a sun\\\" />",
                "<span class=\\\"formula\\\">a_1*b_2</span>", "<span class=\\\"formula alone\\\">x^2</span>",
                        "$5 or $6",
                "&lt;b&gt;no").doesNotContain("example.org");
        try (PDDocument paper = Loader.loadPDF(ines.getForBytes("/api/drafts/" + lab + "/paper"))) {
            assertThat(paper.getPage(0).getResources().getXObjectNames()).as("the picture is on paper, too")
                    .isNotEmpty();
        }
        say(lab, "Wordless", "![ ](picture:" + id + ")");
        assertThat(ines.json("/api/drafts/" + lab).at("/faults/0/what").asString()).contains("needs words");
        say(lab, "Gone", "![a moon](picture:" + "1".repeat(64) + ")");
        assertThat(ines.json("/api/drafts/" + lab).at("/faults/0/what").asString()).contains("isn't here");
    }

    @Test
    @SuppressWarnings("unchecked")
    void outAndIntoAnotherCauldronALabIsTheSameByteForByte() throws IOException {
        String lab = copyOf(ines, "One proton more");
        String png = kept(picture(300, 200, "png"));
        String jpeg = kept(picture(200, 300, "jpeg"));
        say(lab, "To a colleague", "![one](picture:" + png + ") and ![other](picture:" + jpeg + ")");
        byte[] out = ines.getForBytes("/api/drafts/" + lab + "/file");
        assertThat(unpacked(out).keySet()).containsExactlyInAnyOrder("lab.json", "pictures/" + png + ".png",
                "pictures/" + jpeg + ".jpeg");
        // As if it came to another database: neither the lab nor its pictures are there.
        DATABASE.update("delete from picture where id in (?, ?)", png, jpeg);
        HttpResponse<String> brought = tobiah.postFile("/api/drafts/file", out);
        assertThat(brought.statusCode()).as(brought.body()).isEqualTo(200);
        String there = Visitor.read(brought).get("id").asString();
        assertThat(tobiah.json("/api/drafts/" + there).get("faults")).isEmpty();
        assertThat(tobiah.getForBytes("/api/drafts/" + there + "/file")).isEqualTo(out);
        assertThat(tobiah.get("/api/drafts/" + lab + "/file").statusCode()).isEqualTo(404);
        JsonNode draft = tobiah.json("/api/drafts/" + there);
        Map<String, Object> sheet = JSON.convertValue(draft.get("sheet"), new TypeReference<>() { });
        ((List<Map<String, Object>>) ((List<Map<String, Object>>) sheet.get("parts")).get(0).get("blocks")).get(0)
                .put("hidden", true);
        assertThat(tobiah.put("/api/drafts/" + there, Map.of("sheet", sheet, "seen", draft.get("number").asInt()))
                .statusCode())
                .isEqualTo(200);
        assertThat(new String(unpacked(tobiah.getForBytes("/api/drafts/" + there + "/file")).get("lab.json"),
                StandardCharsets.UTF_8)).as("what is hidden goes along").contains("\"hidden\" : true");
        assertThat(unpacked(tobiah.getForBytes("/api/labs/" + tobiah.lab("Is it brass?") + "/file")))
                .containsKey("lab.json");
    }

    @Test
    void aFileThatIsNoLabIsRefusedWithAllThatIsWrong() throws IOException {
        Map<String, byte[]> odd = new LinkedHashMap<>();
        odd.put("../../etc/passwd", new byte[3]);
        odd.put("lab.json", "{\"title\":".getBytes(StandardCharsets.UTF_8));
        String body = tobiah.postFile("/api/drafts/file", packed(odd)).body();
        assertThat(body).contains("doesn't belong in a lab", "lab.json isn't a lab in JSON");
        assertThat(tobiah.postFile("/api/drafts/file", new byte[] {1, 2, 3}).body()).contains("it is no ZIP");
        assertThat(tobiah.postFile("/api/drafts/file", packed(Map.of("lab.json", new byte[1_100_000]))).body())
                .contains("is larger than 250 kB");
        Map<String, byte[]> many = new LinkedHashMap<>();
        for (int i = 0; i < 70; i++) {
            many.put("pictures/" + i, new byte[1]);
        }
        assertThat(tobiah.postFile("/api/drafts/file", packed(many)).body()).contains("at most 60 pictures");
        Map<String, byte[]> scripted = new LinkedHashMap<>();
        scripted.put("lab.json", "{}".getBytes(StandardCharsets.UTF_8));
        scripted.put("pictures/" + "2".repeat(64) + ".png", "<script/>".getBytes(StandardCharsets.UTF_8));
        assertThat(tobiah.postFile("/api/drafts/file", packed(scripted)).body()).contains("neither a PNG nor a JPEG");
    }

    @Test
    void twoHundredMutatedFilesAreTakenInOrRefusedAndNoneIsAnErrorOfTheServer() throws IOException {
        byte[] whole = ines.getForBytes("/api/labs/" + ines.lab("The coal run") + "/file");
        byte[] sheet = unpacked(whole).get("lab.json");
        Random random = new Random(20261127);
        int taken = 0;
        for (int i = 0; i < 200; i++) {
            boolean inside = i % 2 == 0;
            byte[] mutated = (inside ? sheet : whole).clone();
            for (int k = 0; k <= random.nextInt(4); k++) {
                mutated[random.nextInt(mutated.length)] = (byte) (inside ? " 0\"{}[]x-9".charAt(random.nextInt(10))
                        : random.nextInt());
            }
            HttpResponse<String> answer = tobiah.postFile("/api/drafts/file", inside ? packed(Map.of("lab.json",
                    mutated)) : mutated);
            assertThat(answer.statusCode()).as("seed 20261127, file " + i + ": " + answer.body()).isIn(200, 400);
            if (answer.statusCode() == 200) {
                taken++;
                String lab = "/api/drafts/" + Visitor.read(answer).get("id").asString();
                assertThat(tobiah.get(lab).statusCode()).isEqualTo(200);
                assertThat(tobiah.delete(lab).statusCode()).isEqualTo(204);
            }
        }
        assertThat(taken).as("some are only differently written").isBetween(20, 180);
    }

    @Test
    void aLabOnTheShelfIsReadAndCopiedByColleaguesAsItWasShared() {
        String lab = copyOf(ines, "The coal run");
        assertThat(ines.post("/api/drafts/" + lab + "/shelf", Map.of("shared", true)).statusCode())
                .as("not ready to be given").isEqualTo(404);
        say(lab, "Shared coal", "Read this.");
        ines.post("/api/drafts/" + lab + "/versions", Map.of());
        assertThat(ines.post("/api/drafts/" + lab + "/shelf", Map.of("shared", true)).statusCode()).isEqualTo(204);
        say(lab, "Not yet shared", "Read that.");
        JsonNode seen = tobiah.json("/api/shelf").valueStream().filter(l -> l.get("id").asString().equals(lab))
                .findFirst()
                .orElseThrow();
        assertThat(seen.get("title").asString()).isEqualTo("Shared coal");
        assertThat(seen.get("own").asBoolean()).isFalse();
        assertThat(tobiah.get("/api/labs/" + lab).statusCode()).isEqualTo(200);
        assertThat(tobiah.get("/api/drafts/" + lab).statusCode()).as("only read").isEqualTo(404);
        String copy = Visitor.read(tobiah.post("/api/drafts", Map.of("labId", lab))).get("id").asString();
        assertThat(tobiah.json("/api/drafts/" + copy).at("/sheet/title").asString()).isEqualTo("Copy of Shared coal");
        JsonNode klass = Visitor.read(tobiah.post("/api/classes", Map.of("name", "Shelf " + UUID.randomUUID())));
        String given = "/api/teaching/assignments/" + Visitor.read(tobiah.post("/api/teaching/assignments",
                Map.of("labId", lab,
                "classes", List.of(Map.of("classId", klass.get("id").asString()))))).get(0).get("id").asString();
        ines.post("/api/drafts/" + lab + "/versions", Map.of());
        assertThat(tobiah.json(given).get("newer").asBoolean()).isTrue();
        assertThat(ines.post("/api/drafts/" + lab + "/shelf", Map.of("shared", false)).statusCode()).isEqualTo(204);
        assertThat(tobiah.json(given).get("newer").asBoolean()).as("what isn't shared any more").isFalse();
        tobiah.post(given + "/version", Map.of());
        assertThat(tobiah.json(given).get("title").asString()).as("the class keeps what it has")
                .isEqualTo("Shared coal");
        assertThat(tobiah.get("/api/labs/" + lab).statusCode()).isEqualTo(404);
        assertThat(tobiah.get("/api/drafts/" + copy).statusCode()).as("a copy stays").isEqualTo(200);
        assertThat(tobiah.post("/api/drafts/" + lab + "/shelf", Map.of("shared", true)).statusCode()).isEqualTo(404);
        assertThat(Visitor.signedIn("esi.lund").get("/api/shelf").statusCode()).isEqualTo(403);
    }

    @Test
    void labsLieInFoldersAndOneThatIsTakenAwayStaysWithTheClassesThatHaveIt() {
        String lab = copyOf(ines, "The lamp keeper's clock");
        ines.post("/api/drafts/" + lab + "/versions", Map.of());
        assertThat(ines.post("/api/drafts/" + lab + "/folder", Map.of("folder", " Year 10 ")).statusCode())
                .isEqualTo(204);
        JsonNode line = ines.json("/api/drafts").valueStream().filter(l -> l.get("id").asString().equals(lab))
                .findFirst().orElseThrow();
        assertThat(line.get("folder").asString()).isEqualTo("Year 10");
        assertThat(ines.post("/api/drafts/" + lab + "/folder", Map.of("folder", "f".repeat(61))).statusCode())
                .isEqualTo(400);
        Room room = Room.ofLab("ines", lab);
        assertThat(ines.json("/api/teaching/given").valueStream().map(g -> g.get("labId").asString())).contains(lab);
        assertThat(tobiah.delete("/api/drafts/" + lab).statusCode()).isEqualTo(404);
        assertThat(ines.delete("/api/drafts/" + lab).statusCode()).isEqualTo(204);
        assertThat(ines.get("/api/drafts/" + lab).statusCode()).isEqualTo(404);
        assertThat(ines.get("/api/labs/" + lab).statusCode()).isEqualTo(404);
        room.keep("expect", "answer", Map.of("choice", 1));
        assertThat(ines.get("/api/teaching/assignments/" + room.assignment()).statusCode()).isEqualTo(200);
    }

    @Test
    void aClassesCalendarTellsWhenLabsOpenAndAreDueAndNothingElse() {
        JsonNode c = Visitor.read(ines.post("/api/classes", Map.of("name", "Dated " + UUID.randomUUID())));
        Instant open = Instant.parse("2098-03-01T08:00:00Z");
        Instant due = Instant.parse("2098-03-09T15:30:00Z");
        ines.post("/api/teaching/assignments", Map.of("labId", ines.lab("The coal run"), "classes",
                List.of(Map.of("classId", c.get("id").asString(), "openAt", open.toString(), "dueAt",
                        due.toString()))));
        String path = "/api/classes/" + c.get("id").asString() + "/calendar";
        String at = Visitor.read(ines.post(path, Map.of("anew", false))).get("path").asString();
        assertThat(Visitor.read(ines.post(path, Map.of("anew", false))).get("path").asString()).isEqualTo(at);
        HttpResponse<String> read = new Visitor().get(at);
        assertThat(read.statusCode()).isEqualTo(200);
        assertThat(read.headers().firstValue("Content-Type").orElse("")).startsWith("text/calendar");
        List<VEvent> events = Biweekly.parse(read.body()).first().getEvents();
        assertThat(events).extracting(e -> e.getSummary().getValue()).containsExactly("The coal run opens",
                "The coal run is due");
        assertThat(events).extracting(e -> (Date) e.getDateStart().getValue()).containsExactly(Date.from(open),
                Date.from(due));
        assertThat(tobiah.post(path, Map.of("anew", true)).statusCode()).isEqualTo(404);
        Visitor.read(ines.post(path, Map.of("anew", true)));
        assertThat(new Visitor().get(at).statusCode()).as("the old address").isEqualTo(404);
        assertThat(new Visitor().get("/calendar/none.ics").statusCode()).isEqualTo(404);
    }
}
