package cauldron.server.spreadsheets;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads the cells of an Office Open XML spreadsheet (ECMA-376, part 1, chapter 18). */
final class Xlsx {

    private static final int LETTERS = 26;
    private static final int MOST_COLUMN_LETTERS = 3;
    private static final String RELATIONSHIPS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
    private static final String STRICT = "http://purl.oclc.org/ooxml/officeDocument/relationships";

    private final SpreadsheetReading file;
    private final List<String> shared = new ArrayList<>();

    Xlsx(SpreadsheetReading file) {
        this.file = file;
    }

    List<SpreadsheetReading.Page> pages() throws IOException, XMLStreamException {
        Map<String, String> targets = new LinkedHashMap<>();
        file.part("xl/_rels/workbook.xml.rels", xml -> each(xml, "Relationship",
                () -> targets.put(xml.getAttributeValue(null, "Id"), xml.getAttributeValue(null, "Target"))));
        Map<String, String> sheets = new LinkedHashMap<>();
        boolean book = file.part("xl/workbook.xml", xml -> each(xml, "sheet", () -> {
            String id = xml.getAttributeValue(RELATIONSHIPS, "id");
            sheets.put(xml.getAttributeValue(null, "name"), id == null ? xml.getAttributeValue(STRICT, "id") : id);
            file.bounds().sheets(sheets.size());
        }));
        if (!book) {
            throw new IllegalArgumentException("no workbook");
        }
        file.part("xl/sharedStrings.xml", this::readShared);
        List<SpreadsheetReading.Page> pages = new ArrayList<>();
        for (Map.Entry<String, String> sheet : sheets.entrySet()) {
            String target = targets.getOrDefault(sheet.getValue(), "");
            Grid grid = new Grid(file.bounds());
            if (file.part(target.startsWith("/") ? target.substring(1) : "xl/" + target, xml -> readSheet(xml, grid))) {
                pages.add(new SpreadsheetReading.Page(sheet.getKey() == null ? "" : sheet.getKey(), grid.rows()));
            }
        }
        return pages;
    }

    private void each(XMLStreamReader xml, String name, Runnable deed) throws XMLStreamException {
        while (xml.hasNext()) {
            if (file.next(xml) == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals(name)) {
                deed.run();
            }
        }
    }

    private void readShared(XMLStreamReader xml) throws XMLStreamException {
        while (xml.hasNext()) {
            if (file.next(xml) == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("si")) {
                shared.add(text(xml, "si"));
                file.bounds().shared(shared.size(), 0);
            }
        }
    }

    private void readSheet(XMLStreamReader xml, Grid grid) throws XMLStreamException {
        int row = -1;
        int column = -1;
        while (xml.hasNext()) {
            if (file.next(xml) != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            if (xml.getLocalName().equals("row")) {
                String told = xml.getAttributeValue(null, "r");
                row = told == null ? row + 1 : place(told);
                column = -1;
            } else if (xml.getLocalName().equals("c")) {
                String told = xml.getAttributeValue(null, "r");
                column = told == null ? column + 1 : columnOf(told);
                grid.put(row, column, 1, 1, cell(xml));
            }
        }
    }

    private static int place(String told) {
        file(told.matches("[1-9][0-9]{0,6}"));
        return Integer.parseInt(told) - 1;
    }

    private static void file(boolean good) {
        if (!good) {
            throw new IllegalArgumentException("an impossible place");
        }
    }

    private static int columnOf(String reference) {
        int column = 0;
        int i = 0;
        for (; i < reference.length() && Character.isLetter(reference.charAt(i)); i++) {
            char letter = Character.toUpperCase(reference.charAt(i));
            file(i < MOST_COLUMN_LETTERS && letter >= 'A' && letter <= 'Z');
            column = column * LETTERS + letter - 'A' + 1;
        }
        file(i > 0);
        return column - 1;
    }

    private String cell(XMLStreamReader xml) throws XMLStreamException {
        String type = xml.getAttributeValue(null, "t");
        String value = "";
        while (xml.hasNext()) {
            int event = file.next(xml);
            if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("c")) {
                break;
            }
            if (event == XMLStreamConstants.START_ELEMENT && (xml.getLocalName().equals("v") || xml.getLocalName().equals("is"))) {
                value = text(xml, xml.getLocalName());
            }
        }
        if ("s".equals(type)) {
            return value.matches("[0-9]{1,9}") && Integer.parseInt(value) < shared.size() ? shared.get(Integer.parseInt(value)) : "";
        }
        if ("e".equals(type)) {
            return "";
        }
        return type == null || type.equals("n") ? value.isEmpty() ? "" : file.number(value) : value;
    }

    /** All text inside an element, but for how it is spoken (phonetic runs). */
    private String text(XMLStreamReader xml, String end) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int spoken = 0;
        while (xml.hasNext()) {
            int event = file.next(xml);
            if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals(end)) {
                break;
            }
            if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("rPh")) {
                spoken++;
            } else if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("rPh")) {
                spoken--;
            } else if ((event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) && spoken == 0) {
                text.append(xml.getTextCharacters(), xml.getTextStart(), xml.getTextLength());
                file.bounds().text(text.length());
            }
        }
        return text.toString();
    }
}
