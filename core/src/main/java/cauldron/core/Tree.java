package cauldron.core;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Plain data as nested maps, lists, strings, numbers (always {@link Double} when read) and booleans:
 * the form in which the core hands structures out and takes them in. Each home turns a tree into JSON
 * with its own library, so the core needs none.
 *
 * <p>Readers throw {@link IllegalArgumentException} naming the field that is missing or wrong.
 */
public final class Tree {

    private Tree() {
    }

    /** A map in the order given: {@code of("id", id, "name", name)}. Null values are left out. */
    public static Map<String, Object> of(Object... keysAndValues) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < keysAndValues.length; i += 2) {
            if (keysAndValues[i + 1] != null) {
                map.put((String) keysAndValues[i], keysAndValues[i + 1]);
            }
        }
        return map;
    }

    /** The text at a key; refuses its absence. */
    public static String text(Map<String, Object> map, String key) {
        Object value = map.get(key);
        if (value instanceof String) {
            return (String) value;
        }
        throw new IllegalArgumentException(key + ": a text is needed");
    }

    /** The text at a key, or another where there is none. */
    public static String text(Map<String, Object> map, String key, String otherwise) {
        return map.get(key) == null ? otherwise : text(map, key);
    }

    /** The number at a key; refuses its absence. */
    public static double number(Map<String, Object> map, String key) {
        Object value = map.get(key);
        if (value instanceof Number) {
            return ((Number) value).doubleValue();
        }
        throw new IllegalArgumentException(key + ": a number is needed");
    }

    /** The number at a key, or another where there is none. */
    public static double number(Map<String, Object> map, String key, double otherwise) {
        return map.get(key) == null ? otherwise : number(map, key);
    }

    /** The truth value at a key, false where there is none. */
    public static boolean flag(Map<String, Object> map, String key) {
        return Boolean.TRUE.equals(map.get(key));
    }

    /** The map at a key, empty where there is none. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> map(Map<String, Object> map, String key) {
        Object value = map.get(key);
        if (value == null) {
            return new LinkedHashMap<>();
        }
        if (value instanceof Map) {
            return (Map<String, Object>) value;
        }
        throw new IllegalArgumentException(key + ": a group of fields is needed");
    }

    /** The list of maps at a key, empty where there is none. */
    @SuppressWarnings("unchecked")
    public static List<Map<String, Object>> maps(Map<String, Object> map, String key) {
        List<Map<String, Object>> result = new ArrayList<>();
        for (Object item : list(map, key)) {
            if (!(item instanceof Map)) {
                throw new IllegalArgumentException(key + ": each item must be a group of fields");
            }
            result.add((Map<String, Object>) item);
        }
        return result;
    }

    /** The list of texts at a key, empty where there is none. */
    public static List<String> texts(Map<String, Object> map, String key) {
        List<String> result = new ArrayList<>();
        for (Object item : list(map, key)) {
            if (!(item instanceof String)) {
                throw new IllegalArgumentException(key + ": each item must be a text");
            }
            result.add((String) item);
        }
        return result;
    }

    private static List<?> list(Map<String, Object> map, String key) {
        Object value = map.get(key);
        if (value == null) {
            return List.of();
        }
        if (value instanceof List) {
            return (List<?>) value;
        }
        throw new IllegalArgumentException(key + ": a list is needed");
    }
}
