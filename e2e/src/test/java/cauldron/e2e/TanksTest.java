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

    /** Predictions first: the bench waits for them. Then each case is run, and what was seen is checked. */
    private void openTube(BenchHands hands, LabHands lab) {
        Chrome.part(page, "An open tube");
        String[] cases = {"70 °C above, 20 °C below", "20 °C above, 70 °C below", "50 °C above, 52 °C below",
            "80 °C above, 60 °C below", "4 °C above, 2 °C below"};
        Locator block = page.locator("main section").filter(new Locator.FilterOptions().setHasText("Do the waters mix"));
        Locator seal = block.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Seal my predictions"));
        assertThat(page.getByLabel("Seen: " + cases[0])).hasCount(0);
        assertThat(page.getByText("This bench opens when you have sealed your predictions")).isVisible();
        for (String one : cases) {
            assertThat(seal).isDisabled();
            page.getByLabel("Predicted: " + one).selectOption("slow");
        }
        seal.click();
        assertThat(page.getByLabel("Predicted: " + cases[0])).hasCount(0);
        for (int i = 0; i < cases.length; i++) {
            String[] celsius = cases[i].split(" °C [a-z]+,? ?");
            if (i > 0) {
                Chrome.button(page, "New run").click();
            }
            hands.set("Water above", celsius[0]);
            hands.set("Water below", celsius[1]);
            hands.runTo("a time", "20");
            double mixed = hands.channel("mixed");
            lab.type("above at the start", i + 1, celsius[0]);
            lab.type("below at the start", i + 1, celsius[1]);
            lab.type("mixed after 20 min", i + 1, LabHands.print(mixed, 1));
            // The last one is taken for slow at first, whatever was seen.
            page.getByLabel("Seen: " + cases[i]).selectOption(mixed > 50 && i < 4 ? "fast" : "slow");
        }
        Locator check = block.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Check"));
        check.click();
        assertThat(block).containsText("4 of 5 are as it is. Do this one again, and look closely: 4 °C above, 2 °C below");
        assertThat(block).containsText("2 of 3 tries left");
        page.getByLabel("Seen: " + cases[4]).selectOption("fast");
        check.click();
        assertThat(block.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        assertThat(check).isDisabled();
    }

    /** The whole lab as its own words say, to all the points that are decided at once, each named slip on the way. */
    @Test
    void theTanksAreWalkedFromPredictionToHandedIn() {
        signIn("una.corrie");
        Chrome.sealed(page, "Two tanks in the boathouse", 1, "A core between");
        BenchHands hands = new BenchHands(page);
        LabHands lab = new LabHands(page);
        String[] cores = {"copper core", "aluminium core", "steel core"};
        double least = Double.MAX_VALUE;
        for (int i = 0; i < cores.length; i++) {
            if (i > 0) {
                Chrome.button(page, "New run").click();
                page.getByLabel("In the neck").selectOption(cores[i]);
            }
            hands.runTo("within half a degree", "1");
            double minutes = hands.cameTo("Within half a degree after");
            assertThat(hands.cameTo("Temperature then")).isCloseTo(44.9, within(0.3));
            assertThat(minutes).as("worse conductors take longer").isGreaterThan(i == 0 ? 0 : least);
            least = Math.min(least, minutes);
        }
        assertThat(page.getByText("3 of 3 trials")).isVisible();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Bars, curves and what it came "
                + "to")))
                .containsText("Temperature below / °C");
        Chrome.part(page, "An open tube");
        Chrome.part(page, "A core between");
        lab.overAllIntoTheNotebook("3 rows stand in “Cores” now.");
        for (int i = 0; i < cores.length; i++) {
            assertThat(Chrome.cell(page, "core", i + 1)).hasValue(cores[i]);
        }
        assertThat(page.getByText("3 of 3 rows")).isVisible();
        openTube(hands, lab);
        Chrome.part(page, "Analyse");
        lab.right("At which temperature do half a litre", "318.1", "K");
        lab.right("shortest time to half a degree", LabHands.print(least, 1), "min");
        lab.slip("How much energy has the lower tank", "105", "kJ", "Half a litre has half a kilogram.");
        lab.slip("How much energy has the lower tank", "2.1", "kJ", "That is for one degree.");
        lab.slip("How much energy has the lower tank", "147", "kJ", "It has cooled to 45 °C, not to nothing");
        lab.right("How much energy has the lower tank", "52.5", "kJ");
        lab.handIn("Warm water goes up where it is less dense than the water above it, as with 20 above 70: by "
                + "twenty minutes more than half was mixed. With the hot water above nothing moved, because the denser "
                + "water lay below already. A core lets heat through but no water, so it changes when they meet and not "
                + "where. Heat doesn't rise, dense water sinks. Around four degrees the colder water is less dense, so "
                + "four above two mixes.", "12");
    }
}
