package cauldron.core.block.explanation;

import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;
import static cauldron.core.form.Kinds.number;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.Map;

/**
 * What was spoken, as a slot of a notebook holds it: the sound itself is kept beside the notebook, in pieces.
 *
 * @param recording id of the recording; empty where it was taken away again
 * @param seconds   how long it is
 * @param pieces    how many pieces it has
 */
public record Spoken(String recording, double seconds, int pieces) {

    private static final double LONGEST = 600;
    private static final int MOST_PIECES = 400;

    /** Whole seconds of what a slot holds; 0 where nothing was spoken. */
    static int seconds(Map<String, Object> slot) {
        return Tree.text(slot, "recording", "").isEmpty() ? 0 : (int) Math.max(1, Math.floor(Tree.number(slot,
                "seconds", 0)));
    }

    /** How it is kept. */
    public static final class Kept extends Form<Spoken> {

        private final Field<Spoken, String> recording = field("recording", text(36), Spoken::recording).otherwise("");
        private final Field<Spoken, Double> seconds = field("seconds", number(0, LONGEST), Spoken::seconds)
                .otherwise(0.0);
        private final Field<Spoken, Integer> pieces = field("pieces", whole(0, MOST_PIECES), Spoken::pieces)
                .otherwise(0);

        /** The form. */
        public Kept() {
            super("Spoken", "What was spoken; the sound is kept beside the notebook.");
        }

        @Override
        protected Spoken make(Filled f) {
            return new Spoken(f.get(recording), f.get(seconds), f.get(pieces));
        }
    }
}
