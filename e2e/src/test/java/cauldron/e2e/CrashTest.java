package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The crash rig by hand: built, run to its end, read off millisecond by millisecond, designs compared over all trials. */
class CrashTest {

    private BrowserContext context;
    private Page page;
    private BenchHands hands;

    private void bench() {
        context = Chrome.context(1280, 800);
        page = Chrome.signedIn(context, "ines");
        hands = new BenchHands(page);
        hands.open("crash-rig");
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void toTheEnd() {
        page.getByLabel("Speed", new Page.GetByLabelOptions().setExact(true)).selectOption("8");
        Chrome.button(page, "Run").click();
        Chrome.button(page, "Again").waitFor();
    }

    private Locator came(String outcome) {
        return page.locator("[data-came] div").filter(new Locator.FilterOptions().setHasText(outcome)).locator("dd");
    }

    @Test
    void theFrontIsPulledLongerAndTheSledBecomesOnesOwn() {
        bench();
        Eyes eyes = new Eyes(page);
        double[] wall = eyes.middle("[aria-label^='Move the front wall']");
        eyes.drag(wall, new double[] {wall[0] - 40, wall[1]});
        assertThat(page.getByLabel("Sled", new Page.GetByLabelOptions().setExact(true))).hasValue("own");
        Locator length = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Length that")));
        assertThat(Double.parseDouble(length.inputValue())).isBetween(0.75, 1.1);
        // It weighs what it weighed before.
        assertThat(page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Mass without"))))
                .hasValue("1100");
    }

    @Test
    void aRunEndsByItselfAndSaysWhatItCameTo() {
        bench();
        hands.set("Strength of the front", "250");
        assertThat(came("Likelihood of survival")).hasCount(0);
        toTheEnd();
        assertThat(page.getByTestId("time")).hasText("320.0 ms");
        assertThat(came("Chest was stopped by")).hasText("belt");
        double survival = Double.parseDouble(came("Likelihood of survival").innerText().split(" ")[0]);
        assertThat(survival).isGreaterThan(90);
        // Again it is the same run that is seen, not another.
        Chrome.button(page, "Again").click();
        Chrome.button(page, "Again").waitFor();
        Chrome.button(page, "Trials").click();
        assertThat(page.locator("li[data-trial]")).hasCount(1);
    }

    @Test
    void millisecondByMillisecondAndBackToAMoment() {
        bench();
        toTheEnd();
        Chrome.button(page, "Run table").click();
        Locator every = page.getByLabel("every");
        every.fill("1");
        every.press("Enter");
        page.getByLabel("Rows of the run table").getByRole(AriaRole.ROW).nth(3).click();
        assertThat(page.getByTestId("time")).hasText("2.0 ms");
        page.getByLabel("Rows", new Page.GetByLabelOptions().setExact(true)).selectOption("at events");
        assertThat(page.getByLabel("Rows of the run table")).containsText("greatest crush");
        hands.runTo("first contact", "1");
        assertThat(hands.time()).isEqualTo(20.0);
    }

    @Test
    void designsAreComparedOverAllTrials() {
        bench();
        for (String strength : new String[] {"700", "250", "120"}) {
            hands.set("Strength of the front", strength);
            toTheEnd();
            page.locator("[data-came]").getByText("Likelihood of survival").waitFor();
            Chrome.button(page, "Trials").click();
            page.locator("li[data-trial]").filter(new Locator.FilterOptions().setHasText("Ff = " + strength + " kN")
                    .setHas(page.locator("[data-outcomes]"))).waitFor();
            Chrome.button(page, "Settings").click();
        }
        Chrome.button(page, "Trials").click();
        Chrome.button(page, "Over all").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.locator("[data-point]")).hasCount(3);
        double stiff = height(dialog, 1);
        double right = height(dialog, 2);
        double soft = height(dialog, 3);
        // Upwards on the page is less: in between is best.
        assertThat(right).isLessThan(stiff).isLessThan(soft);
    }

    private static double height(Locator dialog, int trial) {
        return Double.parseDouble(dialog.locator("[data-point='" + trial + "'] circle").getAttribute("cy"));
    }

    @Test
    void inTheLabTrialsGoIntoTheNotebookWithTheirOrigin() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "dunya.shore");
        hands = new BenchHands(page);
        Chrome.inItem(page, "A front for the rescue wagon", "Go on");
        page.getByText("Weak and strong", new Page.GetByTextOptions().setExact(true)).first().click();
        page.getByTestId("lab-bench").waitFor();
        for (String strength : new String[] {"650", "220"}) {
            hands.set("Strength of the front, Ff", strength);
            toTheEnd();
        }
        Chrome.button(page, Pattern.compile("^Trials")).click();
        Chrome.button(page, "Over all").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        int before = dialog.locator("[data-point]").count();
        assertThat(before).isGreaterThanOrEqualTo(4);
        dialog.getByText("Into the notebook").click();
        assertThat(dialog).containsText("in “Strengths” now; ");
        page.keyboard().press("Escape");
        Locator front = page.getByLabel(Pattern.compile("^Strength of the front, row"));
        assertThat(front.last()).isVisible();
        assertThat(front.evaluateAll("cells => cells.map((c) => c.value)").toString()).contains("650", "220");
    }
}
