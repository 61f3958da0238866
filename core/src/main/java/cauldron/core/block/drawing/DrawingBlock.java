package cauldron.core.block.drawing;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Question;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.drawing.Caption;
import cauldron.core.drawing.Drawing;
import cauldron.core.drawing.DrawingCheck;
import cauldron.core.drawing.Drawn;
import cauldron.core.drawing.Paper;
import cauldron.core.drawing.Wanted;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Where;
import cauldron.core.marking.AnswerCheck;
import java.util.List;
import java.util.Map;

/**
 * A question answered by a drawing with labels: pieces laid into places and counted, labels that point, arrows, words
 * below. It is checked at once where the lab says what it should show; else a teacher looks at it.
 *
 * @param bench  the bench whose apparatus may lend its drawing; empty: none
 * @param wanted what it should show; none: a teacher marks it
 * @param tries  0 where it isn't checked
 */
public record DrawingBlock(String id, String prompt, Paper paper, String bench, List<Wanted> wanted, double points,
        int tries) implements Question {

    private static final int USUAL_TRIES = 3;
    private static final int MOST_WANTED = 60;

    @Override
    public DrawingBlock withTries(int other) {
        return tries == 0 ? this : new DrawingBlock(id, prompt, paper, bench, wanted, points, other);
    }

    @Override
    public String type() {
        return "drawing";
    }

    /** What was drawn in a notebook. */
    public Drawing drawing(Written written) {
        Map<String, Object> kept = written.slot(id, "drawn");
        return new Drawing(paper, kept.isEmpty() ? Drawn.NOTHING : Drawn.of(kept));
    }

    @Override
    public String answer(Written written) {
        Drawing drawing = drawing(written);
        return drawing.drawn().isEmpty() ? "" : drawing.words();
    }

    @Override
    public String lack(Written written) {
        Drawn drawn = drawing(written).drawn();
        if (drawn.isEmpty()) {
            return "make the drawing";
        }
        for (Caption caption : paper.captions()) {
            if (drawn.captions().getOrDefault(caption.id(), "").isBlank()) {
                return "write “" + caption.name() + "” below the drawing";
            }
        }
        return null;
    }

    @Override
    public boolean isMarkedByHand() {
        return tries == 0 && points > 0;
    }

    /** Checks what was drawn. */
    public AnswerCheck.Result check(Written written) {
        return wanted.isEmpty() ? new AnswerCheck.Result(AnswerCheck.Verdict.NOT_YET, "Your teacher looks at this drawing.")
                : DrawingCheck.of(drawing(written), wanted);
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<DrawingBlock> {

        private final Field<DrawingBlock, String> prompt = field("prompt", text(4000), DrawingBlock::prompt);
        private final Field<DrawingBlock, Paper> paper = field("paper", new Paper.Declared(), DrawingBlock::paper);
        private final Field<DrawingBlock, String> bench = field("bench", text(60), DrawingBlock::bench).otherwise("")
                .says("The bench whose apparatus may lend its drawing.");
        private final Field<DrawingBlock, List<Wanted>> wanted = field("wanted", list(new Wanted.Declared(), MOST_WANTED),
                DrawingBlock::wanted).otherwise(List.of()).hidden()
                .says("What it should show; without it a teacher marks it.");
        private final Field<DrawingBlock, Double> points = field("points", number(0, 1000), DrawingBlock::points);
        private final Field<DrawingBlock, Integer> tries = field("tries", whole(0, 20), DrawingBlock::tries)
                .otherwise(USUAL_TRIES).says("How many tries can bring points; none where nothing says what it should show.");
        /** What was drawn. */
        public final Slot<Drawn> drawn = slot("drawn", 0, Drawn.Kept::new);

        /** The kind. */
        public Kind() {
            super("drawing", "DrawingQuestion", "A question answered by a drawing with labels, checked if you like.");
        }

        @Override
        protected DrawingBlock make(Filled f) {
            List<Wanted> due = f.get(wanted);
            return new DrawingBlock(f.get(id), f.get(prompt), f.get(paper), f.get(bench), due, f.get(points),
                    due.isEmpty() ? 0 : f.get(tries));
        }

        @Override
        public void checkAmong(DrawingBlock block, Neighbours all, Where at) {
            if (!block.wanted().isEmpty() && block.tries() == 0) {
                at.fault("tries: 0, but “wanted” says what it should show");
            }
            for (int i = 0; i < block.wanted().size(); i++) {
                block.wanted().get(i).check(block.paper(), at.in("wanted").item(i));
            }
            if (!block.bench().isEmpty() && all.block(block.bench(), BenchBlock.class) == null) {
                at.fault("bench: there is no bench “" + block.bench() + "”");
            }
        }
    }
}
