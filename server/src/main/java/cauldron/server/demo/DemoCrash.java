package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The rescue wagon's front: strengths tried, one run row by row, then designs within a budget. */
final class DemoCrash extends DemoScript {

    private static final double[] STRENGTHS = {100, 700, 400, 250, 180, 550};
    private static final List<Map<String, Object>> DESIGNS = List.of(Map.of("front", 300.0),
            Map.of("front", 300.0, "bag", true), Map.of("length", 0.8, "front", 300.0),
            Map.of("length", 0.8, "front", 250.0, "slack", 1.0, "limit", 25.0));
    private static final double END = 2;
    private static final double FIRST_ROW = 0.022;
    private static final double APART = 0.002;
    private static final int ROWS = 30;
    /** Rows between which only the folding front acts on the sled. */
    private static final int STEADY_FROM = 2;
    private static final int STEADY_TO = 8;

    @Override
    String slug() {
        return "rescue-sled";
    }

    @Override
    List<String> predictions() {
        return List.of("A strong front keeps everything away from you, like armour.",
                "A soft one is like a cushion, you hardly feel it.",
                "Too soft and it is used up before you stand, too hard and you stop at once.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        int strengths = all ? STRENGTHS.length : 2 + chance.below(2);
        for (int i = 0; i < strengths; i++) {
            Run run = journal.bench("block", Map.of("front", STRENGTHS[i]));
            run.seek(END);
            String trial = journal.keep("block", i + 1, run);
            journal.cell("strengths", i + 1, "trial", "Trial " + (i + 1));
            end(journal, "strengths", i + 1, "F", Numbers.printShort(STRENGTHS[i]), trial, run);
            end(journal, "strengths", i + 1, "P", came(run, "survival", 1), trial, run);
            end(journal, "strengths", i + 1, "c", came(run, "front-crush", 1), trial, run);
        }
        if (!all) {
            return;
        }
        Run one = journal.bench("one");
        one.seek(END);
        String slowly = journal.keep("one", 1, one);
        for (int i = 0; i < ROWS; i++) {
            one.seek(FIRST_ROW + i * APART);
            double frame = one.time() / one.manifest().interval();
            journal.cell("stop", i + 1, "t", read(one, "since", 1), slowly, frame, "", Map.of(), "");
            journal.cell("stop", i + 1, "v", read(one, "velocity", 2), slowly, frame, "", Map.of(), "");
            journal.cell("stop", i + 1, "vc", read(one, "chest-velocity", 2), slowly, frame, "", Map.of(), "");
        }
        for (int i = 0; i < DESIGNS.size(); i++) {
            Map<String, Object> design = DESIGNS.get(i);
            Run run = journal.bench("shop", design);
            run.seek(END);
            String trial = journal.keep("shop", i + 1, run);
            journal.cell("designs", i + 1, "trial", "Trial " + (i + 1));
            end(journal, "designs", i + 1, "L", Numbers.printShort((Double) design.getOrDefault("length", 0.6)),
                    trial, run);
            end(journal, "designs", i + 1, "F", Numbers.printShort((Double) design.get("front")), trial, run);
            end(journal, "designs", i + 1, "P", came(run, "survival", 1), trial, run);
            end(journal, "designs", i + 1, "K", came(run, "cost", 0), trial, run);
        }
    }

    private static void end(DemoJournal journal, String table, int row, String column, String text, String trial,
            Run run) {
        journal.cell(table, row, column, text, trial, run.head() / run.manifest().interval(), "", Map.of(), "");
    }

    private static String came(Run run, String outcome, int decimals) {
        var of = run.manifest().outcome(outcome);
        return Numbers.fixed(of.own(run.outcome(of)), decimals);
    }

    private static String read(Run run, String channel, int decimals) {
        return Numbers.fixed(run.read(run.manifest()
                .channel(channel)) * (channel.equals("since") ? 1000 : 1), decimals);
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        for (int row = 1; row <= ROWS; row++) {
            if (row < STEADY_FROM || row > STEADY_TO) {
                journal.leaveOut("stop", row, row < STEADY_FROM ? "the front isn't folding yet" : "the belt pulls, too");
            }
        }
        double deceleration = -1000 * journal.line("stop-graph", "t", "v")[0];
        return List.of(new Answer("deceleration", Numbers.print(deceleration, 3), "m/s²"),
                new Answer("mass", Numbers.print(250_000 / deceleration, 3), "kg"), new Answer("energy", "123", "kJ"),
                new Answer("best", Numbers.print(journal.number("designs", DESIGNS.size(), "P"), 3), "%"));
    }

    @Override
    List<String> explanations() {
        return List.of("The strongest stops the sled in a few centimetres, so the force on it is large and the figure flies into the"
                + " belt and dash. The weakest is used up and then the cabin comes in. Slack lets the figure move on while the sled"
                + " already stops. I would keep the long front because it was cheaper than an airbag and did more.",
                "With a longer way the same energy needs less force, F times c stays the same. When the front is used up the force"
                + " jumps and the wheel comes nearer. Slack costs way that you don't have. I would defend the belt that pays out.",
                "At 700 kN the chance was nearly nothing and at 250 nearly everything, at 100 it was less again because the cabin"
                + " was pushed in. Longer means slower stopping. Without slack the figure stops with the sled. Not cheaper at the front.");
    }

    @Override
    List<String> comments() {
        return List.of("Right as far as it goes. What does the longer way do to the force?",
                "Good, and from your rows. Say also why the figure is still fast when the sled stands.",
                "Force, way, slack and cabin all named, with numbers. Well defended.");
    }
}
