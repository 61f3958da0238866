package cauldron.core.block.explanation;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Slot;
import cauldron.core.block.Words;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.quantity.Numbers;
import java.util.List;

/**
 * An explanation, marked by the teacher: written, or spoken where the lab allows.
 *
 * @param words  the fewest that are asked for
 * @param rubric what earns how many points, from the most down; empty where nothing is said
 * @param spoken how many seconds a spoken one may have; 0: it is written
 */
public record ExplanationBlock(String id, String prompt, int words, double points, List<Level> rubric, int spoken)
        implements Block {

    /**
     * Words a second of people who speak freely: 150 a minute, as in lectures (S. Tauroza and D. Allison, Applied
     * Linguistics 11 (1990) 90).
     */
    private static final double WORDS_A_SECOND = 150.0 / 60;

    /** What an explanation is like that earns so many points. */
    public record Level(double points, String like) {
    }

    @Override
    public String answer(Written written) {
        String text = Words.of(written.slot(id, "answer"));
        int seconds = Spoken.seconds(written.slot(id, "spoken"));
        return seconds == 0 ? text : (text + "\n(Spoken, " + seconds + " s)").strip();
    }

    /** How long one must speak that is as long as a written one that is asked for. */
    int leastSeconds() {
        return (int) Math.min(spoken, Math.ceil(words / WORDS_A_SECOND));
    }

    @Override
    public String lack(Written written) {
        int have = Words.in(written.slot(id, "answer"));
        int seconds = Spoken.seconds(written.slot(id, "spoken"));
        if (have >= words || seconds > 0 && seconds >= leastSeconds()) {
            return null;
        }
        return seconds > 0 ? seconds + " of at least " + leastSeconds() + " seconds spoken"
                : have + " of at least " + words + " words written" + (spoken > 0 ? ", or speak instead" : "");
    }

    @Override
    public boolean isMarkedByHand() {
        return true;
    }

    @Override
    public String type() {
        return "explanation";
    }

    private static final int MOST_LEVELS = 8;
    /** Five minutes: whoever marks thirty hears two and a half hours then. */
    private static final int MOST_SECONDS = 300;

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<ExplanationBlock> {

        private final Field<ExplanationBlock, String> prompt = field("prompt", text(4000), ExplanationBlock::prompt);
        private final Field<ExplanationBlock, Integer> words = field("words", whole(0, 2000), ExplanationBlock::words)
                .says("The fewest words that are asked for.");
        private final Field<ExplanationBlock, Double> points = field("points", number(0, 1000), ExplanationBlock::points);
        private final Field<ExplanationBlock, List<Level>> rubric = field("rubric", list(new LevelForm(), MOST_LEVELS),
                ExplanationBlock::rubric).otherwise(List.of())
                .says("What earns how many points, from the most down; students see it too.");
        private final Field<ExplanationBlock, Integer> spoken = field("spoken", whole(0, MOST_SECONDS),
                ExplanationBlock::spoken)
                .otherwise(0).says("How many seconds a spoken explanation may have; 0: it is written.");
        /** What was written. */
        public final Slot<Words> answer = slot("answer", 0, Words.Kept::new);
        /** What was spoken. */
        public final Slot<Spoken> voice = slot("spoken", 0, Spoken.Kept::new);

        /** The kind. */
        public Kind() {
            super("explanation", "Explanation", "An explanation, marked by the teacher: written, or spoken where "
                    + "the lab allows.");
        }

        @Override
        protected ExplanationBlock make(Filled f) {
            return new ExplanationBlock(f.get(id), f.get(prompt), f.get(words), f.get(points), f.get(rubric),
                    f.get(spoken));
        }

        @Override
        public void checkAmong(ExplanationBlock block, Neighbours all, Where at) {
            double above = Math.nextUp(block.points());
            for (Level level : block.rubric()) {
                if (level.points() >= above) {
                    at.fault("rubric: levels go down from at most " + Numbers.printShort(block.points())
                            + " points, each with fewer than the one before");
                }
                above = level.points();
            }
        }
    }

    private static final class LevelForm extends Form<Level> {

        private final Field<Level, Double> points = field("points", number(0, 1000), Level::points);
        private final Field<Level, String> like = field("like", text(400), Level::like)
                .says("What such an explanation is like.");

        LevelForm() {
            super("Level", "What an explanation is like that earns so many points.");
        }

        @Override
        protected Level make(Filled f) {
            return new Level(f.get(points), f.get(like));
        }
    }
}
