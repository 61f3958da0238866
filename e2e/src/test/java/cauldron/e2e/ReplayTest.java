package cauldron.e2e;

import cauldron.core.inventory.Inventory;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The same recipe gives the same trial on the JVM and in Chromium, and however it is cut into frames. */
class ReplayTest {

    private static final Path CORE = Path.of("..", "web", "src", "core", "generated");

    /** An empty page that has both halves of the compiled core as {@code window.core}. */
    static Page pageWithCore(BrowserContext context) {
        Chrome.answering(context, "http://core.test/**", route -> route.fulfill(route.request().url().endsWith(".js")
                ? new Route.FulfillOptions().setPath(CORE.resolve(route.request().url().substring("http://core.test/".length()))).setContentType("text/javascript")
                : new Route.FulfillOptions().setBody("<!doctype html>").setContentType("text/html")));
        Page page = context.newPage();
        page.navigate("http://core.test/");
        page.evaluate("async () => { window.core = { ...await import('/notebook.js'), ...await import('/bench.js') }; }");
        return page;
    }

    private static final Recipe SPRING = new Recipe("hanging-spring", 2,
            Map.of("spring", "soft", "heavy", true, "mass", 180.0, "drawn", 70.0, "damping", 0.02), 1,
            List.of(new Recipe.Timed(2.2, new Action.Change("mass", 260.0)),
                    new Recipe.Timed(5.5, new Action.Grab("body")),
                    new Recipe.Timed(5.6, new Action.Move(0, -0.5)),
                    new Recipe.Timed(5.64, new Action.Move(0, -0.48)),
                    new Recipe.Timed(5.65, new Action.LetGo()),
                    new Recipe.Timed(30.0, new Action.Change("damping", 0.05))));

    private static final Recipe RECIPE = new Recipe("pendulum", 2,
            Map.of("length", 0.93, "mass", 150.0, "size", "large", "angle", 47.0, "drag", true, "friction", 0.4), 1,
            List.of(new Recipe.Timed(4.3, new Action.Change("length", 1.21)),
                    new Recipe.Timed(9.87, new Action.Grab("bob")),
                    new Recipe.Timed(10.2, new Action.Move(0.7, -0.9)),
                    new Recipe.Timed(10.31, new Action.Move(0.8, -0.7)),
                    new Recipe.Timed(11.05, new Action.LetGo()),
                    new Recipe.Timed(23.4, new Action.Change("place", "moon")),
                    new Recipe.Timed(40.125, new Action.Change("drag", false))));

    private static final Recipe GLIDER = new Recipe("propeller-glider", 2,
            Map.of("throttle", 40.0, "thrust", 1.9, "added", 350.0, "offset", 0.03, "drag", 0.02), 1,
            List.of(new Recipe.Timed(0.7, new Action.Perform("start")),
                    new Recipe.Timed(4.4, new Action.Perform("cut")),
                    new Recipe.Timed(5.1, new Action.Change("throttle", 65.0)),
                    new Recipe.Timed(9.0, new Action.Grab("glider")),
                    new Recipe.Timed(9.1, new Action.Move(0.3, 0)),
                    new Recipe.Timed(9.2, new Action.LetGo())));

    private static final double PS = 1e-12;

    private static final Recipe GAS = new Recipe("gas-cylinder", 2,
            Map.of("gas1", "sulfur-hexafluoride", "count1", 3500.0, "gas2", "hydrogen", "count2", 900.0, "length", 30.0,
                    "partition", true, "heat", "heater", "power", 12.0), 6,
            List.of(new Recipe.Timed(60 * PS, new Action.Perform("take-out")),
                    new Recipe.Timed(120 * PS, new Action.Change("count1", 4600.0)),
                    new Recipe.Timed(150.25 * PS, new Action.Change("count2", 700.0)),
                    new Recipe.Timed(200 * PS, new Action.Change("piston", "hand")),
                    new Recipe.Timed(210 * PS, new Action.Grab("piston")),
                    new Recipe.Timed(211 * PS, new Action.Move(22e-9, 0)),
                    new Recipe.Timed(290 * PS, new Action.LetGo()),
                    new Recipe.Timed(420 * PS, new Action.Change("heat", "held")),
                    new Recipe.Timed(500 * PS, new Action.Change("piston", "loaded")),
                    new Recipe.Timed(560 * PS, new Action.Change("hole", true))));

    @Test
    @SuppressWarnings("unchecked")
    void theGasHasTheSameBitsAfterAHundredThousandCollisions() {
        Run run = Inventory.replay(GAS, 800 * PS);
        double[] pairRate = run.samples(run.manifest().channel("pair-rate"));
        double collisions = 0;
        for (int i = 201; i < run.sampleCount(); i += 200) {
            // The gauge shows the mean of the last 200 ps.
            collisions += pairRate[i] * 200 * PS;
        }
        assertThat(collisions).isGreaterThan(1e5);
        double[] crowd = new double[3 * run.crowdSize()];
        int n = run.crowd(crowd);
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = pageWithCore(context);
            List<List<Number>> answer = (List<List<Number>>) page.evaluate("""
                    recipe => {
                      const run = core.replay(recipe, 8e-10);
                      const crowd = run.crowd();
                      return [[...run.channels()], [...crowd.slice(0, 3 * run.crowdCount())], [...run.events()]];
                    }""", GAS.toTree());
            for (int i = 0; i < run.manifest().channels().size(); i++) {
                assertThat(answer.get(0).get(i).doubleValue()).as(run.manifest().channels().get(i).id())
                        .isEqualTo(run.read(run.manifest().channels().get(i)));
            }
            assertThat(answer.get(1).stream().mapToDouble(Number::doubleValue).toArray())
                    .isEqualTo(java.util.Arrays.copyOf(crowd, 3 * n));
            assertThat(answer.get(2).stream().mapToDouble(Number::doubleValue).toArray()).isEqualTo(run.events());
        }
    }

    /** Round the loop, caught and lifted on the far side, with friction from then on. */
    private static final Recipe RAIL = new Recipe("rail-run", 1, Map.of("shape", "loop", "start", 6.2), 1,
            List.of(new Recipe.Timed(5.1, new Action.Grab("car")), new Recipe.Timed(5.3, new Action.Move(12.1, 5.2)),
                    new Recipe.Timed(5.4, new Action.LetGo()), new Recipe.Timed(9, new Action.Change("friction", 0.02))));
    private static final Recipe CRASH = new Recipe("crash-rig", 2, Map.of("front", 250.0, "bag", true, "met", "sled"), 1,
            List.of());
    private static final Recipe WATCH = new Recipe("reflex-timer", 1, Map.of("shortest", 2.0, "longest", 2.0, "events", 5.0), 3,
            List.of(new Recipe.Timed(0.5, new Action.Perform("begin")), new Recipe.Timed(1, new Action.Perform("answer")),
                    new Recipe.Timed(3.016, new Action.Perform("shown")), new Recipe.Timed(3.2571, new Action.Perform("answer")),
                    new Recipe.Timed(5.263, new Action.Perform("shown")), new Recipe.Timed(5.5804, new Action.Perform("answer"))));
    private static final Recipe PRESS = new Recipe("spring-bench", 1, Map.of("arrangement", "parallel", "limited", true, "limit", 17.0),
            1, List.of(new Recipe.Timed(0, new Action.Perform("set-force", Map.of("force", 48.0))),
                    new Recipe.Timed(1, new Action.Perform("less")),
                    new Recipe.Timed(2, new Action.Perform("set-place", Map.of("displacement", -14.5))),
                    new Recipe.Timed(3, new Action.Perform("let-off"))));
    /** A cork that bounces beside a flare whose parachute opens. */
    private static final Recipe SHAFT = new Recipe("drop-tower", 1, Map.of("thing", "flare", "two", true, "second", "cork",
            "height", 30.0, "opens", 18.0, "gates", true, "medium", "carbon-dioxide"), 1,
            List.of(new Recipe.Timed(0.4, new Action.Perform("let-go")), new Recipe.Timed(2, new Action.Change("place", "moon"))));
    /** Let go before the latch has closed; more friction once it coasts. */
    private static final Recipe SLIP = new Recipe("spring-trolley", 1, Map.of("spring", "stiff", "back", 35.0, "mass", 1.1), 1,
            List.of(new Recipe.Timed(0.3, new Action.Perform("draw")), new Recipe.Timed(6.1, new Action.Perform("let-go")),
                    new Recipe.Timed(6.6, new Action.Change("rolling", 0.05))));
    private static final Recipe SHOT = new Recipe("swift-shot", 1, Map.of("pressure", 5.3, "mass", 2.2, "barrel", 28.0), 1,
            List.of(new Recipe.Timed(0.002, new Action.Perform("fire"))));
    /** Cold above warm through an open tube, in a cool room from the fifth second on. */
    private static final Recipe TANKS = new Recipe("twin-tanks", 1, Map.of("upper", 9.0, "lower", 64.0, "section", "wide"), 1,
            List.of(new Recipe.Timed(5, new Action.Change("loss", 0.7))));
    private static final Recipe BRIDGE = new Recipe("liquid-bridge", 1, Map.of("liquid", "ethanol", "volume", 35.5), 1,
            List.of(new Recipe.Timed(0.5, new Action.Perform("turn", Map.of())),
                    new Recipe.Timed(1.2, new Action.Perform("hold", Map.of())),
                    new Recipe.Timed(1.7, new Action.Perform("turn", Map.of()))));
    private static final Recipe CUPBOARD = new Recipe("reaction-balance", 1,
            Map.of("mixing", "tablet", "closed", "balloon", "gas", "argon"), 1,
            List.of(new Recipe.Timed(2, new Action.Perform("tip", Map.of())),
                    new Recipe.Timed(30, new Action.Change("closed", "sealed")),
                    new Recipe.Timed(45, new Action.Change("closed", "open"))));
    private static final Recipe FLASK = new Recipe("equilibrium-flask", 1,
            Map.of("reaction", "ammonia", "grain", "coarse", "ammonia-t", 430.0), 1,
            List.of(new Recipe.Timed(4, new Action.Change("ammonia-v", 10.0)),
                    new Recipe.Timed(7.3, new Action.Change("ammonia-1", 6.0))));
    private static final Recipe TABLE = new Recipe("volume-bench", 1, Map.of("second-fill", 30.0, "can-fill", 239.0), 1, List.of(
            new Recipe.Timed(0, new Action.Perform("pour", Map.of("from", "jug", "into", "first", "amount", 77.5))),
            new Recipe.Timed(1, new Action.Perform("put", Map.of("thing", "cork", "to", "second", "how", "held"))),
            new Recipe.Timed(2, new Action.Perform("put", Map.of("thing", "shackle", "to", "can"))),
            new Recipe.Timed(3, new Action.Perform("stand", Map.of("vessel", "second", "at", "balance"))),
            new Recipe.Timed(4, new Action.Perform("look", Map.of("height", 7.7)))));
    private static final Recipe ATOM = new Recipe("atom-workbench", 1, Map.of("protons", 7.0, "neutrons", 7.0), 1, List.of(
            new Recipe.Timed(0, new Action.Perform("electron-in")), new Recipe.Timed(1, new Action.Perform("neutron-out")),
            new Recipe.Timed(2, new Action.Perform("nucleus", Map.of("protons", 19.0, "neutrons", 21.0)))));
    private static final Recipe TOWER = new Recipe("raised-loads", 1, Map.of("place", "mars"), 1, List.of(
            new Recipe.Timed(0, new Action.Perform("place", Map.of("load", "2", "onto", "3", "by", "stair", "at", 1.3))),
            new Recipe.Timed(1, new Action.Change("level", 2.5)),
            new Recipe.Timed(2, new Action.Perform("drop", Map.of("load", "2"))),
            new Recipe.Timed(3, new Action.Perform("strike"))));

    static List<Recipe> recipes() {
        return List.of(RECIPE, SPRING, GLIDER, RAIL, TOWER, CRASH, WATCH, PRESS, SHAFT, SLIP, SHOT, TANKS, BRIDGE, CUPBOARD, FLASK,
                TABLE, ATOM);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @SuppressWarnings("unchecked")
    void sixtySecondsWithActionsAgreeInJvmAndBrowser(Recipe recipe) {
        Run run = Inventory.replay(recipe, 60);
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = pageWithCore(context);
            List<Number> channels = (List<Number>) page.evaluate(
                    "recipe => [...core.replay(recipe, 60).channels()].map((v) => (Number.isNaN(v) ? 1e300 : v))", recipe.toTree());
            for (int i = 0; i < channels.size(); i++) {
                double jvm = run.read(run.manifest().channels().get(i));
                String name = run.manifest().channels().get(i).id();
                double here = Double.isNaN(jvm) ? 1e300 : jvm;
                assertThat(channels.get(i).doubleValue()).as(name).isCloseTo(here, within(1e-12 * Math.abs(here)));
            }
            List<Number> events = (List<Number>) page.evaluate("recipe => [...core.replay(recipe, 60).events()]",
                    recipe.toTree());
            double[] expected = run.events();
            assertThat(events).hasSize(expected.length);
            for (int i = 0; i < expected.length; i++) {
                assertThat(events.get(i).doubleValue()).isCloseTo(expected[i], within(1e-11));
            }
        }
    }

    @Test
    @SuppressWarnings("unchecked")
    void anyCutIntoFramesGivesTheSameBits() {
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = pageWithCore(context);
            List<List<Number>> both = (List<List<Number>>) page.evaluate("""
                    settings => {
                      const a = core.openRun('pendulum', settings, 1);
                      a.seek(20);
                      const b = core.openRun('pendulum', settings, 1);
                      for (let i = 1; b.time() < 20; i++) b.seek(Math.min(20, b.time() + 0.001 * (1 + (i * 7919) % 37)));
                      b.seek(3.7); b.seek(0); b.seek(20);
                      return [[...a.channels()], [...b.channels()]];
                    }""", RECIPE.settings());
            assertThat(both.get(0)).isEqualTo(both.get(1));
        }
    }
}
