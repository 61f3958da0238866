package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The spring press by hand: dragged, by keys and by steps, and a lab's ten pairs both ways up to a checked stiffness. */
class PressTest {

    private BrowserContext context;
    private Page page;
    private BenchHands hands;

    private void signIn(String user) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, user);
        hands = new BenchHands(page);
    }

    private void bench() {
        signIn("ines");
        page.navigate(App.address() + "/bench/spring-bench");
        Chrome.button(page, "A step longer").waitFor();
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void thePlateIsDraggedAndMovedByKeys() {
        bench();
        Locator plate = page.getByLabel(Pattern.compile("^plate: drag it"));
        Eyes eyes = new Eyes(page);
        double[] at = eyes.middle("[data-plate]");
        eyes.drag(at, new double[] {at[0] + 40, at[1] + 5});
        assertThat(page.getByTestId("step")).containsText("1 of 1");
        double drawn = hands.channel("displacement");
        assertThat(drawn).isBetween(5.0, 15.0);
        assertThat(hands.channel("force")).as("an Auk has 2.1 N for each centimetre").isCloseTo(2.1 * drawn, within(0.06));
        plate.focus();
        plate.press("ArrowLeft");
        plate.press("ArrowLeft");
        plate.press("Enter");
        assertThat(page.getByTestId("step")).containsText("2 of 2");
        assertThat(hands.channel("displacement")).isLessThan(drawn);
    }

    @Test
    void twoEndToEndGiveWayTwiceAndWhatIsTooMuchIsSaid() {
        bench();
        Chrome.button(page, "A step longer").click();
        double one = hands.channel("displacement");
        page.getByLabel("In the press").selectOption("series");
        Chrome.button(page, "A step longer").click();
        assertThat(hands.channel("displacement")).isCloseTo(2 * one, within(0.02));
        page.getByLabel("In the press").selectOption("parallel");
        Chrome.button(page, "A step longer").click();
        assertThat(hands.channel("displacement")).isCloseTo(one / 2, within(0.02));
        page.getByLabel("In the press").selectOption("one");
        Chrome.button(page, "Set the force …").click();
        hands.set("Force, pulling counted positive", "110");
        Chrome.button(page, "Do it").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("The screw ends at 50 cm");
    }

    @Test
    void tenPairsBothWaysAreMadeTakenAndFitted() {
        signIn("bashir.odell");
        Chrome.sealed(page, "Buffers for the rescue slip", 2, "Both ways");
        Chrome.button(page, "A step longer").waitFor();
        page.getByLabel("Spring", new Page.GetByLabelOptions().setExact(true)).selectOption("curlew");
        for (String step : List.of("A step longer", "A step shorter")) {
            for (int i = 0; i < 5; i++) {
                Chrome.button(page, step).click();
            }
            if (step.endsWith("longer")) {
                Chrome.button(page, "Let off").click();
            }
        }
        Chrome.button(page, "Into the notebook").click();
        assertThat(Chrome.cell(page, "force", 2)).hasValue("5.0");
        assertThat(Chrome.cell(page, "displacement", 12)).hasValue("\u22124.81");
        Chrome.part(page, "Analyse");
        Locator question = Chrome.question(page, "How stiff is your spring");
        Chrome.answer(question, "5.2", "N/m");
        assertThat(question).containsText("In which unit is the gradient of your line then?");
        Chrome.answer(question, "520", "N/m");
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }
}
