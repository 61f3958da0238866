package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.Slot;
import cauldron.core.form.Oddities;
import cauldron.core.form.Where;
import java.util.Map;

/**
 * Tells whether the value of a slot is what its block can hold. What is stored or sent is odd until it has been read
 * here; the reader answers what is wrong and never throws. What a slot may hold its block's kind declares.
 */
public final class SlotReader {

    /** An edit of many slots at once, as pasting makes it: {@code edit/id} with {@code {slots: {slot: value}}}. */
    public static final String EDIT = "edit/";
    /** Characters a slot's name may have. */
    public static final int LONGEST_SLOT = 200;

    private SlotReader() {
    }

    /** What is wrong with a value, in words for the person; null where nothing is. */
    public static String fault(Block block, String slot, Map<String, Object> value) {
        if (slot == null || slot.isEmpty() || slot.length() > LONGEST_SLOT || !Oddities.isClean(slot)) {
            return "a place in the notebook has a name of 1 to " + LONGEST_SLOT + " characters";
        }
        if (value == null) {
            return "there is no value";
        }
        String odd = Oddities.of(value);
        if (odd != null) {
            return odd;
        }
        if (slot.startsWith(EDIT)) {
            return editFault(block, value);
        }
        Slot<?> declared = slotAt(block, slot);
        if (declared == null) {
            // A place that a newer page knows: kept as it is, and read by nobody here.
            return null;
        }
        Where at = Where.lenient();
        at.attempt(() -> declared.holds().read(declared.toNow(value), at));
        return at.count() == 0 ? null : at.faults().get(0).text();
    }

    /** A value that has no fault, in the version of now. */
    static Map<String, Object> toNow(Block block, String slot, Map<String, Object> value) {
        Slot<?> declared = slotAt(block, slot);
        return declared == null ? value : declared.toNow(value);
    }

    private static Slot<?> slotAt(Block block, String slot) {
        for (Slot<?> declared : Blocks.ALL.kindOf(block).slots()) {
            if (declared.isAt(slot)) {
                return declared;
            }
        }
        return null;
    }

    private static String editFault(Block block, Map<String, Object> value) {
        Map<String, Object> slots;
        try {
            slots = Tree.map(value, "slots");
        } catch (IllegalArgumentException e) {
            return e.getMessage();
        }
        if (slots.isEmpty()) {
            return "slots: an edit changes at least one";
        }
        for (String slot : slots.keySet()) {
            if (slot.startsWith(EDIT) || slot.equals("seal")) {
                return "slots: “" + slot + "” can't be part of an edit";
            }
            try {
                String fault = fault(block, slot, Tree.map(slots, slot));
                if (fault != null) {
                    return slot + ": " + fault;
                }
            } catch (IllegalArgumentException e) {
                return e.getMessage();
            }
        }
        return null;
    }
}
