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

/** The clock shaft by hand: lifted, let fall, read at first contact, and two things that fall alike without air. */
class ShaftTest {

    private BrowserContext context;
    private Page page;
    private BenchHands hands;

    private void signIn(String user) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, user);
        hands = new BenchHands(page);
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void aThingIsLiftedLetFallAndReadAtFirstContact() {
        signIn("ines");
        hands.open("drop-tower");
        Eyes eyes = new Eyes(page);
        double[] at = eyes.middle("[data-falls='1']");
        eyes.drag(at, new double[] {at[0], at[1] + 60});
        Locator height = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Height, h")));
        double lifted = Double.parseDouble(height.inputValue());
        assertThat(lifted).isBetween(5.0, 9.9);
        page.getByLabel("In the shaft").selectOption("none");
        Chrome.button(page, "Let fall").click();
        Chrome.button(page, "Again").waitFor();
        double fell = hands.cameTo("Time of first contact");
        assertThat(fell).isCloseTo(Math.sqrt(2 * lifted / 9.81), within(0.001));
        Chrome.button(page, "Run table").click();
        page.getByLabel("Rows", new Page.GetByLabelOptions().setExact(true)).selectOption("events");
        assertThat(page.locator("[data-run-row]").first()).containsText("first contact");
        page.locator("[data-run-row]").first().click();
        assertThat(hands.time()).isCloseTo(fell, within(0.001));
        assertThat(hands.channel("height.1")).isZero();
    }

    @Test
    void withoutAirTwoThingsFallAlikeAndWithAirNot() {
        signIn("ines");
        hands.open("drop-tower");
        page.getByLabel("Another beside it").click();
        for (String medium : new String[] {"air", "none"}) {
            page.getByLabel("In the shaft").selectOption(medium);
            Chrome.button(page, "Let fall").click();
            Chrome.button(page, "Again").waitFor();
            double one = hands.cameTo("Time of first contact");
            double other = hands.cameTo("Time of first contact, the other");
            if (medium.equals("none")) {
                assertThat(other).isEqualTo(one);
            } else {
                assertThat(other).isGreaterThan(2 * one);
            }
        }
    }

    @Test
    void rowsUpToFirstContactGoIntoTheNotebookAndTheirGradientIsChecked() {
        signIn("cyril.haas");
        Chrome.sealed(page, "Down the clock shaft", 2, "Without air");
        Chrome.button(page, "Let fall").click();
        // It has come to rest: back to the instant, which is exact.
        Chrome.button(page, "Again").waitFor();
        Locator every = page.getByLabel("every");
        every.fill("0.2");
        every.press("Enter");
        Chrome.button(page, "Into the notebook").click();
        assertThat(Chrome.cell(page, "velocity", 4)).hasValue("\u22125.886");
        Chrome.part(page, "Analyse");
        Locator question = Chrome.question(page, "What is the gradient of velocity");
        Chrome.answer(question, "9.81", "m/s²");
        assertThat(question).containsText("more and more negative");
        Chrome.answer(question, "-9.81", "m/s²");
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }
}
