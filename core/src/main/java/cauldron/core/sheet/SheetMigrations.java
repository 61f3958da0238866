package cauldron.core.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * Brings sheets of older versions to that of now, step by step: a sheet never changes where it is stored, so all that
 * were ever given must go on to be read. What can't be made out is left for the reader to tell.
 */
final class SheetMigrations {

    /** The step at place i leads from version i + 1 to i + 2. */
    private static final List<UnaryOperator<Map<String, Object>>> STEPS = List.of(SheetMigrations::manyViewsAndActs);

    private SheetMigrations() {
    }

    /** The same sheet in the version of now; one that says no version is of the first, or needs no step. */
    static Map<String, Object> toNow(Map<String, Object> tree) {
        Object said = tree.get("version");
        int version = said instanceof Number number ? number.intValue() : 1;
        Map<String, Object> now = tree;
        for (int v = Math.max(1, version); v < Sheet.VERSION; v++) {
            now = STEPS.get(v - 1).apply(now);
        }
        return now;
    }

    /**
     * Version 2: recordings have several views and acts, where before they had one of each; what a table asks and hides
     * is said by yes or no, where before it was by words.
     */
    private static Map<String, Object> manyViewsAndActs(Map<String, Object> sheet) {
        Map<String, Object> now = eachBlock(sheet, block -> {
            Map<String, Object> migrated = new LinkedHashMap<>(block);
            if (block.containsKey("view")) {
                migrated.remove("view");
                migrated.put("views", List.of(block.get("view")));
            }
            if (block.containsKey("start")) {
                migrated.remove("start");
                migrated.put("acts", List.of(block.get("start")));
            }
            said(migrated, "units", "given", "asked", "unitsAsked");
            said(migrated, "uncertainties", "shown", "hidden", "uncertaintiesHidden");
            return migrated;
        });
        now.put("version", 2.0);
        return now;
    }

    private static void said(Map<String, Object> block, String field, String no, String yes, String flag) {
        Object word = block.get(field);
        if (no.equals(word) || yes.equals(word)) {
            block.remove(field);
            block.put(flag, yes.equals(word));
        }
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> eachBlock(Map<String, Object> sheet, UnaryOperator<Map<String, Object>> step) {
        Map<String, Object> now = new LinkedHashMap<>(sheet);
        if (!(sheet.get("parts") instanceof List<?> parts)) {
            return now;
        }
        List<Object> migrated = new ArrayList<>();
        for (Object part : parts) {
            if (part instanceof Map<?, ?> tree && tree.get("blocks") instanceof List<?> blocks) {
                Map<String, Object> copy = new LinkedHashMap<>((Map<String, Object>) tree);
                List<Object> each = new ArrayList<>();
                blocks.forEach(b -> each.add(b instanceof Map<?, ?> block ? step.apply((Map<String, Object>) block) : b));
                copy.put("blocks", each);
                migrated.add(copy);
            } else {
                migrated.add(part);
            }
        }
        now.put("parts", migrated);
        return now;
    }
}
