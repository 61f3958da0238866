package cauldron.core.reference;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;

import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;

/**
 * What is to be worked out from a table's readings.
 *
 * @param name    what it is, as the teacher calls it: “period”
 * @param formula over the symbols of the lab's own columns
 * @param percent how far a student's column may be from it, for rounded constants
 */
public record Expected(String name, String formula, double percent) {

    private static final double USUAL_PERCENT = 0.5;

    /** How one is declared. */
    static final class Declared extends Form<Expected> {
        private final Field<Expected, String> name = field("name", text(200), Expected::name);
        private final Field<Expected, String> formula = field("formula", text(2000), Expected::formula)
                .says("Over the symbols of the lab's own columns.");
        private final Field<Expected, Double> percent = field("percent", number(0.01, 20), Expected::percent)
                .otherwise(USUAL_PERCENT).says("How far a student's column may be from it, for rounded constants.");

        Declared() {
            super("Expected", "What is to be worked out from the readings.");
        }

        @Override
        protected Expected make(Filled f) {
            return new Expected(f.get(name), f.get(formula), f.get(percent));
        }
    }
}
