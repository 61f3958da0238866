package cauldron.server.reports;

import cauldron.core.block.Block;
import cauldron.core.block.Words;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.core.block.extension.ExtensionBlock;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.opening.OpeningBlock;
import cauldron.core.block.prediction.PredictionBlock;
import cauldron.core.block.reading.ReadingBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.block.text.TextBlock;
import cauldron.core.block.vocabulary.VocabularyBlock;
import cauldron.core.drawing.Drawing;
import cauldron.core.sheet.Blocks;
import cauldron.server.labs.Shown;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/** How each kind of block is printed. A kind that is missing or listed twice is told when the application starts. */
final class Prints {

    /** Prints one block of a kind. */
    interface Print<B extends Block> {
        void print(B block, Leaf leaf, Element to);
    }

    private static final Map<Class<?>, Print<Block>> ALL = listed();

    private Prints() {
    }

    private static Map<Class<?>, Print<Block>> listed() {
        Map<Class<?>, Print<Block>> all = new LinkedHashMap<>();
        add(all, TextBlock.class, (b, leaf, to) -> to.append(Jsoup.parseBodyFragment(Shown.html(b.markdown())).body().html()));
        add(all, VocabularyBlock.class, Prints::vocabulary);
        add(all, PredictionBlock.class, new PredictionPrint());
        add(all, FilmsBlock.class, new FilmsPrint());
        add(all, BenchBlock.class, new BenchPrint());
        add(all, TableBlock.class, Prints::table);
        add(all, GraphBlock.class, (b, leaf, to) -> leaf.picture(b, to, "The graph was not drawn."));
        add(all, NumberBlock.class, new NumberPrint());
        add(all, ChoiceBlock.class, new ChoicePrint());
        add(all, ComparisonBlock.class, new ComparisonPrint());
        add(all, DrawingBlock.class, Prints::drawing);
        add(all, ExplanationBlock.class, Prints::explanation);
        add(all, OpeningBlock.class, Prints::opening);
        add(all, ReadingBlock.class, Prints::reading);
        add(all, ExtensionBlock.class, Prints::extension);
        if (all.size() != Blocks.ALL.all().size()) {
            throw new IllegalStateException("There are " + Blocks.ALL.all().size() + " kinds of block, but prints of " + all.size());
        }
        return all;
    }

    @SuppressWarnings("unchecked")
    static <B extends Block> void add(Map<Class<?>, Print<Block>> all, Class<B> kind, Print<B> print) {
        if (all.put(kind, (Print<Block>) print) != null) {
            throw new IllegalStateException(kind.getSimpleName() + " is printed in two ways");
        }
    }

    static void print(Block block, Leaf leaf, Element to) {
        ALL.get(block.getClass()).print(block, leaf, to);
    }

    private static void vocabulary(VocabularyBlock block, Leaf leaf, Element to) {
        Element list = to.appendElement("dl");
        for (VocabularyBlock.Term term : block.terms()) {
            list.appendElement("dt").text(term.term());
            list.appendElement("dd").text(term.meaning());
        }
    }

    private static void table(TableBlock block, Leaf leaf, Element to) {
        to.appendElement("h3").text(block.title());
        ReportTable.of(block, leaf.standing().progress()).appendTo(to);
    }

    private static void explanation(ExplanationBlock block, Leaf leaf, Element to) {
        leaf.heading(to, block.prompt(), block.points());
        Words answer = leaf.read(block, Blocks.ALL.kind(ExplanationBlock.Kind.class).answer);
        leaf.quoted(to, answer == null ? "" : answer.text());
        leaf.mark(block, to);
    }

    private static void drawing(DrawingBlock block, Leaf leaf, Element to) {
        leaf.heading(to, block.prompt(), block.points());
        Drawing drawing = block.drawing(leaf.written());
        leaf.picture(block, to, "Nothing was drawn.");
        if (!drawing.drawn().isEmpty()) {
            leaf.soft(to, "On it: " + drawing.words() + ".");
        }
        leaf.found(block, to, "");
        leaf.mark(block, to);
    }

    private static void opening(OpeningBlock block, Leaf leaf, Element to) {
        leaf.heading(to, block.prompt(), 0);
        Words answer = leaf.read(block, Blocks.ALL.kind(OpeningBlock.Kind.class).answer);
        leaf.quoted(to, answer == null ? "" : answer.text());
    }

    private static void reading(ReadingBlock block, Leaf leaf, Element to) {
        Element list = to.appendElement("ul");
        for (ReadingBlock.Source source : block.sources()) {
            Element item = list.appendElement("li").text(source.title());
            item.appendText(source.about().isEmpty() ? "" : ": " + source.about());
            item.appendText(source.address().isEmpty() ? "" : " (" + source.address() + ")");
        }
    }

    private static void extension(ExtensionBlock block, Leaf leaf, Element to) {
        Words answer = leaf.read(block, Blocks.ALL.kind(ExtensionBlock.Kind.class).answer);
        // Nobody has to; where nothing was written, nothing is printed.
        if (answer != null && !answer.text().isBlank()) {
            leaf.heading(to, block.title() + ": " + block.prompt(), 0);
            leaf.quoted(to, answer.text());
        }
    }
}
