package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The store in the tower: loads put on landings, the long tape laid, both ways gone, the drum let fall. */
final class DemoTower extends DemoScript {

    private static final String[] LANDINGS = {"1", "2", "3"};
    private static final int PLACINGS = 6;
    /** Where the tape hangs, in metres from the wall: between landings and shaft. */
    private static final double TAPE_AT = 4.25;

    @Override
    String slug() {
        return "tower-store";
    }

    @Override
    List<String> predictions() {
        return List.of("It was carried much further, so there must be more in it.",
                "Lifting straight up is harder, and that is what counts.",
                "At the top it is the same drum at the same height.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        placings(journal, all ? PLACINGS : 3, chance);
        if (!all) {
            return;
        }
        Run ways = journal.bench("two-ways");
        put(ways, 1, "3", "hoist");
        put(ways, 1, "floor", chance.unit() < 0.5 ? "hoist" : "stair");
        put(ways, 1, "3", "stair");
        put(ways, 1, LANDINGS[chance.below(2)], "hoist");
        String trial = journal.keep("two-ways", 1, ways);
        List<String[]> rows = rows(ways, "path", "work", "energy");
        for (int i = 1; i < rows.size(); i++) {
            String[] row = rows.get(i);
            journal.cell("gone", i, "done", row[1]);
            journal.cell("gone", i, "s", row[2], trial, i, "", Map.of(), "");
            journal.cell("gone", i, "W", row[3], trial, i, "", Map.of(), "");
            journal.cell("gone", i, "E", row[4], trial, i, "", Map.of(), "");
        }
        Run falling = journal.bench("falling");
        put(falling, 1, "3", "hoist");
        falling.act(new Action.Perform("drop", Map.of("load", "1")));
        falling.act(new Action.Perform("strike"));
        journal.keep("falling", 1, falling);
    }

    /** Loads by turns on landings by chance; heights by the tape, to a centimetre or two. */
    private static void placings(DemoJournal journal, int count, RandomSource chance) {
        Run store = journal.bench("store");
        for (int i = 0; i < count; i++) {
            put(store, 1 + i % 4, LANDINGS[(i + chance.below(2)) % 3], chance.unit() < 0.5 ? "hoist" : "stair");
        }
        String trial = journal.keep("store", 1, store);
        List<String[]> rows = rows(store, "mass", "height", "energy");
        for (int i = 1; i <= count; i++) {
            String[] row = rows.get(i);
            journal.cell("placings", i, "done", row[1]);
            journal.cell("placings", i, "m", row[2], trial, i, "", Map.of(), "");
            double height = Numbers.read(row[3]) + 0.008 * chance.normal();
            journal.cell("placings", i, "h", Numbers.fixed(height, 2), trial, i, "", Map.of("tape", tape(store, height)), "0.01");
            journal.cell("placings", i, "E", row[4], trial, i, "", Map.of(), "");
        }
    }

    /** The tape from the floor up, in picture elements. */
    private static Map<String, Object> tape(Run run, double height) {
        Frame frame = run.frame(run.manifest().views().get(0));
        double scale = Film.scale(frame);
        double x = Math.rint((TAPE_AT - frame.left()) * scale);
        double floor = (frame.bottom() + frame.height()) * scale;
        return Tree.of("x1", x, "y1", floor, "x2", x, "y2", floor - height * scale);
    }

    private static void put(Run run, int load, String onto, String by) {
        run.act(new Action.Perform("place", Tree.of("load", String.valueOf(load), "onto", onto, "by", by, "at", 0.5 + 0.8 * load)));
    }

    private static List<String[]> rows(Run run, String... channels) {
        return RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "actions", "channels", List.of(channels)), run.manifest())).rows();
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        journal.calculated("placings", "mh", "mass times height", "mh", "m*h");
        double[] line = journal.line("placings-graph", "mh", "E");
        return List.of(new Answer("gradient", Numbers.print(line[0], 3), "N/kg"),
                new Answer("coil", Numbers.print(6 * 12 * line[0], 3), "J"),
                new Answer("more", Numbers.print(journal.number("gone", 3, "E") - journal.number("gone", 1, "E"), 2), "J"),
                new Answer("below", Numbers.print(-18 * 4.9 * line[0], 3), "J"),
                new Answer("speed", Numbers.print(Math.sqrt(2 * line[0] * 7.7), 3), "m/s"));
    }

    @Override
    List<String> explanations() {
        return List.of("The keeper with the hoist is right that it makes no difference. On the stair the way is twice as long but"
                + " most of it goes sideways, and sideways nothing is lifted. In my table W is 1360 J both times. When it falls it"
                + " all becomes movement and then heat.",
                "Only the height counts. The stair is tiring because muscles get warm, but the drum doesn't know that. My curves end"
                + " at the same height although one is longer. After the fall the total was the same, only thermal.",
                "Both are the same. The energy is mass times g times height and there is no way in it. When it falls down the energy"
                + " turns into kinetic and then into thermal energy in the floor.");
    }

    @Override
    List<String> comments() {
        return List.of("Right. Which two numbers in your table show it?",
                "Good. Say also where the energy of the tired keeper went.",
                "Clear, with numbers, and you see that work counts only along the force.");
    }
}
