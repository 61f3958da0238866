package cauldron.server.worksheets;

import cauldron.core.block.reading.ReadingBlock;
import cauldron.core.block.text.TextBlock;
import cauldron.core.block.vocabulary.VocabularyBlock;
import cauldron.core.quantity.Numbers;
import cauldron.server.labs.Shown;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/** What is the same on every paper: blocks that only tell something, headings, symbols. */
public final class Told {

    private Told() {
    }

    /** A text. */
    public static void text(TextBlock block, Element to) {
        Element body = Jsoup.parseBodyFragment(Shown.html(block.markdown())).body();
        body.select(".formula").forEach(PlainFormula::set);
        to.append(body.html());
    }

    /** Words and what they mean. */
    public static void vocabulary(VocabularyBlock block, Element to) {
        Element list = to.appendElement("dl");
        for (VocabularyBlock.Term term : block.terms()) {
            list.appendElement("dt").text(term.term());
            list.appendElement("dd").text(term.meaning());
        }
    }

    /** Where to read on. */
    public static void reading(ReadingBlock block, Element to) {
        Element list = to.appendElement("ul");
        for (ReadingBlock.Source source : block.sources()) {
            Element item = list.appendElement("li").text(source.title());
            item.appendText(source.about().isEmpty() ? "" : ": " + source.about());
            item.appendText(source.address().isEmpty() ? "" : " (" + source.address() + ")");
        }
    }

    /** What is asked, and what it brings. */
    public static void heading(Element to, String prompt, double points) {
        Element h = to.appendElement("h3").text(prompt);
        if (points > 0) {
            h.appendElement("span").addClass("soft").text(" " + Numbers.printShort(points)
                    + (points == 1 ? "\u00a0point" : "\u00a0points"));
        }
    }

    /** A symbol, its index lowered. */
    public static void symbol(String symbol, Element to) {
        int low = symbol.indexOf('_');
        to.appendText(low < 0 ? symbol : symbol.substring(0, low));
        if (low >= 0) {
            to.appendElement("sub").text(symbol.substring(low + 1));
        }
    }
}
