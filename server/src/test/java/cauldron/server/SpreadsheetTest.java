package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import tools.jackson.databind.JsonNode;

/** Tables as spreadsheet files: their XML is read by the JDK's own parser, not by what wrote it. */
@ExtendWith(ServerExtension.class)
class SpreadsheetTest {

    private static final Map<String, Object> TABLE = Map.of("title", "Cords: a/b", "headings", List.of("cord", "length L / cm"),
            "rows", List.of(Arrays.asList("=1+1", 42.5), Arrays.asList("Tern & <Shag>", null), Arrays.asList(null, -3)));

    private static Element part(byte[] file, String name) throws Exception {
        Path kept = Files.createTempFile("book", ".zip");
        try {
            Files.write(kept, file);
            try (ZipFile zip = new ZipFile(kept.toFile())) {
                return DocumentBuilderFactory.newInstance().newDocumentBuilder()
                        .parse(zip.getInputStream(zip.getEntry(name))).getDocumentElement();
            }
        } finally {
            Files.delete(kept);
        }
    }

    @Test
    void numbersAreNumbersAndNothingIsAFormula() throws Exception {
        byte[] file = Visitor.signedIn("ines").postForBytes("/api/spreadsheets/xlsx", TABLE);
        Element sheet = part(file, "xl/worksheets/sheet1.xml");
        assertThat(sheet.getElementsByTagName("f").getLength()).as("formulas").isZero();
        NodeList cells = sheet.getElementsByTagName("c");
        Element b2 = cell(cells, "B2");
        assertThat(b2.getElementsByTagName("v").item(0).getTextContent()).isEqualTo("42.5");
        assertThat(b2.getAttribute("t")).isIn("", "n");
        assertThat(Double.parseDouble(cell(cells, "B4").getElementsByTagName("v").item(0).getTextContent())).isEqualTo(-3);
        assertThat(cell(cells, "A2").getAttribute("t")).isIn("s", "inlineStr", "str");
        assertThat(part(file, "xl/sharedStrings.xml").getTextContent()).contains("=1+1", "Tern & <Shag>", "length L / cm");
    }

    private static Element cell(NodeList cells, String place) {
        for (int i = 0; i < cells.getLength(); i++) {
            if (((Element) cells.item(i)).getAttribute("r").equals(place)) {
                return (Element) cells.item(i);
            }
        }
        throw new AssertionError("no cell " + place);
    }

    @Test
    void openDocumentHasTheSame() throws Exception {
        byte[] file = Visitor.signedIn("ines").postForBytes("/api/spreadsheets/ods", TABLE);
        Element content = part(file, "content.xml");
        NodeList cells = content.getElementsByTagName("table:table-cell");
        long floats = 0;
        for (int i = 0; i < cells.getLength(); i++) {
            Element c = (Element) cells.item(i);
            floats += c.getAttribute("office:value-type").equals("float") ? 1 : 0;
            assertThat(c.hasAttribute("table:formula")).isFalse();
        }
        assertThat(floats).isEqualTo(2);
        Sheet sheet = new SpreadSheet(new ByteArrayInputStream(file)).getSheet(0);
        assertThat(sheet.getRange(1, 0).getValue()).isEqualTo("=1+1");
        assertThat(sheet.getRange(1, 1).getValue()).isEqualTo(42.5);
    }

    @Test
    void whatCantBeMadeIsRefusedWithItsField() {
        Visitor ines = Visitor.signedIn("ines");
        assertThat(ines.post("/api/spreadsheets/doc", TABLE).statusCode()).isEqualTo(404);
        var refused = ines.post("/api/spreadsheets/xlsx", Map.of("title", "t", "headings", List.of("a"), "rows", List.of(List.of(1, 2))));
        assertThat(refused.statusCode()).isEqualTo(400);
        assertThat(refused.body()).contains("\"field\":\"rows\"");
        assertThat(new Visitor().post("/api/spreadsheets/xlsx", TABLE).statusCode()).isIn(401, 403);
        assertThat(new String(ines.postForBytes("/api/spreadsheets/xlsx", TABLE), 0, 2, StandardCharsets.US_ASCII)).isEqualTo("PK");
    }

    private static HttpResponse<String> bring(String name, byte[] file) {
        return Visitor.signedIn("ines").postFile("/api/spreadsheets/reading?name=" + name, file);
    }

    /** What was saved can be brought in again, by either kind, with gaps in their places. */
    @Test
    void aFileIsReadAsWhatStandsInItsCells() {
        Map<String, Object> table = Map.of("title", "Cords", "headings", List.of("cord", "length L / cm", "t"), "rows",
                List.of(Arrays.asList("Tern", 42.5, 0.1 + 0.2), Arrays.asList(null, null, null), Arrays.asList("=1+1", -3e-9, 12345678)));
        for (String kind : List.of("xlsx", "ods")) {
            HttpResponse<String> answer = bring("cords." + kind, Visitor.signedIn("ines").postForBytes("/api/spreadsheets/" + kind, table));
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
            JsonNode sheet = Visitor.read(answer).at("/sheets/0");
            assertThat(sheet.get("name").asString()).isEqualTo("Cords");
            assertThat(sheet.get("rows").toString()).as(kind).isEqualTo("[[\"cord\",\"length L / cm\",\"t\"],[\"Tern\",\"42.5\",\"0.3\"],[],"
                    + "[\"=1+1\",\"-0.000000003\",\"12345678\"]]");
        }
    }

    private static byte[] zip(String entry, java.util.function.IntFunction<byte[]> parts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(entry));
            for (int i = 0; parts.apply(i) != null; i++) {
                zip.write(parts.apply(i));
            }
        }
        return out.toByteArray();
    }

    /** Files that mean harm, or are none, are refused in words that name the field. */
    @Test
    void whatIsNoSpreadsheetIsRefusedAndSoIsOneThatMeansHarm() throws IOException {
        byte[] million = new byte[1_000_000];
        byte[] bomb = zip("xl/worksheets/sheet1.xml", i -> i < 150 ? million : null);
        assertThat(bomb.length).isLessThan(1_000_000);
        byte[] doctype = "<?xml version='1.0'?><!DOCTYPE a [<!ENTITY b SYSTEM 'file:///etc/hostname'>]><a>&b;</a>".getBytes(StandardCharsets.UTF_8);
        Map<String, byte[]> files = Map.of("too large when unpacked", bomb, "document type", zip("content.xml", i -> i == 0 ? doctype : null),
                "can't be read", "a,b".getBytes(StandardCharsets.UTF_8), "at most 10 MB", new byte[10_000_001]);
        files.forEach((reason, file) -> {
            for (String name : List.of("a.xlsx", "a.ods")) {
                HttpResponse<String> answer = bring(name, file);
                assertThat(answer.statusCode()).as(reason).isEqualTo(400);
                assertThat(Visitor.read(answer).get("detail").asString()).startsWith("File: ").contains(reason);
                assertThat(Visitor.read(answer).get("field").asString()).isEqualTo("file");
            }
        });
        assertThat(bring("a.docx", bomb).body()).contains("only .xlsx and .ods are read here");
        assertThat(bring("a.xlsx", zip("a.txt", i -> i == 0 ? new byte[1] : null)).statusCode()).isEqualTo(400);
    }
}
