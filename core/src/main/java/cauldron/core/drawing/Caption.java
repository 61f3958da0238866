package cauldron.core.drawing;

import static cauldron.core.form.Kinds.text;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.Map;

/** Something to be written below a drawing, such as a charge. */
public record Caption(String id, String name) {

    /** From plain data that was read before. */
    static Caption of(Map<String, Object> tree) {
        return new Caption(Tree.text(tree, "id"), Tree.text(tree, "name"));
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("id", id, "name", name);
    }

    /** How one is declared. */
    static final class Declared extends Form<Caption> {
        private final Field<Caption, String> id = field("id", text(Paper.ID), Caption::id);
        private final Field<Caption, String> name = field("name", text(Paper.NAME), Caption::name);

        Declared() {
            super("DrawnCaption", "Something to be written below a drawing, such as a charge.");
        }

        @Override
        protected Caption make(Filled f) {
            return new Caption(f.get(id), f.get(name));
        }
    }
}
