package cauldron.core.apparatus.droptower;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Falls against closed forms: parabolas in vacuum, quadratic drag, bounces, what a parachute and buoyancy change. */
class DropTowerTest {

    private static final DropTower TOWER = new DropTower();
    private static final double G = 9.81;
    private static final double AIR = 1.225;

    private static Run fall(Object... settings) {
        Run run = new Run(TOWER, Settings.of(TOWER.manifest(), Tree.of(settings)), 1);
        run.act(new Action.Perform("let-go", Map.of()));
        return run;
    }

    private static double to(Run run, Event event) {
        assertThat(run.advance(120, new StopAt.Happening(event, 1))).as(event.id()).isTrue();
        return run.time();
    }

    private static double read(Run run, List<Channel> of) {
        return run.read(of.get(0));
    }

    /** Weight less buoyancy for each kilogram. */
    private static double pull(Thing thing, double density) {
        return G * (1 - density * thing.volume / thing.mass);
    }

    private static double terminal(Thing thing, double density) {
        return Math.sqrt(pull(thing, density) * thing.mass / (0.5 * density * thing.dragArea));
    }

    @ParameterizedTest
    @EnumSource(Thing.class)
    void inVacuumAllFallAlike(Thing thing) {
        Run run = fall("thing", thing.id, "medium", "none", "height", 44, "opens", 0.5);
        run.seek(1.3);
        assertThat(read(run, TOWER.heights)).isCloseTo(44 - 0.5 * G * 1.69, within(1e-12));
        assertThat(to(run, TOWER.contacts.get(0))).isCloseTo(Math.sqrt(2 * 44 / G), within(1e-12));
        assertThat(run.outcome(TOWER.fell.get(0))).isCloseTo(Math.sqrt(2 * 44 / G), within(1e-12));
        assertThat(run.outcome(TOWER.struck.get(0))).isCloseTo(Math.sqrt(2 * 44 * G), within(1e-11));
        assertThat(run.outcome(TOWER.terminal.get(0))).as("nothing holds it up").isNaN();
    }

    @ParameterizedTest
    @EnumSource(value = Thing.class, names = "FLARE", mode = EnumSource.Mode.EXCLUDE)
    void dragIsTheClosedForm(Thing thing) {
        for (String medium : new String[] {"air", "thin", "carbon-dioxide"}) {
            double density = medium.equals("air") ? AIR : medium.equals("thin") ? 0.736 : 1.87;
            Run run = fall("thing", thing.id, "medium", medium, "height", 60);
            double g = pull(thing, density);
            double vt = terminal(thing, density);
            for (double t : new double[] {0.31, 1.2, 2.4}) {
                run.seek(t);
                double y = 60 - vt * vt / g * Math.log(Math.cosh(g * t / vt));
                assertThat(read(run, TOWER.velocities)).as("%s in %s", thing, medium).isCloseTo(-vt * Math.tanh(g * t / vt),
                        within(1e-9));
                assertThat(read(run, TOWER.heights)).isCloseTo(y, within(1e-9));
            }
            double contact = to(run, TOWER.contacts.get(0));
            // Solved for y = 0; acosh written out.
            double x = Math.exp(60 * g / (vt * vt));
            double exact = vt / g * (Math.log(x) + Math.log1p(Math.sqrt(1 - 1 / (x * x))));
            assertThat(contact).as("%s in %s", thing, medium).isCloseTo(exact, within(1e-10));
            assertThat(run.outcome(TOWER.terminal.get(0))).isCloseTo(vt, within(1e-12));
        }
    }

    @Test
    void contactIsLocatedAsFinelyAsTimeIsHowEverItIsShown() {
        double first = to(fall("thing", "cork", "height", 60), TOWER.contacts.get(0));
        Run run = fall("thing", "cork", "height", 60);
        for (double t = 0; t < 4; t += 0.0173) {
            run.seek(t);
        }
        assertThat(to(run, TOWER.contacts.get(0))).isCloseTo(first, within(1e-12));
        assertThat(Math.abs(read(run, TOWER.heights))).isLessThan(1e-12);
        RunTable table = RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "events", "events", List.of("contact.1"),
                "channels", List.of("height.1")), TOWER.manifest()));
        assertThat(table.rows()).hasSize(1);
        assertThat(table.rows().get(0)[2]).isIn("0.000", "−0.000");
        // Backwards it is the same instant.
        run.seek(first + 0.2);
        assertThat(run.back(new StopAt.Happening(TOWER.contacts.get(0), 1))).isTrue();
        assertThat(run.time()).isEqualTo(first);
    }

    @Test
    void aBounceIsUpByTheSquareOfWhatIsKeptAndRestEndsTheRun() {
        Run run = fall("thing", "cork", "medium", "none", "height", 8);
        to(run, TOWER.contacts.get(0));
        double struck = Math.sqrt(2 * G * 8);
        assertThat(read(run, TOWER.velocities)).isCloseTo(0.55 * struck, within(1e-11));
        to(run, TOWER.tops.get(0));
        assertThat(read(run, TOWER.heights)).isCloseTo(0.55 * 0.55 * 8, within(1e-11));
        to(run, TOWER.bounces.get(0));
        run.seek(60);
        assertThat(run.isOver()).isTrue();
        // All bounces together: a geometric series, up to where a rebound is rest.
        assertThat(run.time()).isBetween(Math.sqrt(16 / G), Math.sqrt(16 / G) * (1 + 0.55) / (1 - 0.55));
        assertThat(run.read(TOWER.account.total())).isCloseTo(0.012 * G * 8, within(1e-12));
        assertThat(run.read(TOWER.account.thermal())).isCloseTo(0.012 * G * 8, within(1e-12));
    }

    @ParameterizedTest
    @EnumSource(Thing.class)
    void energyIsKept(Thing thing) {
        Run run = fall("thing", thing.id, "two", true, "second", "net", "height", 37, "opens", 20, "medium", "carbon-dioxide");
        double all = run.read(TOWER.account.total());
        for (double t = 0.25; !run.isOver() && t < 60; t += 0.25) {
            run.seek(t);
            assertThat(run.read(TOWER.account.total())).as("%s at %s s", thing, t).isCloseTo(all, within(1e-9 * all));
        }
        assertThat(run.isOver()).as("at %s s: %s", run.time(), Arrays.toString(run.channels())).isTrue();
    }

    @Test
    void theParachuteOpensAtItsHeightAndHoldsTheFlareAtItsSpeed() {
        Run run = fall("thing", "flare", "height", 60, "opens", 25);
        to(run, TOWER.opened);
        assertThat(read(run, TOWER.heights)).isCloseTo(25, within(1e-12));
        assertThat(read(run, TOWER.velocities)).as("still downwards").isNegative();
        assertThat(read(run, TOWER.accelerations)).as("but held up").isPositive();
        to(run, TOWER.contacts.get(0));
        double vt = Math.sqrt(pull(Thing.FLARE, AIR) * 0.15 / (0.5 * AIR * (Thing.FLARE.dragArea + Thing.PARACHUTE)));
        assertThat(run.outcome(TOWER.struck.get(0))).isCloseTo(vt, within(1e-6));
        assertThat(fall("thing", "flare", "height", 2, "opens", 50).settings().si(TOWER.opens)).as("not above the start").isEqualTo(2);
    }

    @Test
    void gatesTimeWhatPassesThem() {
        Run run = fall("thing", "nut", "medium", "none", "height", 20, "gates", true, "gate.1", 15, "gate.2", 5, "two", true,
                "second", "glove");
        run.seek(3);
        double exact = Math.sqrt(2 * 15 / G) - Math.sqrt(2 * 5 / G);
        assertThat(run.outcome(TOWER.between.get(0))).isCloseTo(exact, within(1e-12));
        assertThat(run.outcome(TOWER.between.get(1))).as("in vacuum a glove as well").isCloseTo(exact, within(1e-12));
        Run air = fall("height", 20, "gates", true, "gate.1", 15, "gate.2", 5, "two", true, "second", "cone");
        air.seek(30);
        assertThat(air.outcome(TOWER.between.get(1))).isGreaterThan(3 * air.outcome(TOWER.between.get(0)));
    }

    @Test
    void nothingMovesBeforeItIsLetFall() {
        Run run = new Run(TOWER, Settings.of(TOWER.manifest(), Map.of()), 1);
        run.seek(2);
        assertThat(read(run, TOWER.heights)).isEqualTo(10);
        run.act(new Action.Perform("let-go", Map.of()));
        assertThat(to(run, TOWER.contacts.get(0))).isGreaterThan(3.4);
        assertThat(run.outcome(TOWER.fell.get(0))).as("counted from when it was let fall").isLessThan(1.6);
    }

    @Test
    void aRecordingShowsWhereItIsAndNothingOfWhatIsHidden() {
        Settings set = Settings.of(TOWER.manifest(), Tree.of("thing", "cone", "height", 8.375, "place", "own", "gravity", 7.25));
        Recipe recipe = new Recipe("drop-tower", TOWER.manifest().modelVersion(), set.toTree(), 1,
                List.of(new Recipe.Timed(0.5, new Action.Perform("let-go", Map.of()))));
        Film film = Film.shoot(TOWER, recipe, TOWER.shaft, 60, 4);
        int at = film.moving().indexOf("thing.1.y");
        double fallen = (film.body()[90 * film.moving().size() + at] - film.body()[at]) / (double) Film.FINENESS / film.scale();
        double g = 7.25 * (1 - AIR * Thing.CONE.volume / Thing.CONE.mass);
        double vt = Math.sqrt(g * Thing.CONE.mass / (0.5 * AIR * Thing.CONE.dragArea));
        assertThat(fallen).as("a second after it is let go").isCloseTo(vt * vt / g * Math.log(Math.cosh(g / vt)), within(5e-4));
        assertThat(film.header().toString()).doesNotContain("7.25").doesNotContain("8.375");
    }
}
