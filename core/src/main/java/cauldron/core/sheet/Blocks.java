package cauldron.core.sheet;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
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
import cauldron.core.form.Variants;

/** Every kind of block there is. A new one adds its line; a second one of a type throws. */
public final class Blocks extends Variants<Block> {

    /** The list. */
    public static final Blocks ALL = new Blocks();

    private Blocks() {
        register(new TextBlock.Kind());
        register(new VocabularyBlock.Kind());
        register(new PredictionBlock.Kind());
        register(new FilmsBlock.Kind());
        register(new BenchBlock.Kind());
        register(new TableBlock.Kind());
        register(new GraphBlock.Kind());
        register(new NumberBlock.Kind());
        register(new ChoiceBlock.Kind());
        register(new ComparisonBlock.Kind());
        register(new DrawingBlock.Kind());
        register(new ExplanationBlock.Kind());
        register(new OpeningBlock.Kind());
        register(new ReadingBlock.Kind());
        register(new ExtensionBlock.Kind());
    }

    private void register(BlockKind<?> kind) {
        register(kind.type(), kind);
    }

    /** The kind of a block. */
    @SuppressWarnings("unchecked")
    public BlockKind<Block> kindOf(Block block) {
        return (BlockKind<Block>) (Object) all().get(block.type());
    }

    /** A kind of block by its class, to reach the places that it keeps. */
    public <K extends BlockKind<?>> K kind(Class<K> which) {
        return all().values().stream().filter(which::isInstance).map(which::cast).findFirst().orElseThrow();
    }

    @Override
    protected String noun() {
        return "block";
    }

    @Override
    protected String typeOf(Block block) {
        return block.type();
    }
}
