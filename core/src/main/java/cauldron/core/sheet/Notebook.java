package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
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
 * @param tables     the sheet's tables
 */
public record Notebook(Map<String, Map<String, Object>> slots, Map<String, Integer> recordings, List<TableBlock> tables)
        implements Written {

    /** What stands in a notebook whose tables nobody asks for. */
    public Notebook(Map<String, Map<String, Object>> slots, Map<String, Integer> recordings) {
        this(slots, recordings, List.of());
    }

    @Override
    public Map<String, Object> slot(String block, String slot) {
        return Tree.map(slots.getOrDefault(block, Map.of()), slot);
    }

    @Override
    public List<String> slots(String block) {
        return List.copyOf(slots.getOrDefault(block, Map.of()).keySet());
    }

    @Override
    public DataTable worked(String table) {
        return tables.stream().filter(t -> t.id().equals(table)).findFirst()
                .map(t -> DataTable.of(Gathered.table(t, this))).orElse(null);
    }

    @Override
    public int recordings(String block) {
        return recordings.getOrDefault(block, 0);
    }
}
