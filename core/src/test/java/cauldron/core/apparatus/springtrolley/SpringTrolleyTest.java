package cauldron.core.apparatus.springtrolley;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * The trolley against closed forms: half a swing about a shifted middle while taut, an evenly slowed way while
 * coasting.
 */
class SpringTrolleyTest {

    private static final SpringTrolley TROLLEY = new SpringTrolley();
    private static final double G = 9.81;

    private static Run run(Object... settings) {
        return new Run(TROLLEY, Settings.of(TROLLEY.manifest(), Tree.of(settings)), 1);
    }

    private static Run latched(double k, double m, double cm, double c) {
        return run("latched", true, "spring", "own", "constant", k, "mass", m, "back", cm, "rolling", c);
    }

    private static void act(Run run, Act act) {
        run.act(new Action.Perform(act.id(), Map.of()));
    }

    private static double to(Run run, Event event) {
        assertThat(run.advance(60, new StopAt.Happening(event, 1))).as(event.id()).isTrue();
        return run.time();
    }

    private static double sum(Run run, Channel... parts) {
        double sum = 0;
        for (Channel part : parts) {
            sum += run.read(part);
        }
        return sum;
    }

    /** What the forces drawn on the trolley come to, rightwards. */
    private static double resultant(Run run) {
        double sum = 0;
        for (String force : new String[] {"pull", "hold", "drag"}) {
            sum += run.scene().of(run.manifest().sceneField(force + ".right"));
        }
        return sum;
    }

    @Test
    void whileTautItIsHalfASwingAboutAMiddleThatFrictionShifts() {
        RandomSource chance = new RandomSource(3);
        for (int i = 0; i < 40; i++) {
            double k = Math.rint(2 * chance.between(12, 80)) / 2;
            double m = Math.rint(20 * chance.between(0.3, 1.2)) / 20;
            double cm = Math.rint(chance.between(15, 40));
            double c = Math.rint(1000 * chance.between(0, 0.02)) / 1000;
            Run run = latched(k, m, cm, c);
            act(run, TROLLEY.letGo);
            double omega = Math.sqrt(k / m);
            double middle = c * m * G / k;
            double reach = cm / 100 - middle;
            double slackAt = Math.acos(-middle / reach) / omega;
            run.seek(0.6 * slackAt);
            assertThat(run.read(TROLLEY.position)).isCloseTo(-reach * Math.cos(omega * 0.6 * slackAt) - middle,
                    within(1e-12));
            assertThat(to(run, TROLLEY.slack)).as("k %s, m %s", k, m).isCloseTo(slackAt, within(1e-12));
            double speed = Math.sqrt(k * cm * cm / 1e4 / m - 2 * c * G * cm / 100);
            assertThat(run.read(TROLLEY.velocity)).isCloseTo(speed, within(1e-11));
            assertThat(run.outcome(TROLLEY.slackSpeed)).isCloseTo(speed, within(1e-11));
            assertThat(run.outcome(TROLLEY.share)).isCloseTo(2 * c * m * G / (k * cm / 100), within(1e-10));
        }
    }

    @Test
    void coastingIsSlowedEvenlyDownToRestOrTheBuffer() {
        Run slow = latched(12, 0.8, 20, 0.04);
        act(slow, TROLLEY.letGo);
        double from = to(slow, TROLLEY.slack);
        double speed = slow.read(TROLLEY.velocity);
        slow.seek(from + 0.5);
        assertThat(slow.read(TROLLEY.position)).isCloseTo(0.5 * speed - 0.5 * 0.04 * G * 0.25, within(1e-12));
        assertThat(slow.read(TROLLEY.springForce)).isZero();
        to(slow, TROLLEY.rest);
        assertThat(slow.read(TROLLEY.position)).isCloseTo(speed * speed / (2 * 0.04 * G), within(1e-10));
        assertThat(slow.isOver()).isTrue();
        Run swift = latched(80, 0.3, 40, 0);
        act(swift, TROLLEY.letGo);
        to(swift, TROLLEY.rest);
        assertThat(swift.read(TROLLEY.position)).isEqualTo(SpringTrolley.END);
        assertThat(swift.read(TROLLEY.thermal)).as("the buffer took it all").isCloseTo(0.5 * 80 * 0.16, within(1e-10));
    }

    @Test
    void theWinchsWorkIsWhatSpringMotionAndHeatHoldAtAnyMoment() {
        RandomSource chance = new RandomSource(5);
        for (int i = 0; i < 30; i++) {
            Run run = run("spring", "own", "constant", Math.rint(chance.between(8, 80)), "mass", 0.3
                    + 0.05 * chance.below(19), "back",
                    5.0 + chance.below(36), "rolling", 0.001 * chance.below(51));
            act(run, TROLLEY.draw);
            run.seek(chance.between(0.5, 9));
            act(run, TROLLEY.letGo);
            for (int j = 1; j <= 40; j++) {
                double total = run.read(TROLLEY.total);
                assertThat(sum(run, TROLLEY.kinetic, TROLLEY.elastic, TROLLEY.thermal)).isCloseTo(total,
                        within(1e-9 * total + 1e-12));
                run.seek(run.time() + 0.1);
            }
            assertThat(run.read(TROLLEY.total)).isPositive();
        }
    }

    @Test
    void whileTheWinchDrawsTheDialShowsWhatTheSpringPulls() {
        Run run = run("spring", "stiff", "back", 30);
        act(run, TROLLEY.draw);
        for (double t = 0.5; t < 6; t += 0.5) {
            run.seek(t);
            double x = run.read(TROLLEY.stretch);
            assertThat(x).as("drawn evenly").isCloseTo(0.05 * t, within(1e-12));
            assertThat(run.read(TROLLEY.kinetic)).isCloseTo(0.5 * 0.6 * 0.05 * 0.05, within(1e-15));
            assertThat(run.scene().of(TROLLEY.free.x())).isCloseTo(SpringTrolley.RELAXED_END + x, within(1e-12));
            double across = run.scene().of(TROLLEY.tip.x()) - SpringTrolley.DIAL;
            double up = run.scene().of(TROLLEY.tip.y()) - SpringTrolley.BAY;
            double turned = Math.toDegrees(Math.atan2(across, up));
            assertThat(resultant(run)).as("drawn evenly").isCloseTo(0, within(1e-12));
            assertThat((turned + 135) / 270 * run.scene().of(TROLLEY.full)).as("at %s s", t).isCloseTo(48 * x,
                    within(1e-9));
        }
        assertThat(to(run, TROLLEY.drawn)).isCloseTo(6, within(1e-12));
        run.seek(9);
        assertThat(run.read(TROLLEY.stretch)).as("the latch holds it").isEqualTo(0.3);
    }

    @Test
    void frictionMayHoldItOrStopItBeforeTheCordIsSlack() {
        Run held = latched(8, 1.2, 5, 0.05);
        act(held, TROLLEY.letGo);
        held.seek(1);
        assertThat(held.read(TROLLEY.position)).isEqualTo(-0.05);
        assertThat(held.isOver()).isTrue();
        assertThat(held.read(TROLLEY.springForce)).as("it still pulls").isCloseTo(0.4, within(1e-12));
        assertThat(held.read(TROLLEY.friction)).as("and is held by as much").isCloseTo(0.4, within(1e-12));
        assertThat(resultant(held)).isCloseTo(0, within(1e-12));
        assertThat(held.outcome(TROLLEY.slackSpeed)).isNaN();
        Run stopped = latched(8, 1.2, 11, 0.05);
        act(stopped, TROLLEY.letGo);
        to(stopped, TROLLEY.rest);
        double middle = 0.05 * 1.2 * G / 8;
        assertThat(stopped.read(TROLLEY.position)).as("as far beyond the middle as it began before it")
                .isCloseTo(0.11 - 2 * middle, within(1e-10));
        assertThat(stopped.scene().isUp(TROLLEY.taut)).isTrue();
    }

    @Test
    void whatComesTooLateIsRefused() {
        Run run = run();
        assertThatThrownBy(() -> act(run, TROLLEY.letGo)).isInstanceOf(IllegalArgumentException.class);
        act(run, TROLLEY.draw);
        assertThatThrownBy(() -> act(run, TROLLEY.draw)).isInstanceOf(IllegalArgumentException.class);
        run.seek(2);
        act(run, TROLLEY.letGo);
        assertThat(run.read(TROLLEY.stretch)).as("let go on the way back, too").isCloseTo(0.1, within(1e-12));
    }

    @Test
    void threeViewsOfOneRecordingRunInStepAndTellNothingButPlaces() {
        Settings settings = Settings.of(TROLLEY.manifest(), Tree.of("spring", "own", "constant", 22.5, "back", 27,
                "rolling", 0.013));
        Recipe recipe = new Recipe(TROLLEY.manifest().id(), TROLLEY.manifest().modelVersion(), settings.toTree(), 1,
                List.of(new Recipe.Timed(0.5, new Action.Perform("draw", Map.of())), new Recipe.Timed(7.3,
                        new Action.Perform("let-go", Map.of()))));
        Film bay = Film.shoot(TROLLEY, recipe, TROLLEY.bay, 120, 10);
        Film rails = Film.shoot(TROLLEY, recipe, TROLLEY.rails, 120, 10);
        Film gauge = Film.shoot(TROLLEY, recipe, TROLLEY.gauge, 120, 10);
        assertThat(List.of(rails.frames(), gauge.frames())).containsOnly(bay.frames());
        int slack = firstFrame(bay, "taut", 0);
        assertThat(firstFrame(rails, "taut", 0)).isEqualTo(slack);
        // At that frame the mark has passed the place of the slack cord, one frame before it hasn't.
        double home = value(rails, "trolley.x", 0);
        assertThat(value(rails, "trolley.x", slack)).isGreaterThanOrEqualTo(home);
        assertThat(value(rails, "trolley.x", slack - 1)).isLessThan(home);
        // With the latch closed a ruler on the bay tells the stretch to 0.1 mm.
        int closed = (int) (7.2 * 120);
        double stretched = (value(bay, "spring.free.x", closed) - value(bay, "spring.free.x",
                0)) / Film.FINENESS / bay.scale();
        assertThat(stretched).isCloseTo(0.27, within(1e-4));
        assertThat(bay.header().toString()).doesNotContain("22.5").doesNotContain("0.013");
    }

    private static int firstFrame(Film film, String field, double value) {
        for (int f = film.frames() - 1; f >= 0; f--) {
            if (value(film, field, f) != value) {
                return f + 1;
            }
        }
        throw new AssertionError(field);
    }

    private static double value(Film film, String field, int frame) {
        int at = film.moving().indexOf(field);
        return at < 0 ? (Double) film.still().get(field) : film.body()[frame * film.moving().size() + at];
    }
}
