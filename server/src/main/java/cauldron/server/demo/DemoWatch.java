package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.StopAt;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The night watch: ten lamps, ten horns, and sets of one's own with one thing changed. */
final class DemoWatch extends DemoScript {

    private static final double LAMP = 0.265;
    private static final double HORN = 0.225;
    private static final double DISTRACTED = 0.34;
    /** Shares of their mean by which answers scatter. */
    private static final double SCATTER = 0.13;
    /** From when a cue is due until it is drawn. */
    private static final double DRAWN = 1 / 60.0;
    private static final double QUICKEST = 0.14;
    private static final double LONGEST = 60;
    private static final double IMPATIENT = 0.06;

    @Override
    String slug() {
        return "night-watch";
    }

    @Override
    List<String> predictions() {
        return List.of("I see faster than I hear, light is faster than sound.", "A loud horn makes me jump.",
                "It is the same hand and the same head.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        double own = 0.9 + 0.25 * chance.unit();
        answered(journal, "lamp", "lamps", own * LAMP, chance);
        if (!all) {
            return;
        }
        answered(journal, "horn", "horns", own * HORN, chance);
        List<Map<String, Object>> changes = List.of(Map.of(), chance.unit() < 0.5 ? Map.of("meanwhile", "counting")
                : Map.of("limb", "other"));
        for (int i = 0; i < changes.size(); i++) {
            Run run = journal.bench("watch", changes.get(i));
            answer(run, own * (changes.get(i).containsKey("meanwhile") ? DISTRACTED : LAMP), chance);
            String trial = journal.keep("watch", i + 1, run);
            journal.cell("sets", i + 1, "trial", "Trial " + (i + 1));
            came(journal, i + 1, "N", "answers", 0, trial, run);
            came(journal, i + 1, "t", "mean-time", 1, trial, run);
            came(journal, i + 1, "s", "spread", 1, trial, run);
        }
    }

    private static void answered(DemoJournal journal, String bench, String table, double mean, RandomSource chance) {
        Run run = journal.bench(bench);
        List<Double> times = answer(run, mean, chance);
        String trial = journal.keep(bench, 1, run);
        List<Double> at = times(run, "answered");
        for (int i = 0; i < times.size(); i++) {
            double frame = at.get(i) / run.manifest().interval();
            journal.cell(table, i + 1, "N", String.valueOf(i + 1), trial, frame, "", Map.of(), "");
            journal.cell(table, i + 1, "t", Numbers.fixed(1000 * times.get(i), 0), trial, frame, "", Map.of(), "");
        }
    }

    /** A whole set by somebody who takes so long on the mean, and now and then can't wait. */
    private static List<Double> answer(Run run, double mean, RandomSource chance) {
        Manifest m = run.manifest();
        List<Double> times = new ArrayList<>();
        perform(run, "begin");
        while (!run.isOver()) {
            if (chance.unit() < IMPATIENT) {
                run.seek(run.time() + 0.8);
                perform(run, "answer");
            }
            run.advance(LONGEST, new StopAt.Happening(m.event("given"), 1));
            run.seek(run.time() + DRAWN);
            perform(run, "shown");
            double took = Math.max(QUICKEST, mean * (1 + SCATTER * chance.normal()));
            run.seek(run.time() + took);
            perform(run, "answer");
            times.add(run.read(m.channel("last")));
        }
        return times;
    }

    private static void perform(Run run, String act) {
        run.act(new Action.Perform(act, Map.of()));
    }

    private static void came(DemoJournal journal, int row, String column, String outcome, int decimals, String trial, Run run) {
        var of = run.manifest().outcome(outcome);
        journal.cell("sets", row, column, Numbers.fixed(of.own(run.outcome(of)), decimals), trial,
                run.head() / run.manifest().interval(), "", Map.of(), "");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double sum = 0;
        double squares = 0;
        for (int row = 1; row <= 10; row++) {
            double t = journal.number("lamps", row, "t");
            sum += t;
            squares += t * t;
        }
        double mean = sum / 10;
        double deviation = Math.sqrt((squares - 10 * mean * mean) / 9);
        return List.of(new Answer("mean", Numbers.print(mean, 4), "ms"), new Answer("spread", Numbers.print(deviation, 3), "ms"),
                new Answer("within", "68", ""), new Answer("way", "3.0", "m"));
    }

    @Override
    List<String> explanations() {
        return List.of("The spread is because I made mistakes and was not concentrated. The horn was faster. Counting backwards made me"
                + " slower by a lot, so it is more than chance.",
                "No error: I am not a machine, the answers scatter although each was right. The horn was about 40 ms shorter, and its"
                + " loudspeaker even adds time, so the real difference is larger. With the other hand the means agreed, with twelve answers.",
                "The standard deviation tells how far single answers lie apart. It doesn't get smaller with more answers, but the mean"
                + " gets surer. The display adds up to 33 ms to the lamp, that could be most of the difference. Twelve answers each.");
    }

    @Override
    List<String> comments() {
        return List.of("You give numbers only in part. Is a slow answer a mistake, or just one of many?",
                "Good. Say what would happen to s with a hundred answers.",
                "Well argued, display and number of answers included.");
    }
}
