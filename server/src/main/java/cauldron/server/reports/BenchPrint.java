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
                .map(t -> (t.name() == null || t.name().isEmpty() ? "a trial" : t.name())
                        + (t.note() == null || t.note().isBlank() ? "" : " (" + t.note() + ")")).toList();
        to.appendElement("p").text(kept.isEmpty() ? "No trial was kept." : "Trials: " + String.join(" · ", kept));
    }
}
