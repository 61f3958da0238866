package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The equilibrium flask on the bench: both rates meet, more of a solid changes nothing, more of a gas does. */
class FlaskTest {

    private BrowserContext context;
    private Page page;
    private BenchHands bench;

    @AfterEach
    void close() {
        context.close();
    }

    private void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
        bench = new BenchHands(page);
        bench.open("equilibrium-flask");
    }

    @Test
    void bothRatesMeetAndTheBarsAreThoseOfTheReactionInFront() {
        open();
        Locator bars = page.locator("[data-ledger=amounts] > svg");
        assertThat(bars).hasAttribute("aria-label", Pattern.compile("Hydrogen 5.00 mol, Iodine 5.00 mol, Hydrogen "
                + "iodide 0.00 mol$"));
        page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("Catalyst")).click();
        assertThat(page.locator("[data-part=mesh]")).hasCount(1);
        bench.runTo("rates equal within half a percent", "1");
        // K is 54.6 at 425 °C: 10 mol √K/(2 + √K) of hydrogen iodide, a little less as the rates come near.
        double root = Math.sqrt(54.6);
        assertThat(bench.cameTo("HI at equilibrium")).isCloseTo(10 * root / (2 + root), within(0.03));
        assertThat(page.locator("[data-part=went]")).hasText(Pattern.compile("→ [1-9].*← [1-9]"));
    }

    @Test
    void fourStartsGiveOneConstant() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "rosa.eklund");
        bench = new BenchHands(page);
        Chrome.sealed(page, "As much in as out", 3, "From both sides");
        double[][] starts = {{5, 5, 0}, {0, 0, 10}, {8, 3, 0}, {2, 2, 6}};
        double sum = 0;
        for (int row = 1; row <= starts.length; row++) {
            if (row > 1) {
                Chrome.button(page, "New run").click();
            }
            String[] names = {"H₂", "I₂", "HI"};
            String[] called = {"Hydrogen", "Iodine", "Hydrogen iodide"};
            double[] ends = new double[names.length];
            for (int i = 0; i < names.length; i++) {
                bench.set(names[i] + " put in", LabHands.print(starts[row - 1][i], 1));
            }
            bench.runTo("a time", "1500");
            for (int i = 0; i < names.length; i++) {
                ends[i] = inTheBars(called[i]);
                Chrome.cell(page, names[i] + " at the start", row).fill(LabHands.print(starts[row - 1][i], 1));
                Chrome.cell(page, names[i] + " at the end", row).fill(LabHands.print(ends[i], 2));
            }
            double k = ends[2] * ends[2] / (ends[0] * ends[1]);
            assertThat(k).isCloseTo(54.6, within(1.5));
            sum += k;
        }
        Chrome.part(page, "Analyse");
        Locator question = Chrome.question(page, "What is K for H₂");
        Chrome.answer(question, LabHands.print(starts.length / sum, 5), "");
        assertThat(question).containsText("What is made stands above the line");
        Chrome.answer(question, LabHands.print(sum / starts.length, 1), "");
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    /** Carbon dioxide in the vessel in mol, as the bars tell. */
    private double dioxide() {
        return inTheBars("Carbon dioxide");
    }

    private double inTheBars(String substance) {
        Matcher told = Pattern.compile(substance + " ([0-9.]+) mol").matcher(page.locator("[data-ledger=amounts] > "
                + "svg")
                .getAttribute("aria-label"));
        assertThat(told.find()).isTrue();
        return Double.parseDouble(told.group(1));
    }

    @Test
    void moreOfTheSolidChangesNothingAndGasPutInIsThere() {
        open();
        page.getByLabel("Reaction", new Page.GetByLabelOptions().setExact(true)).selectOption("lime");
        bench.runTo("rates equal within half a percent", "1");
        bench.set("CaCO₃ put in", "9");
        bench.runTo("a time", "2000");
        double gas = dioxide();
        assertThat(gas).isCloseTo(0.53, within(0.06));
        bench.set("CaCO₃ put in", "10");
        bench.runTo("a time", "3000");
        assertThat(dioxide()).isCloseTo(gas, within(0.011));
        bench.set("CO₂ put in", "5");
        assertThat(dioxide()).isGreaterThan(5);
    }
}
