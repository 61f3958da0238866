package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Two tanks in the boathouse: hot below turns over, hot above stays; cores in a lab, their times into the notebook. */
class TanksTest {

    private BrowserContext context;
    private Page page;

    @AfterEach
    void close() {
        context.close();
    }

    private void signIn(String user) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, user);
    }

    @Test
    void hotBelowTurnsOverAndHotAboveStays() {
        signIn("tobiah");
        BenchHands hands = new BenchHands(page);
        hands.open("twin-tanks");
        Eyes eyes = new Eyes(page);
        assertThat(page.locator("[data-part=threads]")).hasCount(1);
        hands.runTo("mixed to 95 %", "1");
        assertThat(hands.came("Mixed to 95 % after")).containsText("min");
        assertThat(hands.channel("mixed")).isCloseTo(95, within(0.2));
        Chrome.button(page, "New run").click();
        // The thermometer of the lower tank is pulled below the other one's.
        double[] mercury = eyes.middle("[data-part=mercury-below]");
        var column = page.locator("[data-part=mercury-below]").boundingBox();
        eyes.drag(new double[] {mercury[0], column.y}, new double[] {mercury[0], column.y + 0.9 * column.height});
        Locator below = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Water "
                + "below")));
        assertThat(Double.parseDouble(below.inputValue())).isBetween(2.0, 15.0);
        assertThat(page.locator("[data-part=still]")).hasCount(1);
        hands.runTo("a time", "20");
        assertThat(hands.channel("mixed")).isLessThan(0.1);
        assertThat(hands.channel("above")).isCloseTo(20, within(0.5));
    }

    /** Predictions first, then what was seen: only that is checked, and each case brings its share. */
    private void comparedAndSealed() {
        Chrome.part(page, "An open tube");
        String[] cases = {"70 °C above, 20 °C below", "20 °C above, 70 °C below", "50 °C above, 52 °C below",
            "80 °C above, 60 °C below", "4 °C above, 2 °C below"};
        Locator block = page.locator("main section").filter(new Locator.FilterOptions().setHasText("Do the waters mix"));
        Locator seal = block.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Seal my predictions"));
        assertThat(page.getByLabel("Seen: " + cases[0])).hasCount(0);
        for (String one : cases) {
            assertThat(seal).isDisabled();
            page.getByLabel("Predicted: " + one).selectOption("slow");
        }
        seal.click();
        assertThat(page.getByLabel("Predicted: " + cases[0])).hasCount(0);
        String[] seen = {"slow", "fast", "fast", "slow", "slow"};
        for (int i = 0; i < cases.length; i++) {
            page.getByLabel("Seen: " + cases[i]).selectOption(seen[i]);
        }
        Locator check = block.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Check"));
        check.click();
        assertThat(block).containsText("4 of 5 are as it is. Do this one again, and look closely: 4 °C above, 2 °C below");
        assertThat(block).containsText("2 of 3 tries left");
        page.getByLabel("Seen: " + cases[4]).selectOption("fast");
        check.click();
        assertThat(block.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    @Test
    void coresMeetAtOneTemperatureAndTheSoonestIsTheStudentsOwn() {
        signIn("una.corrie");
        Chrome.sealed(page, "Two tanks in the boathouse", 1, "A core between");
        BenchHands hands = new BenchHands(page);
        String[] cores = {"copper core", "aluminium core", "steel core"};
        double least = Double.MAX_VALUE;
        for (int i = 0; i < cores.length; i++) {
            if (i > 0) {
                Chrome.button(page, "New run").click();
                page.getByLabel("In the neck").selectOption(cores[i]);
            }
            hands.runTo("within half a degree", "1");
            double minutes = hands.cameTo("Within half a degree after");
            assertThat(hands.cameTo("Temperature then")).isCloseTo(44.9,
                    within(0.3));
            assertThat(minutes).as("worse conductors take longer").isGreaterThan(i == 0 ? 0 : least);
            least = Math.min(least, minutes);
            Chrome.cell(page, "trial", i + 1).fill("Trial " + (i + 1));
            Chrome.cell(page, "core", i + 1).fill(cores[i]);
            Chrome.cell(page, "Within half a degree after", i + 1).fill(LabHands.print(minutes, 1));
            Chrome.cell(page, "Temperature then", i + 1).fill("44.9");
        }
        assertThat(page.getByText("3 of 3 trials")).isVisible();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Bars, curves and what it came "
                + "to")))
                .containsText("Temperature below / °C");
        comparedAndSealed();
        Chrome.part(page, "Analyse");
        Locator question = Chrome.question(page, "shortest time to half a degree");
        Chrome.answer(question, LabHands.print(least, 1), "min");
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        Locator where = Chrome.question(page, "At which temperature do half a litre");
        Chrome.answer(where, "318.1", "K");
        assertThat(where.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }
}
