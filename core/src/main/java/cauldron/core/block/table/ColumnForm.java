package cauldron.core.block.table;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;
import static cauldron.core.form.Kinds.word;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Kind;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A column of a table, as {@code DataTable} takes it. */
final class ColumnForm extends Form<Map<String, Object>> {

    private final Field<Map<String, Object>, String> id = column("id", text(60));
    private final Field<Map<String, Object>, String> name = column("name", text(200));
    private final Field<Map<String, Object>, String> symbol = column("symbol", text(60));
    private final Field<Map<String, Object>, String> unit = column("unit", text(60));
    private final Field<Map<String, Object>, String> kind = column("kind", word("label", "measured", "constant", "calculated"));
    private final List<Field<Map<String, Object>, ?>> more = List.of(
            column("formula", text(2000)).optional().says("What a calculated column is worked out by."),
            column("constant", text(60)).optional().says("The value of a constant, as typed."),
            column("uncertainty", text(60)).optional().says("That of all cells which have none of their own, as typed."),
            column("decimals", whole(0, 12)).optional(), column("figures", whole(0, 12)).optional(),
            column("description", text(2000)).optional(),
            column("found", text(60)).optional().says("The unit that a student found, as typed."),
            column("takes", list(text(200), 20)).optional().says("What “Into the notebook” lays in here, the first of it that a bench has: a channel’s id, set.… for a setting, came.… for an outcome, or time, step, event, done, trial."));

    ColumnForm() {
        super("Column", "A column of a table.");
    }

    @SuppressWarnings("unchecked")
    private <V> Field<Map<String, Object>, V> column(String field, Kind<V> holds) {
        return field(field, holds, m -> {
            Object value = m.get(field);
            return (V) (value instanceof Double number && (field.equals("decimals") || field.equals("figures"))
                    ? (Object) number.intValue() : value);
        });
    }

    @Override
    protected Map<String, Object> make(Filled f) {
        Map<String, Object> tree = Tree.of("id", f.get(id), "name", f.get(name), "symbol", f.get(symbol), "unit", f.get(unit),
                "kind", f.get(kind));
        for (Field<Map<String, Object>, ?> field : more) {
            Object value = f.get(field);
            if (value != null) {
                tree.put(field.name(), value instanceof Integer whole ? (Object) whole.doubleValue() : value);
            }
        }
        return new LinkedHashMap<>(tree);
    }
}
