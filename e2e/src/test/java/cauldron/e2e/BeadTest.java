package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * An apparatus that nobody here knows, a bead on a wire, is opened on the real bench: one file of declaration and law, one
 * drawing, one line in the list, and nothing else was touched. The pages built with it stand in for the shipped ones.
 */
class BeadTest {

    private static final Path PAGES = Path.of("target", "bead", "web", "dist");
    private static final Map<String, String> TYPES = Map.of("js", "text/javascript", "css", "text/css", "html", "text/html",
            "svg", "image/svg+xml", "woff2", "font/woff2");

    private static void fromThePagesWithIt(Route route) {
        String path = URI.create(route.request().url()).getPath();
        if (path.startsWith("/api/")) {
            route.resume();
            return;
        }
        Path file = PAGES.resolve(path.substring(1));
        Path given = Files.isRegularFile(file) ? file : PAGES.resolve("index.html");
        String name = given.getFileName().toString();
        route.fulfill(new Route.FulfillOptions().setPath(given)
                .setContentType(TYPES.getOrDefault(name.substring(name.lastIndexOf('.') + 1), "application/octet-stream")));
    }

    @Test
    void aNewApparatusNeedsNothingElse() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Chrome.answering(context, App.address() + "/**", BeadTest::fromThePagesWithIt);
            Page page = Chrome.signedIn(context, "ines");
            BenchHands hands = new BenchHands(page);
            hands.open("bead");
            assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.HEADING,
                    new Page.GetByRoleOptions().setName("Bead on a wire"))).isVisible();
            assertThat(page.locator("[data-part=bead]")).isVisible();
            assertThat(hands.channel("x")).isEqualTo(30.0);
            hands.runTo("lowest point", "1");
            assertThat(hands.channel("x")).isZero();
            // All it lost in height it has in speed: y = a x², from 0.3 m at a = 1/m.
            assertThat(hands.channel("speed")).isCloseTo(Math.sqrt(2 * 9.81 * 0.09), within(0.006));
            // Its settings, an instrument, a graph of a channel and the history come by themselves.
            hands.set("Bend of the wire", "2");
            Chrome.button(page, "Ruler").click();
            assertThat(page.locator("[data-instrument=ruler]")).isVisible();
            Chrome.button(page, "Trials").click();
            assertThat(page.locator("[data-trial]")).hasCount(1);
        }
    }
}
