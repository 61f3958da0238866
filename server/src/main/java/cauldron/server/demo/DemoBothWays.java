package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** As much in as out: hydrogen iodide from four starts, and lime with more and less of the solid. */
final class DemoBothWays extends DemoScript {

    private static final double[][] STARTS = {{5, 5, 0}, {0, 0, 10}, {8, 3, 0}, {2, 2, 6}};
    private static final List<String> STARTED = List.of("h0", "i0", "z0");
    private static final List<String> ENDED = List.of("h", "i", "z");
    private static final double[] SOLIDS = {2, 5, 9};
    private static final double LONG = 1500;
    private static final double LITRES = 50;

    @Override
    String slug() {
        return "both-ways";
    }

    @Override
    List<String> predictions() {
        return List.of("Reactions go on until everything is used up.", "Equilibrium means equal.",
                "When nothing changes any more it has stopped.", "Particles do not know that they should stop.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        for (int row = 1; row <= (all ? STARTS.length : 1); row++) {
            double[] start = STARTS[row - 1];
            Run run = journal.bench("gas", Map.of("iodide-1", start[0], "iodide-2", start[1], "iodide-3", start[2]));
            String trial = ended(journal, "gas", row, run);
            for (int i = 0; i < start.length; i++) {
                journal.cell("ends", row, STARTED.get(i), Numbers.fixed(start[i], 1));
                read(journal, "ends", row, ENDED.get(i), run, "iodide-" + (i + 1) + "-n", trial);
            }
        }
        for (int row = 1; all && row <= SOLIDS.length; row++) {
            Run run = journal.bench("lime", Map.of("lime-1", SOLIDS[row - 1]));
            String trial = ended(journal, "lime", row, run);
            journal.cell("limes", row, "s", Numbers.fixed(SOLIDS[row - 1], 0));
            read(journal, "limes", row, "g", run, "lime-3-n", trial);
        }
    }

    private static String ended(DemoJournal journal, String bench, int row, Run run) {
        run.seek(LONG);
        return journal.keep(bench, row, run);
    }

    private static void read(DemoJournal journal, String table, int row, String column, Run run, String channel,
            String trial) {
        journal.cell(table, row, column, Numbers.fixed(run.read(run.manifest().channel(channel)), 2), trial,
                run.time() / run.manifest().interval(), "", Map.of(), "");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double k = 0;
        for (int row = 1; row <= STARTS.length; row++) {
            double made = journal.number("ends", row, "z");
            k += made * made / (journal.number("ends", row, "h") * journal.number("ends", row, "i")) / STARTS.length;
        }
        return List.of(new Answer("k", Numbers.print(k, 3), ""),
                new Answer("klime", Numbers.print(journal.number("limes", 1, "g") / LITRES, 3), "mol/L"),
                new Answer("kammonia", "0.494", "L²/mol²"));
    }

    @Override
    List<String> explanations() {
        return List.of("At the end the amounts stay the same but there are still rings, so it goes on.",
                "Both rates are equal at the end, the amounts are not: much more hydrogen iodide than hydrogen. The "
                        + "rings go on, whole and dashed ones equally often. All four trials gave nearly the same K.",
                "The rates forwards and back are equal, the amounts are not. From hydrogen iodide alone it ended like "
                        + "from hydrogen and iodine, and K was the same in all trials. More calcium carbonate made no "
                        + "more carbon dioxide, because a solid is always as dense as it is, so it isn't in K. A "
                        + "catalyst would only make it faster.");
    }

    @Override
    List<String> comments() {
        return List.of("Yes. And what do your four ends have in common?", "Good. And the solid?",
                "Everything is there, each with its trial.");
    }
}
