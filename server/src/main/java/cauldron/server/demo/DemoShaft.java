package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.StopAt;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The clock shaft: without air, the glove in air, and falls of different things in different media. */
final class DemoShaft extends DemoScript {

    private static final double EMPTY_ROWS = 0.2;
    private static final double AIR_ROWS = 0.1;
    private static final double LONG = 60;
    private static final double FILM_RATE = 60;
    private static final int FRAMES_READ = 5;
    private static final double FRAMES_APART = 25;
    private static final double READ_TAPE = 0.01;
    private static final List<String> THINGS = List.of("nut", "cork", "cone", "glove", "foam", "cloth");
    private static final List<String> MEDIA = List.of("air", "none", "carbon-dioxide", "thin");

    @Override
    String slug() {
        return "clock-shaft";
    }

    @Override
    List<String> predictions() {
        return List.of("It is much heavier.", "Paper is light and air holds it less then.", "Without air nothing holds either of them.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        rows(journal, "none", "free", EMPTY_ROWS, List.of("velocity.1"), List.of("v"));
        if (!all) {
            return;
        }
        rows(journal, "glove", "drag", AIR_ROWS, List.of("velocity.1", "acceleration.1"), List.of("v", "a"));
        filmed(journal, chance);
        for (int i = 0; i < THINGS.size(); i++) {
            String medium = MEDIA.get(i < 2 ? 0 : chance.below(MEDIA.size()));
            Run run = fall(journal, "all", Map.of("thing", THINGS.get(i), "medium", medium));
            run.seek(LONG);
            String trial = journal.keep("all", i + 1, run);
            journal.cell("falls", i + 1, "trial", "Trial " + (i + 1));
            journal.cell("falls", i + 1, "what", THINGS.get(i) + " in " + (medium.equals("none") ? "vacuum" : medium.replace('-', ' ')));
            came(journal, i + 1, "T", "fell.1", trial, run);
            came(journal, i + 1, "v", "struck.1", trial, run);
        }
    }

    /** The cone on a recording: its height on a tape, from the frame in which it is let go. */
    private static void filmed(DemoJournal journal, RandomSource chance) {
        DemoJournal.Filmed film = journal.film("film", Map.of("thing", "cone"));
        double zero = Math.ceil(film.recipe().actions().get(0).time() * FILM_RATE);
        for (int row = 1; row <= FRAMES_READ; row++) {
            double frame = zero + FRAMES_APART * row;
            Run run = film.run(frame / FILM_RATE);
            double y = run.read(run.manifest().channel("height.1")) + READ_TAPE * chance.normal();
            Map<String, Object> watch = Map.of("stopwatch", Map.of("zero", zero));
            String trial = film.trial().id().toString();
            journal.cell("frames", row, "t", Numbers.fixed((frame - zero) / FILM_RATE, 2), trial, frame, "shaft", watch, "");
            journal.cell("frames", row, "y", Numbers.fixed(y, 2), trial, frame, "shaft", watch, "");
        }
    }

    private static Run fall(DemoJournal journal, String bench, Map<String, Object> changed) {
        Run run = journal.bench(bench, changed);
        run.act(new Action.Perform("let-go", Map.of()));
        return run;
    }

    /** Rows at an interval up to first contact. */
    private static void rows(DemoJournal journal, String bench, String table, double apart, List<String> channels,
            List<String> columns) {
        Run run = fall(journal, bench, Map.of());
        run.advance(LONG, new StopAt.Happening(run.manifest().event("contact.1"), 1));
        double contact = run.time();
        String trial = journal.keep(bench, 1, run);
        for (int i = 0; i * apart < contact; i++) {
            run.seek(i * apart);
            double frame = run.time() / run.manifest().interval();
            journal.cell(table, i + 1, "t", Numbers.fixed(run.time(), 1), trial, frame, "", Map.of(), "");
            for (int c = 0; c < columns.size(); c++) {
                double value = run.read(run.manifest().channel(channels.get(c)));
                journal.cell(table, i + 1, columns.get(c), Numbers.fixed(value, 2), trial, frame, "", Map.of(), "");
            }
        }
    }

    private static void came(DemoJournal journal, int row, String column, String outcome, String trial, Run run) {
        Outcome of = run.manifest().outcome(outcome);
        journal.cell("falls", row, column, Numbers.fixed(of.own(run.outcome(of)), 3), trial,
                run.head() / run.manifest().interval(), "", Map.of(), "");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double[] line = journal.line("free-graph", "t", "v");
        double kept = -journal.line("frames-graph", "t", "y")[0];
        return List.of(new Answer("gradient", Numbers.print(line[0], 3), "m/s²"), new Answer("contact", "1.981", "s"),
                new Answer("change", "-6", "m/s²"), new Answer("terminal", Numbers.print(kept, 3), "m/s"));
    }

    @Override
    List<String> explanations() {
        return List.of("Without air they are the same because there is no air. With air the cone is slower because it is light and large."
                + " The acceleration gets smaller and then the speed stays.",
                "Drag points upwards, positive, and grows with speed squared. At the start a is −9.8, then less and less negative, and"
                + " v gets more negative but slower. When drag is as large as weight, a is 0. The lighter and larger, the sooner.",
                "In vacuum only the weight acts and each kilogram is pulled by 9.81 N, so all have −9.81 m/s². In air it is the ratio of"
                + " weight to area: nut nearly as in vacuum, cone at 2.66 m/s already after half a metre. In carbon dioxide slower still.");
    }

    @Override
    List<String> comments() {
        return List.of("Right, but why does being light matter? Think of weight and drag.", "Good, and the signs are right.",
                "A pattern, with numbers and signs. Very clear.");
    }
}
