package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** Is it brass? Three scales worked out, three levels read, three things dipped, the shackle's water caught. */
final class DemoBrass extends DemoScript {

    private static final String[][] SCALES = {{"100 mL", "10", "20", "10"}, {"25 mL", "5", "10", "25"}, {"10 mL", "2",
            "4", "10"}};
    private static final List<String> COLUMNS = List.of("which", "a", "b", "n");
    /** How finely each cylinder is read, in mL. */
    private static final double[] READ_TO = {0.2, 0.05, 0.05};
    private static final double ML = 1e6;

    @Override
    String slug() {
        return "is-it-brass";
    }

    @Override
    List<String> predictions() {
        return List.of("It lies on top, so it takes no room in the water.", "A part of it is under water, and only "
                + "that counts.",
                "A thing takes up as much room as it has.", "It pushes the water aside over its whole width.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        journal.keep("marks", 1, journal.bench("marks"));
        for (int row = 1; row <= SCALES.length; row++) {
            for (int i = 0; i < COLUMNS.size(); i++) {
                journal.cell("divisions", row, COLUMNS.get(i), SCALES[row - 1][i]);
            }
        }
        levels(journal, all ? SCALES.length : 1, chance);
        if (all) {
            dips(journal, chance);
            spout(journal, chance);
        }
    }

    private static void levels(DemoJournal journal, int rows, RandomSource chance) {
        Run run = journal.bench("water");
        double[] high = new double[SCALES.length];
        for (int i = 0; i < SCALES.length; i++) {
            high[i] = came(run, "as-seen." + (i + 1)) + READ_TO[i] * chance.normal() / 2;
        }
        act(run, "look", "height", 12.0);
        String trial = journal.keep("water", 1, run);
        for (int i = 0; i < rows; i++) {
            journal.cell("readings", i + 1, "which", SCALES[i][0]);
            read(journal, "readings", i + 1, "high", high[i], trial, 0);
            read(journal, "readings", i + 1, "V", came(run, "level." + (i + 1)) + READ_TO[i] * chance.normal() / 3,
                    trial, 1);
        }
    }

    private static void dips(DemoJournal journal, RandomSource chance) {
        Run run = journal.bench("dips");
        String[] things = {"nut", "sinker", "cork", "cork"};
        double[][] read = new double[things.length][];
        for (int i = 0; i < things.length; i++) {
            act(run, "put", "thing", things[i], "to", "balance");
            double mass = 1000 * run.read(run.manifest().channel("balance"));
            act(run, "put", "thing", things[i], "to", "shelf");
            double before = came(run, "level.2");
            act(run, "put", "thing", things[i], "to", "second", "how", i == things.length - 1 ? "held" : "free");
            read[i] = new double[] {mass, before + 0.05 * chance.normal(), came(run, "level.2")
                    + 0.05 * chance.normal(), run.time()};
            if (i < things.length - 1) {
                act(run, "put", "thing", things[i], "to", "shelf");
            }
        }
        String trial = journal.keep("dips", 1, run);
        for (int i = 0; i < things.length; i++) {
            journal.cell("dipped", i + 1, "thing", things[i] + (i == 2 ? ", let go" : i == 3 ? ", held under" : ""));
            journal.cell("dipped", i + 1, "m", Numbers.fixed(read[i][0], 2), trial, read[i][3] - 2, "", Map.of(), "");
            read(journal, "dipped", i + 1, "before", read[i][1], trial, read[i][3] - 1);
            read(journal, "dipped", i + 1, "after", read[i][2], trial, read[i][3]);
        }
    }

    private static void spout(DemoJournal journal, RandomSource chance) {
        Run run = journal.bench("spout");
        act(run, "put", "thing", "shackle", "to", "balance");
        double mass = 1000 * run.read(run.manifest().channel("balance"));
        act(run, "put", "thing", "shackle", "to", "shelf");
        act(run, "stand", "vessel", "beaker", "at", "spout");
        double[] caught = new double[SCALES.length];
        double[] when = new double[SCALES.length];
        for (int i = 0; i < caught.length; i++) {
            act(run, "pour", "from", "jug", "into", "can", "amount", 30.0);
            act(run, "pour", "from", "beaker", "into", "sink", "amount", 100.0);
            act(run, "put", "thing", "shackle", "to", "can");
            act(run, "pour", "from", "beaker", "into", "second", "amount", 100.0);
            caught[i] = came(run, "level.2") + 0.04 * chance.normal();
            when[i] = run.time();
            if (i < caught.length - 1) {
                act(run, "pour", "from", "second", "into", "sink", "amount", 100.0);
                act(run, "put", "thing", "shackle", "to", "shelf");
            }
        }
        String trial = journal.keep("spout", 1, run);
        for (int i = 0; i < caught.length; i++) {
            journal.cell("ran", i + 1, "m", Numbers.fixed(mass, 2), trial, 1, "", Map.of(), "");
            read(journal, "ran", i + 1, "V", caught[i], trial, when[i]);
        }
    }

    private static void read(DemoJournal journal, String table, int row, String column, double value, String trial,
            double step) {
        journal.cell(table, row, column, Numbers.fixed(value, 2), trial, step, "", Map.of(), "");
    }

    private static double came(Run run, String outcome) {
        return ML * run.outcome(run.manifest().outcome(outcome));
    }

    private static void act(Run run, String act, Object... with) {
        run.act(new Action.Perform(act, Tree.of(with)));
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double caught = 0;
        for (int row = 1; row <= SCALES.length; row++) {
            caught += journal.number("ran", row, "V") / SCALES.length;
        }
        return List.of(new Answer("space", "0.2", "mL"), new Answer("hundred", print(journal.number("readings", 1,
                "V")), "mL"),
                new Answer("ten", print(journal.number("readings", 3, "V")), "mL"),
                new Answer("cork", print(journal.number("dipped", 4, "after") - journal.number("dipped", 4, "before")),
                        "cm³"),
                new Answer("shackle", print(caught), "cm³"),
                new Answer("lead", print(journal.number("dipped", 2, "m")
                        / (journal.number("dipped", 2, "after") - journal.number("dipped", 2, "before"))), "g/cm³"),
                new Answer("steel", print(journal.number("ran", 1, "m") / caught), "g/cm³"),
                new Answer("formula", "6.11", "cm³"), new Answer("off", "100", "%"));
    }

    private static String print(double value) {
        return Numbers.print(value, 3);
    }

    @Override
    List<String> explanations() {
        return List.of("It is brass and lead and steel because of the density.",
                "The sinker has nearly the density of lead and the shackle that of steel. The nut could be brass or "
                        + "copper, "
                        + "because two cubic centimetres can't be read well enough.",
                "The sinker is lead, nothing else in the list is near. The shackle is steel to within a tenth. The "
                        + "nut lies "
                        + "between brass and copper: with half a division of a quarter of a millilitre it can be "
                        + "either. The eye "
                        + "must be level because the scale is in front of the water; from above one reads too much. "
                        + "If the can "
                        + "isn't full the first water only fills it up. For two cubic centimetres I would take the 10 "
                        + "mL cylinder, "
                        + "if it went in.");
    }

    @Override
    List<String> comments() {
        return List.of("Which numbers say so?", "Good: you say what your readings can't decide.",
                "Careful and complete, down to the choice of the cylinder.");
    }
}
