package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.TrialTable;
import cauldron.core.block.Block;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.form.Where;
import cauldron.core.inventory.Inventory;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What the columns of a lab's tables take in of a run's own table, or of that of all trials, must be there. */
final class TakenIn {

    /** What stands beside the channels: when, what happened, what was done, and in which trial. */
    private static final List<String> ALWAYS = List.of("time", "step", "event", "done", "trial");

    private TakenIn() {
    }

    /** Notes columns that take in what no bench on the sheet shows. */
    static void check(Sheet sheet, TableBlock table, Where at) {
        Set<String> shown = shown(sheet);
        for (Map<String, Object> column : table.columns()) {
            for (String takes : Tree.texts(column, "takes")) {
                if (!shown.contains(takes)) {
                    at.in("columns").in(Tree.text(column, "id", "")).in("takes")
                            .fault("no bench on this sheet shows “" + takes + "”");
                }
            }
        }
    }

    private static Set<String> shown(Sheet sheet) {
        Set<String> shown = new HashSet<>(ALWAYS);
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (block instanceof BenchBlock bench) {
                    Inventory.all().stream().map(Apparatus::manifest).filter(m -> m.id().equals(bench.plan().apparatus()))
                            .forEach(m -> add(m, shown));
                }
            }
        }
        return shown;
    }

    private static void add(Manifest m, Set<String> shown) {
        m.settings().forEach(s -> shown.add(TrialTable.SETTING + s.id()));
        m.channels().forEach(c -> shown.add(c.id()));
        m.outcomes().forEach(o -> shown.add(TrialTable.OUTCOME + o.id()));
    }
}
