package cauldron.core.form;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * A structure of named fields, declared as fields of a subclass: {@code final Field<Axis, String> unit = field("unit",
 * text(40), Axis::unit)}. Reading is complete: every fault of every field is told, each with its place.
 *
 * @param <T> what it is in Java
 */
public abstract class Form<T> implements Kind<T> {

    private final String name;
    private final String about;
    private final List<Field<T, ?>> fields = new ArrayList<>();

    /**
     * A form.
     *
     * @param name  as types and descriptions call it: letters and digits
     * @param about what it is, for whoever writes one
     */
    protected Form(String name, String about) {
        this.name = name;
        this.about = about;
    }

    /** Declares a field: its name in the tree, what it may hold, and where a made one has it. */
    protected final <V> Field<T, V> field(String field, Kind<V> kind, Function<T, V> from) {
        if (fields.stream().anyMatch(f -> f.name().equals(field))) {
            throw new IllegalStateException(name + " has the field “" + field + "” twice");
        }
        Field<T, V> declared = new Field<>(fields.size(), field, kind, from);
        fields.add(declared);
        return declared;
    }

    /** Something that students are told of one and that isn't stored: it follows from the rest. */
    protected final <V> Field<T, V> told(String field, Kind<V> kind, Function<T, V> given) {
        return field(field, kind, given).otherwise(null).toldOnly();
    }

    /** As types and descriptions call it. */
    public final String name() {
        return name;
    }

    /** Makes one from fields that are all sound by themselves; may refuse with {@link IllegalArgumentException}. */
    protected abstract T make(Filled filled);

    /** Looks for what is wrong with one as a whole. */
    protected void check(T made, Where at) {
        // Mostly every field says it all.
    }

    /** How the place of one is called, before it has been read. */
    protected Where placeOf(Map<?, ?> tree, Where at) {
        return at;
    }

    @Override
    public final T read(Object value, Where outside) {
        if (!(value instanceof Map<?, ?> tree)) {
            outside.fault("a group of fields is needed");
            return null;
        }
        Where at = placeOf(tree, outside);
        int before = at.count();
        Object[] values = new Object[fields.size()];
        if (at.isStrict()) {
            tree.keySet().forEach(key -> refuseUnknown(String.valueOf(key), at));
        }
        for (Field<T, ?> field : fields) {
            Object written = tree.get(field.name());
            if (field.isToldOnly()) {
                continue;
            }
            if (written != null) {
                values[field.index()] = field.kind().read(written, at.in(field.name()));
            } else if (field.isNeeded()) {
                // What is needed there is said by the kind itself.
                Where here = at.in(field.name());
                int known = at.count();
                field.kind().read(null, here);
                if (at.count() == known) {
                    here.fault("is missing");
                }
            } else {
                values[field.index()] = field.missing();
            }
        }
        if (at.count() > before) {
            return null;
        }
        try {
            T made = make(new Filled(values));
            check(made, at);
            return at.count() > before ? null : made;
        } catch (IllegalArgumentException e) {
            at.fault(e.getMessage());
            return null;
        }
    }

    /** Fields that are read beside this form's own, such as the type by which it was found. */
    protected boolean knows(String field) {
        return false;
    }

    private void refuseUnknown(String key, Where at) {
        if (knows(key) || fields.stream().anyMatch(f -> f.name().equals(key) && !f.isToldOnly())) {
            return;
        }
        String near = null;
        for (Field<T, ?> field : fields) {
            if (!field.isToldOnly() && Likeness.isNear(field.name(), key)) {
                near = field.name();
            }
        }
        at.fault("there is no field “" + key + "” here" + (near == null ? "" : "; is “" + near + "” meant?"));
    }

    @Override
    public Map<String, Object> write(T value) {
        Map<String, Object> tree = new LinkedHashMap<>();
        for (Field<T, ?> field : fields) {
            Object written = field.written(value);
            if (written != null) {
                tree.put(field.name(), written);
            }
        }
        return tree;
    }

    @Override
    public Map<String, Object> show(T value) {
        Map<String, Object> tree = new LinkedHashMap<>();
        for (Field<T, ?> field : fields) {
            Object shown = field.isHidden() ? null : field.shown(value);
            if (shown != null) {
                tree.put(field.name(), shown);
            }
        }
        return tree;
    }

    @Override
    public final Map<String, Object> schema(Schemas schemas) {
        return schemas.refer(this);
    }

    /** The whole description, which others refer to by name. */
    protected Map<String, Object> describe(Schemas schemas) {
        Map<String, Object> properties = new LinkedHashMap<>();
        List<String> required = new ArrayList<>();
        for (Field<T, ?> field : fields) {
            if (schemas.isShown() ? field.isHidden() : field.isToldOnly()) {
                continue;
            }
            Map<String, Object> schema = field.kind().schema(schemas);
            if (!field.about().isEmpty()) {
                schema.put("description", field.about());
            }
            properties.put(field.name(), schema);
            if (schemas.isShown() ? field.isAlwaysThere() || field.isToldOnly() : field.isNeeded()) {
                required.add(field.name());
            }
        }
        return Tree.of("type", "object", "description", about, "properties", properties, "required", required,
                "additionalProperties", false);
    }
}
