package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The line over the water: the leading edge read frame by frame from the first one clear of the tube. */
final class DemoShot extends DemoScript {

    private static final int NEAR = 8;
    private static final double[] FAR = {0.15, 0.35, 0.6, 1.4, 1.75, 2.1};
    private static final double READ_RULER = 0.1;
    private static final double READ_TAPE = 0.003;
    private static final double FRAMES_A_SECOND = 10_000;

    @Override
    String slug() {
        return "line-shot";
    }

    @Override
    List<String> predictions() {
        return List.of("The air still pushes it a bit after the tube.", "It is so fast that nothing can change in "
                + "that time.",
                "Air is in the way but it is only two metres.", "Light things are stopped by air at once.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        String charge = new String[] {"low", "middle", "high"}[chance.below(3)];
        DemoJournal.Filmed filmed = journal.film("films", Tree.of("charge", charge, "float", "cork"));
        Run run = filmed.run(filmed.plan().seconds());
        double clear = Math.ceil(times(run, "clear").get(0) * FRAMES_A_SECOND);
        run.seek(clear / FRAMES_A_SECOND);
        double from = edge(run);
        double apart = Math.max(1, Math.floor(0.8 / NEAR / speed(run) * FRAMES_A_SECOND));
        for (int row = 1; row <= (all ? NEAR : 3); row++) {
            double frame = clear + row * apart;
            run.seek(frame / FRAMES_A_SECOND);
            reading(journal, "near-table", row, filmed, frame, clear, "muzzle",
                    Numbers.fixed(100 * (edge(run) - from) + READ_RULER * chance.normal(), 1), "0.1");
        }
        if (!all) {
            return;
        }
        for (int i = 0; i < FAR.length; i++) {
            double frame = clear;
            do {
                frame++;
                run.seek(frame / FRAMES_A_SECOND);
            } while (edge(run) - from < FAR[i] && frame < clear + 1000);
            reading(journal, "far-table", i + 1, filmed, frame, clear, "board",
                    Numbers.fixed(edge(run) - from + READ_TAPE * chance.normal(), 3), "0.005");
        }
        if (chance.below(2) == 0) {
            journal.film("films", Tree.of("charge", charge, "float", "ash"));
        }
    }

    private static double edge(Run run) {
        return run.read(run.manifest().channel("position"));
    }

    private static double speed(Run run) {
        return run.read(run.manifest().channel("speed"));
    }

    private static void reading(DemoJournal journal, String table, int row, DemoJournal.Filmed filmed, double frame,
            double zero, String view, String distance, String uncertainty) {
        String trial = filmed.trial().id().toString();
        Map<String, Object> watch = Tree.of("stopwatch", Tree.of("zero", zero));
        journal.cell(table, row, "t", Numbers.fixed((frame - zero) / FRAMES_A_SECOND * 1000, 3), trial, frame, view,
                watch, "");
        journal.cell(table, row, "s", distance, trial, frame, view, watch, uncertainty);
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        // In cm/ms; ten of them are a m/s.
        double speed = 10 * journal.line("near-graph", "t", "s")[0];
        journal.line("far-graph", "t", "s");
        return List.of(new Answer("apart", "0.1", "ms"), new Answer("speed", Numbers.print(speed, 4), "m/s"),
                new Answer("kmh", Numbers.print(3.6 * speed, 4), "km/h"), new Answer("energy", "27", "J"));
    }

    @Override
    List<String> explanations() {
        return List.of("I took the gradient. It is better because one point can be wrong. It gets slower because of "
                + "the air.",
                "Speed is the gradient of distance against time from the first clear frame. Many points make up for "
                        + "reading errors and show whether it is straight. Along the board the last points lie below "
                        + "the line of the first: it is slowed by drag. Counting from inside the tube, the first part "
                        + "would be slower because it was still speeding up.",
                "The points at the muzzle are nearly straight, the gradient is the speed. Over two metres the curve "
                        + "bends, so it loses some metres a second, because the air pushes against it with a force "
                        + "that grows with the square of the speed.");
    }

    @Override
    List<String> comments() {
        return List.of("Right, but where in your graphs do you see it?", "Good: you use both graphs.",
                "Everything is there, with the force that does it.");
    }
}
