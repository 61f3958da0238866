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
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The rail run by hand: points pulled, the wagon lifted and let go, forces looked at, friction told beforehand. */
class RailTest {

    private BrowserContext context;
    private Page page;
    private Eyes eyes;
    private BenchHands hands;

    @BeforeEach
    void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.signedIn(context, "ines");
        eyes = new Eyes(page);
        hands = new BenchHands(page);
        hands.open("rail-run");
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void rail(String name) {
        page.getByLabel("Rail", new Page.GetByLabelOptions().setExact(true)).selectOption(name);
    }

    private void show(String... layers) {
        Chrome.button(page, "Show").click();
        for (String layer : layers) {
            page.getByLabel(layer, new Page.GetByLabelOptions().setExact(true)).check();
        }
        page.keyboard().press("Escape");
    }

    @Test
    void aPointIsPulledAndTheRailFollows() {
        rail("your own");
        String before = page.locator("[data-rail]").getAttribute("d");
        double[] hill = eyes.middle("[data-point='3'] > circle");
        eyes.drag(hill, new double[] {hill[0] + 20, hill[1] - 40});
        assertThat(page.locator("[data-rail]")).not().hasAttribute("d", before);
        Locator y = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Height, point 3"));
        assertThat(Double.parseDouble(y.inputValue())).isBetween(5.0, 6.5);
        // No point comes past its neighbour.
        double[] now = eyes.middle("[data-point='3'] > circle");
        eyes.drag(now, new double[] {now[0] - 500, now[1]});
        assertThat(page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Across, point 3"))).hasValue("4.8");
        Chrome.button(page, "Add a point").click();
        assertThat(page.locator("[data-point]")).hasCount(6);
    }

    @Test
    void theWagonIsLiftedAndLetGoAlsoWhileItRuns() {
        rail("Coal trough");
        double[] wagon = eyes.middle("[data-part=wagon] > circle >> nth=2");
        eyes.drag(wagon, new double[] {wagon[0] + 30, wagon[1] + 80});
        Locator start = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Let go")));
        double from = Double.parseDouble(start.inputValue());
        assertThat(from).isBetween(3.0, 5.5);
        hands.runTo("lowest point", "1");
        assertThat(hands.channel("speed")).isCloseTo(Math.sqrt(2 * 9.81 * (from - 0.6)), within(0.006));
        // Caught at the bottom and lifted by hand: from there on it has that much more.
        Chrome.button(page, "Readouts").click();
        page.getByLabel("Work of the hand").check();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Total energy")).check();
        page.keyboard().press("Escape");
        double total = hands.channel("total");
        double[] low = eyes.middle("[data-part=wagon] > circle >> nth=2");
        eyes.drag(low, new double[] {low[0] + 260, low[1] - 200});
        assertThat(hands.channel("by-hand")).isNotZero();
        assertThat(hands.channel("total")).isCloseTo(total + hands.channel("by-hand"), within(1.5));
        hands.runTo("lowest point", "1");
        assertThat(hands.channel("total")).isCloseTo(total + hands.channel("by-hand"), within(1.5));
    }

    @Test
    void forcesAreDrawnAndTheNormalForceDoesNoWork() {
        rail("Keeper's loop");
        hands.set("Let go", "6.5");
        show("Force arrows", "Sum of the forces", "Components of the forces");
        assertThat(page.locator("[data-force='force.weight']")).hasCount(1);
        assertThat(page.locator("[data-force='force.friction']")).hasCount(0);
        hands.set("Friction coefficient", "0.05");
        assertThat(page.locator("[data-force='force.friction']")).hasCount(1);
        Chrome.button(page, "Bars").click();
        page.getByLabel("Work of each force so far").check();
        page.keyboard().press("Escape");
        hands.runTo("lowest point", "1");
        assertThat(page.locator("[data-force='force.friction']")).hasCount(1);
        assertThat(page.locator("[data-ledger=work] > svg")).hasAttribute("aria-label", Pattern.compile("Work of the normal force 0 J"));
        // From too low it leaves the rail, and that can be stopped at.
        hands.set("Friction coefficient", "0");
        Chrome.button(page, "New run").click();
        hands.set("Let go", "5.4");
        hands.runTo("rail left", "1");
        assertThat(page.locator("[data-force='force.normal']")).hasCount(0);
    }

    @Test
    void theDialTellsBeforeTheRunHowFarFrictionBringsIt() {
        rail("Coal trough");
        Locator dial = page.locator("[data-forecast]");
        assertThat(dial).containsText("never comes to rest");
        hands.set("Friction coefficient", "0.05");
        assertThat(dial).containsText("at rest after about 78 m of rail");
        hands.runTo("at rest", "1");
        Chrome.button(page, "Trials").click();
        assertThat(page.locator("[data-outcomes]").first()).containsText("Distance until at rest");
        assertThat(page.locator("[data-outcomes]").first()).containsText(Pattern.compile("7[789]\\.\\d m"));
        // The energy account against place: any channel against any other, with the point now marked.
        Chrome.button(page, "Graph").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Potential energy")).check();
        page.getByLabel("against", new Page.GetByLabelOptions().setExact(true)).selectOption("Across");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Potential energy against across"))).isVisible();
        assertThat(page.locator("[data-now=potential]")).hasCount(1);
    }
}
