package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** What the ferry's propeller can push: the scale read twice, distance and time from the moment of the cut. */
final class DemoGlider extends DemoScript {

    private static final int[] THROTTLES = {45, 60, 75, 90, 100};
    private static final String TABLE = "pulls";

    @Override
    String slug() {
        return "ferry-propeller";
    }

    @Override
    List<String> predictions() {
        return List.of("It has its own speed that it goes to, the force only gets it there.",
                "Twice the push on the same thing should make it speed up twice as fast.",
                "Energy goes with the square, so I think four times.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        for (int i = 0; i < (all ? THROTTLES.length : 2); i++) {
            int row = i + 1;
            DemoJournal.Filmed filmed = journal.film("films", Tree.of("throttle", "q" + THROTTLES[i], "load", "none"));
            journal.cell(TABLE, row, "q", THROTTLES[i] + " %");
            double cut = filmed.recipe().actions().stream().mapToDouble(Recipe.Timed::time).max().orElseThrow();
            Run run = filmed.run(0.3);
            double rest = pointer(run) + 0.003 * chance.normal();
            scale(journal, row, "F1", rest, filmed, 36);
            run = filmed.run(cut - 0.05);
            scale(journal, row, "F2", pointer(run) + 0.003 * chance.normal(), filmed, Math.floor((cut - 0.05) * RATE));
            way(journal, row, filmed, cut, chance);
        }
    }

    /** Where the pointer stands on the scale, in newtons. */
    private static double pointer(Run run) {
        return (run.scene().of(run.manifest().sceneField("pointer.x")) - run.scene().of(run.manifest().sceneField("zero.x")))
                / run.scene().of(run.manifest().sceneField("newton"));
    }

    private static void scale(DemoJournal journal, int row, String column, double newtons, DemoJournal.Filmed filmed,
            double frame) {
        journal.cell(TABLE, row, column, Numbers.fixed(newtons, 2), filmed.trial().id().toString(), frame, "scale", Map.of(),
                "0.01");
    }

    /** Goes on until the glider is well along, and reads distance and time from the frame of the cut. */
    private static void way(DemoJournal journal, int row, DemoJournal.Filmed filmed, double cut, RandomSource chance) {
        Run run = filmed.run(cut);
        Channel position = run.manifest().channel("position");
        double start = run.read(position);
        double zero = Math.ceil(cut * RATE);
        double last = zero;
        while (run.read(position) - start < 1.3) {
            last++;
            run.seek(last / RATE);
        }
        double s = run.read(position) - start + 0.003 * chance.normal();
        Frame frame = run.frame(run.manifest().view("track"));
        double px = Film.scale(frame);
        double y = (frame.bottom() + frame.height() - 0.03) * px;
        Map<String, Object> tape = Tree.of("x1", (start - frame.left()) * px, "y1", y, "x2", (start + 1.5 - frame.left()) * px, "y2", y);
        Map<String, Object> watch = Tree.of("zero", zero);
        journal.cell(TABLE, row, "s", Numbers.fixed(s, 2), filmed.trial().id().toString(), last, "track",
                Tree.of("tape", tape, "stopwatch", watch), "0.01");
        journal.cell(TABLE, row, "t", Numbers.fixed((last - zero) / RATE, 2), filmed.trial().id().toString(), last, "track",
                Tree.of("tape", tape, "stopwatch", watch), "0.01");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        journal.calculated(TABLE, "F", "force", "F", "F_2-F_1", "N");
        journal.calculated(TABLE, "a", "acceleration", "a", "2*s/t^2", "m/s^2");
        return List.of(new Answer("slope", Numbers.print(journal.line("graph", "a", "F")[0], 3), "kg"));
    }

    @Override
    List<String> explanations() {
        return List.of("The gradient is a mass: newton divided by metres per second squared is a kilogram. With 400 g on it the"
                + " line would be steeper, because more force is needed for the same acceleration. The zero of the scale"
                + " goes into both readings, so the difference is right anyway.",
                "It is the mass of the glider. I see it because the unit comes out as kg. A ferry with load has a larger"
                + " gradient. If the scale was off, all points would move up by the same amount and the slope stays.",
                "Mass. The line would tilt up with more load. I took the difference of two readings so the scale being off"
                + " does not matter, also a constant shift does not change a gradient at all.");
    }

    @Override
    List<String> comments() {
        return List.of("Right word. Show how the unit comes out, step by step.",
                "Good. How much steeper would the line be? You have the numbers.",
                "Complete: unit, load and zero are all explained.");
    }
}
