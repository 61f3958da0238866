package cauldron.core.sheet;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/**
 * Tells whether the value of a slot is what its block can hold. What is stored or sent is odd until it has been read
 * here; the reader answers what is wrong and never throws.
 */
public final class SlotReader {

    /** An edit of many slots at once, as pasting makes it: {@code edit/id} with {@code {slots: {slot: value}}}. */
    public static final String EDIT = "edit/";
    /** Characters a slot's name may have. */
    public static final int LONGEST_SLOT = 200;
    private static final int DEEPEST = 20;
    private static final int MOST_COLUMNS = 100;
    private static final int MOST_ROWS = 20_000;

    private SlotReader() {
    }

    /** What is wrong with a value, in words for the person; null where nothing is. */
    public static String fault(Block block, String slot, Map<String, Object> value) {
        if (slot == null || slot.isEmpty() || slot.length() > LONGEST_SLOT || !clean(slot)) {
            return "a place in the notebook has a name of 1 to " + LONGEST_SLOT + " characters";
        }
        if (value == null) {
            return "there is no value";
        }
        String odd = oddity(value, 0);
        if (odd != null) {
            return odd;
        }
        try {
            if (slot.startsWith(EDIT)) {
                return editFault(block, value);
            }
            return shapeFault(block, slot, value);
        } catch (IllegalArgumentException e) {
            return e.getMessage();
        }
    }

    private static String editFault(Block block, Map<String, Object> value) {
        Map<String, Object> slots = Tree.map(value, "slots");
        if (slots.isEmpty()) {
            return "slots: an edit changes at least one";
        }
        for (String slot : slots.keySet()) {
            if (slot.startsWith(EDIT) || slot.equals("seal")) {
                return "slots: “" + slot + "” can't be part of an edit";
            }
            String fault = fault(block, slot, Tree.map(slots, slot));
            if (fault != null) {
                return slot + ": " + fault;
            }
        }
        return null;
    }

    /** Throws what {@link Tree} says where a field isn't what it must be. */
    private static String shapeFault(Block block, String slot, Map<String, Object> value) {
        if (block instanceof Block.Prediction) {
            optionalNumber(value, "choice");
            Tree.text(value, "reason", "");
            if (slot.equals("sketch")) {
                for (Object stroke : items(value, "strokes")) {
                    numbers(stroke, "strokes");
                }
            }
            if (slot.equals("seal") && !(value.get("sealed") instanceof Boolean)) {
                return "sealed: yes or no is needed";
            }
        } else if (block instanceof Block.NumberQuestion) {
            Tree.text(value, "number", "");
            Tree.text(value, "unit", "");
        } else if (block instanceof Block.Explanation) {
            Tree.text(value, "text", "");
        } else if (block instanceof Block.Table) {
            tableFault(slot, value);
        } else if (block instanceof Block.Bench && slot.startsWith("trial/")) {
            Tree.text(value, "name", "");
            Tree.text(value, "note", "");
            optionalNumber(value, "number");
            Tree.map(value, "settings");
        } else if (block instanceof Block.Films && slot.startsWith("markers/")) {
            Tree.maps(value, "markers");
        } else if (block instanceof Block.Graph) {
            Tree.text(value, "x", "");
            Tree.text(value, "y", "");
            Tree.texts(value, "more");
            Tree.maps(value, "fits");
            Tree.text(value, "caption", "");
        }
        return null;
    }

    private static void tableFault(String slot, Map<String, Object> value) {
        if (slot.equals("columns")) {
            List<Map<String, Object>> columns = Tree.maps(value, "columns");
            if (columns.size() > MOST_COLUMNS) {
                throw new IllegalArgumentException("columns: at most " + MOST_COLUMNS);
            }
            for (Map<String, Object> column : columns) {
                for (String field : List.of("id", "name", "symbol", "unit", "kind")) {
                    Tree.text(column, field);
                }
                for (String field : List.of("formula", "constant", "uncertainty", "found")) {
                    Tree.text(column, field, "");
                }
            }
        } else if (slot.equals("rows")) {
            if (Tree.texts(value, "order").size() > MOST_ROWS) {
                throw new IllegalArgumentException("rows: at most " + MOST_ROWS);
            }
            optionalNumber(value, "issued");
        } else if (slot.startsWith("cell/")) {
            Tree.text(value, "text", "");
            Tree.text(value, "uncertainty", "");
            Map<String, Object> reading = Tree.map(value, "reading");
            if (!reading.isEmpty()) {
                Tree.text(reading, "trial");
                Tree.number(reading, "frame");
                Tree.text(reading, "view", "");
                Tree.map(reading, "instruments");
            }
        } else if (slot.startsWith("row/")) {
            Tree.text(value, "out", "");
            Tree.text(value, "note", "");
        }
    }

    private static void optionalNumber(Map<String, Object> value, String key) {
        Tree.number(value, key, 0);
    }

    private static List<?> items(Map<String, Object> value, String key) {
        Object list = value.get(key);
        if (list == null) {
            return List.of();
        }
        if (list instanceof List) {
            return (List<?>) list;
        }
        throw new IllegalArgumentException(key + ": a list is needed");
    }

    private static void numbers(Object list, String key) {
        if (!(list instanceof List)) {
            throw new IllegalArgumentException(key + ": each item must be a list of numbers");
        }
        for (Object item : (List<?>) list) {
            if (!(item instanceof Number)) {
                throw new IllegalArgumentException(key + ": each item must be a list of numbers");
            }
        }
    }

    /** What no value may hold anywhere: numbers without end, characters no text has, nesting without end. */
    private static String oddity(Object value, int depth) {
        if (depth > DEEPEST) {
            return "it is nested more than " + DEEPEST + " deep";
        }
        if (value instanceof Number) {
            double number = ((Number) value).doubleValue();
            return Double.isNaN(number) || Double.isInfinite(number) ? "a number is too large to keep" : null;
        }
        if (value instanceof String) {
            return clean((String) value) ? null : "it holds a character that no text can have";
        }
        if (value instanceof Map) {
            for (Map.Entry<?, ?> entry : ((Map<?, ?>) value).entrySet()) {
                String odd = clean(String.valueOf(entry.getKey())) ? oddity(entry.getValue(), depth + 1)
                        : "it holds a character that no text can have";
                if (odd != null) {
                    return odd;
                }
            }
        } else if (value instanceof List) {
            for (Object item : (List<?>) value) {
                String odd = oddity(item, depth + 1);
                if (odd != null) {
                    return odd;
                }
            }
        }
        return null;
    }

    /** Whether a text has neither the character nought nor half a pair of surrogates: no database keeps those. */
    public static boolean clean(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == 0 || c >= 0xDC00 && c <= 0xDFFF) {
                return false;
            }
            if (c >= 0xD800 && c <= 0xDBFF) {
                i++;
                if (i == text.length() || text.charAt(i) < 0xDC00 || text.charAt(i) > 0xDFFF) {
                    return false;
                }
            }
        }
        return true;
    }
}
