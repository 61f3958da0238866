package cauldron.core.block.number;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.Tree;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Question;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.block.table.Gathered;
import cauldron.core.block.table.RowsAsked;
import cauldron.core.block.table.TableBlock;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.marking.AnswerKey;
import cauldron.core.marking.AnswerKeyForm;

/**
 * A question answered by a number with its unit.
 *
 * @param tries   how many tries can bring points
 * @param restsOn the table whose rows must be there before it opens; empty where it rests on none
 */
public record NumberBlock(String id, String prompt, double points, int tries, String restsOn, AnswerKey key) implements Question {

    /** Tries where the lab doesn't say. */
    public static final int USUAL_TRIES = 6;
    private static final int MOST_TRIES = 100;

    @Override
    public NumberBlock withTries(int other) {
        return new NumberBlock(id, prompt, points, other, restsOn, key);
    }

    @Override
    public String lack(Written written) {
        return Tree.text(written.slot(id, "answer"), "number", "").isBlank() ? "answer the question" : null;
    }

    @Override
    public String type() {
        return "number";
    }

    /** What was answered. */
    public record Answered(String number, String unit) {
    }

    /**
     * What it still waits for before it opens, in words; null where it is open. A question that rests on measuring opens
     * when its table has the rows that are asked for: guessing is no way round measuring.
     */
    public String waitsFor(Neighbours all, Written written) {
        if (restsOn.isEmpty()) {
            return null;
        }
        TableBlock table = all.block(restsOn, TableBlock.class);
        RowsAsked have = Gathered.rows(table, written);
        return have.enough() ? null : "This question opens when the rows of “" + table.title() + "” are there: "
                + have.words() + ".";
    }

    /**
     * What is right for a student.
     *
     * @param personal the student's own seed
     */
    public AnswerKey key(Neighbours all, Written written, int personal) {
        if (key.came() != null) {
            return Truth.came(key, all, written);
        }
        if (key.following() == null) {
            return Truth.of(this, all, personal);
        }
        try {
            TableBlock table = all.block(key.following().table(), TableBlock.class);
            return Truth.following(key, all, Gathered.table(table, written));
        } catch (IllegalArgumentException e) {
            // A table changed so that nothing follows from it.
            return key.with(Double.NaN);
        }
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<NumberBlock> {

        private final Field<NumberBlock, String> prompt = field("prompt", text(4000), NumberBlock::prompt);
        private final Field<NumberBlock, Double> points = field("points", number(0, 1000), NumberBlock::points);
        private final Field<NumberBlock, Integer> tries = field("tries", whole(1, MOST_TRIES), NumberBlock::tries)
                .otherwise(USUAL_TRIES).says("How many tries can bring points.");
        private final Field<NumberBlock, String> restsOn = field("restsOn", text(60), NumberBlock::restsOn).optional()
                .says("The table whose rows must be there before it opens; without it, that from which the key follows.");
        private final Field<NumberBlock, AnswerKey> key = field("key", new AnswerKeyForm(), NumberBlock::key).hidden();
        /** What was answered. */
        public final Slot<Answered> answer = slot("answer", 0, AnsweredForm::new);

        /** The kind. */
        public Kind() {
            super("number", "NumberQuestion", "A question answered by a number with its unit.");
        }

        @Override
        protected NumberBlock make(Filled f) {
            AnswerKey right = f.get(key);
            String usual = right.following() == null ? "" : right.following().table();
            return new NumberBlock(f.get(id), f.get(prompt), f.get(points), f.get(tries),
                    f.get(restsOn) == null ? usual : f.get(restsOn), right);
        }

        @Override
        public void checkAmong(NumberBlock block, Neighbours all, Where at) {
            if (!block.restsOn().isEmpty() && all.block(block.restsOn(), TableBlock.class) == null) {
                at.fault("restsOn: there is no table “" + block.restsOn() + "”");
            }
            try {
                Truth.of(block, all, 0);
            } catch (IllegalArgumentException e) {
                at.fault(e.getMessage());
            }
        }
    }

    private static final class AnsweredForm extends Form<Answered> {
        private final Field<Answered, String> number = field("number", text(1000), Answered::number).otherwise("");
        private final Field<Answered, String> unit = field("unit", text(1000), Answered::unit).otherwise("");

        AnsweredForm() {
            super("Answered", "What was answered.");
        }

        @Override
        protected Answered make(Filled f) {
            return new Answered(f.get(number), f.get(unit));
        }
    }
}
