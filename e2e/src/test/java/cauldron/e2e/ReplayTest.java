package cauldron.e2e;

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

    private static final Path CORE = Path.of("..", "web", "src", "core", "generated", "cauldron-core.js");

    /** An empty page that has the compiled core as {@code window.core}. */
    static Page pageWithCore(BrowserContext context) {
        context.route("http://core.test/**", route -> route.fulfill(route.request().url().endsWith(".js")
                ? new Route.FulfillOptions().setPath(CORE).setContentType("text/javascript")
                : new Route.FulfillOptions().setBody("<!doctype html>").setContentType("text/html")));
        Page page = context.newPage();
        page.navigate("http://core.test/");
        page.evaluate("async () => { window.core = await import('/core.js'); }");
        return page;
    }

    private static final Recipe SPRING = new Recipe("hanging-spring", 1,
            Map.of("spring", "soft", "heavy", true, "mass", 180.0, "drawn", 70.0, "damping", 0.02), 1,
            List.of(new Recipe.Timed(2.2, new Action.Change("mass", 260.0)),
                    new Recipe.Timed(5.5, new Action.Grab("body")),
                    new Recipe.Timed(5.6, new Action.Move(0, -0.5)),
                    new Recipe.Timed(5.64, new Action.Move(0, -0.48)),
                    new Recipe.Timed(5.65, new Action.LetGo()),
                    new Recipe.Timed(30.0, new Action.Change("damping", 0.05))));

    private static final Recipe RECIPE = new Recipe("pendulum", 1,
            Map.of("length", 0.93, "mass", 150.0, "size", "large", "angle", 47.0, "drag", true, "friction", 0.4), 1,
            List.of(new Recipe.Timed(4.3, new Action.Change("length", 1.21)),
                    new Recipe.Timed(9.87, new Action.Grab("bob")),
                    new Recipe.Timed(10.2, new Action.Move(0.7, -0.9)),
                    new Recipe.Timed(10.31, new Action.Move(0.8, -0.7)),
                    new Recipe.Timed(11.05, new Action.LetGo()),
                    new Recipe.Timed(23.4, new Action.Change("place", "moon")),
                    new Recipe.Timed(40.125, new Action.Change("drag", false))));

    static List<Recipe> recipes() {
        return List.of(RECIPE, SPRING);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @SuppressWarnings("unchecked")
    void sixtySecondsWithActionsAgreeInJvmAndBrowser(Recipe recipe) {
        Run run = Run.replay(recipe, 60);
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = pageWithCore(context);
            List<Number> channels = (List<Number>) page.evaluate(
                    "recipe => [...core.replay(recipe, 60).channels()]", recipe.toTree());
            for (int i = 0; i < channels.size(); i++) {
                double jvm = run.read(i);
                String name = run.manifest().channels().get(i).id();
                assertThat(channels.get(i).doubleValue()).as(name).isCloseTo(jvm, within(1e-12 * Math.abs(jvm)));
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
