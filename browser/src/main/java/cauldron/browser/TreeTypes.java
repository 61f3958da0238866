package cauldron.browser;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * The TypeScript type of trees, from all there are of them: what the pages are told of a declaration is what is written
 * for them, so it can't say anything else. Trees with a {@code type} are told apart by it; what some lack is optional.
 */
final class TreeTypes {

    /** Whose texts are among a few words that pages tell apart. */
    private static final Set<String> WORDS = Set.of("type", "kind", "account", "shape");
    /** Trees whose names are data, not fields. */
    private static final Set<String> BY_NAME = Set.of("hooked");

    private TreeTypes() {
    }

    /** The type of all of some values. */
    static String of(Collection<?> values) {
        return of("", values);
    }

    private static String of(String name, Collection<?> values) {
        Set<String> types = new LinkedHashSet<>();
        List<Object> items = new ArrayList<>();
        Map<String, List<Map<?, ?>>> trees = new TreeMap<>();
        boolean lists = false;
        for (Object value : values) {
            if (value instanceof Number) {
                types.add("number");
            } else if (value instanceof Boolean) {
                types.add("boolean");
            } else if (value instanceof String text) {
                types.add(WORDS.contains(name) ? "'" + text + "'" : "string");
            } else if (value instanceof Map<?, ?> tree) {
                trees.computeIfAbsent(String.valueOf(tree.get("type")), t -> new ArrayList<>()).add(tree);
            } else if (value instanceof Collection<?> list) {
                lists = true;
                items.addAll(list);
            } else {
                throw new IllegalArgumentException("A page can't be told of " + value);
            }
        }
        trees.values().forEach(alike -> types.add(BY_NAME.contains(name) ? "Record<string, string>" : tree(alike)));
        if (lists) {
            // Of a list that is empty everywhere nothing is known.
            types.add("(" + (items.isEmpty() ? "never" : of(name, items)) + ")[]");
        }
        return String.join(" | ", types);
    }

    private static String tree(List<Map<?, ?>> alike) {
        Map<String, List<Object>> fields = new LinkedHashMap<>();
        alike.forEach(t -> t.forEach((k, v) -> fields.computeIfAbsent((String) k, f -> new ArrayList<>()).add(v)));
        StringBuilder type = new StringBuilder("{ ");
        fields.forEach((name, values) -> type.append("'").append(name).append(values.size() < alike.size() ? "'?: " : "': ")
                .append(of(name, values)).append("; "));
        return type.append('}').toString();
    }
}
