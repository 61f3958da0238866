package cauldron.core.block;

import static cauldron.core.form.Kinds.FLAG;

import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;

/** Whether a prediction was sealed, as a slot of a notebook holds it. */
public record Seal(boolean sealed) {

    /** How it is kept. */
    public static final class Kept extends Form<Seal> {

        private final Field<Seal, Boolean> sealed = field("sealed", FLAG, Seal::sealed);

        /** The form. */
        public Kept() {
            super("Seal", "Whether a prediction was sealed.");
        }

        @Override
        protected Seal make(Filled f) {
            return new Seal(f.get(sealed));
        }
    }
}
