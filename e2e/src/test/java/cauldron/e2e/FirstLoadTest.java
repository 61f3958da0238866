package cauldron.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** What a lab with recordings brings to a browser that has never been here. */
@ResourceLock("imre.saltzman")
class FirstLoadTest {

    private static final int MOST = 352_000;
    private static final int MOST_SCRIPTS = 14;

    /** A student at work in a browser that has never been here, with what the page needs to know who it is. */
    private interface AtWork {
        void in(BrowserContext fresh, String work);
    }

    private static void atWork(AtWork then) {
        String work;
        String state;
        try (BrowserContext context = Chrome.context(1280, 800)) {
            work = Chrome.measuring(context, "imre.saltzman").url();
            state = context.storageState();
        }
        try (BrowserContext fresh = Chrome.browser().newContext(new Browser.NewContextOptions().setStorageState(state))) {
            fresh.setDefaultTimeout(20_000);
            then.in(fresh, work);
        }
    }

    private static void ready(Page page) {
        page.waitForFunction("() => performance.getEntriesByName('opened').length > 0");
    }

    @Test
    void aRecordingLabBringsNoModelAndFewScripts() {
        Map<String, Integer> scripts = new TreeMap<>();
        atWork((fresh, work) -> {
            Page page = fresh.newPage();
            page.navigate(work);
            page.getByTestId("film-time").waitFor();
            ready(page);
            // What is fetched later for the case that the network goes isn't waited for.
            ((List<?>) page.evaluate("""
                    () => performance.getEntriesByType('resource')
                        .filter((e) => e.startTime < performance.getEntriesByName('opened')[0].startTime)
                        .map((e) => e.name).filter((name) => name.endsWith('.js'))"""))
                    .forEach(url -> scripts.put(url.toString().substring(url.toString().lastIndexOf('/') + 1), -1));
            scripts.replaceAll((name, none) -> {
                byte[] script = page.request().get(App.address() + "/assets/" + name).body();
                // Browsers take the word about compiling from the very first line only.
                if (name.startsWith("WorkPage") || name.startsWith("core")) {
                    assertThat(new String(script, StandardCharsets.UTF_8)).as(name).startsWith("//# allFunctionsCalledOnLoad\n");
                }
                return zipped(script);
            });
        });
        // Each costs a slow device about as much as what is in it.
        assertThat(scripts).hasSizeBetween(5, MOST_SCRIPTS);
        assertThat(scripts.keySet()).as("models").noneMatch(name -> name.startsWith("models") || name.startsWith("LabBench")
                || name.startsWith("useBench"));
        assertThat(scripts.values().stream().mapToInt(Integer::intValue).sum()).as("gzip bytes of %s", scripts)
                .isLessThanOrEqualTo(MOST);
    }

    @Test
    void whoeverSignsInAtTheAddressOfALabFindsItThere() {
        atWork((fresh, work) -> {
            try (BrowserContext stranger = Chrome.context(1280, 800)) {
                Page page = stranger.newPage();
                page.navigate(work);
                page.getByLabel("User name").fill("imre.saltzman");
                page.getByLabel("Secret").fill(Chrome.SECRET);
                Chrome.button(page, "Sign in").click();
                page.getByTestId("film-time").waitFor();
            }
        });
    }

    @Test
    void withoutTheNetworkAllPartsOpenAndWhatCantBeDoneSaysWhy() {
        atWork((fresh, work) -> {
            Page page = fresh.newPage();
            page.navigate(work);
            page.getByTestId("film-time").waitFor();
            ready(page);
            Chrome.button(page, "Ask for help").waitFor();
            Chrome.quiet(page);
            fresh.setOffline(true);
            for (String part : List.of("Aim", "Prediction", "Measure", "Analyse", "Explain")) {
                Chrome.button(page, part).click();
                page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(part).setExact(true)).waitFor();
            }
            Chrome.button(page, "Column").click();
            page.getByLabel("Formula").waitFor();
            page.keyboard().press("Escape");
            Chrome.button(page, "Hand in …").click();
            page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("can't be reached")).waitFor();
            page.keyboard().press("Escape");
            Chrome.link(page, "Back").click();
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("My labs")).waitFor();
            page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("can't be reached")).waitFor();
        });
    }

    @Test
    void aDrawingThatCantBeFetchedIsToldAndNotAskedForAgainAndAgain() {
        AtomicInteger asked = new AtomicInteger();
        atWork((fresh, work) -> {
            Chrome.answering(fresh, "**/assets/scene-*", route -> {
                asked.incrementAndGet();
                route.abort();
            });
            Page page = fresh.newPage();
            page.navigate(work);
            page.getByText("This page could not be shown").waitFor();
        });
        assertThat(asked).satisfies(n -> assertThat(n.get()).isBetween(1, 2));
    }

    private static int zipped(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
            zip.write(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.size();
    }
}
