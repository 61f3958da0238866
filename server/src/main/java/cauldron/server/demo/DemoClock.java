package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Run;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.quantity.Numbers;
import cauldron.core.block.films.FilmPlan;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The lamp keeper's clock: cords measured with the ruler, twenty swings timed. */
final class DemoClock extends DemoScript {

    private static final String TABLE = "readings";
    private static final int SWINGS = 20;

    @Override
    String slug() {
        return "lamp-clock";
    }

    @Override
    List<String> predictions() {
        return List.of(
        "The weight pulls it back just as hard, so the time should not change.",
        "It has further to go but it is also faster at the bottom, so less than four times.",
        "The way it has to go is four times as long, so it needs four times the time.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        // A few count half swings, the commonest slip; it shows in their g.
        boolean halfSwings = chance.unit() < 0.15;
        List<FilmPlan.Option> options = ((FilmsBlock) journal.sheet().block("films")).plan().choices().get(0).options();
        for (int i = 0; i < (all ? 5 : 2); i++) {
            DemoJournal.Filmed filmed = journal.film("films", Tree.of("cord", options.get(i).id(), "release",
                    chance.unit() < 0.7 ? "keel" : "bilge", "bob", "m240"));
            journal.cell(TABLE, i + 1, "cord", options.get(i).name());
            readLength(journal, i + 1, filmed, chance);
            readTime(journal, i + 1, filmed, halfSwings ? SWINGS / 2 : SWINGS, chance);
        }
    }

    /** Lays the ruler from the pivot to the bob's middle while the bob hangs in the catch. */
    private static void readLength(DemoJournal journal, int row, DemoJournal.Filmed filmed, RandomSource chance) {
        Run run = filmed.run(0);
        Frame frame = run.frame(run.manifest().view(filmed.plan().views().get(0)));
        double[] scene = Stream.of("pivot.x", "pivot.y", "bob.x", "bob.y")
                .mapToDouble(f -> run.scene().of(run.manifest().sceneField(f))).toArray();
        double scale = Film.scale(frame);
        double dx = scene[2] - scene[0];
        double dy = scene[3] - scene[1];
        double misplaced = 0.0007 * chance.normal();
        double read = Math.hypot(dx, dy) + misplaced + 0.0004 * chance.normal();
        Map<String, Object> ruler = Tree.of("x", (scene[0] - frame.left()) * scale, "y",
                (frame.bottom() + frame.height() - scene[1] + misplaced) * scale, "angle", Math.toDegrees(Math.atan2(-dy, dx)));
        journal.cell(TABLE, row, "L", Numbers.fixed(100 * read, 1), filmed.trial().id().toString(), 0, "side",
                Tree.of("ruler", ruler), "0.1");
    }

    /** Steps from one passage of the lowest point to another, a frame early or late. */
    private static void readTime(DemoJournal journal, int row, DemoJournal.Filmed filmed, int swings, RandomSource chance) {
        List<Double> passages = times(filmed.run(60), "lowest");
        double first = Math.rint(passages.get(1) * RATE + 0.6 * chance.normal());
        double last = Math.rint(passages.get(1 + 2 * swings) * RATE + 0.6 * chance.normal());
        journal.cell(TABLE, row, "t", Numbers.fixed((last - first) / RATE, 2), filmed.trial().id().toString(), last,
                "side", Tree.of("stopwatch", Tree.of("zero", first)), "0.01");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        journal.calculated(TABLE, "T", "period", "T", "t/20");
        journal.calculated(TABLE, "T2", "period squared", "T²", "T^2");
        double perCentimetre = journal.line("graph", "L", "T2")[0];
        return List.of(new Answer("g", Numbers.print(4 * Math.PI * Math.PI / (100 * perCentimetre), 3), "m/s²"));
    }

    @Override
    List<String> explanations() {
        return List.of(
        "The graph of T squared against L is a straight line through the origin, so for T = 2 s I go up to 4 s² on the"
                + " upright axis, across to the line and down, and read about 99 cm. The length limits it: half a"
                + " millimetre at each end of the ruler is more than one frame in 20 swings.",
        "You square the two seconds and divide by the gradient, that gives the length of the cord from the pivot to the"
                + " middle of the bob. I think the time limits it because I was not sure in which frame the bob passed"
                + " the lowest point, but I timed twenty swings so the error is shared out.",
        "Two seconds squared is four. On my line four belongs to a length just below one metre. If the cord stretched"
                + " later the clock would go slow. My length readings are uncertain because the middle of the bob has"
                + " no mark, so I had to judge it by eye each time.");
    }

    @Override
    List<String> comments() {
        return List.of(
        "You found the length. Say more about why that measurement is the weaker one: compare the two in per cent.",
        "Clear. Add numbers to the last part: how many per cent is one frame in 20 swings?",
        "Exactly: read off the line, and a comparison with numbers.");
    }
}
