package cauldron.server.spreadsheets;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads the cells of an OpenDocument spreadsheet (ISO/IEC 26300, part 3, chapter 9). */
final class Ods {

    private static final String TABLE = "urn:oasis:names:tc:opendocument:xmlns:table:1.0";
    private static final String OFFICE = "urn:oasis:names:tc:opendocument:xmlns:office:1.0";
    private static final Set<String> NUMBERS = Set.of("float", "percentage", "currency");

    private final SpreadsheetReading file;

    Ods(SpreadsheetReading file) {
        this.file = file;
    }

    List<SpreadsheetReading.Page> pages() throws IOException, XMLStreamException {
        List<SpreadsheetReading.Page> pages = new ArrayList<>();
        boolean found = file.part("content.xml", xml -> {
            while (xml.hasNext()) {
                if (starts(file.next(xml), xml, "table")) {
                    file.bounds().sheets(pages.size() + 1);
                    String name = xml.getAttributeValue(TABLE, "name");
                    Grid grid = new Grid(file.bounds());
                    readTable(xml, grid);
                    pages.add(new SpreadsheetReading.Page(name == null ? "" : name, grid.rows()));
                }
            }
        });
        if (!found) {
            throw new IllegalArgumentException("no content");
        }
        return pages;
    }

    private static boolean starts(int event, XMLStreamReader xml, String name) {
        return event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals(name)
                && TABLE.equals(xml.getNamespaceURI());
    }

    private static boolean ends(int event, XMLStreamReader xml, String name) {
        return event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals(name)
                && TABLE.equals(xml.getNamespaceURI());
    }

    private void readTable(XMLStreamReader xml, Grid grid) throws XMLStreamException {
        int row = 0;
        while (xml.hasNext()) {
            int event = file.next(xml);
            if (ends(event, xml, "table")) {
                return;
            }
            if (starts(event, xml, "table")) {
                throw Bounds.over("a table stands inside another");
            }
            if (starts(event, xml, "table-row")) {
                int repeated = repeated(xml, "number-rows-repeated");
                readRow(xml, grid, row, repeated);
                row = (int) Math.min(Integer.MAX_VALUE / 2, (long) row + repeated);
            }
        }
    }

    private void readRow(XMLStreamReader xml, Grid grid, int row, int repeatedRows) throws XMLStreamException {
        int column = 0;
        while (xml.hasNext()) {
            int event = file.next(xml);
            if (ends(event, xml, "table-row")) {
                return;
            }
            if (starts(event, xml, "table-cell") || starts(event, xml, "covered-table-cell")) {
                int repeated = repeated(xml, "number-columns-repeated");
                grid.put(row, column, repeatedRows, repeated, cell(xml, xml.getLocalName()));
                column = (int) Math.min(Integer.MAX_VALUE / 2, (long) column + repeated);
            }
        }
    }

    private static int repeated(XMLStreamReader xml, String name) {
        String told = xml.getAttributeValue(TABLE, name);
        if (told == null) {
            return 1;
        }
        if (!told.matches("[0-9]{1,9}")) {
            throw new IllegalArgumentException("an impossible count");
        }
        return Math.max(1, Integer.parseInt(told));
    }

    private String cell(XMLStreamReader xml, String name) throws XMLStreamException {
        String type = xml.getAttributeValue(OFFICE, "value-type");
        String value = xml.getAttributeValue(OFFICE, "value");
        StringBuilder text = new StringBuilder();
        int paragraphs = 0;
        int inParagraph = 0;
        while (xml.hasNext()) {
            int event = file.next(xml);
            if (ends(event, xml, name)) {
                break;
            }
            if (starts(event, xml, "table")) {
                throw Bounds.over("a table stands inside another");
            }
            if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("annotation")) {
                skip(xml);
            } else if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("p")) {
                text.append(paragraphs++ > 0 ? "\n" : "");
                inParagraph++;
            } else if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("p")) {
                inParagraph--;
            } else if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("s")) {
                text.append(' ');
            } else if ((event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) && inParagraph > 0) {
                text.append(xml.getTextCharacters(), xml.getTextStart(), xml.getTextLength());
            }
            file.bounds().text(text.length());
        }
        return value != null && type != null && NUMBERS.contains(type) ? file.number(value) : text.toString();
    }

    /** A note at a cell is not what stands in it. */
    private void skip(XMLStreamReader xml) throws XMLStreamException {
        for (int depth = 1; depth > 0 && xml.hasNext();) {
            int event = file.next(xml);
            depth += event == XMLStreamConstants.START_ELEMENT ? 1 : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
        }
    }
}
