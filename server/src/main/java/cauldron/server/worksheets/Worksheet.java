package cauldron.server.worksheets;

import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Sheet;
import cauldron.server.print.PaperStyle;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * A lab on paper. What can only be done at the screen is named there, with what it is for.
 *
 * @param withKey whether it is for a teacher, with what is right and what earns how many points
 */
record Worksheet(Sheet sheet, boolean withKey, PaperStyle.Size size) {

    Document document() {
        Document page = Document.createShell("");
        page.getElementsByTag("html").attr("lang", "en");
        page.title(sheet.title() + (withKey ? " – with key" : ""));
        page.head().appendElement("meta").attr("name", "description").attr("content", sheet.title().isBlank() ? "A lab"
                : "The lab " + sheet.title());
        page.head().appendElement("style").appendText(PaperStyle.css(size));
        Element body = page.body();
        body.appendElement("div").addClass("foot").text(sheet.title() + (withKey ? " · with key, for the teacher"
                : ""));
        body.appendElement("h1").text(sheet.title());
        if (withKey) {
            body.appendElement("p").addClass("by").text("With key, for the teacher");
        } else {
            body.appendElement("p").addClass("by named")
                    .text("Name ______________________________   Class __________   Date __________");
        }
        body.appendElement("p").text(sheet.summary());
        body.appendElement("p").addClass("soft").text("About " + sheet.minutes() + " minutes · "
                + Numbers.printShort(sheet.points()) + " points");
        if (sheet.scheme().completeness() > 0) {
            body.appendElement("p").addClass("soft").text(sheet.scheme().completeness()
                    + " % of the points are for having done everything, the rest for what is right.");
        }
        if (!sheet.scheme().spotCheck().isEmpty()) {
            key(body, "Looked at for what is right: " + String.join(", ", sheet.scheme().spotCheck()));
        }
        for (Sheet.Part part : sheet.parts()) {
            body.appendElement("h2").text(part.title());
            part.blocks().forEach(b -> Blanks.print(b, this, body));
        }
        return page;
    }

    /** Lines to write on; none on the paper with the key. */
    void lines(Element to, int count) {
        for (int i = 0; i < count && !withKey; i++) {
            to.appendElement("div").addClass("line");
        }
    }

    /** Something for the teacher alone. */
    void key(Element to, String words) {
        if (withKey) {
            to.appendElement("p").addClass("key").text(words);
        }
    }

    /** What can only be done at the screen. */
    void onScreen(Element to, String what, String more) {
        Element box = to.appendElement("div").addClass("screen");
        box.appendElement("p").text("At the screen: " + what);
        if (!more.isEmpty()) {
            box.appendElement("p").addClass("soft").text(more);
        }
    }
}
