package cauldron.core.form;

import java.util.function.Function;

/**
 * A field of a form: declared once, it is the name in the tree, what it may hold, and the handle by which it is read.
 *
 * @param <T> what the form is in Java
 * @param <V> what the field is in Java
 */
public final class Field<T, V> {

    private final int index;
    private final String name;
    private final Kind<V> kind;
    private final Function<T, V> from;
    private String about = "";
    private boolean needed = true;
    private V otherwise;
    private boolean hidden;
    private Function<T, V> given;
    private boolean toldOnly;

    Field(int index, String name, Kind<V> kind, Function<T, V> from) {
        this.index = index;
        this.name = name;
        this.kind = kind;
        this.from = from;
        this.given = from;
    }

    /** What it means, for whoever writes one. */
    public Field<T, V> says(String words) {
        about = words;
        return this;
    }

    /** It may be left out, and is this then. */
    public Field<T, V> otherwise(V value) {
        needed = false;
        otherwise = value;
        return this;
    }

    /** It may be left out, and is null then. */
    public Field<T, V> optional() {
        return otherwise(null);
    }

    /** It never goes to a student. */
    public Field<T, V> hidden() {
        hidden = true;
        return this;
    }

    /** What students get in place of what is stored, such as what follows when nothing is said. */
    public Field<T, V> given(Function<T, V> instead) {
        given = instead;
        return this;
    }

    /** Only told to students: nothing that is stored. */
    Field<T, V> toldOnly() {
        toldOnly = true;
        return this;
    }

    boolean isToldOnly() {
        return toldOnly;
    }

    int index() {
        return index;
    }

    /** Its name in the tree. */
    public String name() {
        return name;
    }

    Kind<V> kind() {
        return kind;
    }

    String about() {
        return about;
    }

    boolean isNeeded() {
        return needed;
    }

    /** Whether what pages are shown always has it. */
    boolean isAlwaysThere() {
        return needed || otherwise != null || given != from;
    }

    boolean isHidden() {
        return hidden;
    }

    V missing() {
        return otherwise;
    }

    Object written(T value) {
        V v = toldOnly ? null : from.apply(value);
        return v == null ? null : kind.write(v);
    }

    Object shown(T value) {
        V v = given.apply(value);
        return v == null ? null : kind.show(v);
    }
}
