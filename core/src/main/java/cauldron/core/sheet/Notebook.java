package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.Block;
import cauldron.core.block.Written;
import cauldron.core.block.table.Gathered;
import cauldron.core.block.table.TableBlock;
import java.util.List;
import java.util.Map;

/**
 * What a student has written, as read from the journal.
 *
 * @param slots      block id → slot → value
 * @param recordings different settings filmed for each block of recordings
 */
public record Notebook(Map<String, Map<String, Object>> slots, Map<String, Integer> recordings) implements Written {

    @Override
    public Map<String, Object> slot(String block, String slot) {
        return Tree.map(slots.getOrDefault(block, Map.of()), slot);
    }

    @Override
    public List<String> slots(String block) {
        return List.copyOf(slots.getOrDefault(block, Map.of()).keySet());
    }

    @Override
    public DataTable worked(Block table) {
        return DataTable.of(Gathered.table((TableBlock) table, this));
    }

    @Override
    public int recordings(String block) {
        return recordings.getOrDefault(block, 0);
    }
}
