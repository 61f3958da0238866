package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.instrument.stopwatch.Stopwatch;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Settings that bound each other, outcomes that are stopped at, a profile as rows, a crowd on film. */
class BoundedAndSettledTest {

    /** A lift that notes each floor it has come to the middle of, with a swarm of lamps along its shaft. */
    static class Lift extends Apparatus {

        final Amount height = amount("height", "H", "Height of the shaft", "m").within(2, 50).first(20).live();
        final Amount gate = amount("gate", "h", "Height of the gate", "m").within(1, 50).first(10).noMoreThan(height).live();
        final Channel y = channel("y", "y", "Height", "m").typically(0, 50);
        final Outcome floor = outcome("floor", "n", "Floor", "");
        final Profile light = profile("light", "Light along the shaft").along("h", "height", "cm").up("E", "light", "lx");
        final View front = view("front", "Front");
        final Place cage = place("cage").filmed();

        Lift() {
            super("lift", 1, "Lift");
            about("A lift goes up.", "speed");
            tray(Stopwatch.toHundredths());
            upToSpeed(1024);
        }

        @Override
        public Frame frame(View view, Settings settings) {
            return new Frame(0, 0, 1, 10);
        }

        @Override
        public Experiment prepare(Settings s, int seed) {
            return new Experiment(this, s) {
                private final Register now = register(0);

                @Override
                public double time() {
                    return now.get();
                }

                @Override
                public void advanceTo(double time, EventSink sink) {
                    now.set(time);
                }

                @Override
                public void read(Readings out) {
                    out.put(y, now.get());
                }

                @Override
                public void scene(Scene out) {
                    out.put(cage, 0.5, now.get());
                }

                @Override
                public void outcomes(Outcomes out) {
                    // Floors are e metres apart, so that no moment is one of a sample's.
                    if (now.get() >= Math.E) {
                        out.put(floor, Math.floor(now.get() / Math.E));
                    }
                }

                @Override
                public void profile(Profile profile, ProfileLines out) {
                    for (String line : List.of("by day", "by night")) {
                        out.line(line);
                        for (int i = 0; i <= 2; i++) {
                            out.point(i, 12.3456789 * i + now.get());
                        }
                    }
                }

                @Override
                public int crowdSize() {
                    return 150;
                }

                @Override
                public int crowd(double[] out) {
                    int lit = now.get() < 1 ? 2 : 3;
                    for (int i = 0; i < lit; i++) {
                        out[3 * i] = 0.25;
                        out[3 * i + 1] = i + now.get();
                        out[3 * i + 2] = i % 2;
                    }
                    return lit;
                }

                @Override
                protected void changed(Setting setting, Settings before, EventSink sink) {
                    // It asks for its settings.
                }

                @Override
                protected void restored() {
                    // Nothing follows.
                }
            };
        }
    }

    private static final Lift LIFT = new Lift();

    private static Settings settings(Object... some) {
        return Settings.of(LIFT.manifest(), Tree.of(some));
    }

    @Test
    void whatIsBoundedComesDownWithWhatBoundsIt() {
        Settings high = settings("height", 30, "gate", 25);
        assertThat(high.si(LIFT.gate)).isEqualTo(25);
        Settings low = high.with(LIFT.height, 12.0);
        assertThat(low.si(LIFT.gate)).isEqualTo(12);
        assertThat(low.with(LIFT.height, 30.0).si(LIFT.gate)).as("and stays there").isEqualTo(12);
        assertThat(settings("height", 5).si(LIFT.gate)).as("what it begins with, too").isEqualTo(5);
        Run run = new Run(LIFT, high, 1);
        run.seek(1);
        run.act(new Action.Change("height", 12.0));
        assertThat(Run.replay(LIFT, run.recipe(), 1).settingsNow().toTree()).containsEntry("gate", 12.0);
    }

    @Test
    void whatIsTypedAboveItsBoundIsToldWithTheBound() {
        assertThat(LIFT.gate.check("8 m", settings("height", 9))).isEqualTo(8.0);
        assertThatThrownBy(() -> LIFT.gate.check("950 cm", settings("height", 9))).isInstanceOf(SettingException.class)
                .hasMessage("Height of the gate: can't be 9.5 m while Height of the shaft is 9 m. Allowed: 1 to 9 m");
        assertThatThrownBy(() -> LIFT.gate.check(60, settings("height", 9))).hasMessageContaining("Allowed: 1 to 50 m");
    }

    @Test
    void aBoundIsDeclaredAboveInTheSameUnitAndReachesNoLower() {
        class Odd extends Lift {
            final Amount share = amount("share", "s", "Share", "%").within(0, 5).noMoreThan(height);
            final Amount deep = amount("deep", "d", "Depth", "m").within(3, 5).first(4).noMoreThan(height);
            final Amount later = amount("later", "l", "Later", "m").within(2, 5);
            final Amount sooner = amount("sooner", "e", "Sooner", "m").within(1, 5).noMoreThan(new Lift().height);
        }
        assertThat(catchThrowableOfType(DeclarationException.class, () -> new Odd().manifest()).faults()).contains(
                "setting “share”: is bounded by a setting in another unit",
                "setting “deep”: can't come down as far as what bounds it",
                "setting “sooner”: is bounded by a setting that isn't declared above it");
    }

    @Test
    void whatDependsOnOneOfSeveralOptionsIsToldWithAllOfThem() {
        class Several extends Lift {
            final Choice<Integer> drive = choice("drive", "Drive", Integer.class).option("rope", "rope", 1).option("screw", "screw", 2)
                    .option("piston", "piston", 3);
            final Switch fast = toggle("fast", "Fast").when(drive, 1, 3);
            final Body weight = body("weight", "counterweight").when(drive, 1, 2);
        }
        Several several = new Several();
        assertThat(several.manifest().setting("fast").shownWhen()).isEqualTo("drive=rope|piston");
        for (String drive : List.of("rope", "screw", "piston")) {
            Settings set = Settings.of(several.manifest(), Tree.of("drive", drive));
            assertThat(several.weight.nameNow(set)).as(drive).isEqualTo(drive.equals("piston") ? "" : "counterweight");
        }
        class Unknown extends Lift {
            final Choice<Integer> drive = choice("drive", "Drive", Integer.class).option("rope", "rope", 1).option("screw", "screw", 2);
            final Switch fast = toggle("fast", "Fast").when(drive, 1, 7);
            final Switch never = toggle("never", "Never").when(drive);
        }
        assertThat(catchThrowableOfType(DeclarationException.class, () -> new Unknown().manifest()).faults()).contains(
                "setting “fast”: depends on an option that setting “drive” doesn't have",
                "setting “never”: depends on an option that setting “drive” doesn't have");
    }

    @Test
    void aRunStopsWhereAnOutcomeIsSettledAndSettledAnew() {
        Run run = new Run(LIFT, settings(), 1);
        StopAt settled = StopAt.fromTree(Tree.of("type", "outcome", "outcome", "floor"), LIFT.manifest());
        for (int n = 1; n <= 3; n++) {
            while (!run.advance(0.4, settled)) {
                assertThat(run.time()).as("goes on, but not past it").isLessThan(n * Math.E);
            }
            assertThat(run.time()).isCloseTo(n * Math.E, within(1e-14));
            assertThat(run.outcome(LIFT.floor)).isEqualTo(n);
        }
        run.seek(7);
        assertThat(run.back(settled)).isTrue();
        assertThat(run.time()).isCloseTo(2 * Math.E, within(1e-14));
        assertThat(run.back(settled)).isTrue();
        assertThat(run.time()).isCloseTo(Math.E, within(1e-14));
        assertThat(run.back(settled)).isFalse();
        assertThat(run.time()).as("stays where it was").isCloseTo(Math.E, within(1e-14));
        assertThatThrownBy(() -> StopAt.fromTree(Tree.of("type", "outcome", "outcome", "roof"), LIFT.manifest()))
                .hasMessage("Lift has no outcome “roof”");
    }

    @Test
    void aProfileIsRowsAsItIsNow() {
        Run run = new Run(LIFT, settings(), 1);
        run.seek(3);
        run.seek(0.5);
        RunTable table = RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "profile", "profile", "light"), LIFT.manifest()));
        assertThat(table.columns()).extracting(RunTable.Column::symbol).containsExactly("h", "line", "E");
        assertThat(table.columns()).extracting(RunTable.Column::unit).containsExactly("cm", "", "lx");
        assertThat(table.rows()).hasSize(6);
        assertThat(table.rows().get(1)).containsExactly("100.00", "by day", "12.846");
        assertThat(table.rows().get(5)).containsExactly("200.00", "by night", "25.191");
        assertThat(table.times()).containsOnly(0.5);
    }

    @Test
    void aCrowdIsFilmedBodyByBody() {
        Film film = Film.shoot(LIFT, new Run(LIFT, settings(), 1).recipe(), LIFT.front, 1, 1);
        assertThat(film.kinds()).containsExactly(0, 1, 0);
        assertThat(film.lines()).containsEntry("crowd", 3.0);
        int second = film.moving().indexOf("crowd:1.y");
        // 100 picture elements a metre, from the upper edge at 10 m down, in parts of 1/32.
        assertThat(film.body()[second]).isEqualTo((short) (900 * Film.FINENESS));
        assertThat(film.body()[film.moving().size() + second]).isEqualTo((short) (800 * Film.FINENESS));
        int third = film.moving().indexOf("crowd:2.x");
        assertThat(film.body()[third]).as("not there yet").isEqualTo(FilmedLine.NOTHING);
        assertThat(film.body()[film.moving().size() + third]).isEqualTo((short) (25 * Film.FINENESS));
        assertThat(film.header()).containsKey("kinds");
    }
}
