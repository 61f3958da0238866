package cauldron.core.block.comparison;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.Tree;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Question;
import cauldron.core.block.Seal;
import cauldron.core.block.Sealable;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.marking.AnswerCheck.Verdict;
import java.util.ArrayList;
import java.util.List;

/**
 * A table of cases: for each it is predicted what will be seen, all of it is sealed, and then it is noted what was seen.
 * Only what was seen brings points, each row its share; a prediction is never wrong.
 *
 * @param options what may be predicted and seen, the same for all cases
 */
public record ComparisonBlock(String id, String prompt, List<String> options, List<Case> cases, double points, int tries)
        implements Question, Sealable {

    private static final int USUAL_TRIES = 3;
    private static final int MOST_CASES = 12;
    private static final int MOST_OPTIONS = 8;

    /**
     * One row.
     *
     * @param seen the place of the option that is to be seen, from 1 on
     */
    public record Case(String text, int seen) {
    }

    /** An option by its place, from 1 on. */
    public record Taken(int option) {
    }

    @Override
    public ComparisonBlock withTries(int other) {
        return new ComparisonBlock(id, prompt, options, cases, points, other);
    }

    @Override
    public String type() {
        return "comparison";
    }

    @Override
    public boolean isPredicted(String slot) {
        return !slot.startsWith("seen/");
    }

    @Override
    public String unsealable(Written written) {
        int open = cases.size() - taken(written, "predicted");
        return open == 0 ? null : "Predict all " + cases.size() + " cases first; then they can be sealed.";
    }

    /** What was seen in each case. */
    @Override
    public String answer(Written written) {
        List<String> lines = new ArrayList<>();
        for (int i = 1; i <= cases.size(); i++) {
            int option = (int) Tree.number(written.slot(id, "seen/" + i), "option", 0);
            if (option >= 1 && option <= options.size()) {
                lines.add(cases.get(i - 1).text() + ": " + options.get(option - 1));
            }
        }
        return String.join("\n", lines);
    }

    @Override
    public String lack(Written written) {
        if (!isSealed(written)) {
            return "seal your predictions";
        }
        int open = cases.size() - taken(written, "seen");
        return open == 0 ? null : "note what you saw in " + (open == 1 ? "one more case" : open + " more cases");
    }

    @Override
    public String counted(Written written) {
        return taken(written, isSealed(written) ? "seen" : "predicted") + " of " + cases.size();
    }

    private int taken(Written written, String slot) {
        int n = 0;
        for (int i = 1; i <= cases.size(); i++) {
            double option = Tree.number(written.slot(id, slot + "/" + i), "option", 0);
            n += option >= 1 && option <= options.size() ? 1 : 0;
        }
        return n;
    }

    /**
     * Checks what was seen.
     *
     * @param typed an option's place for each case, with commas between: {@code 1, 2, 2}
     */
    public AnswerCheck.Result check(String typed) {
        String[] given = typed.split(",", -1);
        int right = 0;
        int first = -1;
        for (int i = 0; i < cases.size(); i++) {
            String one = i < given.length ? given[i].strip() : "";
            if (given.length != cases.size() || one.length() != 1 || one.charAt(0) < '1'
                    || one.charAt(0) > '0' + options.size()) {
                return new AnswerCheck.Result(Verdict.NOT_A_NUMBER, "Note first what you saw in each case.");
            }
            boolean good = one.charAt(0) - '0' == cases.get(i).seen();
            right += good ? 1 : 0;
            first = good || first >= 0 ? first : i;
        }
        if (right == cases.size()) {
            return new AnswerCheck.Result(Verdict.RIGHT, "All of it was seen as it is.");
        }
        return new AnswerCheck.Result(Verdict.VALUE, right + " of " + cases.size() + " are as it is. Do this one again, and "
                + "look closely: " + cases.get(first).text() + ".", (double) right / cases.size());
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<ComparisonBlock> {

        private final Field<ComparisonBlock, String> prompt = field("prompt", text(4000), ComparisonBlock::prompt);
        private final Field<ComparisonBlock, List<String>> options = field("options", list(text(200), MOST_OPTIONS),
                ComparisonBlock::options)
                .says("What may be predicted and seen.");
        private final Field<ComparisonBlock, List<Case>> cases = field("cases", list(new CaseForm(), MOST_CASES),
                ComparisonBlock::cases);
        private final Field<ComparisonBlock, Double> points = field("points", number(0, 1000), ComparisonBlock::points);
        private final Field<ComparisonBlock, Integer> tries = field("tries", whole(1, 20), ComparisonBlock::tries)
                .otherwise(USUAL_TRIES)
                .says("How many tries can bring points.");
        /** What was predicted of a case. */
        public final Slot<Taken> predicted = slot("predicted", 1, TakenForm::new);
        /** Whether the predictions were sealed. */
        public final Slot<Seal> seal = slot(SEAL, 0, Seal.Kept::new);
        /** What was seen of it. */
        public final Slot<Taken> seen = slot("seen", 1, TakenForm::new);

        /** The kind. */
        public Kind() {
            super("comparison", "Comparison", "A table of cases, what is predicted of each and what is seen. The predictions "
                    + "are sealed first; only what is seen is marked.");
        }

        @Override
        protected ComparisonBlock make(Filled f) {
            return new ComparisonBlock(f.get(id), f.get(prompt), f.get(options), f.get(cases), f.get(points), f.get(tries));
        }

        @Override
        public void checkAmong(ComparisonBlock block, Neighbours all, Where at) {
            if (block.options().size() < 2) {
                at.fault("options: two at least are needed");
            }
            if (block.options().stream().distinct().count() < block.options().size()) {
                at.fault("options: two of them are alike");
            }
            if (block.cases().isEmpty()) {
                at.fault("cases: one at least is needed");
            }
            if (block.cases().stream().map(Case::text).distinct().count() < block.cases().size()) {
                at.fault("cases: two of them are alike");
            }
            for (Case one : block.cases()) {
                if (one.seen() > block.options().size()) {
                    at.fault("cases: “" + one.text() + "” is to be seen as option " + one.seen() + ", but there are "
                            + block.options().size());
                }
            }
        }
    }

    private static final class CaseForm extends Form<Case> {
        private final Field<Case, String> text = field("text", text(400), Case::text);
        private final Field<Case, Integer> seen = field("seen", whole(1, MOST_OPTIONS), Case::seen)
                .says("The place of the option that is to be seen, from 1 on.").hidden();

        CaseForm() {
            super("ComparedCase", "One of the cases.");
        }

        @Override
        protected Case make(Filled f) {
            return new Case(f.get(text), f.get(seen));
        }
    }

    private static final class TakenForm extends Form<Taken> {
        private final Field<Taken, Integer> option = field("option", whole(1, MOST_OPTIONS), Taken::option);

        TakenForm() {
            super("Taken", "An option by its place, from 1 on.");
        }

        @Override
        protected Taken make(Filled f) {
            return new Taken(f.get(option));
        }
    }
}
