package cauldron.core.sheet;

import cauldron.core.block.Block;
import cauldron.core.block.Neighbours;
import cauldron.core.block.table.TableBlock;
import cauldron.core.form.Where;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Looks for what is wrong between the blocks of a sheet, also of one some of whose blocks can't be read: whoever writes
 * a lab is told all of it at once, but nothing that only follows from another fault.
 */
final class Among {

    /** Somebody asks for a block that can't be read: what that means isn't known. */
    private static final class Unreadable extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    private Among() {
    }

    /** Checks every block among the others. */
    static void check(Sheet sheet, Where at) {
        Map<String, Block> met = new LinkedHashMap<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                Where here = at.in("part " + part.id()).in("block " + block.id());
                if (met.putIfAbsent(block.id(), block) != null) {
                    here.fault("another block has this id");
                }
                Blocks.ALL.kindOf(block).checkAmong(block, sheet, here);
                if (block instanceof TableBlock table) {
                    TableJudgements.check(sheet, table, here);
                    TakenIn.check(sheet, table, here);
                }
            }
        }
    }

    /** Checks those blocks of a faulty sheet's tree that can be read. */
    static void checkReadable(Map<String, Object> tree, Where at) {
        Map<String, Block> readable = new LinkedHashMap<>();
        Map<String, Where> places = new LinkedHashMap<>();
        Map<String, Boolean> known = new LinkedHashMap<>();
        for (Object part : items(tree.get("parts"))) {
            if (!(part instanceof Map<?, ?> p)) {
                continue;
            }
            for (Object written : items(p.get("blocks"))) {
                if (!(written instanceof Map<?, ?> b) || !(b.get("id") instanceof String id)) {
                    continue;
                }
                Where here = at.in("part " + p.get("id")).in("block " + id);
                if (known.put(id, true) != null) {
                    here.fault("another block has this id");
                }
                Block block = Blocks.ALL.read(written, Where.strict());
                if (block != null) {
                    readable.put(id, block);
                    places.put(id, here);
                }
            }
        }
        Neighbours all = id -> {
            if (known.containsKey(id) && !readable.containsKey(id)) {
                throw new Unreadable();
            }
            return readable.get(id);
        };
        readable.forEach((id, block) -> {
            try {
                Blocks.ALL.kindOf(block).checkAmong(block, all, places.get(id));
            } catch (Unreadable e) {
                // The other one's faults are told already.
            }
        });
    }

    private static List<?> items(Object list) {
        return list instanceof List<?> items ? items : List.of();
    }
}
