package cauldron.core.apparatus.swiftshot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Shots against the energy integral of an adiabatic expansion and the closed form of quadratic drag. */
class SwiftShotTest {

    private static final SwiftShot SHOT = new SwiftShot();

    private static Settings settings(Object... some) {
        return Settings.of(SHOT.manifest(), Tree.of(some));
    }

    private static Run fire(Object... some) {
        Run run = new Run(SHOT, settings(some), 1);
        run.act(new Action.Perform("fire", Map.of()));
        return run;
    }

    private static double to(Run run, Event event) {
        assertThat(run.advance(1, new StopAt.Happening(event, 1))).as(event.id()).isTrue();
        return run.time();
    }

    /** Work of the air on the float in the tube, integrated by hand. */
    private static double work(double bar, double barrel) {
        double area = Math.PI * 0.01 * 0.01;
        double p = bar * 1e5 + 101_325;
        double v = 4e-4;
        return p * v / 0.4 * (1 - Math.pow(v / (v + area * barrel), 0.4)) - 101_325 * area * barrel;
    }

    @Test
    void theMuzzleSpeedIsThatOfTheEnergyIntegral() {
        RandomSource chance = new RandomSource(11);
        for (int i = 0; i < 60; i++) {
            double bar = Math.rint(10 * chance.between(2, 6)) / 10;
            double grams = Math.rint(10 * chance.between(2, 6)) / 10;
            double cm = 20 + chance.below(11);
            Run run = fire("pressure", bar, "mass", grams, "barrel", cm);
            to(run, SHOT.clear);
            double exact = Math.sqrt(2 * work(bar, cm / 100) / (grams / 1000));
            assertThat(run.read(SHOT.speed)).as("%s bar, %s g, %s cm", bar, grams, cm).isCloseTo(exact,
                    within(1e-9 * exact));
            assertThat(run.outcome(SHOT.muzzleSpeed)).isCloseTo(exact, within(1e-9 * exact));
        }
    }

    @Test
    void theTimeInTheTubeIsTheSumOfWaysOverSpeeds() {
        Run run = fire("pressure", 5, "mass", 3, "barrel", 25);
        double time = to(run, SHOT.clear);
        // dt = dx/v, with x = u² so that the speed of nothing at the beginning doesn't matter; Simpson's rule.
        int n = 4000;
        double sum = 0;
        double h = Math.sqrt(0.25) / n;
        for (int i = 0; i <= n; i++) {
            double u = i * h;
            // At the very beginning the force is that of the full reservoir.
            double f = i == 0 ? 2 / Math.sqrt(2 * 5e5 * Math.PI * 1e-4 / 0.003)
                    : 2 * u / Math.sqrt(2 * work(5, u * u) / 0.003);
            sum += f * (i == 0 || i == n ? 1 : i % 2 == 1 ? 4 : 2);
        }
        assertThat(time).isCloseTo(sum * h / 3, within(1e-9));
    }

    @Test
    void withoutItsWeightDragIsTheClosedForm() {
        for (double grams : new double[] {2, 3.5, 6}) {
            SwiftShotExperiment free = new SwiftShotExperiment(SHOT, settings("pressure", 6, "mass", grams), 0);
            free.act(new Action.Perform("fire", Map.of()), (event, t) -> { });
            double clear = to(fire("pressure", 6, "mass", grams), SHOT.clear);
            double v0 = Math.sqrt(2 * work(6, 0.25) / (grams / 1000));
            double beta = 0.5 * 1.204 * 0.47 * Math.PI * 1e-4 / (grams / 1000);
            for (double t : new double[] {0.001, 0.004, 0.008}) {
                free.advanceTo(clear + t, (event, when) -> { });
                Scene now = new Scene(SHOT.manifest());
                free.scene(now);
                assertThat(now.of(SHOT.shot.x()) - 0.01).as("%s g", grams).isCloseTo(Math.log(1
                        + beta * v0 * t) / beta, within(1e-9));
            }
        }
    }

    @Test
    void theAirsWorkIsWhatMovesFallsAndWarms() {
        RandomSource chance = new RandomSource(2);
        for (int i = 0; i < 20; i++) {
            Run run = fire("pressure", 2 + 0.1 * chance.below(41), "mass", 2 + 0.1 * chance.below(41));
            for (int j = 1; j < 60; j++) {
                run.seek(j * 0.001);
                double work = run.read(SHOT.total);
                assertThat(run.read(SHOT.kinetic) + run.read(SHOT.potential) + run.read(SHOT.thermal)).isCloseTo(work,
                        within(1e-9 * work));
            }
            assertThat(run.isOver()).as("in the net").isTrue();
        }
    }

    @Test
    void itFallsALittleAndIsAsFastAsSaid() {
        Run slow = fire("pressure", 2, "mass", 6, "barrel", 20);
        double clear = to(slow, SHOT.clear);
        assertThat(slow.read(SHOT.speed)).isBetween(55.0, 70.0);
        double t = to(slow, SHOT.caught) - clear;
        assertThat(slow.scene().of(SHOT.shot.y())).as("as anything that is thrown").isCloseTo(-0.5 * 9.81 * t * t,
                within(2e-4));
        Run swift = fire("pressure", 6, "mass", 2, "barrel", 30);
        to(swift, SHOT.caught);
        assertThat(swift.outcome(SHOT.muzzleSpeed)).isBetween(200.0, 250.0);
        assertThat(swift.outcome(SHOT.slowed)).isBetween(10.0, 40.0);
    }

    @Test
    void readOffAFilmTheLeadingEdgeGivesTheMuzzleSpeed() {
        double rate = 10_000;
        Settings set = settings("pressure", 3.3, "mass", 2.4);
        Recipe recipe = new Recipe(SHOT.manifest().id(), SHOT.manifest().modelVersion(), set.toTree(), 1,
                List.of(new Recipe.Timed(0.0047, new Action.Perform("fire", Map.of()))));
        Film film = Film.shoot(SHOT, recipe, SHOT.muzzle, rate, 0.03);
        int at = film.moving().indexOf("float.x");
        double clear = (Double) film.still().get("muzzle.x") + (Double) film.still().get("float.radius");
        int first = 0;
        while (film.body()[first * film.moving().size() + at] < clear) {
            first++;
        }
        double metres = (film.body()[(first + 20) * film.moving().size() + at] - film.body()[first * film.moving()
                .size() + at])
                / (double) Film.FINENESS / film.scale();
        double v0 = Math.sqrt(2 * work(3.3, 0.25) / 0.0024);
        assertThat(metres * rate / 20).as("mean over two milliseconds, drag slows by a part").isBetween(0.98 * v0, v0);
    }
}
