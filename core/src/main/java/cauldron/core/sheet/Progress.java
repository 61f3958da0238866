package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.Sealable;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.table.Gathered;
import cauldron.core.block.table.TableBlock;
import cauldron.core.marking.AnswerKey;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * How far a student has come with a sheet.
 *
 * @param sheet   the lab
 * @param written what stands in the student's notebook
 */
public record Progress(Sheet sheet, Notebook written) {

    /**
     * How far a student has come.
     *
     * @param slots      block id → slot → value
     * @param recordings different settings filmed for each block of recordings
     */
    public Progress(Sheet sheet, Map<String, Map<String, Object>> slots, Map<String, Integer> recordings) {
        this(sheet, new Notebook(slots, recordings, sheet.blocks(TableBlock.class)));
    }

    /** How many parts are open: up to and with the first one whose prediction isn't sealed yet. */
    public int openParts() {
        return openParts(sheet.parts().stream().map(Sheet.Part::blocks).toList(), this::isSealed);
    }

    /** The same for the blocks of each part, given which predictions are sealed. */
    public static int openParts(List<List<Block>> parts, Predicate<String> sealed) {
        int open = 0;
        for (List<Block> blocks : parts) {
            open++;
            for (Block block : blocks) {
                if (block instanceof Sealable && !sealed.test(block.id())) {
                    return open;
                }
            }
        }
        return open;
    }

    /** Whether a part may be worked in: every prediction before it is sealed. */
    public boolean isOpen(String partId) {
        for (int i = 0; i < sheet.parts().size(); i++) {
            if (sheet.parts().get(i).id().equals(partId)) {
                return i < openParts();
            }
        }
        throw new IllegalArgumentException("This lab has no part “" + partId + "”");
    }

    /** The part that holds a block; refuses a block the sheet doesn't have. */
    public Sheet.Part partOf(String blockId) {
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (block.id().equals(blockId)) {
                    return part;
                }
            }
        }
        throw new IllegalArgumentException("This lab has no block “" + blockId + "”");
    }

    /** Whether a prediction is sealed. */
    public boolean isSealed(String blockId) {
        return Tree.flag(written.slot(blockId, "seal"), "sealed");
    }

    /** What is still to do, part by part, in plain words; empty when all is there. */
    public List<Map<String, Object>> missing() {
        List<Map<String, Object>> list = new ArrayList<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                String lack = lack(block);
                if (lack != null) {
                    list.add(Tree.of("part", part.id(), "block", block.id(), "text", part.title() + ": " + lack));
                }
            }
        }
        return list;
    }

    /** The first part with something missing, or null when all is there. */
    public Sheet.Part at() {
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (lack(block) != null) {
                    return part;
                }
            }
        }
        return null;
    }

    /** The value that was read off last, of the furthest part that has one; empty where there is none. */
    public String lastReading() {
        for (int i = sheet.parts().size() - 1; i >= 0; i--) {
            for (Block block : sheet.parts().get(i).blocks()) {
                String reading = block.lastReading(written);
                if (!reading.isEmpty()) {
                    return reading;
                }
            }
        }
        return "";
    }

    /** What is still to do in a block, in plain words; null where nothing is. */
    public String lack(Block block) {
        return block.lack(written);
    }

    /**
     * What is right for this student.
     *
     * @param personal the student's own seed
     */
    public AnswerKey key(NumberBlock question, int personal) {
        return question.key(sheet, written, personal);
    }

    /** What a question still waits for before it opens, in words; null where it is open. */
    public String waitsFor(NumberBlock question) {
        return question.waitsFor(sheet, written);
    }

    /** What a prediction still lacks before it can be sealed, in words; null where it is whole. */
    public String lackOfPrediction(Sealable block) {
        return block.unsealable(written);
    }

    /** A student's table as {@code DataTable} takes it. */
    public Map<String, Object> table(TableBlock block) {
        return Gathered.table(block, written);
    }
}
