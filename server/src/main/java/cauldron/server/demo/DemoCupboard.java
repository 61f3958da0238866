package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** Rust and fire: wool in three gases, marble under three covers. */
final class DemoCupboard extends DemoScript {

    private static final List<String> GASES = List.of("air", "oxygen", "argon");
    private static final List<String> JARS = List.of("open", "sealed", "balloon");
    private static final List<String> JARS_IN_WORDS = List.of("open", "lid on", "balloon");
    private static final double[] WATCHED = {0, 30, 60, 120, 239};
    private static final double FRAMES_A_SECOND = 2;
    private static final double BURNT = 120;
    private static final double FIZZED = 300;

    @Override
    String slug() {
        return "rust-and-fire";
    }

    @Override
    List<String> predictions() {
        return List.of("Smoke goes away and takes something along.", "It is still the same iron.",
                "It takes something from the air.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        watch(journal, all, chance);
        for (int i = 0; i < (all ? GASES.size() : 1); i++) {
            Run run = journal.bench("burn", Map.of("gas", GASES.get(i)));
            row(journal, "burn", "burnt", i + 1, run, "light", BURNT);
            journal.cell("burnt", i + 1, "gas", GASES.get(i));
        }
        if (all) {
            journal.add("marble-expect", "answer", Tree.of("choice", (double) chance.below(3), "reason",
                    "The gas can only get out where it is open."));
            journal.add("marble-expect", "seal", Tree.of("sealed", true));
            journal.send();
        }
        for (int i = 0; all && i < JARS.size(); i++) {
            Run run = journal.bench("fizz", Map.of("closed", JARS.get(i)));
            row(journal, "fizz", "fizzed", i + 1, run, "tip", FIZZED);
            journal.cell("fizzed", i + 1, "jar", JARS_IN_WORDS.get(i));
        }
    }

    private static void watch(DemoJournal journal, boolean all, RandomSource chance) {
        DemoJournal.Filmed filmed = journal.film("films", Tree.of("chips", chance.below(2) == 0 ? "a" : "b"));
        Run run = filmed.run(filmed.plan().seconds());
        String trial = filmed.trial().id().toString();
        for (int i = 0; i < (all ? WATCHED.length : 2); i++) {
            run.seek(WATCHED[i]);
            double frame = WATCHED[i] * FRAMES_A_SECOND;
            journal.cell("looked", i + 1, "t", Numbers.fixed(WATCHED[i], 0), trial, frame, "front", Map.of(), "");
            for (String column : List.of("ms", "mw")) {
                var display = run.manifest().channel(column.equals("ms") ? "sample" : "whole");
                journal.cell("looked", i + 1, column, Numbers.fixed(1000 * run.read(display), 2), trial, frame, "front",
                        Map.of(), "");
            }
        }
    }

    private static void row(DemoJournal journal, String bench, String table, int row, Run run, String act,
            double until) {
        run.act(new Action.Perform(act, Map.of()));
        run.seek(until);
        String trial = journal.keep(bench, row, run);
        double frame = run.time() / run.manifest().interval();
        for (String column : List.of("ms", "mw")) {
            var of = run.manifest().outcome(column.equals("ms") ? "sample-change" : "whole-change");
            journal.cell(table, row, column, Numbers.fixed(of.own(run.outcome(of)), 2), trial, frame, "", Map.of(), "");
        }
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double lost = journal.number("looked", 1, "ms") - journal.number("looked", WATCHED.length, "ms");
        return List.of(new Answer("oxygen", "0.382", "g"), new Answer("dioxide", "0.88", "g"),
                new Answer("unknown", Numbers.print(lost * 100.1 / 44, 3), "g"),
                new Answer("limit", "0.5", "g"), new Answer("lift", "0.48", "g"));
    }

    @Override
    List<String> explanations() {
        return List.of("The wool got heavier because it took oxygen. So burning does not always make lighter.",
                "The wool became 0.38 g heavier in air and in oxygen, and nothing happened in argon, so it took oxygen "
                        + "in. The marble lost 0.88 g of gas; under the lid the whole stayed the same, so the gas has "
                        + "mass and was still there.",
                "Wool: heavier by 0.38 g, because iron oxide is iron and oxygen. Gas: the marble got lighter by 0.88 "
                        + "g, "
                        + "and with the lid on the whole did not change in the last digit, so the gas weighs what the "
                        + "marble lost. Balloon: the whole showed less although nothing got out; the balloon pushes "
                        + "air aside and that air lifts it. When all that takes part is weighed, mass stays.");
    }

    @Override
    List<String> comments() {
        return List.of("Good. And the other two claims?", "Two of three, with your numbers. What about the balloon?",
                "All three, each with a reading: very good.");
    }
}
