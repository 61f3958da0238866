package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** The trolley on its slip: dial against ruler while the winch draws, then distance and time from the slack cord. */
final class DemoTrolley extends DemoScript {

    private static final String[] PLACES = {"spar", "mooring", "kelp", "eddy"};
    private static final String[] NAMES = {"Spar", "Mooring", "Kelp", "Eddy"};
    private static final int PAIRS = 5;
    private static final double READ_STRETCH = 0.03;
    private static final double READ_DIAL = 0.03;
    private static final double READ_TAPE = 0.002;
    private static final double COASTED = 0.4;

    @Override
    String slug() {
        return "slip-trolley";
    }

    @Override
    List<String> predictions() {
        return List.of("The spring is the same spring.", "Twice the way, twice the energy.",
                "The force doubles and the way doubles, so four.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        for (int i = 0; i < (all ? PLACES.length : 1); i++) {
            String load = i == 2 ? "loaded" : "empty";
            DemoJournal.Filmed filmed = journal.film("films", Tree.of("place", PLACES[i], "load", load));
            String trial = filmed.trial().id().toString();
            double drawn = filmed.recipe().actions().get(0).time();
            double freed = filmed.recipe().actions().get(1).time();
            if (i == 0) {
                for (int pair = 1; pair <= PAIRS; pair++) {
                    double frame = Math.floor((drawn + (freed - 0.2 - drawn) * pair / PAIRS) * RATE);
                    Run run = filmed.run(frame / RATE);
                    read(journal, "pairs", pair, trial, frame, run, chance);
                }
            }
            journal.cell("runs", i + 1, "place", NAMES[i]);
            journal.cell("runs", i + 1, "m", load.equals("empty") ? "0.40" : "0.80");
            read(journal, "runs", i + 1, trial, Math.floor((freed - 0.05) * RATE), filmed.run(freed - 0.05), chance);
            coast(journal, i + 1, filmed, chance);
        }
    }

    /** How far the end of the spring is from where it was relaxed, in cm. */
    private static double stretch(Run run) {
        return 100 * run.read(run.manifest().channel("stretch"));
    }

    private static void read(DemoJournal journal, String table, int row, String trial, double frame, Run run,
            RandomSource chance) {
        double force = run.read(run.manifest().channel("spring-force"));
        journal.cell(table, row, "x", Numbers.fixed(stretch(run) + READ_STRETCH * chance.normal(), 2), trial, frame,
                "bay", Map.of(), "0.05");
        journal.cell(table, row, "F", Numbers.fixed(force + READ_DIAL * chance.normal(), 2), trial, frame, "gauge",
                Map.of(), "0.05");
    }

    /** From the first frame with a slack cord to one well along. */
    private static void coast(DemoJournal journal, int row, DemoJournal.Filmed filmed, RandomSource chance) {
        Run run = filmed.run(filmed.plan().seconds());
        double slack = Math.ceil(times(run, "slack").get(0) * RATE);
        double last = slack;
        run.seek(slack / RATE);
        double from = run.read(run.manifest().channel("position"));
        while (run.read(run.manifest().channel("position")) - from < COASTED && !run.isOver()) {
            last++;
            run.seek(last / RATE);
        }
        double s = run.read(run.manifest().channel("position")) - from + READ_TAPE * chance.normal();
        String trial = filmed.trial().id().toString();
        Map<String, Object> watch = Tree.of("stopwatch", Tree.of("zero", slack));
        journal.cell("runs", row, "s", Numbers.fixed(s, 3), trial, last, "rails", watch, "0.005");
        journal.cell("runs", row, "t", Numbers.fixed((last - slack) / RATE, 2), trial, last, "rails", watch, "0.01");
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        journal.calculated("runs", "v", "speed", "v", "s/t", "m/s");
        journal.calculated("runs", "W", "work of the spring", "W", "F*x/2", "J");
        journal.calculated("runs", "K", "energy of motion", "K", "m*v^2/2", "J");
        double[] line = journal.line("spring-graph", "x", "F");
        double most = 0;
        double far = 0;
        double lost = 0;
        for (int row = 1; row <= PLACES.length; row++) {
            double work = journal.number("runs", row, "F") * journal.number("runs", row, "x") / 200;
            double speed = journal.number("runs", row, "s") / journal.number("runs", row, "t");
            most = Math.max(most, work);
            far = Math.max(far, journal.number("runs", row, "s"));
            lost += (1 - 0.5 * journal.number("runs", row, "m") * speed * speed / work) / PLACES.length;
        }
        return List.of(new Answer("spar", Numbers.print(journal.number("runs", 1, "x"), 3), "cm"), new Answer("k",
                Numbers.print(100 * line[0], 3), "N/m"), new Answer("far", Numbers.fixed(far, 3), "m"),
                new Answer("work", Numbers.print(most, 3), "J"), new Answer("lost", Numbers.print(100 * lost, 2), "%"));
    }

    @Override
    List<String> explanations() {
        return List.of("The energy comes from the spring. Some is lost by friction. You have to start at the slack "
                + "cord because it gets faster before. With twice the stretch it has four times the energy.",
                "The winch put it into the spring, the spring gave it to the trolley until the cord was slack. The "
                        + "rest is heat in the wheels and rails. Before the slack frame the speed still changes, so "
                        + "distance over time would be too small. Twice the stretch is twice the force over twice the "
                        + "way, four times the area. Loaded it is slower, energy nearly the same.",
                "Work of the spring is the triangle under force and stretch. Nearly all of it was found as energy of "
                        + "motion; what is missing is the work of rolling friction, more with the load. The energy "
                        + "does not depend on the mass, the speed does. Time counts from the slack cord since only "
                        + "from there on nothing drives it.");
    }

    @Override
    List<String> comments() {
        return List.of("Right. Why four times? Use the area under your line.", "Good: you follow the energy all the "
                + "way.",
                "Complete, and the load is explained as well.");
    }
}
