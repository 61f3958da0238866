package cauldron.server.reports;

import cauldron.core.block.bench.BenchBlock;
import cauldron.core.sheet.Blocks;
import java.util.List;
import org.jsoup.nodes.Element;

/** Which trials were kept, with what was noted of them. */
final class BenchPrint implements Prints.Print<BenchBlock> {

    @Override
    public void print(BenchBlock block, Leaf leaf, Element to) {
        List<String> kept = leaf.all(block, Blocks.ALL.kind(BenchBlock.Kind.class).trial).stream().filter(t -> !t.removed())
                .map(t -> name(t) + (t.note().isBlank() ? "" : " (" + t.note() + ")")).toList();
        to.appendElement("p").text(kept.isEmpty() ? "No trial was kept." : "Trials: " + String.join(" · ", kept));
    }

    private static String name(BenchBlock.Kept trial) {
        return !trial.name().isBlank() ? trial.name() : trial.number() == null ? "a trial" : "trial " + trial.number().intValue();
    }
}
