package cauldron.server.reports;

import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.comparison.ComparisonBlock.Taken;
import cauldron.core.sheet.Blocks;
import java.util.Map;
import cauldron.server.worksheets.Told;
import org.jsoup.nodes.Element;

/** A table of what was predicted and what was seen, with the best try and what it brought. */
final class ComparisonPrint implements Prints.Print<ComparisonBlock> {

    @Override
    public void print(ComparisonBlock block, Leaf leaf, Element to) {
        ComparisonBlock.Kind kind = Blocks.ALL.kind(ComparisonBlock.Kind.class);
        Told.heading(to, block.prompt(), block.points());
        Element table = to.appendElement("table");
        Element heads = table.appendElement("thead").appendElement("tr");
        heads.appendElement("th").text("case");
        heads.appendElement("th").text("predicted");
        heads.appendElement("th").text("seen");
        Element rows = table.appendElement("tbody");
        for (int i = 1; i <= block.cases().size(); i++) {
            Element row = rows.appendElement("tr");
            row.appendElement("td").text(block.cases().get(i - 1).text());
            for (String slot : new String[] {kind.predicted.at("" + i), kind.seen.at("" + i)}) {
                Map<String, Object> kept = leaf.written().slot(block.id(), slot);
                Taken taken = kept.isEmpty() ? null : kind.seen.read(kept);
                boolean known = taken != null && taken.option() <= block.options().size();
                row.appendElement("td").text(known ? block.options().get(taken.option() - 1) : "–");
            }
        }
        leaf.soft(to, block.isSealed(leaf.written()) ? "Predictions sealed before anything was seen." : "Not sealed yet.");
        leaf.tried(block, to);
        leaf.mark(block, to);
    }
}
