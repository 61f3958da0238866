package cauldron.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.regex.Pattern;

/** Hands at the open bench: set, run to a place, read off. */
final class BenchHands {

    private final Page page;

    BenchHands(Page page) {
        this.page = page;
    }

    /** Opens a bench. */
    void open(String apparatus) {
        page.navigate(App.address() + "/bench/" + apparatus);
        Chrome.button(page, "Run").waitFor();
    }

    /** Runs on, as fast as it can be shown, until it stops there by itself. */
    void runTo(String what, String value) {
        Chrome.button(page, "Stop at …").click();
        page.getByLabel("Stop exactly at").selectOption(what);
        page.getByLabel("Value to stop at").fill(value);
        Chrome.button(page, "Run to there").click();
        // Not before: where it runs already, it would be past the place by then.
        Locator speeds = page.getByLabel("Speed", new Page.GetByLabelOptions().setExact(true));
        speeds.selectOption(speeds.locator("option").last().getAttribute("value"));
        page.getByText(Pattern.compile("^Stopped at")).waitFor(new Locator.WaitForOptions()
                .setState(WaitForSelectorState.ATTACHED));
        speed("1");
    }

    private void speed(String times) {
        page.getByLabel("Speed", new Page.GetByLabelOptions().setExact(true)).selectOption(times);
    }

    /** Types a setting, named by how its name begins. */
    void set(String name, String value) {
        Locator box = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^"
                + name)));
        box.fill(value);
        box.press("Enter");
    }

    /** The time shown, in its unit. */
    double time() {
        return Double.parseDouble(page.getByTestId("time").innerText().split(" ")[0]);
    }

    /** A readout, in its unit; the first of it where there are two benches. */
    double channel(String id) {
        return Double.parseDouble(page.locator("[data-channel='" + id + "']").first().innerText().replace('\u2212', '-')
                .split(" ")[0]);
    }

    /** What the run came to, as it is told beside the picture. */
    Locator came(String outcome) {
        return page.locator("[data-came] div").filter(new Locator.FilterOptions().setHas(page.getByText(outcome,
                new Page.GetByTextOptions().setExact(true)))).locator("dd");
    }

    /** The same as a number, in its unit. */
    double cameTo(String outcome) {
        return Double.parseDouble(came(outcome).innerText().replace('\u2212', '-').split(" ")[0]);
    }
}
