package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipFile;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

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
}
