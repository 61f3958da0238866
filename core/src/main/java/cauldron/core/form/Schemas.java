package cauldron.core.form;

import cauldron.core.Tree;
import java.util.LinkedHashMap;
import java.util.Map;

/** Descriptions of forms by name, gathered while one that refers to them is described. */
public final class Schemas {

    private final boolean shown;
    private final Map<String, Object> definitions = new LinkedHashMap<>();

    private Schemas(boolean shown) {
        this.shown = shown;
    }

    /** Of forms as they are stored. */
    public static Schemas ofStored() {
        return new Schemas(false);
    }

    /** Of forms as students get them. */
    public static Schemas ofShown() {
        return new Schemas(true);
    }

    boolean isShown() {
        return shown;
    }

    /** A reference to a form, which is described once. */
    Map<String, Object> refer(Form<?> form) {
        if (!definitions.containsKey(form.name())) {
            definitions.put(form.name(), Map.of());
            definitions.put(form.name(), form.describe(this));
        }
        return Tree.of("$ref", "#/$defs/" + form.name());
    }

    /** All of them, by name. */
    public Map<String, Object> definitions() {
        return definitions;
    }

    /** A whole document of JSON Schema that describes a form as it is stored, for editors of such files. */
    public static Map<String, Object> document(Form<?> form) {
        Schemas schemas = ofStored();
        Map<String, Object> root = form.schema(schemas);
        return Tree.of("$schema", "https://json-schema.org/draft/2020-12/schema", "$ref", root.get("$ref"), "$defs",
                schemas.definitions());
    }
}
