package cauldron.core.block.explanation;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;

/**
 * A written explanation, marked by the teacher.
 *
 * @param words the fewest that are asked for
 */
public record ExplanationBlock(String id, String prompt, int words, double points) implements Block {

    @Override
    public String lack(Written written) {
        int have = words(Tree.text(written.slot(id, "answer"), "text", ""));
        return have >= words ? null : have + " of at least " + words + " words written";
    }

    @Override
    public String type() {
        return "explanation";
    }

    /** What was written. */
    public record Explained(String text) {
    }

    /** Words in a text: runs of letters and digits. */
    public static int words(String text) {
        int n = 0;
        boolean inside = false;
        for (int i = 0; i < text.length(); i++) {
            boolean letter = Character.isLetterOrDigit(text.charAt(i)) || inside && "'’.-".indexOf(text.charAt(i)) >= 0;
            n += letter && !inside ? 1 : 0;
            inside = letter;
        }
        return n;
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<ExplanationBlock> {

        private final Field<ExplanationBlock, String> prompt = field("prompt", text(4000), ExplanationBlock::prompt);
        private final Field<ExplanationBlock, Integer> words = field("words", whole(0, 2000), ExplanationBlock::words)
                .says("The fewest words that are asked for.");
        private final Field<ExplanationBlock, Double> points = field("points", number(0, 1000), ExplanationBlock::points);
        /** What was written. */
        public final Slot<Explained> answer = slot("answer", 0, ExplainedForm::new);

        /** The kind. */
        public Kind() {
            super("explanation", "Explanation", "A written explanation, marked by the teacher.");
        }

        @Override
        protected ExplanationBlock make(Filled f) {
            return new ExplanationBlock(f.get(id), f.get(prompt), f.get(words), f.get(points));
        }
    }

    private static final class ExplainedForm extends Form<Explained> {

        private final Field<Explained, String> text = field("text", text(100_000), Explained::text).otherwise("");

        ExplainedForm() {
            super("Explained", "What was written.");
        }

        @Override
        protected Explained make(Filled f) {
            return new Explained(f.get(text));
        }
    }
}
