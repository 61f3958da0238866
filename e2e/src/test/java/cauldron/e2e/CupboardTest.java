package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Rust and fire on two balances: wool gets heavier, a sealed jar doesn't change, each part after its prediction. */
class CupboardTest {

    private BrowserContext context;
    private Page page;
    private BenchHands bench;

    @AfterEach
    void close() {
        context.close();
    }

    private void signIn(String user) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, user);
        bench = new BenchHands(page);
    }

    private void choose(String label, String option) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).selectOption(option);
    }

    private double display(String which) {
        return Double.parseDouble(page.locator("[data-part=" + which + "-display]").textContent().replace(" g", ""));
    }

    @Test
    void woolGetsHeavierAndUnderTheLidTheWholeStaysTheSame() {
        signIn("tobiah");
        bench.open("reaction-balance");
        choose("In the dish", "wool");
        choose("The jar is", "sealed");
        double whole = display("whole");
        double sample = display("sample");
        Chrome.button(page, "Light the wool").click();
        assertThat(page.locator("[data-part=wool]")).hasAttribute("data-burning", "true");
        bench.runTo("over to a part in a thousand", "1");
        bench.runTo("a time", "150");
        assertThat(page.locator("[data-part=wool]")).hasAttribute("data-burning", "false");
        assertThat(display("whole")).isEqualTo(whole);
        assertThat(display("sample") - sample).isCloseTo(0.38, within(0.02));
        assertThat(bench.came("Used up")).hasText("the wool");
        choose("Gas in it at first", "argon");
        Chrome.button(page, "Light the wool").click();
        assertThat(bench.came("Used up")).containsText("doesn't burn");
    }

    @Test
    void theLidIsTakenInHandAndTheBalloonIsLiftedByTheAir() {
        signIn("ines");
        bench.open("reaction-balance");
        Eyes eyes = new Eyes(page);
        assertThat(page.locator("[data-part=lid-off]")).hasCount(1);
        double[] lid = eyes.middle("[data-part=lid-off]");
        var jar = page.locator("[data-part=jar]").boundingBox();
        eyes.drag(lid, new double[] {lid[0], jar.y});
        assertThat(page.locator("[data-part=lid-on]")).hasCount(1);
        Chrome.button(page, "Set-ups").click();
        page.getByRole(AriaRole.MENUITEM).filter(new Locator.FilterOptions().setHasText("Is something lost after all?"))
                .click();
        Chrome.button(page, "Bring them together").click();
        bench.runTo("a time", "100");
        double lifted = bench.channel("lift") / 9.81;
        assertThat(lifted).isGreaterThan(0.3);
        assertThat(bench.cameTo("The whole has changed by")).isCloseTo(-lifted, within(0.012));
    }

    /** The displays of a recording before the two are brought together, and when all is over. */
    private void watchOnce() {
        Chrome.part(page, "Watch");
        new LabHands(page).record("Marble", "a handful");
        Eyes eyes = new Eyes(page);
        eyes.frame(0);
        double sample = display("sample");
        double whole = display("whole");
        eyes.frame(479);
        assertThat(sample - display("sample")).isBetween(0.5, 0.86);
        assertThat(whole - display("whole")).isBetween(0.1, 0.86);
    }

    @Test
    void eachPartOpensWhenItsPredictionIsSealed() {
        signIn("orla.benning");
        page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Rust and fire"))
                .getByRole(AriaRole.BUTTON).click();
        watchOnce();
        Chrome.part(page, "Predict");
        page.getByRole(AriaRole.RADIO).nth(2).check();
        Chrome.button(page, "Seal my prediction").click();
        Chrome.part(page, "Wool");
        Locator parts = page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Parts of the lab"));
        Locator marble = parts.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Marble")
                .setExact(true));
        assertThat(marble).hasCount(0);
        Chrome.button(page, "Light the wool").click();
        bench.runTo("a time", "60");
        assertThat(bench.cameTo("The sample has changed by")).isCloseTo(0.38, within(0.02));
        Chrome.part(page, "Predict again");
        page.getByRole(AriaRole.RADIO).nth(1).check();
        Chrome.button(page, "Seal my prediction").click();
        Chrome.part(page, "Marble");
        choose("The jar is", "sealed");
        Chrome.button(page, "Bring them together").click();
        bench.runTo("a time", "300");
        assertThat(bench.came("The whole has changed by")).containsText("0.00");
        assertThat(bench.cameTo("The sample has changed by")).isCloseTo(-0.88, within(0.05));
        String[] jars = {"open", "lid on", "balloon"};
        for (int row = 1; row <= jars.length; row++) {
            Chrome.cell(page, "jar", row).fill(jars[row - 1]);
            Chrome.cell(page, "change of the sample", row).fill("-0.88");
            Chrome.cell(page, "change of the whole", row).fill(row == 2 ? "0.00" : "-0.44");
        }
        Chrome.part(page, "Analyse");
        Locator dioxide = Chrome.question(page, "How much carbon dioxide do two grams");
        Chrome.answer(dioxide, "2", "g");
        assertThat(dioxide).containsText("Not all of the marble becomes gas");
        Chrome.answer(dioxide, "880", "mg");
        assertThat(dioxide.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }
}
