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
            JsonNode sheet = Visitor.made(answer).at("/done/sheets/0");
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

    private static void refused(String name, byte[] file, String reason) {
        HttpResponse<String> answer = bring(name, file);
        JsonNode problem = Visitor.made(answer).get("problem");
        assertThat(problem).as(reason + " " + answer.body().substring(0, Math.min(200, answer.body().length()))).isNotNull();
        assertThat(problem.get("status").asInt()).isEqualTo(400);
        assertThat(problem.get("detail").asString()).startsWith("File: ").contains(reason);
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] xlsx(String sheet, String shared) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            Map<String, String> parts = Map.of("xl/workbook.xml", "<workbook xmlns:r='http://schemas.openxmlformats.org/officeDocument/2006/relationships'>"
                    + "<sheets><sheet name='One' r:id='a'/></sheets></workbook>", "xl/_rels/workbook.xml.rels",
                    "<Relationships><Relationship Id='a' Target='worksheets/sheet1.xml'/></Relationships>",
                    "xl/worksheets/sheet1.xml", "<worksheet><sheetData>" + sheet + "</sheetData></worksheet>",
                    "xl/sharedStrings.xml", "<sst>" + shared + "</sst>");
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(utf8(part.getValue()));
            }
        }
        return out.toByteArray();
    }

    private static byte[] ods(String tables) throws IOException {
        byte[] content = utf8("<office:document-content xmlns:office='urn:oasis:names:tc:opendocument:xmlns:office:1.0' "
                + "xmlns:table='urn:oasis:names:tc:opendocument:xmlns:table:1.0' xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'>"
                + tables + "</office:document-content>");
        return zip("content.xml", i -> i == 0 ? content : null);
    }

    private static String odsCell(String attributes, String text) {
        return "<table:table-cell " + attributes + "><text:p>" + text + "</text:p></table:table-cell>";
    }

    /** Files that mean harm, or are none, are refused in words that say which bound they break. */
    @Test
    void whatIsNoSpreadsheetIsRefusedAndSoIsOneThatMeansHarm() throws IOException {
        byte[] million = new byte[1_000_000];
        java.util.Arrays.fill(million, (byte) ' ');
        byte[] begin = utf8("<a xmlns='x'>");
        refused("a.ods", zip("content.xml", i -> i == 0 ? begin : i < 150 ? million : null), "too large when unpacked");
        byte[] doctype = utf8("<?xml version='1.0'?><!DOCTYPE a [<!ENTITY b SYSTEM 'file:///etc/hostname'>]><a>&b;</a>");
        refused("a.ods", zip("content.xml", i -> i == 0 ? doctype : null), "document type");
        byte[] utf16 = "<?xml version='1.0' encoding='UTF-16'?><!DOCTYPE a []><a/>".getBytes(StandardCharsets.UTF_16);
        refused("a.ods", zip("content.xml", i -> i == 0 ? utf16 : null), "document type");
        for (String name : List.of("a.xlsx", "a.ods")) {
            refused(name, utf8("a,b"), "can't be read");
            refused(name, zip("a.txt", i -> i == 0 ? new byte[1] : null), "can't be read");
        }
        HttpResponse<String> large = bring("a.xlsx", new byte[5_000_001]);
        assertThat(large.statusCode()).isEqualTo(413);
        assertThat(large.body()).contains("at most 5 MB");
        assertThat(Visitor.made(bring("a.docx", utf8("x"))).toString()).contains("only .xlsx and .ods are read here");
    }

    @Test
    void everyBoundOfAnXlsxIsCountedAndNamed() throws IOException {
        refused("a.xlsx", xlsx("<row r='1'><c r='XFD1'><v>1</v></c></row>", ""), "right of column 100");
        refused("a.xlsx", xlsx("<row r='1048576'><c r='A1048576'><v>1</v></c></row>", ""), "below row 20000");
        refused("a.xlsx", xlsx("<row r='1'><c r='A1'><v>" + "9".repeat(100) + "</v></c></row>", ""), "more than 60 digits");
        refused("a.xlsx", xlsx("<row r='1'><c r='A1' t='inlineStr'><is><t>" + "a".repeat(3000) + "</t></is></c></row>", ""), "more than 2000 characters");
        refused("a.xlsx", xlsx("<row r='1'><c r='A1' t='s'><v>0</v></c></row>", "<si><t>" + "b".repeat(3000) + "</t></si>"), "more than 2000 characters");
        // A text that is kept once and shown many times is as long as it is shown.
        StringBuilder many = new StringBuilder();
        for (int row = 1; row <= 3000; row++) {
            many.append("<row r='").append(row).append("'><c t='s'><v>0</v></c></row>");
        }
        refused("a.xlsx", xlsx(many.toString(), "<si><t>" + "c".repeat(1900) + "</t></si>"), "more than 4000000 characters");
        assertThat(Visitor.made(bring("a.xlsx", xlsx("<row r='2'><c r='B2'><v>1e999999</v></c><c r='ZZ2'/></row>", ""))).at("/done/sheets/0/rows").toString())
                .isEqualTo("[[],[\"\",\"1E+999999\"]]");
        refused("a.xlsx", xlsx("<row r='x'><c r='A1'><v>1</v></c></row>", ""), "can't be read");
    }

    @Test
    void everyBoundOfAnOdsIsCountedAndNamed() throws IOException {
        String first = "<table:table table:name='One'><table:table-row>" + odsCell("", "x") + "</table:table-row>";
        refused("a.ods", ods("<table:table table:name='One'><table:table-row>" + odsCell("table:number-columns-repeated='1000000000'", "x")
                + "</table:table-row></table:table>"), "can't be read");
        refused("a.ods", ods("<table:table table:name='One'><table:table-row>" + odsCell("table:number-columns-repeated='999999999'", "x")
                + "</table:table-row></table:table>"), "right of column 100");
        refused("a.ods", ods("<table:table table:name='One'><table:table-row table:number-rows-repeated='1048576'>" + odsCell("", "x")
                + "</table:table-row></table:table>"), "below row 20000");
        refused("a.ods", ods(first + "<table:table-row><table:table-cell><table:table/></table:table-cell></table:table-row></table:table>"),
                "inside another");
        refused("a.ods", ods((first + "</table:table>").repeat(31)), "more than 30 sheets");
        refused("a.ods", ods((first.replace("<table:table-row>", "<table:table-row table:number-rows-repeated='20000'>")
                .replace("<table:table-cell ", "<table:table-cell table:number-columns-repeated='11' ") + "</table:table>").repeat(2)), "more than 400000 cells");
        // Empty rows and cells to the far end of the sheet, as office programs write them, are no harm.
        assertThat(Visitor.made(bring("a.ods", ods(first + "<table:table-row table:number-rows-repeated='1048575'>"
                + "<table:table-cell table:number-columns-repeated='16384'/></table:table-row></table:table>"))).at("/done/sheets/0/rows").toString())
                .isEqualTo("[[\"x\"]]");
    }
}
