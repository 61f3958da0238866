package cauldron.core.block.prediction;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;

import cauldron.core.Tree;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Seal;
import cauldron.core.block.Sealable;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.List;
import java.util.Map;

/**
 * What the student expects: a choice, a sketched graph or both, a reason, and a seal. It is never marked.
 *
 * @param choices none: only a sketch is asked for
 * @param sketch  the empty axes to draw on, or null
 */
public record PredictionBlock(String id, String prompt, List<String> choices, String reasonPrompt, Sketch sketch)
        implements Sealable {

    @Override
    public String lack(Written written) {
        return isSealed(written) ? null : "seal your prediction";
    }

    @Override
    public String type() {
        return "prediction";
    }

    /** What was expected; the choice by its place, null where none was made. */
    public record Expected(Double choice, String reason) {
    }

    /** What was sketched: strokes as x, y, x, y …, in shares of the axes. */
    public record Sketched(List<List<Double>> strokes) {
    }

    @Override
    public boolean isPredicted(String slot) {
        return true;
    }

    @Override
    public String unsealable(Written written) {
        Map<String, Object> answer = written.slot(id, "answer");
        double choice = Tree.number(answer, "choice", -1);
        if (!choices.isEmpty() && !(choice >= 0 && choice < choices.size() && choice == Math.rint(choice))) {
            return "Choose one of the predictions first; then it can be sealed.";
        }
        if (sketch != null && !hasStroke(written.slot(id, "sketch").get("strokes"))) {
            return "Sketch the graph first; then it can be sealed.";
        }
        return null;
    }

    private static boolean hasStroke(Object strokes) {
        if (strokes instanceof List<?> all) {
            for (Object stroke : all) {
                // Two places make a line: x, y, x, y.
                if (stroke instanceof List<?> line && line.size() >= 4) {
                    return true;
                }
            }
        }
        return false;
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<PredictionBlock> {

        private final Field<PredictionBlock, String> prompt = field("prompt", text(4000), PredictionBlock::prompt);
        private final Field<PredictionBlock, List<String>> choices = field("choices", list(text(1000), 20), PredictionBlock::choices)
                .otherwise(List.of());
        private final Field<PredictionBlock, String> reasonPrompt = field("reasonPrompt", text(1000),
                PredictionBlock::reasonPrompt).otherwise("Why do you think so?");
        private final Field<PredictionBlock, Sketch> sketch = field("sketch", new Sketch.SketchForm(), PredictionBlock::sketch)
                .optional().says("Empty axes to sketch the expected graph on.");
        /** What was expected. */
        public final Slot<Expected> answer = slot("answer", 0, ExpectedForm::new);
        /** What was sketched. */
        public final Slot<Sketched> drawn = slot("sketch", 0, SketchedForm::new);
        /** Whether it was sealed. */
        public final Slot<Seal> seal = slot(SEAL, 0, Seal.Kept::new);

        /** The kind. */
        public Kind() {
            super("prediction", "Prediction", "What the student expects; sealed before the next part opens, never marked.");
        }

        @Override
        protected PredictionBlock make(Filled f) {
            return new PredictionBlock(f.get(id), f.get(prompt), f.get(choices), f.get(reasonPrompt), f.get(sketch));
        }

        @Override
        public void checkAmong(PredictionBlock block, Neighbours all, Where at) {
            if (block.sketch() != null) {
                block.sketch().check(all, at);
            }
        }
    }

    private static final class ExpectedForm extends Form<Expected> {
        private final Field<Expected, Double> choice = field("choice", number(), Expected::choice).optional();
        private final Field<Expected, String> reason = field("reason", text(100_000), Expected::reason).otherwise("");

        ExpectedForm() {
            super("Expected", "What was expected.");
        }

        @Override
        protected Expected make(Filled f) {
            return new Expected(f.get(choice), f.get(reason));
        }
    }

    private static final class SketchedForm extends Form<Sketched> {
        private final Field<Sketched, List<List<Double>>> strokes = field("strokes", list(list(number(), 20_000), 1000),
                Sketched::strokes).otherwise(List.of());

        SketchedForm() {
            super("Sketched", "What was sketched.");
        }

        @Override
        protected Sketched make(Filled f) {
            return new Sketched(f.get(strokes));
        }
    }
}
