package cauldron.core.block.choice;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.Tree;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Question;
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
import java.util.Set;
import java.util.TreeSet;

/**
 * A question answered by choosing, one or several, with a reason where that is asked for. The choice is checked at
 * once; the reason is for whoever marks it.
 *
 * @param several      whether more than one may be right
 * @param reasonPrompt what reason is asked for; empty: none
 */
public record ChoiceBlock(String id, String prompt, List<Choice> choices, boolean several, String reasonPrompt,
        double points,
                          int tries) implements Question {

    private static final int USUAL_TRIES = 2;

    /**
     * One of the choices.
     *
     * @param hint what to say to whoever takes it wrongly; empty: nothing of its own
     */
    public record Choice(String text, boolean right, String hint) {
    }

    /** What was chosen, by places from 1 on, and why. */
    public record Chosen(List<Integer> chosen, String reason) {
    }

    @Override
    public ChoiceBlock withTries(int other) {
        return new ChoiceBlock(id, prompt, choices, several, reasonPrompt, points, other);
    }

    @Override
    public String type() {
        return "choice";
    }

    /** What was chosen and, on a line of its own, why. */
    @Override
    public String answer(Written written) {
        List<String> lines = new ArrayList<>();
        if (written.slot(id, "answer").get("chosen") instanceof List<?> chosen) {
            for (Object one : chosen) {
                if (one instanceof Number place && place.intValue() >= 1 && place.intValue() <= choices.size()) {
                    lines.add(choices.get(place.intValue() - 1).text());
                }
            }
        }
        String reason = Tree.text(written.slot(id, "answer"), "reason", "").strip();
        if (!reason.isEmpty()) {
            lines.add(reason);
        }
        return String.join("\n", lines);
    }

    @Override
    public String lack(Written written) {
        if (!(written.slot(id, "answer").get("chosen") instanceof List<?> chosen) || chosen.isEmpty()) {
            return "choose an answer";
        }
        boolean given = !Tree.text(written.slot(id, "answer"), "reason", "").isBlank();
        return reasonPrompt.isEmpty() || given ? null : "give your reason";
    }

    /**
     * Checks what was chosen.
     *
     * @param typed places from 1 on, with commas between: {@code 1, 3}
     */
    public AnswerCheck.Result check(String typed) {
        Set<Integer> chosen = new TreeSet<>();
        for (String one : typed.split(",")) {
            int place = place(one.strip());
            if (place < 1 || place > choices.size()) {
                return new AnswerCheck.Result(Verdict.NOT_A_NUMBER, "Choose one of the " + choices.size() + " answers "
                        + "first.");
            }
            chosen.add(place);
        }
        if (!several && chosen.size() > 1) {
            return new AnswerCheck.Result(Verdict.NOT_A_NUMBER, "Only one answer can be chosen here.");
        }
        for (int place : chosen) {
            Choice taken = choices.get(place - 1);
            if (!taken.right() && !taken.hint().isEmpty()) {
                return new AnswerCheck.Result(Verdict.KNOWN_SLIP, taken.hint());
            }
        }
        long right = chosen.stream().filter(place -> choices.get(place - 1).right()).count();
        if (right < chosen.size()) {
            return new AnswerCheck.Result(Verdict.VALUE, several ? "Not everything that you chose is right."
                    : "That isn't it. Look at what you measured once more.");
        }
        return right == choices.stream().filter(Choice::right).count() ? new AnswerCheck.Result(Verdict.RIGHT, "Right.")
                : new AnswerCheck.Result(Verdict.VALUE, "What you chose is right, but it isn't all.");
    }

    private static int place(String typed) {
        return typed.length() == 0 || typed.length() > 2 || !typed.chars().allMatch(c -> c >= '0' && c <= '9') ? 0
                : Integer.parseInt(typed);
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<ChoiceBlock> {

        private final Field<ChoiceBlock, String> prompt = field("prompt", text(4000), ChoiceBlock::prompt);
        private final Field<ChoiceBlock, List<Choice>> choices = field("choices", list(new ChoiceForm(), 12),
                ChoiceBlock::choices);
        private final Field<ChoiceBlock, Boolean> several = field("several", FLAG, ChoiceBlock::several)
                .otherwise(false)
                .says("Whether more than one may be right.");
        private final Field<ChoiceBlock, String> reasonPrompt = field("reasonPrompt", text(1000),
                ChoiceBlock::reasonPrompt)
                .otherwise("").says("What reason is asked for; without it, none.");
        private final Field<ChoiceBlock, Double> points = field("points", number(0, 1000), ChoiceBlock::points);
        private final Field<ChoiceBlock, Integer> tries = field("tries", whole(1, 20), ChoiceBlock::tries)
                .otherwise(USUAL_TRIES)
                .says("How many tries can bring points.");
        /** What was chosen. */
        public final Slot<Chosen> answer = slot("answer", 0, ChosenForm::new);

        /** The kind. */
        public Kind() {
            super("choice", "ChoiceQuestion", "A question answered by choosing, one or several, with a reason if you "
                    + "like.");
        }

        @Override
        protected ChoiceBlock make(Filled f) {
            return new ChoiceBlock(f.get(id), f.get(prompt), f.get(choices), f.get(several), f.get(reasonPrompt),
                    f.get(points),
                    f.get(tries));
        }

        @Override
        public void checkAmong(ChoiceBlock block, Neighbours all, Where at) {
            long right = block.choices().stream().filter(Choice::right).count();
            if (block.choices().size() < 2) {
                at.fault("choices: two at least are needed");
            }
            if (block.choices().stream().map(Choice::text).distinct().count() < block.choices().size()) {
                at.fault("choices: two of them are alike");
            }
            if (right == 0) {
                at.fault("choices: one of them has to be right");
            } else if (right > 1 && !block.several()) {
                at.fault("choices: " + right + " of them are right; then “several” has to be true");
            }
        }
    }

    private static final class ChoiceForm extends Form<Choice> {
        private final Field<Choice, String> text = field("text", text(1000), Choice::text);
        private final Field<Choice, Boolean> right = field("right", FLAG, Choice::right).otherwise(false).hidden();
        private final Field<Choice, String> hint = field("hint", text(1000), Choice::hint).otherwise("")
                .says("What to say to whoever takes it wrongly.").hidden();

        ChoiceForm() {
            super("Choice", "One of the choices.");
        }

        @Override
        protected Choice make(Filled f) {
            return new Choice(f.get(text), f.get(right), f.get(hint));
        }
    }

    private static final class ChosenForm extends Form<Chosen> {
        private final Field<Chosen, List<Integer>> chosen = field("chosen", list(whole(1, 12), 12), Chosen::chosen)
                .otherwise(List.of());
        private final Field<Chosen, String> reason = field("reason", text(100_000), Chosen::reason).otherwise("");

        ChosenForm() {
            super("Chosen", "What was chosen, by places from 1 on, and why.");
        }

        @Override
        protected Chosen make(Filled f) {
            return new Chosen(new ArrayList<>(f.get(chosen)), f.get(reason));
        }
    }
}
