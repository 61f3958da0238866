package cauldron.core.block;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Kinds;
import java.util.Map;

/** What was written in words, as a slot of a notebook holds it. */
public record Words(String text) {

    /** What was written in words in a slot, without what stands empty around it. */
    public static String of(Map<String, Object> slot) {
        return Tree.text(slot, "text", "").strip();
    }

    /** Words in what a slot holds. */
    public static int in(Map<String, Object> slot) {
        return in(of(slot));
    }

    /** Words in a text: runs of letters and digits. */
    public static int in(String text) {
        int n = 0;
        boolean inside = false;
        for (int i = 0; i < text.length(); i++) {
            boolean letter = Character.isLetterOrDigit(text.charAt(i)) || inside && "'’.-".indexOf(text.charAt(i)) >= 0;
            n += letter && !inside ? 1 : 0;
            inside = letter;
        }
        return n;
    }

    /** How it is kept. */
    public static final class Kept extends Form<Words> {

        private final Field<Words, String> text = field("text", Kinds.text(100_000), Words::text).otherwise("");

        /** The form. */
        public Kept() {
            super("Words", "What was written in words.");
        }

        @Override
        protected Words make(Filled f) {
            return new Words(f.get(text));
        }
    }
}
