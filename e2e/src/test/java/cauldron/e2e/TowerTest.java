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

/** Raised loads: brought by hand, by keys and by form; steps back and forward; a list of things; rows into the notebook. */
class TowerTest {

    private BrowserContext context;
    private Page page;
    private Eyes eyes;
    private BenchHands hands;

    private void as(String person) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, person);
        eyes = new Eyes(page);
        hands = new BenchHands(page);
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void bench() {
        as("ines");
        page.navigate(App.address() + "/bench/raised-loads");
        Chrome.button(page, "Put a load on …").waitFor();
    }

    /** Drags a load over a landing. */
    private void drag(int load, int landing) {
        double[] goal = eyes.middle("[data-landing='" + landing + "'] > rect");
        eyes.drag(eyes.middle("[data-thing='" + load + "']"), new double[] {goal[0] + 40 * load - 80, goal[1] - 12});
    }

    private void put(String load, String onto, String by) {
        Chrome.button(page, "Put a load on …").click();
        page.getByLabel("Load", new Page.GetByLabelOptions().setExact(true)).selectOption(load);
        page.getByLabel("Onto").selectOption(onto);
        page.getByLabel("By", new Page.GetByLabelOptions().setExact(true)).selectOption(by);
        Chrome.button(page, "Do it").click();
        page.keyboard().press("Escape");
    }

    private Locator step() {
        return page.getByTestId("step");
    }

    @Test
    void loadsAreBroughtByMouseByKeysAndByForm() {
        bench();
        drag(1, 3);
        assertThat(step()).containsText("1 of 1");
        assertThat(step()).containsText("To landing 3 by the hoist: Drum of lamp oil");
        assertThat(hands.channel("height")).isEqualTo(8.0);
        Locator rope = page.locator("[data-thing='2']");
        rope.focus();
        while (page.getByText("To landing 1 by the hoist: Coil of rope").count() == 0) {
            rope.press("ArrowUp");
        }
        rope.press("Enter");
        assertThat(step()).containsText("2 of 2");
        assertThat(hands.channel("height")).isEqualTo(2.5);
        put("Lens ring", "landing 2", "the stair");
        assertThat(step()).containsText("3 of 3");
        assertThat(hands.channel("mass")).isEqualTo(0.24);
        Chrome.button(page, "One step back").click();
        Chrome.button(page, "One step back").click();
        assertThat(step()).containsText("1 of 3");
        assertThat(hands.channel("height")).isEqualTo(8.0);
        Chrome.button(page, "To the last step").click();
        assertThat(hands.channel("mass")).isEqualTo(0.24);
        // Something done in the past takes the place of what came after.
        Chrome.button(page, "To the beginning").click();
        drag(3, 2);
        assertThat(step()).containsText("1 of 1");
    }

    @Test
    void aFallShowsItsAccountBeforeAndAfter() {
        bench();
        Chrome.button(page, "Set-ups").click();
        page.getByRole(AriaRole.MENUITEM).filter(new Locator.FilterOptions().setHasText("A fall")).click();
        Locator bars = page.locator("[data-ledger=energy] > svg");
        assertThat(bars).hasAttribute("aria-label", Pattern.compile("Kinetic energy 1412.6 J.*Thermal energy 0.0 J"));
        Chrome.button(page, "It strikes the floor").click();
        assertThat(bars).hasAttribute("aria-label", Pattern.compile("Kinetic energy 0.0 J.*Thermal energy 1412.6 J"));
        page.getByLabel("Up to").selectOption("1000");
        assertThat(page.locator("[data-broken]")).hasCount(2);
        page.getByLabel("Numbers").click();
        assertThat(bars).hasAttribute("aria-label", "Energy account in J: Kinetic energy, Potential energy of all, Thermal energy, Total energy");
        Chrome.button(page, "Trials").click();
        assertThat(page.locator("[data-outcomes]").first()).containsText("1412.6 J");
    }

    @Test
    void aListGrowsShrinksAndSaysWhatItCantTake() {
        bench();
        Chrome.button(page, "Add a load").click();
        assertThat(page.locator("[data-item^='loads.']")).hasCount(5);
        assertThat(Chrome.button(page, "Add a load")).isDisabled();
        assertThat(page.locator("[data-load]")).hasCount(5);
        Chrome.button(page, "Take load 1 away").click();
        assertThat(page.locator("[data-item^='loads.']")).hasCount(4);
        hands.set("Mass, load 1", "250 g");
        assertThat(page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Mass, load 1"))).hasValue("0.25");
        hands.set("Mass, load 1", "41");
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("Mass: can't be 41 kg. Allowed: 0.005 to 40 kg");
        hands.set("Height, landing 1", "4.6");
        assertThat(page.getByRole(AriaRole.ALERT).last())
                .hasText("Landing 2: Height must be at least 0.8 m more than that of landing 1, which is 4.6 m");
        // A landing is pulled up at its edge, as far as the next one lets it.
        double[] edge = eyes.middle("[data-landing='1'] > circle");
        eyes.drag(edge, new double[] {edge[0], edge[1] - 400});
        assertThat(page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Height, landing 1"))).hasValue("4.2");
    }

    @Test
    void aStudentTakesRowsIntoTheNotebookWithTheirOrigin() {
        as("sunniva.grey");
        Chrome.sealed(page, "The store in the tower", 0, "Heights");
        Chrome.button(page, "Put a load on …").waitFor();
        drag(1, 1);
        put("Lead line", "landing 2", "the stair");
        assertThat(page.locator("[data-run-row]")).hasCount(3);
        // What may be taken is the lab's choice: the height is to be read off.
        assertThat(page.getByLabel("Rows of the run table")).not().containsText("h / m");
        Chrome.button(page, "Into the notebook").click();
        assertThat(Chrome.cell(page, "what was done", 2)).hasValue("To landing 1 by the hoist: Drum of lamp oil");
        assertThat(Chrome.cell(page, "mass", 3)).hasValue("3.500");
        assertThat(Double.parseDouble(Chrome.cell(page, "potential energy", 2).inputValue())).isCloseTo(18 * 9.81 * 2.4, within(0.06));
        // A value knows at which step it was taken.
        Chrome.cell(page, "potential energy", 2).click();
        assertThat(step()).containsText("1 of 2");
        Chrome.cell(page, "potential energy", 3).click();
        assertThat(step()).containsText("2 of 2");
    }
}
