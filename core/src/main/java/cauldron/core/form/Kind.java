package cauldron.core.form;

import java.util.Map;

/**
 * What a value may be. It reads what is odd until it has been read here, writes it back, and describes itself.
 *
 * @param <V> what it is in Java
 */
public interface Kind<V> {

    /** Reads a value of a tree; notes at its place what is wrong, and then answers null. Never throws. */
    V read(Object value, Where at);

    /** The value as a tree holds it. */
    Object write(V value);

    /** The value as a student's browser gets it: without what is hidden. */
    default Object show(V value) {
        return write(value);
    }

    /**
     * Its description as JSON Schema (draft 2020-12).
     *
     * @param schemas keeps the descriptions of forms, which are referred to by name
     */
    Map<String, Object> schema(Schemas schemas);
}
