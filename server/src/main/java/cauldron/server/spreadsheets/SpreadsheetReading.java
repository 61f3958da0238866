package cauldron.server.spreadsheets;

import cauldron.server.platform.Problems;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;
import java.util.function.LongSupplier;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.springframework.web.ErrorResponseException;

/**
 * Reads spreadsheet files that people bring: what stands in the cells, as text. A file comes from anywhere, so only the
 * parts that are needed are opened, by the archive's own list, and each is read as a stream whose every bound is counted
 * on the way. General spreadsheet libraries build the whole sheet first, and some believe what a file says of its size.
 */
final class SpreadsheetReading {

    /** A sheet of a file. */
    record Page(String name, List<List<String>> rows) {
    }

    /** Reads one part of a file. */
    interface PartReader {
        void read(XMLStreamReader xml) throws XMLStreamException;
    }

    static final int LARGEST_FILE = 5_000_000;
    private static final int MOST_PARTS = 2_000;
    /** Figures that a spreadsheet keeps: what lies beyond is rounding, as in 0.30000000000000004. */
    private static final MathContext KEPT = new MathContext(15);
    private static final int LONGEST_PLAIN = 12;

    private final ZipFile zip;
    private final Bounds bounds;

    private SpreadsheetReading(ZipFile zip, Bounds bounds) {
        this.zip = zip;
        this.bounds = bounds;
    }

    /**
     * Reads a file.
     *
     * @param name  its name, whose ending tells its kind
     * @param nanos a clock, to end what takes too long
     */
    static List<Page> read(String name, byte[] file, LongSupplier nanos) {
        String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        if (!ending.equals("xlsx") && !ending.equals("ods")) {
            throw Problems.invalid("name", "File: only .xlsx and .ods are read here. Save it as one of these, or as .csv.");
        }
        try (ZipFile zip = ZipFile.builder().setByteArray(file).get()) {
            SpreadsheetReading reading = new SpreadsheetReading(zip, new Bounds(nanos));
            int parts = 0;
            for (var entries = zip.getEntries(); entries.hasMoreElements(); entries.nextElement()) {
                if (++parts > MOST_PARTS) {
                    throw Bounds.over("it has more than " + MOST_PARTS + " parts");
                }
            }
            List<Page> pages = ending.equals("xlsx") ? new Xlsx(reading).pages() : new Ods(reading).pages();
            if (pages.stream().allMatch(p -> p.rows().isEmpty())) {
                throw Problems.invalid("file", "File: there is nothing in its sheets.");
            }
            return pages;
        } catch (ErrorResponseException e) {
            throw e;
        } catch (IOException | RuntimeException | XMLStreamException e) {
            throw cause(e) != null ? cause(e)
                    : Problems.invalid("file", "File: it can't be read as ." + ending + ". Is it a whole spreadsheet file?");
        }
    }

    /** A bound that was met inside a library, which wraps what it doesn't know. */
    private static ErrorResponseException cause(Throwable e) {
        for (Throwable at = e; at != null; at = at.getCause()) {
            if (at instanceof ErrorResponseException found) {
                return found;
            }
        }
        return null;
    }

    Bounds bounds() {
        return bounds;
    }

    /** Reads a part, if the file has it. */
    boolean part(String name, PartReader reader) throws IOException, XMLStreamException {
        ZipArchiveEntry entry = zip.getEntry(name);
        if (entry == null) {
            return false;
        }
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        try (InputStream in = bounds.counted(zip.getInputStream(entry))) {
            reader.read(factory.createXMLStreamReader(in));
        }
        return true;
    }

    /** Goes on to the next event; refuses a document type, which no spreadsheet program writes. */
    int next(XMLStreamReader xml) throws XMLStreamException {
        bounds.step();
        int event = xml.next();
        if (event == XMLStreamConstants.DTD) {
            throw Problems.invalid("file", "File: it declares a document type, which spreadsheets don't.");
        }
        return event;
    }

    /** A number as a spreadsheet shows it; what isn't one stays as it stands. */
    String number(String digits) {
        bounds.number(digits);
        try {
            BigDecimal value = new BigDecimal(digits.strip()).round(KEPT).stripTrailingZeros();
            return Math.abs((long) value.precision() - value.scale()) > LONGEST_PLAIN ? value.toString() : value.toPlainString();
        } catch (ArithmeticException | NumberFormatException e) {
            return digits;
        }
    }
}
