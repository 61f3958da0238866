package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.StopAt;
import cauldron.core.drawing.Drawn;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The coal run: speeds at the lowest point of the trough, then friction, then the loop tried from below. */
final class DemoRail extends DemoScript {

    private static final double LEVEL = 0.6;
    private static final double[] STARTS = {2, 3.5, 5, 6.5, 8};
    private static final double[] FRICTIONS = {0.01, 0.02, 0.05, 0.1};
    private static final double LONG = 900;

    @Override
    String slug() {
        return "coal-run";
    }

    @Override
    List<String> predictions() {
        return List.of("Heavy things fall with more force, so it gets faster.",
                "A light wagon is easier to speed up.",
                "It has twice the energy but twice the mass to move with it.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        int starts = all ? STARTS.length : 2;
        for (int i = 0; i < starts; i++) {
            double mass = i == 2 ? 120 : 60;
            Run run = journal.bench("trough", Map.of("start", STARTS[i], "mass", mass));
            run.advance(LONG, new StopAt.Happening(run.manifest().event("lowest"), 1));
            double frame = run.time() / run.manifest().interval();
            String speed = fixed(run, "speed", 2);
            run.seek(run.time() + 0.5 + chance.unit());
            String trial = journal.keep("trough", i + 1, run);
            journal.cell("lowest", i + 1, "m", Numbers.printShort(mass));
            journal.cell("lowest", i + 1, "h", Numbers.fixed(STARTS[i] - (chance.unit() < 0.08 ? 0 : LEVEL), 2));
            journal.cell("lowest", i + 1, "v", speed, trial, frame, "", Map.of(), "");
        }
        if (!all) {
            return;
        }
        for (int i = 0; i < FRICTIONS.length; i++) {
            Run run = journal.bench("rubbing", Map.of("friction", FRICTIONS[i]));
            run.advance(LONG, new StopAt.Happening(run.manifest().event("rest"), 1));
            double frame = run.time() / run.manifest().interval();
            String trial = journal.keep("rubbing", i + 1, run);
            journal.cell("rested", i + 1, "mu", Numbers.printShort(FRICTIONS[i]));
            journal.cell("rested", i + 1, "s", fixed(run, "distance", 1), trial, frame, "", Map.of(), "");
            journal.cell("rested", i + 1, "E", fixed(run, "thermal", 0), trial, frame, "", Map.of(), "");
        }
        double[] tries = {5.4, 5.8, 5.9};
        for (int i = 0; i < tries.length; i++) {
            Run run = journal.bench("loop", Map.of("start", tries[i]));
            run.seek(3);
            journal.keep("loop", i + 1, run);
        }
    }

    private static String fixed(Run run, String channel, int decimals) {
        return Numbers.fixed(run.read(run.manifest().channel(channel)), decimals);
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        journal.calculated("lowest", "v2", "speed squared", "v²", "v^2");
        double[] line = journal.line("lowest-graph", "h", "v2");
        journal.add("forces", "drawn", new Drawn(List.of(), List.of(), List.of(new Drawn.Arrow(1, 64, 46, 0, 34),
                new Drawn.Arrow(2, 64, 46, 17, -17)), List.of(), Map.of()).toTree());
        return List.of(new Answer("forces", "", ""), new Answer("gradient", Numbers.print(line[0], 3), "m/s²"), new Answer("normal-work", "0", "J"),
                new Answer("heat", Numbers.print(journal.number("rested", 2, "E"), 3), "J"),
                new Answer("least", "5.0", "m"));
    }

    @Override
    List<String> explanations() {
        return List.of("No, both are equally fast. With 120 kg I got the same line as with 60 kg. The weight does the work, the rail's"
                + " force is always at right angles to the way and does none. Friction takes energy out of the motion and makes it"
                + " thermal. It came from whoever lifted the wagon up.",
                "The fuller wagon is not faster because the mass stands on both sides and goes out. When it rests all the energy is"
                + " thermal, my total stayed the same the whole time. In the beginning somebody had to haul it up there.",
                "It is equally fast. Weight works, friction works against it and the rail does not work because it only pushes"
                + " across. At the end nothing is used up, it is warm in the rail and the wheels.");
    }

    @Override
    List<String> comments() {
        return List.of("Right. Which of your rows shows that mass doesn't matter?",
                "Good, and the total is named. Say also of each force whether it does work.",
                "Every force named, every joule found. Very clear.");
    }
}
