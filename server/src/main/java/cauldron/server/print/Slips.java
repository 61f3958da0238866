package cauldron.server.print;

import java.util.List;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Sign-in slips to be cut apart, eight a page. */
public final class Slips {

    /**
     * What stands on a slip.
     *
     * @param code a one-time code to choose a secret with, or null
     */
    public record Slip(String name, String userName, String code) {
    }

    private static final int A_PAGE = 8;
    private static final int ACROSS = 2;
    private static final String CSS = """
            @page { size: A4; margin: 12mm 10mm; }
            body { font-family: House, Signs, sans-serif; font-size: 11pt; color: #1B2430; margin: 0; }
            table { width: 190mm; border-collapse: separate; border-spacing: 0; table-layout: fixed; page-break-after: always;
              border-top: 0.3mm dashed #8A8477; border-left: 0.3mm dashed #8A8477; }
            table.last { page-break-after: auto; }
            td { border-right: 0.3mm dashed #8A8477; border-bottom: 0.3mm dashed #8A8477; height: 62mm; padding: 5mm 6mm; vertical-align: top; }
            .of { color: #5C6470; font-size: 9.5pt; }
            .who { font-size: 15pt; font-weight: bold; margin: 0.5mm 0 3mm; }
            .label { color: #5C6470; font-size: 9pt; margin: 1.6mm 0 0; }
            .value { font-size: 13pt; font-weight: bold; margin: 0; }
            """;

    private Slips() {
    }

    /**
     * Prints slips.
     *
     * @param of      what they are for, such as the class
     * @param address where to sign in
     */
    public static byte[] print(String of, String address, List<Slip> slips) {
        Document page = Document.createShell("");
        page.getElementsByTag("html").attr("lang", "en");
        page.title("Sign-in slips – " + of);
        page.head().appendElement("meta").attr("name", "description").attr("content", "Sign-in slips for " + of);
        page.head().appendElement("style").appendText(CSS);
        for (int first = 0; first < slips.size(); first += A_PAGE) {
            List<Slip> eight = slips.subList(first, Math.min(slips.size(), first + A_PAGE));
            Element table = page.body().appendElement("table");
            table.addClass(first + A_PAGE >= slips.size() ? "last" : "more");
            for (int i = 0; i < eight.size(); i += ACROSS) {
                Element row = table.appendElement("tr");
                for (int j = i; j < i + ACROSS; j++) {
                    Element cell = row.appendElement("td");
                    if (j < eight.size()) {
                        slip(cell, of, address, eight.get(j));
                    }
                }
            }
        }
        return PdfPrinter.print(page);
    }

    private static void slip(Element cell, String of, String address, Slip slip) {
        cell.appendElement("div").addClass("of").text("Cauldron · " + of);
        cell.appendElement("div").addClass("who").text(slip.name());
        line(cell, "Address", address + (slip.code() == null ? "" : "/enter"));
        line(cell, "User name", slip.userName());
        if (slip.code() != null) {
            line(cell, "One-time code, to choose your secret", slip.code());
        }
    }

    private static void line(Element cell, String label, String value) {
        cell.appendElement("div").addClass("label").text(label);
        cell.appendElement("div").addClass("value").text(value);
    }
}
