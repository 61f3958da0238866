package cauldron.server.reports;

import cauldron.core.block.Block;
import cauldron.core.block.Slot;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Notebook;
import cauldron.server.marking.Marking;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;

/** What a block's print can ask of the work, and how headings, quotes, pictures and marks look on every leaf. */
final class Leaf {

    /** Lines of one answer that are printed. */
    private static final int MOST_LINES = 400;

    private final Marking.Standing standing;
    private final Map<String, Report.Picture> pictures;

    Leaf(Marking.Standing standing, Map<String, Report.Picture> pictures) {
        this.standing = standing;
        this.pictures = pictures;
    }

    Marking.Standing standing() {
        return standing;
    }

    Notebook written() {
        return standing.progress().written();
    }

    /** What a place of a block holds, or null. */
    <V> V read(Block block, Slot<V> slot) {
        return slot.read(written().slot(block.id(), slot.at()));
    }

    /** What all places of a sort hold, in the order in which they were written. */
    <V> List<V> all(Block block, Slot<V> sort) {
        List<V> list = new ArrayList<>();
        for (String name : written().slots(block.id())) {
            V value = sort.isAt(name) ? sort.read(written().slot(block.id(), name)) : null;
            if (value != null) {
                list.add(value);
            }
        }
        return list;
    }

    void soft(Element to, String words) {
        to.appendElement("p").addClass("soft").text(words);
    }

    /** What the student wrote, line by line. */
    void quoted(Element to, String text) {
        Element quote = to.appendElement("blockquote");
        if (text.isBlank()) {
            quote.addClass("soft").text("Nothing was written.");
            return;
        }
        List<String> lines = text.strip().lines().limit(MOST_LINES + 1L).toList();
        lines.stream().limit(MOST_LINES).forEach(line -> quote.appendElement("p").text(line));
        if (lines.size() > MOST_LINES) {
            soft(quote, "Only the first " + MOST_LINES + " lines are printed.");
        }
    }

    /** The picture that the page drew for a block; other words where it drew none. */
    void picture(Block block, Element to, String otherwise) {
        Report.Picture picture = pictures.get(block.id());
        if (picture == null) {
            if (!otherwise.isEmpty()) {
                soft(to, otherwise);
            }
            return;
        }
        Element figure = to.appendElement("div").addClass("figure");
        figure.appendElement("img").attr("alt", picture.alt()).attr("src",
                "data:image/png;base64," + Base64.getEncoder().encodeToString(picture.png()));
        picture.words().forEach(w -> figure.appendElement("p").addClass("found").text(w));
        if (!picture.caption().isBlank()) {
            figure.appendElement("p").addClass("caption").text(picture.caption());
        }
    }

    /** The best try at a question, and what it brought. */
    void tried(Block block, Element to) {
        Marking.Tried tried = standing.tried().get(block.id());
        if (tried != null) {
            found(block, to, (tried.number() + " " + tried.unit()).strip() + ". ");
        }
    }

    /** What was found at the best try, with other words for what was tried. */
    void found(Block block, Element to, String what) {
        Marking.Tried tried = standing.tried().get(block.id());
        if (tried != null) {
            soft(to, "Best try: " + what + tried.feedback() + " "
                    + Numbers.printShort(tried.points()) + " of " + Numbers.printShort(block.points()) + " points.");
        }
    }

    void mark(Block block, Element to) {
        Marking.Marked mark = standing.marked().get(block.id());
        if (mark != null) {
            to.appendElement("p").addClass("mark").text("Marked: " + Numbers.printShort(mark.points()) + " of "
                    + Numbers.printShort(block.points()) + " points. " + mark.comment());
        }
    }
}
