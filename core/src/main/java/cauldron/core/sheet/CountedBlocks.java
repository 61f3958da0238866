package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.opening.OpeningBlock;
import cauldron.core.block.prediction.PredictionBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.reference.Judging;
import cauldron.core.drawing.Paper;
import java.util.Collections;
import java.util.List;
import java.util.Map;

/**
 * The little that counting needs of a block, from what the server shows to students. Reading it by the kinds' own forms
 * would bring a browser some twenty thousand bytes of declarations, which it has no other use for; {@code CountedBlocksTest} holds
 * this against them.
 */
public final class CountedBlocks {

    private CountedBlocks() {
    }

    /** A block without what is hidden or only read; null for one of which nothing is counted. */
    public static Block block(Map<String, Object> b) {
        String id = Tree.text(b, "id");
        switch (Tree.text(b, "type")) {
            case "prediction":
                return new PredictionBlock(id, "", List.of(), "", null);
            case "films":
                return new FilmsBlock(id, "", null, (int) Tree.number(b, "distinctTrials"));
            case "bench":
                return new BenchBlock(id, "", null, (int) Tree.number(b, "distinctTrials"));
            case "table":
                return new TableBlock(id, Tree.text(b, "title"), Tree.maps(b, "columns"), (int) Tree.number(b, "rows"),
                        Tree.flag(b, "unitsAsked"), Tree.flag(b, "uncertaintiesHidden"), Judging.NONE);
            case "graph":
                return new GraphBlock(id, "", Tree.text(b, "table"), Tree.text(b, "along", ""), Tree.text(b, "up", ""),
                        Tree.flag(b, "line"));
            case "number":
                return new NumberBlock(id, "", 0, 1, Tree.text(b, "restsOn", ""), null);
            case "explanation":
                return new ExplanationBlock(id, "", (int) Tree.number(b, "words"), 0, List.of(), 0);
            case "choice":
                return new ChoiceBlock(id, "", List.of(), false, Tree.text(b, "reasonPrompt", ""), 0, 1);
            case "comparison":
                return new ComparisonBlock(id, "", Collections.nCopies(Tree.texts(b, "options").size(), ""),
                        Collections.nCopies(Tree.maps(b, "cases").size(), null), 0, 1);
            case "drawing":
                return new DrawingBlock(id, "", Paper.counted(Tree.map(b, "paper")), "", List.of(), 0, 1);
            case "opening":
                return new OpeningBlock(id, "", (int) Tree.number(b, "words"));
            default:
                return null;
        }
    }
}
