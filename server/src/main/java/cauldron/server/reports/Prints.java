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
import cauldron.server.print.BlockPrints;
import cauldron.server.worksheets.Told;
import org.jsoup.nodes.Element;

/** How each kind of block is printed. */
final class Prints {

    /** Prints one block of a kind. */
    interface Print<B extends Block> extends BlockPrints.Print<B, Leaf> {
    }

    private static final BlockPrints<Leaf> ALL = new BlockPrints<Leaf>()
            .with(TextBlock.class, (b, leaf, to) -> Told.text(b, to))
            .with(VocabularyBlock.class, (b, leaf, to) -> Told.vocabulary(b, to))
            .with(PredictionBlock.class, new PredictionPrint())
            .with(FilmsBlock.class, new FilmsPrint())
            .with(BenchBlock.class, new BenchPrint())
            .with(TableBlock.class, Prints::table)
            .with(GraphBlock.class, (b, leaf, to) -> leaf.picture(b, to, "The graph was not drawn."))
            .with(NumberBlock.class, new NumberPrint())
            .with(ChoiceBlock.class, new ChoicePrint())
            .with(ComparisonBlock.class, new ComparisonPrint())
            .with(DrawingBlock.class, Prints::drawing)
            .with(ExplanationBlock.class, Prints::explanation)
            .with(OpeningBlock.class, Prints::opening)
            .with(ReadingBlock.class, (b, leaf, to) -> Told.reading(b, to))
            .with(ExtensionBlock.class, Prints::extension)
            .complete();

    private Prints() {
    }

    static void print(Block block, Leaf leaf, Element to) {
        ALL.print(block, leaf, to);
    }

    private static void table(TableBlock block, Leaf leaf, Element to) {
        to.appendElement("h3").text(block.title());
        ReportTable.of(block, leaf.standing().progress()).appendTo(to);
    }

    private static void explanation(ExplanationBlock block, Leaf leaf, Element to) {
        Told.heading(to, block.prompt(), block.points());
        Words answer = leaf.read(block, Blocks.ALL.kind(ExplanationBlock.Kind.class).answer);
        leaf.quoted(to, answer == null ? "" : answer.text());
        leaf.mark(block, to);
    }

    private static void drawing(DrawingBlock block, Leaf leaf, Element to) {
        Told.heading(to, block.prompt(), block.points());
        Drawing drawing = block.drawing(leaf.written());
        leaf.picture(block, to, "Nothing was drawn.");
        if (!drawing.drawn().isEmpty()) {
            leaf.soft(to, "On it: " + drawing.words() + ".");
        }
        leaf.found(block, to, "");
        leaf.mark(block, to);
    }

    private static void opening(OpeningBlock block, Leaf leaf, Element to) {
        Told.heading(to, block.prompt(), 0);
        Words answer = leaf.read(block, Blocks.ALL.kind(OpeningBlock.Kind.class).answer);
        leaf.quoted(to, answer == null ? "" : answer.text());
    }

    private static void extension(ExtensionBlock block, Leaf leaf, Element to) {
        Words answer = leaf.read(block, Blocks.ALL.kind(ExtensionBlock.Kind.class).answer);
        // Nobody has to; where nothing was written, nothing is printed.
        if (answer != null && !answer.text().isBlank()) {
            Told.heading(to, block.title() + ": " + block.prompt(), 0);
            leaf.quoted(to, answer.text());
        }
    }
}
