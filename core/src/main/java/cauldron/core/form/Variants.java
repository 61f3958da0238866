package cauldron.core.form;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One of several forms, told apart by the field {@code type}.
 *
 * @param <T> what they have in common
 */
public abstract class Variants<T> implements Kind<T> {

    private final Map<String, Form<? extends T>> byType = new LinkedHashMap<>();

    /** Adds one; a second one of a type throws. */
    protected final void register(String type, Form<? extends T> form) {
        if (byType.putIfAbsent(type, form) != null) {
            throw new IllegalStateException("“" + type + "” is registered twice");
        }
    }

    /** What kind of thing is read, in words: “block”. */
    protected abstract String noun();

    /** The type of a made one. */
    protected abstract String typeOf(T value);

    /** All forms, by type. */
    public final Map<String, Form<? extends T>> all() {
        return byType;
    }

    @Override
    public final T read(Object value, Where at) {
        if (!(value instanceof Map<?, ?> tree)) {
            at.fault("a group of fields is needed");
            return null;
        }
        Form<? extends T> form = byType.get(String.valueOf(tree.get("type")));
        if (form == null) {
            at.fault(tree.get("type") == null ? "“type” is missing" : "there is no " + noun() + " “" + tree.get("type") + "”");
            return null;
        }
        return form.read(value, at);
    }

    @Override
    public final Map<String, Object> write(T value) {
        Map<String, Object> tree = Tree.of("type", typeOf(value));
        tree.putAll(form(value).write(value));
        return tree;
    }

    @Override
    public final Map<String, Object> show(T value) {
        Map<String, Object> tree = Tree.of("type", typeOf(value));
        tree.putAll(form(value).show(value));
        return tree;
    }

    @SuppressWarnings("unchecked")
    private Form<T> form(T value) {
        return (Form<T>) byType.get(typeOf(value));
    }

    @Override
    public final Map<String, Object> schema(Schemas schemas) {
        List<Object> each = new ArrayList<>();
        byType.forEach((type, form) -> {
            Map<String, Object> whole = form.describe(schemas);
            Map<String, Object> properties = new LinkedHashMap<>();
            properties.put("type", Tree.of("const", type));
            properties.putAll(Tree.map(whole, "properties"));
            whole.put("properties", properties);
            List<String> required = new ArrayList<>(List.of("type"));
            required.addAll(Tree.texts(whole, "required"));
            whole.put("required", required);
            schemas.definitions().put(form.name(), whole);
            each.add(Tree.of("$ref", "#/$defs/" + form.name()));
        });
        return Tree.of("oneOf", each);
    }
}
