package cauldron.core.reference;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.apparatus.Manifest;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.quantity.Units;
import java.util.List;
import java.util.Map;

/**
 * How a table is judged.
 *
 * @param points     what it brings where every value is within its reading error; 0: it brings nothing
 * @param references what its columns are held against
 * @param expected   what is to be worked out in it
 */
public record Judging(double points, List<Reference> references, List<Expected> expected) {

    /** Nothing is known of what it should hold. */
    public static final Judging NONE = new Judging(0, List.of(), List.of());
    private static final int MOST = 40;

    /** The reference of a column, or null. */
    Reference of(String column) {
        return references.stream().filter(r -> r.column().equals(column)).findFirst().orElse(null);
    }

    /**
     * Notes all that can't be held.
     *
     * @param columns   the lab's columns
     * @param manifests of the apparatus on the sheet: one of them has to show what is spoken of
     * @param choices   ids of what is chosen for recordings
     */
    public void check(List<Map<String, Object>> columns, List<Manifest> manifests, List<String> choices, Where at) {
        for (int i = 0; i < references.size(); i++) {
            Reference r = references.get(i);
            Where here = at.in("references").item(i);
            Map<String, Object> column = columns.stream().filter(c -> r.column().equals(c.get("id"))).findFirst()
                    .orElse(null);
            if (column == null) {
                here.fault("there is no column “" + r.column() + "” in this table");
            } else if (references.subList(0, i).stream().anyMatch(o -> o.column().equals(r.column()))) {
                here.fault("column “" + r.column() + "” is held against two things");
            } else if (r.shows() == Reference.Shows.OPTION) {
                if (!choices.contains(r.of())) {
                    here.in("of").fault("no recordings have a choice “" + r.of() + "”");
                }
            } else if (!"measured".equals(column.get("kind"))) {
                here.fault("only a measured column holds values");
            } else {
                shown(r, Tree.text(column, "unit", ""), manifests, here);
            }
        }
        Map<String, Object> empty = Tree.of("columns", columns, "rows", List.of());
        for (int i = 0; i < expected.size(); i++) {
            String trouble = DataTable.whole(empty, expected.get(i).formula()).trouble();
            if (trouble != null) {
                at.in("expected").item(i).in("formula").fault(trouble);
            }
        }
        if (points > 0 && references.isEmpty() && expected.isEmpty()) {
            at.in("points").fault("say what the table is held against: without it, nothing can bring them");
        }
    }

    private static void shown(Reference r, String unit, List<Manifest> manifests, Where here) {
        String why = "there is no apparatus on this sheet";
        for (Manifest manifest : manifests) {
            try {
                Showing.check(r, manifest, Units.parse(unit));
                return;
            } catch (IllegalArgumentException e) {
                why = e.getMessage();
            }
        }
        here.fault(why);
    }

    /** How it is declared. */
    public static final class Declared extends Form<Judging> {
        private final Field<Judging, Double> points = field("points", number(0, 1000), Judging::points).otherwise(0.0)
                .says("What the table brings where every value is within its reading error.");
        private final Field<Judging, List<Reference>> references = field("references", list(new ReferenceForm(), MOST),
                Judging::references).otherwise(List.of()).says("What its columns are held against.");
        private final Field<Judging, List<Expected>> expected = field("expected", list(new Expected.Declared(), MOST),
                Judging::expected).otherwise(List.of()).says("What is to be worked out in it.");

        /** The form. */
        public Declared() {
            super("Judging", "How a table is judged. It never leaves the server.");
        }

        @Override
        protected Judging make(Filled f) {
            return new Judging(f.get(points), f.get(references), f.get(expected));
        }
    }
}
