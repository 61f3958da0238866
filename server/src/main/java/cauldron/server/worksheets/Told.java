package cauldron.server.worksheets;

import cauldron.core.block.reading.ReadingBlock;
import cauldron.core.block.text.TextBlock;
import cauldron.core.block.vocabulary.VocabularyBlock;
import cauldron.server.labs.Shown;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/** Blocks that only tell something: they are the same on every paper. */
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
}
