package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.quantity.Numbers;
import cauldron.core.block.bench.BenchPlan;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** The air in the fog signal: gauges read at several temperatures, then a mixture. */
final class DemoGas extends DemoScript {

    private static final int[] KELVIN = {200, 300, 500, 800, 1200};
    private static final double LONG_ENOUGH = 700e-12;

    @Override
    String slug() {
        return "fog-signal-air";
    }

    @Override
    List<String> predictions() {
        return List.of("Temperature is how fast they move, so double is double.",
                "Energy doubles, and energy has the square of the speed in it.",
                "It must be a lot more because hot gas is so much more dangerous.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        // Molecule by molecule takes a while, so the benches run side by side; the journal is written in order.
        int warm = all ? KELVIN.length : 2;
        List<Run> benches = IntStream.range(0, all ? warm + 2 : warm).parallel().mapToObj(i -> i < warm
                ? prepared(journal, "one-gas", KELVIN[i]) : prepared(journal, "two-gases", i == warm ? 300 : 900)).toList();
        for (int i = 0; i < warm; i++) {
            Run run = benches.get(i);
            String trial = journal.keep("one-gas", i + 1, run);
            double frame = run.time() / run.manifest().interval();
            Map<String, Object> gauges = Tree.of("pressure-gauge", Map.of(), "thermometer", Map.of());
            journal.cell("warm", i + 1, "T", Numbers.fixed(read(run, "temperature"), 1), trial, frame, "", gauges, "0.1");
            journal.cell("warm", i + 1, "p", Numbers.fixed(read(run, "pressure") / 1000, 1), trial, frame, "", gauges, "0.1");
            journal.cell("warm", i + 1, "v", Numbers.fixed(read(run, "speed1"), 0), trial, frame, "", gauges, "");
        }
        for (int i = 0; all && i < 2; i++) {
            Run run = benches.get(warm + i);
            String trial = journal.keep("two-gases", i + 1, run);
            double frame = run.time() / run.manifest().interval();
            Map<String, Object> gauges = Tree.of("thermometer", Map.of());
            journal.cell("mixed", i + 1, "T", Numbers.fixed(read(run, "temperature"), 1), trial, frame, "", gauges, "0.1");
            journal.cell("mixed", i + 1, "v1", Numbers.fixed(read(run, "speed1"), 0), trial, frame, "", gauges, "");
            journal.cell("mixed", i + 1, "v2", Numbers.fixed(read(run, "speed2"), 0), trial, frame, "", gauges, "");
            journal.cell("mixed", i + 1, "e1", Numbers.fixed(read(run, "energy1") * 1e21, 2), trial, frame, "", gauges, "");
            journal.cell("mixed", i + 1, "e2", Numbers.fixed(read(run, "energy2") * 1e21, 2), trial, frame, "", gauges, "");
        }
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    /** Runs the bench at a temperature. */
    private static Run prepared(DemoJournal journal, String block, double kelvin) {
        BenchPlan plan = ((BenchBlock) journal.sheet().block(block)).plan();
        Map<String, Object> some = new LinkedHashMap<>(plan.setup());
        some.put("temperature", kelvin);
        Apparatus apparatus = Inventory.get(plan.apparatus());
        Settings settings = Settings.of(apparatus.manifest(), some);
        Run run = new Run(apparatus, settings, journal.id(block).hashCode());
        run.seek(LONG_ENOUGH);
        return run;
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        journal.calculated("warm", "v2", "speed squared", "v²", "v^2");
        double[] line = journal.line("warm-graph", "T", "v2");
        // Twice the speed at 300 K has four times its square: where the line through their points has that.
        double at300 = line[0] * 300 + line[1];
        double ratio = 0;
        for (int row = 1; row <= 2; row++) {
            ratio += journal.number("mixed", row, "v2") / journal.number("mixed", row, "v1") / 2;
        }
        return List.of(new Answer("twice", Numbers.print((4 * at300 - line[1]) / line[0], 4), "K"),
                new Answer("ratio", Numbers.print(ratio, 3), ""));
    }

    @Override
    List<String> explanations() {
        return List.of("The second keeper is right: my column of speeds grows with temperature, and the pressure too. The blows"
                + " are harder and come more often when molecules are faster. The histogram is broad at every temperature, so"
                + " slow ones are there in the hot gas as well.",
                "They have become faster. Speed squared against temperature is a straight line. Even when hot, some molecules"
                + " have just been hit from the front and are slow, so the two histograms overlap a lot.",
                "The molecules don't push each other, they only bounce. More speed means more momentum on the wall each time,"
                + " and sooner back. Collisions share the energy out by chance and that is why speeds are spread.");
    }

    @Override
    List<String> comments() {
        return List.of("Right keeper. Which of your readings says so?",
                "Good. Say also how pressure goes with temperature, with your line.",
                "Very clear, and backed by both the table and the histogram.");
    }
}
