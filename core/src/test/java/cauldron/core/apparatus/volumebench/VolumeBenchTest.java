package cauldron.core.apparatus.volumebench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Water is kept, scales are true, what dips in displaces its part, the balance weighs what is on it. */
class VolumeBenchTest {

    private static final VolumeBench BENCH = new VolumeBench();

    private static Run run(Object... settings) {
        return new Run(BENCH, Settings.of(BENCH.manifest(), Tree.of(settings)), 7);
    }

    private static void act(Run run, String act, Object... with) {
        run.act(new Action.Perform(act, Tree.of(with)));
    }

    private static double read(Run run, Channel channel) {
        return run.read(channel);
    }

    private static double came(Run run, Outcome outcome) {
        return run.outcome(outcome);
    }

    private static double came(Run run, String outcome) {
        return run.outcome(run.manifest().outcome(outcome));
    }

    private static double allWater(Run run) {
        double sum = 0;
        for (Channel channel : BENCH.inside) {
            sum += read(run, channel);
        }
        for (Channel channel : BENCH.elsewhere) {
            sum += read(run, channel);
        }
        return sum;
    }

    /** Whatever is done, refused or not: a thousand random acts lose nothing. */
    @Test
    void waterIsKept() {
        RandomSource chance = new RandomSource(11);
        String[] vessels = {"jug", "first", "second", "third", "beaker", "can", "sink"};
        String[] spots = {"first", "second", "third", "beaker", "can", "balance", "shelf"};
        int done = 0;
        for (int trial = 0; trial < 20; trial++) {
            Run run = run("first-fill", 100.0, "second-fill", 20.0, "can-fill", 200.0);
            double before = allWater(run);
            for (int i = 0; i < 50; i++) {
                List<Object> with = new ArrayList<>();
                int what = chance.below(4);
                String act = what == 0 ? "pour" : what == 1 ? "put" : what == 2 ? "drops" : "stand";
                if (what == 0) {
                    with.addAll(List.of("from", vessels[chance.below(6)], "into", vessels[chance.below(7)], "amount",
                            0.5 + 100 * chance.unit()));
                } else if (what == 1) {
                    with.addAll(List.of("thing", Thing.values()[chance.below(6)].id, "to", spots[chance.below(7)],
                            "how",
                            chance.below(2) == 0 ? "free" : "held"));
                } else if (what == 2) {
                    with.addAll(List.of("into", vessels[1 + chance.below(5)], "way", chance.below(2) == 0 ? "in"
                            : "out"));
                } else {
                    with.addAll(List.of("vessel", vessels[1 + chance.below(4)], "at", new String[] {"home", "spout",
                        "balance"}[chance.below(3)]));
                }
                try {
                    act(run, act, with.toArray());
                    done++;
                } catch (IllegalArgumentException e) {
                    // What can't be done changes nothing.
                }
                assertThat(allWater(run)).isCloseTo(before, within(before * 1e-12));
                BENCH.inside.forEach(c -> assertThat(read(run, c)).isGreaterThanOrEqualTo(0));
            }
        }
        assertThat(done).isGreaterThan(400);
    }

    /** Read at the bottom of the curve with a level eye, every cylinder tells what is in it. */
    @ParameterizedTest
    @EnumSource(Cylinder.class)
    void everyScaleIsTrue(Cylinder cylinder) {
        double mL = cylinder.capacity * 1e6;
        for (double share : new double[] {0.1, 0.37, 0.5, 0.93}) {
            Run run = run("second", cylinder.id, "second-fill", share * mL);
            double inside = read(run, BENCH.inside.get(1));
            assertThat(inside * 1e6).isCloseTo(share * mL, within(0.03 * share * mL + 0.25));
            assertThat(came(run, BENCH.level.get(1))).isCloseTo(inside, within(1e-18));
            double rise = cylinder.vessel.curve().rise();
            assertThat(came(run, BENCH.edge.get(1))).isCloseTo(inside + rise * cylinder.vessel.area(), within(1e-15));
            // The scale divides what lies between two labels evenly.
            double label = cylinder.mark(2 * cylinder.labelled) - cylinder.mark(cylinder.labelled);
            double one = cylinder.mark(cylinder.labelled + cylinder.division) - cylinder.mark(cylinder.labelled);
            assertThat(label / one).isCloseTo(cylinder.labelled / cylinder.division, within(1e-9));
            assertThat(Math.rint(label / one)).isCloseTo(label / one, within(1e-9));
        }
    }

    @Test
    void theEyeHasToBeLevel() {
        Run run = run("second-fill", 30.0, "eye", 25.0);
        double level = came(run, BENCH.level.get(1));
        assertThat(came(run, BENCH.asSeen.get(1))).isGreaterThan(level + 1e-6);
        assertThat(read(run, BENCH.seen.get(1))).isEqualTo(came(run, BENCH.asSeen.get(1)));
        act(run, "look", "height", 0.0);
        assertThat(came(run, BENCH.asSeen.get(1))).isLessThan(level - 0.5e-6);
        double height = run.scene().of(BENCH.bottomOfCurve.get(1));
        act(run, "look", "height", 100 * height);
        assertThat(came(run, BENCH.asSeen.get(1))).isCloseTo(level, within(1e-15));
        assertThat(read(run, BENCH.eye)).isCloseTo(height, within(1e-15));
    }

    @Test
    void whatSinksDisplacesItsVolumeAndWhatFloatsItsMass() {
        Run run = run("second-fill", 25.0);
        double before = came(run, BENCH.level.get(1));
        act(run, "put", "thing", "nut", "to", "second");
        assertThat(came(run, BENCH.level.get(1)) - before).isCloseTo(came(run, "volume.nut"), within(1e-15));
        assertThat(came(run, BENCH.under)).isCloseTo(came(run, "volume.nut"), within(1e-18));
        act(run, "put", "thing", "nut", "to", "shelf");
        double wiped = before - came(run, BENCH.level.get(1));
        assertThat(wiped).isBetween(0.01e-6, 0.06e-6);
        act(run, "put", "thing", "cork", "to", "second");
        double floats = came(run, BENCH.level.get(1)) - before + wiped;
        assertThat(floats).isCloseTo(came(run, "mass.cork") / OnTable.DENSITY, within(1e-15));
        act(run, "put", "thing", "cork", "to", "second", "how", "held");
        assertThat(came(run, BENCH.level.get(1)) - before + wiped).isCloseTo(came(run, "volume.cork"), within(1e-15));
    }

    /** A prism that stands out of the water has the part of it under water that the depth is of its height. */
    @Test
    void inTooLittleWaterAThingStandsOut() {
        Run run = run("second-fill", 4.0);
        double water = read(run, BENCH.inside.get(1));
        act(run, "put", "thing", "sinker", "to", "second");
        double under = came(run, BENCH.under);
        assertThat(under).isLessThan(0.9 * came(run, "volume.sinker"));
        Vessel fifty = Cylinder.FIFTY.vessel;
        double section = came(run, "volume.sinker") / (0.028 * run.scene().of(BENCH.size.get(1)));
        double depth = water / (fifty.area() - section);
        assertThat(under).isCloseTo(section * depth, within(1e-15));
    }

    @Test
    void severalThingsAreUnderWaterTogether() {
        Immersion three = new Immersion(1, new double[] {0.2, 0.3, 0.1}, new double[] {0.02, 0.3, 0.4}, 3);
        for (double water : new double[] {0, 0.01, 0.05, 0.2, 1, 5}) {
            double depth = three.depth(water);
            assertThat(depth - three.under(depth)).isCloseTo(water, within(1e-14));
        }
    }

    @Test
    void aFullCanGivesTheVolumeAndOneThatIsntGivesLess() {
        Run run = run("can-fill", 240.0);
        act(run, "stand", "vessel", "beaker", "at", "spout");
        double missing = Table.CAN.area() * Table.CAN.brim() - read(run, BENCH.elsewhere.get(2));
        act(run, "put", "thing", "shackle", "to", "can");
        double volume = came(run, "volume.shackle");
        assertThat(missing).isBetween(1e-6, volume - 1e-6);
        assertThat(came(run, BENCH.ranOver)).isCloseTo(volume - missing, within(1e-15));
        act(run, "put", "thing", "shackle", "to", "shelf");
        act(run, "pour", "from", "beaker", "into", "sink", "amount", 200.0);
        act(run, "pour", "from", "jug", "into", "can", "amount", 100.0);
        act(run, "pour", "from", "beaker", "into", "sink", "amount", 200.0);
        double film = read(run, BENCH.elsewhere.get(1));
        assertThat(film).isBetween(0.05e-6, 0.4e-6);
        act(run, "put", "thing", "shackle", "to", "can");
        assertThat(came(run, BENCH.ranOver)).isCloseTo(volume, within(1e-15));
        assertThat(read(run, BENCH.elsewhere.get(1)) - film).isCloseTo(volume, within(1e-15));
        // Into a finer cylinder, all but a few drops.
        act(run, "pour", "from", "beaker", "into", "third", "amount", 100.0);
        assertThat(volume - came(run, BENCH.level.get(2))).isBetween(-0.2e-6, 0.2e-6);
    }

    @Test
    void withNothingUnderTheSpoutItRunsOntoTheTable() {
        Run run = run("can-fill", 241.0);
        act(run, "pour", "from", "jug", "into", "can", "amount", 50.0);
        assertThat(read(run, BENCH.elsewhere.get(4))).isGreaterThan(30e-6);
        assertThat(run.scene().of(BENCH.justRan)).isGreaterThan(30);
        act(run, "look", "height", 5.0);
        act(run, "put", "thing", "nut", "to", "balance");
        assertThat(run.scene().of(BENCH.justRan)).isZero();
    }

    @Test
    void theBalanceWeighsToAHundredthOfAGram() {
        Run run = run("second-fill", 40.0);
        assertThat(read(run, BENCH.balance)).isZero();
        act(run, "stand", "vessel", "second", "at", "balance");
        double all = 0.070 + OnTable.DENSITY * read(run, BENCH.inside.get(1));
        assertThat(read(run, BENCH.balance)).isCloseTo(all, within(0.51e-5));
        act(run, "tare");
        act(run, "put", "thing", "nut", "to", "second");
        assertThat(read(run, BENCH.balance)).isCloseTo(came(run, "mass.nut"), within(1.1e-5));
        assertThat(came(run, "mass.nut") / came(run, "volume.nut")).isCloseTo(8470, within(1e-9));
        assertThatThrownBy(() -> act(run, "put", "thing", "seal", "to", "balance")).hasMessage("There is something on "
                + "the balance");
    }

    @Test
    void moreThanABalanceCarriesItDoesntShow() {
        Run run = run("first", "250", "first-fill", 250.0);
        act(run, "put", "thing", "shackle", "to", "first");
        act(run, "stand", "vessel", "first", "at", "balance");
        assertThat(read(run, BENCH.balance)).isNaN();
        assertThat(run.scene().isUp(BENCH.overloaded)).isTrue();
        act(run, "put", "thing", "shackle", "to", "shelf");
        assertThat(read(run, BENCH.balance)).isBetween(0.48, 0.5);
    }

    @Test
    void aHandPoursAboutWhatIsWantedAndAPipetteExactly() {
        Run run = run();
        act(run, "pour", "from", "jug", "into", "second", "amount", 30.0);
        double came = read(run, BENCH.inside.get(1)) * 1e6;
        assertThat(came).isCloseTo(30, within(1.15)).isNotEqualTo(30);
        act(run, "drops", "into", "second", "drops", 10.0, "way", "in");
        assertThat(read(run, BENCH.inside.get(1)) * 1e6).isCloseTo(came + 0.5, within(1e-9));
        act(run, "fill", "from", "second", "into", "first", "to", 12.0);
        assertThat(read(run, BENCH.inside.get(0)) * 1e6).isCloseTo(12, within(0.62));
        act(run, "pour", "from", "second", "into", "first", "amount", 500.0);
        // A film stays; another go brings nothing.
        assertThat(read(run, BENCH.inside.get(1)) * 1e6).isBetween(0.02, 0.2);
        assertThatThrownBy(() -> act(run, "pour", "from", "second", "into", "first", "amount", 5.0))
                .hasMessage("Nothing more comes out of the second cylinder");
    }

    @Test
    void whatCantBeIsRefusedInWords() {
        Run run = run("second-fill", 20.0);
        assertThatThrownBy(() -> act(run, "put", "thing", "shackle", "to", "second"))
                .hasMessage("The shackle doesn't go into the second cylinder: it is wider than the opening");
        act(run, "put", "thing", "nut", "to", "second");
        assertThatThrownBy(() -> act(run, "put", "thing", "cork", "to", "second"))
                .hasMessage("There is no room left in the second cylinder");
        assertThatThrownBy(() -> act(run, "pour", "from", "second", "into", "second", "amount", 1.0))
                .hasMessage("From and into are the same vessel");
        assertThatThrownBy(() -> act(run, "fill", "from", "jug", "into", "second", "to", 3.0))
                .hasMessage("The water in the second cylinder stands higher already");
        assertThatThrownBy(() -> act(run, "stand", "vessel", "first", "at", "spout")).hasMessage("It is too tall for "
                + "the spout");
        act(run, "stand", "vessel", "third", "at", "spout");
        assertThatThrownBy(() -> act(run, "stand", "vessel", "beaker", "at", "spout"))
                .hasMessage("Under the spout stands the third cylinder");
        assertThatThrownBy(() -> act(run, "drops", "into", "third", "way", "out")).hasMessageContaining("less than "
                + "that");
        assertThat(run.time()).isEqualTo(2);
    }

    @Test
    void lettingGoMeansWhatIsThere() {
        Run run = run("second-fill", 30.0);
        assertThat(run.meant(BENCH.look, 0, 0.3, 0.1234, Map.of()).with()).isEqualTo(Tree.of("height", 12.3));
        double mark = Cylinder.FIFTY.mark(40e-6);
        assertThat(run.meant(BENCH.fillUp, 0, Table.CYLINDERS[1], mark + 1e-5, Map.of()).with())
                .isEqualTo(Tree.of("from", "jug", "into", "second", "to", 40.0));
        assertThat(run.meant(BENCH.fillUp, 2, Table.SINK_AT, -0.05, Map.of()).with()).containsEntry("into", "sink");
        assertThat(run.meant(BENCH.fillUp, 2, 0.6, 0.2, Map.of())).isNull();
        assertThat(run.meant(BENCH.stand, 2, Table.SPOUT_AT, 0.05, Map.of()).with())
                .isEqualTo(Tree.of("vessel", "third", "at", "spout"));
        double surface = run.scene().of(BENCH.bottomOfCurve.get(1));
        assertThat(run.meant(BENCH.put, 2, Table.CYLINDERS[1], surface + 0.02, Map.of()).with())
                .isEqualTo(Tree.of("thing", "cork", "to", "second", "how", "free"));
        assertThat(run.meant(BENCH.put, 2, Table.CYLINDERS[1], surface - 0.02, Map.of()).with()).containsEntry("how",
                "held");
        assertThat(run.meant(BENCH.put, 4, Table.PAN_AT, 0.05, Map.of()).with()).containsEntry("to", "balance");
        assertThat(run.meant(BENCH.put, 4, 0.2, -0.07, Map.of()).with()).containsEntry("to", "shelf");
    }

    /** Another seed has things of another size, of the same density. */
    @Test
    void everyoneHasThingsOfTheirOwn() {
        Run one = run();
        Run other = new Run(BENCH, Settings.of(BENCH.manifest(), Map.of()), 8);
        assertThat(came(one, "volume.shackle")).isNotCloseTo(came(other, "volume.shackle"), within(1e-9));
        assertThat(came(one, "density.shackle")).isEqualTo(came(other, "density.shackle"));
        BENCH.volumes.forEach(v -> assertThat(Tree.flag(BENCH.manifest().toTree().get("outcomes") instanceof List<?> all
                ? cast(all.get(BENCH.manifest().outcomes().indexOf(v))) : Map.of(), "unshown")).isTrue());
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> cast(Object tree) {
        return (Map<String, Object>) tree;
    }
}
