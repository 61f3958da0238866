package cauldron.server.reports;

import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.marking.Marking;
import cauldron.server.print.PaperStyle;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * One student's work on one lab, in the order of the sheet: what was asked, predicted, measured, drawn, answered
 * and said of it. Built as a document, never as text, so that nothing a student typed can be taken for more.
 */
final class Report {

    /** A graph or sketch as the page drew it. */
    record Picture(byte[] png, String alt, String caption, List<String> words) {
    }

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.UK);

    private final Assignments.Opened opened;
    private final Marking.Standing standing;
    private final String student;
    private final Map<String, Picture> pictures;
    private final ZoneId zone;
    private final Instant now;

    Report(Assignments.Opened opened, Marking.Standing standing, String student, Map<String, Picture> pictures, ZoneId zone, Instant now) {
        this.opened = opened;
        this.standing = standing;
        this.student = student;
        this.pictures = pictures;
        this.zone = zone;
        this.now = now;
    }

    Document document() {
        Sheet sheet = opened.sheet();
        Document page = Document.createShell("");
        page.getElementsByTag("html").attr("lang", "en");
        page.title(sheet.title() + " – " + student);
        page.head().appendElement("meta").attr("name", "description").attr("content", "A student's work on the lab " + sheet.title());
        page.head().appendElement("style").appendText(PaperStyle.css(PaperStyle.Size.A4));
        Element body = page.body();
        body.appendElement("div").addClass("foot").text(sheet.title() + " · " + student);
        body.appendElement("h1").text(sheet.title());
        body.appendElement("p").addClass("by").text(student);
        Instant in = opened.work().submittedAt();
        body.appendElement("p").addClass("soft").text((in == null ? "Not handed in yet, as it stood on " + TIME.format(now.atZone(zone))
                : "Handed in " + TIME.format(in.atZone(zone))) + " · "
                + (opened.own() && !opened.assignment().showsPoints()
                        ? "points are shown later" : Numbers.printShort(standing.score().points()) + " of "
                                + Numbers.printShort(sheet.points()) + " points"));
        Leaf leaf = new Leaf(standing, pictures);
        for (Sheet.Part part : sheet.parts()) {
            body.appendElement("h2").text(part.title());
            part.blocks().forEach(b -> Prints.print(b, leaf, body));
        }
        return page;
    }
}
