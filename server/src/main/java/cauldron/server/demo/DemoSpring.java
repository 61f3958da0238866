package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The slip's lost label: the hook read under weights, ten bounces timed, a sinker weighed by its rhythm. */
final class DemoSpring extends DemoScript {

    private static final int[] WEIGHTS = {50, 100, 150, 200, 300};
    private static final int[] BOUNCED = {100, 150, 200, 300};
    private static final int BOUNCES = 10;
    /** Points of a sketched stroke. */
    private static final int STROKE = 24;

    @Override
    String slug() {
        return "slip-spring";
    }

    @Override
    List<String> predictions() {
        return List.of("The spring is the same, and it pulls back more when there is more on it, so that evens out.",
                "A heavier thing is slower to turn round, but four times seems too much, so perhaps double.",
                "Four times as much to move with the same spring takes four times as long.");
    }

    /** A level line, a root or a straight line through the origin, by a hand that isn't quite steady. */
    @Override
    List<Double> sketch(int choice, RandomSource chance) {
        double[] powers = {0, 0.5, 1};
        double height = chance.between(0.45, 0.75);
        double shake = 0;
        List<Double> stroke = new ArrayList<>();
        for (int i = 0; i <= STROKE; i++) {
            double x = 0.02 + 0.9 * i / STROKE;
            shake = 0.7 * shake + 0.006 * chance.normal();
            double y = height * Math.pow(x, powers[choice]) + shake;
            stroke.add(Math.round(1e4 * x) / 1e4);
            stroke.add(Math.round(1e4 * Math.max(0, Math.min(1, y))) / 1e4);
        }
        return stroke;
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        int still = all ? WEIGHTS.length : 2;
        for (int i = 0; i < still; i++) {
            DemoJournal.Filmed filmed = journal.film("films", Tree.of("load", "m" + WEIGHTS[i], "way", "rest"));
            journal.cell("still", i + 1, "load", WEIGHTS[i] + " g");
            journal.cell("still", i + 1, "F", Numbers.fixed(WEIGHTS[i] * 9.81 / 1000, 2));
            readHook(journal, i + 1, filmed, chance);
        }
        if (!all) {
            return;
        }
        // Some count each pass of the middle as a bounce.
        int counted = chance.unit() < 0.12 ? BOUNCES / 2 : BOUNCES;
        for (int i = 0; i < BOUNCED.length; i++) {
            DemoJournal.Filmed filmed = journal.film("films", Tree.of("load", "m" + BOUNCED[i], "way", "bounce"));
            journal.cell("swing", i + 1, "load", BOUNCED[i] + " g");
            journal.cell("swing", i + 1, "m", String.valueOf(BOUNCED[i]));
            readBounces(journal, i + 1, filmed, counted, chance);
        }
        DemoJournal.Filmed brill = journal.film("films", Tree.of("load", "brill", "way", "bounce"));
        journal.cell("swing", BOUNCED.length + 1, "load", "Brill");
        readBounces(journal, BOUNCED.length + 1, brill, counted, chance);
    }

    private static void readHook(DemoJournal journal, int row, DemoJournal.Filmed filmed, RandomSource chance) {
        Run run = filmed.run(0);
        Frame frame = run.frame(run.manifest().view("front"));
        double scale = Film.scale(frame);
        double hook = -run.scene().of(run.manifest().sceneField("hook.y")) + 0.0005 * chance.normal();
        Map<String, Object> ruler = Tree.of("x", -frame.left() * scale, "y", (frame.bottom() + frame.height()) * scale, "angle", 90.0);
        journal.cell("still", row, "x", Numbers.fixed(100 * hook, 1), filmed.trial().id().toString(), 0, "front",
                Tree.of("ruler", ruler), "0.1");
    }

    private static void readBounces(DemoJournal journal, int row, DemoJournal.Filmed filmed, int counted, RandomSource chance) {
        List<Double> lows = times(filmed.run(40), "lowest");
        double first = Math.rint(lows.get(1) * RATE + 0.8 * chance.normal());
        double last = Math.rint(lows.get(1 + counted) * RATE + 0.8 * chance.normal());
        journal.cell("swing", row, "t", Numbers.fixed((last - first) / RATE, 2), filmed.trial().id().toString(), last,
                "front", Tree.of("stopwatch", Tree.of("zero", first, "cycles", (double) BOUNCES)), "0.01");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double newtonPerCm = journal.line("still-graph", "x", "F")[0];
        journal.calculated("swing", "T", "period", "T", "t/10");
        journal.calculated("swing", "T2", "period squared", "T²", "T^2");
        double[] line = journal.line("swing-graph", "m", "T2");
        double period = journal.number("swing", BOUNCED.length + 1, "t") / BOUNCES;
        double byRhythm = 4 * Math.PI * Math.PI / (1000 * line[0]);
        double k = 0.5 * (100 * newtonPerCm + byRhythm);
        return List.of(new Answer("steep", Numbers.print(newtonPerCm, 4), "N/cm"), new Answer("k", Numbers.print(k, 3), "N/m"),
                new Answer("brill", Numbers.print((period * period - line[1]) / line[0], 3), "g"));
    }

    @Override
    List<String> explanations() {
        return List.of("For a stiffer spring the weights hardly stretch it, so a millimetre of reading error is a large part"
                + " of it. Ten bounces can still be timed well. The line misses the origin because the spring has a length"
                + " of its own, but only how much it changes matters for the gradient.",
                "I would trust the rhythm, because I can count more bounces and divide the error. My ruler is only good to a"
                + " millimetre. The hook is already twenty centimetres down with nothing on it and that is why the line"
                + " starts somewhere else.",
                "A stiff spring bounces so fast that it is hard to count in the film, so I would hang more weights on it"
                + " instead. The line doesn't go through the origin since I measured from the support and not from the"
                + " end of the empty spring.");
    }

    @Override
    List<String> comments() {
        return List.of("You name a reason. Now compare both ways in per cent, with your own readings.",
                "Good. Say also what the intercept of your line is: you could have measured it.",
                "Clear and with numbers, and the intercept is understood.");
    }
}
