package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The slip's buffers: one spring both ways, two together, one beyond its limit. */
final class DemoBuffer extends DemoScript {

    private static final List<String> MAKES = List.of("auk", "brent", "curlew");
    private static final double STEP = 5;
    private static final int EACH_WAY = 5;
    /** Reading by eye lies off by a part of a millimetre. */
    private static final double BY_EYE = 0.02;

    @Override
    String slug() {
        return "slip-buffers";
    }

    @Override
    List<String> predictions() {
        return List.of("Two are stronger than one.", "The force is the same, so the way is the same.",
                "Each of them gives way, so it adds up.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        Run run = journal.bench("press", Map.of("make", MAKES.get(chance.below(MAKES.size()))));
        int each = all ? EACH_WAY : 2 + chance.below(2);
        for (int i = 0; i < each; i++) {
            perform(run, "more");
        }
        perform(run, "let-off");
        for (int i = 0; i < each; i++) {
            perform(run, "less");
        }
        String trial = journal.keep("press", 1, run);
        boolean byEye = chance.unit() < 0.3;
        int at = 0;
        List<String[]> rows = rows(run);
        for (int step = 1; step < rows.size(); step++) {
            // Letting off is no setting of the press.
            if (step != each + 1) {
                double x = Numbers.read(rows.get(step)[3]) + (byEye ? BY_EYE * chance.normal() : 0);
                journal.cell("pairs", ++at, "x", Numbers.fixed(x, 2), trial, step, "", Map.of(), byEye ? "0.05" : "");
                journal.cell("pairs", at, "F", rows.get(step)[2], trial, step, "", Map.of(), "");
            }
        }
        if (!all) {
            return;
        }
        together(journal, 1, "series", "end to end");
        together(journal, 2, "parallel", "side by side");
        Run far = journal.bench("limit");
        for (int i = 0; i < 6; i++) {
            perform(far, "more");
        }
        perform(far, "let-off");
        String beyond = journal.keep("limit", 1, far);
        List<String[]> bent = rows(far);
        for (int step = 1; step < bent.size(); step++) {
            journal.cell("bent", step, "x", bent.get(step)[3], beyond, step, "", Map.of(), "");
            journal.cell("bent", step, "F", bent.get(step)[2], beyond, step, "", Map.of(), "");
        }
    }

    private static void together(DemoJournal journal, int row, String arrangement, String inWords) {
        Run run = journal.bench("both", Map.of("arrangement", arrangement));
        run.act(new Action.Perform("set-force", Tree.of("force", 4 * STEP)));
        String trial = journal.keep("both", row, run);
        String[] read = rows(run).get(1);
        journal.cell("together", row, "how", inWords);
        journal.cell("together", row, "x", read[3], trial, 1, "", Map.of(), "");
        journal.cell("together", row, "F", read[2], trial, 1, "", Map.of(), "");
    }

    private static void perform(Run run, String act) {
        run.act(new Action.Perform(act, Map.of()));
    }

    private static List<String[]> rows(Run run) {
        return RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "actions", "channels", List.of("force", "displacement")),
                run.manifest())).rows();
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double[] line = journal.line("pairs-graph", "x", "F");
        return List.of(new Answer("k", Numbers.print(100 * line[0], 3), "N/m"), new Answer("energy", "2.45", "J"),
                new Answer("series", "170", "N/m"),
                new Answer("left", Numbers.print(journal.number("bent", 7, "x"), 3), "cm"));
    }

    @Override
    List<String> explanations() {
        return List.of("I would take the strongest because it holds most. The area is how much energy. Pushed shorter the line goes"
                + " down. Beyond the limit it gets longer and stays so.",
                "Two Curlews side by side: the forces add, so they hold twice the energy on the same way. The area under the line is"
                + " the work, N times m is J, and half of it since the force grows. Pushed shorter the line goes on straight through"
                + " the origin. Beyond the limit it doesn't come back and the next boat finds less way.",
                "The area is a triangle and comes out in joules. For a heavy cradle I need a large area within 25 cm, so stiff and"
                + " side by side, but then the force is large, too. Beyond 40 N the Curlew stayed 11.5 cm longer, so it is spoilt.");
    }

    @Override
    List<String> comments() {
        return List.of("Strongest in what? Say it with force, way and energy.", "Good. What does the large force mean for the boat?",
                "Sign, area, limit and choice all argued, from your own numbers.");
    }
}
