package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.drawing.Drawing;
import cauldron.core.drawing.Drawn;
import cauldron.core.drawing.Paper;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** One proton more: an atom built step by step, rows of the chart searched for what lasts, four challenges met. */
final class DemoProton extends DemoScript {

    private static final String[][] KINDS = {{"proton", "neutron"}, {"neutron", "electron"}, {"electron", "proton"}};
    private static final List<String> KNOWN = List.of("A nucleus and electrons going round it.",
            "Protons, neutrons, electrons; there are also quarks.", "It is the smallest part of an element.");
    private static final int STEPS = 9;
    private static final String[][] ELEMENTS = {{"carbon", "6"}, {"oxygen", "8"}, {"calcium", "20"}};
    private static final String[][] OWN = {{"neon", "10"}, {"sulfur", "16"}, {"iron", "26"}, {"krypton", "36"}};
    /** What is asked, and atoms that meet it: protons, neutrons, electrons. */
    private static final String[][] CHALLENGES = {{"twice-negative", "two minus, 18 neutrons", "16", "18", "18"},
        {"like-neon", "three plus, like neon", "13", "14", "10"}, {"sister", "chlorine's other isotope", "17", "20",
                "17"},
        {"old", "light and old", "6", "8", "6"}, {"forty", "forty nucleons", "18", "22", "18"},
        {"to-nitrogen", "becomes nitrogen-14", "6", "8", "5"}};

    @Override
    String slug() {
        return "one-proton-more";
    }

    @Override
    List<String> predictions() {
        return List.of("It has one thing more, so it is charged.", "The next element has one more.",
                "Neutrons have no charge, and the protons stay.", "The neutron pulls an electron in.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        journal.add("known", "answer", Tree.of("text", KNOWN.get(chance.below(KNOWN.size()))));
        build(journal, all ? STEPS : 3, chance);
        if (all) {
            lasting(journal, chance);
            challenges(journal, chance);
        }
    }

    private static void build(DemoJournal journal, int steps, RandomSource chance) {
        Run run = journal.bench("pieces");
        List<String[]> rows = new ArrayList<>();
        for (int i = 0; i < steps; i++) {
            String piece = KINDS[i % KINDS.length][chance.below(2)];
            boolean back = i > 3 && run.read(run.manifest().channel("electron-number")) > 1 && chance.unit() < 0.2;
            String what = (back ? "electron" : piece) + (back ? "-out" : "-in");
            try {
                run.act(new Action.Perform(what));
            } catch (IllegalArgumentException e) {
                run.act(new Action.Perform("proton-in"));
                what = "proton-in";
            }
            rows.add(new String[] {(what.startsWith("e") ? "an " : "a ") + what.replace('-', ' '), number(run,
                    "atomic-number"), number(run, "mass-number"),
                number(run, "charge")});
        }
        String trial = journal.keep("pieces", 1, run);
        for (int i = 0; i < steps; i++) {
            journal.cell("steps", i + 1, "done", rows.get(i)[0]);
            journal.cell("steps", i + 1, "Z", rows.get(i)[1], trial, i + 1, "", Map.of(), "");
            journal.cell("steps", i + 1, "A", rows.get(i)[2], trial, i + 1, "", Map.of(), "");
            journal.cell("steps", i + 1, "q", rows.get(i)[3], trial, i + 1, "", Map.of(), "");
        }
    }

    private static String number(Run run, String channel) {
        return Numbers.fixed(run.read(run.manifest().channel(channel)), 0);
    }

    /** Goes along a row of the chart, one neutron at a time, and notes where it is stable. */
    private static void lasting(DemoJournal journal, RandomSource chance) {
        Run run = journal.bench("chart");
        List<String[]> found = new ArrayList<>(List.of(ELEMENTS));
        found.add(OWN[chance.below(OWN.length)]);
        for (int row = 1; row <= found.size(); row++) {
            double protons = Double.parseDouble(found.get(row - 1)[1]);
            int least = -1;
            int most = -1;
            for (int n = (int) protons - 2; n <= 1.6 * protons + 1; n++) {
                run.act(new Action.Perform("nucleus", Tree.of("protons", protons, "neutrons", (double) n)));
                if (run.outcome(run.manifest().outcome("lasting")) == 0) {
                    least = least < 0 ? n : least;
                    most = n;
                }
            }
            journal.cell("stable", row, "el", found.get(row - 1)[0]);
            journal.cell("stable", row, "Z", found.get(row - 1)[1]);
            journal.cell("stable", row, "lo", String.valueOf(least));
            journal.cell("stable", row, "hi", String.valueOf(most));
        }
        journal.keep("chart", 1, run);
    }

    private static void challenges(DemoJournal journal, RandomSource chance) {
        int from = chance.below(CHALLENGES.length);
        for (int row = 1; row <= 4; row++) {
            String[] one = CHALLENGES[(from + row) % CHALLENGES.length];
            Run run = journal.bench("wanted", Map.of("challenge", one[0]));
            run.act(new Action.Perform("nucleus", Tree.of("protons", Double.valueOf(one[2]), "neutrons",
                    Double.valueOf(one[3]))));
            run.act(new Action.Perform("electrons", Tree.of("electrons", Double.valueOf(one[4]))));
            String trial = journal.keep("wanted", row, run);
            journal.cell("built", row, "what", one[1]);
            journal.cell("built", row, "p", one[2], trial, 2, "", Map.of(), "");
            journal.cell("built", row, "n", one[3], trial, 2, "", Map.of(), "");
            journal.cell("built", row, "e", one[4], trial, 2, "", Map.of(), "");
        }
    }

    /** Builds the ion on the bench and takes it from there, and labels it. */
    private static void drawing(DemoJournal journal) {
        Run run = journal.bench("wanted");
        run.act(new Action.Perform("nucleus", Tree.of("protons", 8.0, "neutrons", 10.0)));
        run.act(new Action.Perform("electrons", Tree.of("electrons", 10.0)));
        Paper paper = ((DrawingBlock) journal.sheet().block("sketch")).paper();
        Drawn pieces = new Drawing(paper, Drawn.NOTHING).taking(run.drawing()).drawn();
        Drawn.Laid electron = pieces.pieces().get(pieces.pieces().size() - 1);
        List<Drawn.Label> labels = List.of(new Drawn.Label(1, 72, 46, 118, 22), new Drawn.Label(2, electron.x(), electron.y(),
                8, 10), new Drawn.Label(3, 104, 50, 118, 50));
        journal.add("sketch", "drawn", new Drawn(pieces.pieces(), labels, List.of(), List.of(), Map.of("A", "18", "q",
                "2−")).toTree());
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        drawing(journal);
        return List.of(new Answer("sketch", "", ""), new Answer("mean", "35.45", "u"), new Answer("argon", "8", ""), new Answer("ion", "-2", ""),
                new Answer("charged", "2, 3, 4", "Each time a proton or an electron came or went the charge did, "
                        + "never with a neutron."),
                new Answer("neutrons", "21", ""),
                new Answer("ratio", Numbers.print(journal.number("stable", 3, "hi") / journal.number("stable", 3, "Z"),
                        2), ""));
    }

    @Override
    List<String> explanations() {
        return List.of("Protons make the element and electrons make the charge and neutrons make it heavier.",
                "Protons decide the element, protons less electrons the charge. In my chart light nuclei last with as "
                        + "many neutrons "
                        + "as protons, calcium with up to 26. Chlorine's mass is in the middle.",
                "The element is the number of protons, nothing else. The charge is protons less electrons; a neutron "
                        + "never "
                        + "changed it. Light nuclei last with as many neutrons as protons, calcium with up to 1.3 "
                        + "times as many, "
                        + "and with too many or too few they turn into another element. 35.45 is the mean of two "
                        + "kinds of chlorine, "
                        + "three to one; no single atom has that mass.");
    }

    @Override
    List<String> comments() {
        return List.of("What do your steps say about the neutrons?", "Good. Why isn't the mean in the very middle?",
                "A rule card one could hang up.");
    }
}
