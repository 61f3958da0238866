package cauldron.core.sheet;

import cauldron.core.block.Block;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Reads a work's journal, oldest entry first, into what it amounts to: for each block its slots, each with the newest
 * value. A value that can't be read counts as missing and is named in {@link #unreadable()}.
 */
public final class NotebookReader {

    /** A value that can't be read, and why. */
    public record Unreadable(String block, String slot, String reason) {
    }

    private final Sheet sheet;
    private final Map<String, Map<String, Object>> slots = new LinkedHashMap<>();
    private final Map<String, Unreadable> unreadable = new LinkedHashMap<>();

    /** Reads a journal from its beginning. */
    public NotebookReader(Sheet sheet) {
        this.sheet = sheet;
    }

    /** Reads on from what a journal amounted to before; that is left as it is. */
    public NotebookReader(Sheet sheet, Map<String, Map<String, Object>> before, List<Unreadable> oddBefore) {
        this.sheet = sheet;
        before.forEach((block, values) -> slots.put(block, new LinkedHashMap<>(values)));
        oddBefore.forEach(u -> unreadable.put(u.block() + "\n" + u.slot(), u));
    }

    /** Lays one entry over what came before it. */
    @SuppressWarnings("unchecked")
    public void lay(String block, String slot, Object value) {
        Block found = sheet.block(block);
        if (found == null) {
            return;
        }
        Object many = slot.startsWith(SlotReader.EDIT) && value instanceof Map ? ((Map<?, ?>) value).get("slots") : null;
        if (many instanceof Map) {
            // Of an edit, what can be read is taken even where the rest can't.
            ((Map<String, Object>) many).forEach((one, inner) -> layOne(found, one, inner));
        } else {
            layOne(found, slot, value);
        }
    }

    @SuppressWarnings("unchecked")
    private void layOne(Block block, String slot, Object value) {
        String fault = value instanceof Map ? SlotReader.fault(block, slot, (Map<String, Object>) value)
                : "there is no value";
        String key = block.id() + "\n" + slot;
        if (fault == null) {
            Map<String, Object> values = slots.computeIfAbsent(block.id(), b -> new LinkedHashMap<>());
            // What was written last stands last, whether it was read from the beginning or read on.
            values.remove(slot);
            values.put(slot, SlotReader.toNow(block, slot, (Map<String, Object>) value));
            unreadable.remove(key);
        } else {
            Map<String, Object> values = slots.get(block.id());
            if (values != null && values.remove(slot) != null && values.isEmpty()) {
                slots.remove(block.id());
            }
            unreadable.put(key, new Unreadable(block.id(), slot, fault));
        }
    }

    /** Block → slot → value. */
    public Map<String, Map<String, Object>> slots() {
        return slots;
    }

    public List<Unreadable> unreadable() {
        return new ArrayList<>(unreadable.values());
    }
}
