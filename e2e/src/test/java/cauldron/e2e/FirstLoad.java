package cauldron.e2e;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.util.Arrays;

/** How soon a student can work who opens a lab in a browser that has never been here, on a slow device. */
final class FirstLoad {

    private static final int TIMES = 5;
    private static final int SLOWED = 4;

    private FirstLoad() {
    }

    static void measure(Rows rows) {
        String work;
        String state;
        try (BrowserContext context = Chrome.context(1280, 800)) {
            work = Chrome.measuring(context, "imre.saltzman").url();
            state = context.storageState();
        }
        double[] ready = new double[TIMES];
        for (int i = 0; i < TIMES; i++) {
            try (BrowserContext fresh = Chrome.browser().newContext(new Browser.NewContextOptions().setStorageState(state))) {
                Page page = fresh.newPage();
                CDPSession device = fresh.newCDPSession(page);
                JsonObject rate = new JsonObject();
                rate.addProperty("rate", SLOWED);
                device.send("Emulation.setCPUThrottlingRate", rate);
                // Interactive: the recording stands on the bench, and the page has nothing left to do before it hears a click.
                page.addInitScript("""
                        new MutationObserver((_, seen) => {
                          if (!document.querySelector('[data-testid=film-time]')) return;
                          seen.disconnect();
                          requestIdleCallback(() => { window.readyAt = performance.now(); });
                        }).observe(document, { childList: true, subtree: true });""");
                page.navigate(work);
                page.waitForFunction("() => window.readyAt > 0");
                ready[i] = ((Number) page.evaluate("() => window.readyAt")).doubleValue() / 1000;
            }
        }
        Arrays.sort(ready);
        rows.row("a recording lab in a fresh browser, processor slowed to a quarter: until it can be worked with",
                "median %.2f s, longest of %d %.2f s", ready[TIMES / 2], TIMES, ready[TIMES - 1]);
    }
}
