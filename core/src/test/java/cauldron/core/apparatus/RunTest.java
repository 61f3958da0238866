package cauldron.core.apparatus;

import cauldron.core.inventory.Inventory;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.bead.Bead;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The contract, tried on every apparatus there is: time goes both ways and recipes replay. */
class RunTest {

    private static Run fresh(Apparatus apparatus) {
        return new Run(apparatus, Settings.of(apparatus.manifest(), Map.of()), 7);
    }

    private static double[] channels(Run run) {
        return run.channels().clone();
    }

    @Test
    void goingBackAndForthChangesNothingToTheLastBit() {
        for (Apparatus apparatus : Inventory.all()) {
            // As long as twelve seconds on the wall, in the apparatus's own time.
            double second = apparatus.manifest().speed();
            Run straight = fresh(apparatus);
            straight.seek(12.3456 * second);
            Run wandering = fresh(apparatus);
            RandomSource chance = new RandomSource(42);
            for (int i = 0; i < 200; i++) {
                wandering.seek(chance.between(0, 14) * second);
            }
            wandering.seek(12.3456 * second);
            assertThat(channels(wandering)).as(apparatus.manifest().id()).isEqualTo(channels(straight));
            assertThat(wandering.head()).isGreaterThanOrEqualTo(straight.head());
        }
    }

    @Test
    void everyEventIsRecordedOnceInOrder() {
        for (Apparatus apparatus : Inventory.all()) {
            Run run = fresh(apparatus);
            double second = apparatus.manifest().speed();
            run.seek(10 * second);
            double[] events = run.events();
            run.seek(2 * second);
            run.seek(10 * second);
            assertThat(run.events()).isEqualTo(events);
            for (int i = 3; i < events.length; i += 2) {
                assertThat(events[i]).isGreaterThanOrEqualTo(events[i - 2]);
            }
        }
    }

    @Test
    void actingInThePastDropsWhatCameAfterAndTheRecipeReplays() {
        Apparatus pendulum = Inventory.get("pendulum");
        Run run = fresh(pendulum);
        run.seek(8);
        run.act(new Action.Change("length", 0.5));
        run.seek(12);
        run.seek(5);
        run.act(new Action.Change("length", 1.5));
        assertThat(run.head()).isEqualTo(5);
        assertThat(run.recipe().actions()).hasSize(1);
        run.seek(20);
        Run again = Inventory.replay(Recipe.fromTree(run.recipe().toTree()), 20);
        assertThat(channels(again)).isEqualTo(channels(run));
        assertThat(again.events()).isEqualTo(run.events());
    }

    @Test
    void aSettingChangedInADroppedFutureIsForgotten() {
        Run run = fresh(Inventory.get("pendulum"));
        run.seek(8);
        run.act(new Action.Change("length", 0.5));
        run.seek(5);
        run.act(new Action.Change("mass", 400.0));
        run.seek(10);
        assertThat(channels(run)).isEqualTo(channels(Inventory.replay(run.recipe(), 10)));
    }

    @Test
    void samplesAreTheChannelAtTheirTimes() {
        Run run = fresh(Inventory.get("pendulum"));
        run.seek(3);
        double[] samples = run.samples(run.manifest().channel("angle")).clone();
        assertThat(run.sampleCount()).isEqualTo(181);
        for (int i : new int[] {0, 17, 100, 180}) {
            run.seek(i * run.manifest().interval());
            assertThat(samples[i]).isEqualTo(run.read(run.manifest().channel("angle")));
        }
    }

    @Test
    void aRecipeOfAnotherModelIsNeverReplayedSilently() {
        Apparatus pendulum = Inventory.get("pendulum");
        int today = pendulum.manifest().modelVersion();
        for (int other : new int[] {today - 1, today + 1}) {
            Recipe recipe = new Recipe("pendulum", other, Map.of(), 1, List.of());
            assertThatThrownBy(() -> Inventory.replay(recipe, 1)).isInstanceOf(OtherModelException.class)
                    .hasMessageContaining(other < today ? "an earlier model of the pendulum" : "a newer model of the pendulum")
                    .hasMessageContaining("made anew with the same settings");
            assertThatThrownBy(() -> Inventory.shoot(recipe, "side", 10, 1)).isInstanceOf(OtherModelException.class);
        }
    }

    @Test
    void anOldRecipeWhoseNumbersStayedIsCarriedOver() {
        Recipe old = new Recipe("bead", 0, Map.of("curvature", 2.0), 1, List.of(new Recipe.Timed(0.5, new Action.Change("curvature", 1.5))));
        class Renamed extends Bead {
            @Override
            protected Recipe migrate(Recipe older) {
                return older.renamed(1, "curvature", "bend");
            }
        }
        Recipe now = new Renamed().now(old);
        assertThat(now.settings()).isEqualTo(Map.of("bend", 2.0));
        assertThat(now.actions().get(0).action()).isEqualTo(new Action.Change("bend", 1.5));
        Run run = Run.replay(new Renamed(), old, 1);
        assertThat(run.recipe().modelVersion()).isEqualTo(1);
        assertThat(run.settingsNow().toTree()).containsEntry("bend", 1.5);
    }

    @Test
    void aTimeThatIsOverIsNoPlaceToStopAt() {
        Run run = fresh(Inventory.get("pendulum"));
        run.seek(3);
        StopAt.Time two = new StopAt.Time(2);
        assertThatThrownBy(() -> two.checkAhead(run)).hasMessageContaining("over already: go back");
        assertThatThrownBy(() -> new StopAt.Time(3).checkAhead(run)).isInstanceOf(IllegalArgumentException.class);
        new StopAt.Time(3.5).checkAhead(run);
        assertThat(run.back(two)).isTrue();
        assertThat(run.time()).isEqualTo(2);
        run.seek(1);
        two.checkAhead(run);
    }

    @Test
    void stopsWhereItIsToldExactly() {
        Run run = fresh(Inventory.get("pendulum"));
        Manifest m = run.manifest();
        assertThat(run.advance(10, StopAt.fromTree(Tree.of("type", "crossing", "channel", "angle", "value", 12.5), m)))
                .isTrue();
        assertThat(run.read(m.channel("angle"))).isCloseTo(Math.toRadians(12.5), within(1e-10));
        assertThat(run.advance(10, StopAt.fromTree(Tree.of("type", "event", "event", "highest", "count", 3.0), m)))
                .isTrue();
        assertThat(run.read(m.channel("angular-speed"))).isZero();
        assertThat(run.count(m.event("highest"), 0, run.time())).isEqualTo(3);
        assertThat(run.advance(0.5, StopAt.fromTree(Tree.of("type", "time", "time", 100.0), m))).isFalse();
        assertThatThrownBy(() -> StopAt.fromTree(Tree.of("type", "event", "event", "explosion"), m))
                .hasMessageContaining("explosion");
    }

    @Test
    void goesBackToWhereAConditionWasLastMet() {
        Run run = fresh(Inventory.get("pendulum"));
        Manifest m = run.manifest();
        run.seek(9.3);
        assertThat(run.back(StopAt.fromTree(Tree.of("type", "crossing", "channel", "angle", "value", 7.0), m))).isTrue();
        assertThat(run.read(m.channel("angle"))).isCloseTo(Math.toRadians(7), within(1e-9));
        assertThat(run.time()).isBetween(7.0, 9.3);
        double first = run.time();
        assertThat(run.back(StopAt.fromTree(Tree.of("type", "crossing", "channel", "angle", "value", 7.0), m))).isTrue();
        assertThat(run.time()).isLessThan(first - 0.01);
        assertThat(run.back(StopAt.fromTree(Tree.of("type", "event", "event", "highest", "count", 2.0), m))).isTrue();
        assertThat(run.read(m.channel("angular-speed"))).isZero();
        assertThat(run.head()).isEqualTo(9.3);
        assertThat(run.back(StopAt.fromTree(Tree.of("type", "time", "time", 9.0), m))).isFalse();
        assertThat(run.back(StopAt.fromTree(Tree.of("type", "time", "time", 0.5), m))).isTrue();
        assertThat(run.time()).isEqualTo(0.5);
        assertThat(run.back(StopAt.fromTree(Tree.of("type", "crossing", "channel", "angle", "value", 70.0), m))).isFalse();
        assertThat(run.time()).isEqualTo(0.5);
    }

    @Test
    void whereAHandleWasIsKeptWithEverySample() {
        Run run = fresh(Inventory.get("pendulum"));
        run.seek(8);
        for (int i : new int[] {0, 100, 400}) {
            run.seek(i * run.manifest().interval());
            assertThat(run.path(run.manifest().handle("bob"))[2 * i]).isEqualTo(run.scene().of(run.manifest().sceneField("bob.x")));
            assertThat(run.path(run.manifest().handle("bob"))[2 * i + 1]).isEqualTo(run.scene().of(run.manifest().sceneField("bob.y")));
        }
    }

    @Test
    void settingsAreCheckedByNameRangeAndUnit() {
        Manifest m = Inventory.get("pendulum").manifest();
        assertThat(m.setting("length").check("85 cm")).isEqualTo(0.85);
        assertThat(m.setting("length").check("1,2")).isEqualTo(1.2);
        assertThat(m.setting("mass").check("0.3 kg")).isEqualTo(300.0);
        assertThatThrownBy(() -> m.setting("length").check(3)).isInstanceOf(SettingException.class)
                .hasMessage("Length to the middle of the bob: can't be 3 m. Allowed: 0.1 to 2.5 m");
        assertThatThrownBy(() -> m.setting("length").check("2 s")).hasMessageContaining("can't be in s");
        assertThatThrownBy(() -> m.setting("place").check("venus")).hasMessageContaining("choose one of Earth");
        assertThatThrownBy(() -> Settings.of(m, Map.of("wheels", 4))).hasMessageContaining("no setting “wheels”");
    }

    @Test
    void anActionThatCantBeDoneIsRefusedAndLeavesTheRunAsItWas() {
        Run run = fresh(Inventory.get("pendulum"));
        run.seek(1);
        double[] before = channels(run);
        for (Action action : List.of(new Action.LetGo(), new Action.Move(1, 1), new Action.Change("angle", 3.0),
                new Action.Change("length", 99.0), new Action.Perform("fly"))) {
            assertThatThrownBy(() -> run.act(action)).as(action.toString())
                    .isInstanceOf(IllegalArgumentException.class);
        }
        assertThat(channels(run)).isEqualTo(before);
        assertThat(run.recipe().actions()).isEmpty();
    }

    @Test
    void aFilmShowsWhatTheCameraSawAndNothingElse() {
        Recipe recipe = new Recipe("pendulum", 2, Map.of("held", true, "angle", 30.0, "length", 0.8), 1,
                List.of(new Recipe.Timed(0.51, new Action.Perform("open-catch"))));
        Film film = Inventory.shoot(recipe, "side", 120, 2);
        assertThat(film.frames()).isEqualTo(241);
        assertThat(film.moving()).containsExactly("bob.x", "bob.y", "catch.shut");
        assertThat(film.still()).containsOnlyKeys("pivot.x", "pivot.y", "bob.radius");
        double px = (Double) film.still().get("pivot.x");
        double py = (Double) film.still().get("pivot.y");
        for (int f = 0; f < film.frames(); f++) {
            double length = Math.hypot(film.body()[3 * f] - px, film.body()[3 * f + 1] - py);
            assertThat(length / Film.FINENESS / film.scale()).isCloseTo(0.8, within(1e-4));
            assertThat(film.body()[3 * f + 2]).isEqualTo((short) (f < 62 ? 1 : 0));
        }
        assertThat(film.header()).containsOnlyKeys("rate", "frames", "width", "height", "scale", "fineness", "still",
                "moving", "lines", "kinds");
    }

    @Test
    void chanceIsTheSameEverywhereAndEven() {
        RandomSource chance = new RandomSource(1);
        double first = chance.unit();
        assertThat(new RandomSource(1).unit()).isEqualTo(first);
        double sum = 0;
        double squares = 0;
        int n = 100_000;
        for (int i = 0; i < n; i++) {
            double u = chance.unit();
            assertThat(u).isBetween(0.0, 1.0);
            double z = chance.normal();
            sum += u;
            squares += z * z;
        }
        // Five standard errors: 1/√(12n) for the mean, √(2/n) for the variance.
        assertThat(sum / n).isCloseTo(0.5, within(5 / Math.sqrt(12.0 * n)));
        assertThat(squares / n).isCloseTo(1, within(5 * Math.sqrt(2.0 / n)));
    }
}
