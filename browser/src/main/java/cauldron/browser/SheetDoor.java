package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.Block;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Written;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.CountedBlocks;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/**
 * A sheet as the browser holds it, without key and hidden values: how far a student has come is counted here as handing
 * in counts it. The page hands over what it knows of the block it asks about, no more.
 */
public final class SheetDoor implements Neighbours, Written {

    private final List<List<Block>> parts = new ArrayList<>();
    private final Map<String, Block> byId = new LinkedHashMap<>();
    private Map<String, Object> slots = Map.of();
    private int recordings;
    private DataTable worked;

    SheetDoor(Map<String, Object> sheet) {
        for (Map<String, Object> part : Tree.maps(sheet, "parts")) {
            List<Block> blocks = new ArrayList<>();
            for (Map<String, Object> written : Tree.maps(part, "blocks")) {
                Block block = CountedBlocks.block(written);
                if (block != null) {
                    blocks.add(block);
                    byId.put(block.id(), block);
                }
            }
            parts.add(blocks);
        }
    }

    /** How many parts are open, from the seals of predictions: {@code {block: {sealed}}}. */
    @JSExport
    public int openParts(JSObject seals) {
        Map<String, Object> all = Trees.mapFromJs(seals);
        return Progress.openParts(parts, id -> Tree.flag(Tree.map(all, id), "sealed"));
    }

    /**
     * How far a block has come, in a few words; empty where nothing is counted.
     *
     * @param slots  what the block keeps in the notebook; of a table nothing is needed
     * @param chosen what was chosen for each of its recordings
     * @param table  its table, or that which it shows, worked out; or null
     */
    @JSExport
    public String counted(String block, JSObject slots, JSObject chosen, TableDoor table) {
        know(slots, chosen, table);
        Block asked = byId.get(block);
        return asked == null ? "" : asked.counted(this);
    }

    /** What a question still waits for before it opens, in words, given the table it rests on; empty where it is open. */
    @JSExport
    public String waitsFor(String question, TableDoor table) {
        worked = table == null ? null : table.table();
        if (!(byId.get(question) instanceof NumberBlock number) || worked == null) {
            return "";
        }
        String waits = number.waitsFor(this, this);
        return waits == null ? "" : waits;
    }

    private void know(JSObject kept, JSObject chosen, TableDoor table) {
        slots = Trees.mapFromJs(kept);
        recordings = Trees.fromJs(chosen) instanceof List<?> all ? BenchBlock.distinct(all) : 0;
        worked = table == null ? null : table.table();
    }

    @Override
    public Block block(String id) {
        return byId.get(id);
    }

    @Override
    public Map<String, Object> slot(String block, String slot) {
        return Tree.map(slots, slot);
    }

    @Override
    public List<String> slots(String block) {
        return List.copyOf(slots.keySet());
    }

    @Override
    public DataTable worked(String table) {
        return worked;
    }

    @Override
    public int recordings(String block) {
        return recordings;
    }
}
