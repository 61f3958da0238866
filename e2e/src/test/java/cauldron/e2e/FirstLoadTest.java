package cauldron.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** What a lab with recordings brings to a browser that has never been here. */
@ResourceLock("imre.saltzman")
class FirstLoadTest {

    private static final int MOST = 350_000;

    @Test
    void aRecordingLabBringsNoModelAndFewScripts() {
        String work;
        String state;
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.measuring(context, "imre.saltzman");
            work = page.url();
            state = context.storageState();
        }
        Map<String, Integer> scripts = new ConcurrentHashMap<>();
        try (BrowserContext fresh = Chrome.browser().newContext(new Browser.NewContextOptions().setStorageState(state))) {
            Page page = fresh.newPage();
            page.onResponse(r -> {
                if (r.request().resourceType().equals("script")) {
                    scripts.put(r.url().substring(r.url().lastIndexOf('/') + 1), -1);
                }
            });
            page.navigate(work);
            Chrome.button(page, "Measure").click();
            page.getByTestId("film-time").waitFor();
            scripts.replaceAll((name, none) -> zipped(page.request().get(App.address() + "/assets/" + name).body()));
        }
        assertThat(scripts).isNotEmpty();
        assertThat(scripts.keySet()).as("models").noneMatch(name -> name.startsWith("models") || name.startsWith("LabBench"));
        assertThat(scripts.values().stream().mapToInt(Integer::intValue).sum()).as("gzip bytes of %s", new TreeMap<>(scripts))
                .isLessThanOrEqualTo(MOST);
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
