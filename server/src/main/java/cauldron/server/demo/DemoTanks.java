package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.StopAt;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** Two tanks in the boathouse: three cores until both are alike, then five cases through the open tube. */
final class DemoTanks extends DemoScript {

    private static final List<String> CORES = List.of("copper", "aluminium", "steel");
    private static final double[][] CASES = {{70, 20}, {20, 70}, {50, 52}, {80, 60}, {4, 2}};
    private static final int FASTLY = 1;
    private static final int SLOWLY = 2;
    private static final double LONG = 3 * 3600;
    private static final double SEEN = 1200;
    private static final double FAST = 0.5;

    @Override
    String slug() {
        return "boat-tanks";
    }

    @Override
    List<String> predictions() {
        return List.of("The hot water sinks down because it is stronger.",
                "Warm water goes up, so it wants to change places.",
                "It is the same two waters, only the other way round.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        for (int i = 0; i < (all ? CORES.size() : 1); i++) {
            Run run = journal.bench("cores", Map.of("neck", CORES.get(i)));
            run.advance(LONG, new StopAt.Happening(run.manifest().event("even"), 1));
            String trial = journal.keep("cores", i + 1, run);
            double frame = run.time() / run.manifest().interval();
            journal.cell("met", i + 1, "trial", "Trial " + (i + 1));
            journal.cell("met", i + 1, "core", CORES.get(i));
            came(journal, i + 1, "t", "even-at", run, trial, frame);
            came(journal, i + 1, "T", "reached", run, trial, frame);
        }
        for (int i = 0; all && i < CASES.length; i++) {
            // Most say that hot below is fast; around 4 °C nearly all are wrong with it.
            boolean said = chance.unit() < 0.8 == CASES[i][1] > CASES[i][0];
            journal.add("fast", "predicted/" + (i + 1), Tree.of("option", (double) (said ? FASTLY : SLOWLY)));
        }
        if (all) {
            journal.add("fast", "seal", Tree.of("sealed", true));
        }
        for (int i = 0; all && i < CASES.length; i++) {
            Run run = journal.bench("open", Map.of("upper", CASES[i][0], "lower", CASES[i][1]));
            run.seek(SEEN);
            String trial = journal.keep("open", i + 1, run);
            double mixed = run.read(run.manifest().channel("mixed"));
            journal.cell("cases", i + 1, "T1", Numbers.fixed(CASES[i][0], 0));
            journal.cell("cases", i + 1, "T2", Numbers.fixed(CASES[i][1], 0));
            journal.add("fast", "seen/" + (i + 1), Tree.of("option", (double) (mixed > FAST ? FASTLY : SLOWLY)));
            journal.cell("cases", i + 1, "w", Numbers.fixed(100 * mixed, 1), trial, SEEN / run.manifest().interval(),
                    "", Map.of(), "");
        }
    }

    private static void came(DemoJournal journal, int row, String column, String outcome, Run run, String trial,
            double frame) {
        var of = run.manifest().outcome(outcome);
        journal.cell("met", row, column, Numbers.fixed(of.own(run.outcome(of)), 1), trial, frame, "", Map.of(), "");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        return List.of(new Answer("where", Numbers.fixed(journal.number("met", 1, "T"), 1), "°C"),
                new Answer("soonest", Numbers.fixed(journal.number("met", 1, "t"), 1), "min"),
                new Answer("energy", "52.5", "kJ"), new Answer("fast", "2, 1, 1, 2, 1", ""));
    }

    @Override
    List<String> explanations() {
        return List.of("Warm water goes up and cold water goes down. With hot below it mixed fast, with hot above "
                + "nothing happened.",
                "Warm water has a smaller density, so it floats. If it lies above it stays there and only a little "
                        + "heat goes through the tube; if it lies below the cold water sinks and pushes it up until "
                        + "all is mixed. The core changes how long it takes, not where it ends. Heat does not rise, "
                        + "warm water does.",
                "The denser water sinks. Usually that is the colder one, so hot below mixes and hot above does not. "
                        + "With 4 degrees above 2 it was the other way round, because water is densest at 4. With a core there is "
                        + "no flow and both end at 45 °C, with copper sooner than with steel. Heat goes from hot to "
                        + "cold in any direction.");
    }

    @Override
    List<String> comments() {
        return List.of("Right, and what is different about warm water, that it goes up?", "Very good: water rises, "
                + "not heat.",
                "Everything is there, the cold case too.");
    }
}
