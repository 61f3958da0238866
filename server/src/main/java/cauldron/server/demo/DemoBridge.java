package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.Map;

/** How far a drop will go: the gap at the last whole frame of some liquids, against their molar mass. */
final class DemoBridge extends DemoScript {

    private static final List<String> LIQUIDS = List.of("water", "glycerol", "hexane", "decane", "octane", "diol");
    private static final double[] MOLAR = {18.0, 92.1, 86.2, 142.3, 114.2, 62.1};
    private static final int[] DENSITY = {998, 1261, 659, 730, 703, 1113};
    private static final List<String> NAMES = List.of("water", "glycerol", "hexane", "decane", "octane",
            "ethane-1,2-diol");
    private static final int ROWS = 5;
    private static final double READ = 0.03;
    private static final double FRAMES_A_SECOND = 60;

    @Override
    String slug() {
        return "drop-drawn";
    }

    @Override
    List<String> predictions() {
        return List.of("Honey makes long threads too.", "Water has strong hydrogen bonds.",
                "What flows easily can stretch easily.", "They all have the same size.");
    }

    @Override
    void measure(DemoJournal journal, boolean all, RandomSource chance) {
        // The last one is theirs to choose.
        int[] taken = {0, 1, 2, 3, 4 + chance.below(2)};
        for (int row = 1; row <= (all ? ROWS : 2); row++) {
            int which = taken[row - 1];
            DemoJournal.Filmed filmed = journal.film("films", Tree.of("liquid", LIQUIDS.get(which)));
            Run run = filmed.run(filmed.plan().seconds());
            double frame = Math.floor(times(run, "parted").get(0) * FRAMES_A_SECOND);
            run.seek(frame / FRAMES_A_SECOND);
            double gap = 1000 * run.read(run.manifest().channel("gap"));
            journal.cell("gaps", row, "liquid", NAMES.get(which));
            journal.cell("gaps", row, "M", Numbers.fixed(MOLAR[which], 1));
            journal.cell("gaps", row, "rho", String.valueOf(DENSITY[which]));
            journal.cell("gaps", row, "h", Numbers.fixed(gap + READ * chance.normal(), 2),
                    filmed.trial().id().toString(), frame, "close", Map.of(), "0.05");
        }
    }

    @Override
    List<Answer> analyse(DemoJournal journal) {
        double widest = 0;
        for (int row = 1; row <= ROWS; row++) {
            widest = Math.max(widest, journal.number("gaps", row, "h"));
        }
        double length = 2 / (3.66 - 1.043 * widest / 2);
        return List.of(new Answer("frame", "0.0083", "mm"), new Answer("length", Numbers.print(length, 3), "mm"),
                new Answer("tension", Numbers.print(998 * 9.81e-3 * length * length, 3), "mN/m"),
                new Answer("weight", "0.392", "mN"));
    }

    @Override
    List<String> explanations() {
        return List.of("Water went furthest, then glycerol, and hexane the least. Water has hydrogen bonds.",
                "Water, glycerol, decane, hexane. In the alkanes only weak forces pull, and a longer chain has more of "
                        + "them. Water and glycerol have hydrogen bonds, those are much stronger, so water is first "
                        + "although it is the lightest molecule.",
                "The order is water, glycerol, then the others close together, hexane last. Hexane and decane are not "
                        + "polar; the longer one holds a bit better. Ethane-1,2-diol has two OH for its small size, so it is "
                        + "far above them. Water has two H and two free pairs for every small molecule. Glycerol is a "
                        + "thousand times thicker than water and still parts before it: viscosity only makes the "
                        + "thread last longer.");
    }

    @Override
    List<String> comments() {
        return List.of("Yes. And the others, why in that order?", "Good reasons. What about thick liquids?",
                "A full answer, with the case that decides about viscosity.");
    }
}
