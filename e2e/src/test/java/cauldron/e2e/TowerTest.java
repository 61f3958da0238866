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

    /** How high a landing's floor is above the ground, read off the long tape laid from one to the other. */
    private double height(int landing) {
        double[] floor = eyes.middle("[data-landing='" + landing + "'] > rect");
        var slab = page.locator("[data-landing='" + landing + "'] > rect").boundingBox();
        var ground = page.locator("[data-part=ground]").boundingBox();
        double x = slab.x + 0.7 * slab.width;
        eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=1"), new double[] {x, slab.y - 40});
        eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=0"), new double[] {x, ground.y});
        // What the tape shows at the landing, less what it shows at the ground, wherever its zero has fallen.
        return eyes.metres("tape", new double[] {x, floor[1] - slab.height / 2})
                - eyes.metres("tape", new double[] {x, ground.y + ground.height / 2});
    }

    /** The whole lab as its own words say, to all the points that are decided at once, each named slip on the way. */
    @Test
    void theTowerIsWalkedFromPredictionToHandedIn() {
        as("sunniva.grey");
        LabHands lab = new LabHands(page);
        Chrome.sealed(page, "The store in the tower", 0, "Heights");
        Chrome.button(page, "Put a load on …").waitFor();
        drag(1, 1);
        String[][] placings = {{"Lead line", "landing 2", "the stair"}, {"Coil of rope", "landing 3", "the hoist"},
            {"Drum of lamp oil", "landing 2", "the hoist"}, {"Coil of rope", "landing 1", "the stair"},
            {"Lead line", "landing 3", "the hoist"}};
        for (String[] one : placings) {
            put(one[0], one[1], one[2]);
        }
        assertThat(page.locator("[data-run-row]")).hasCount(7);
        // What may be taken is the lab's choice: the height is to be read off.
        assertThat(page.getByLabel("Rows of the run table")).not().containsText("h / m");
        Chrome.button(page, "Into the notebook").click();
        assertThat(page.getByText("Left for you to type: height.")).isVisible();
        assertThat(Chrome.cell(page, "what was done", 2)).hasValue("To landing 1 by the hoist: Drum of lamp oil");
        assertThat(Chrome.cell(page, "mass", 3)).hasValue("3.500");
        assertThat(Double.parseDouble(Chrome.cell(page, "potential energy", 2).inputValue())).isCloseTo(18 * 9.81 * 2.4, within(0.06));
        // A value knows at which step it was taken.
        Chrome.cell(page, "potential energy", 2).click();
        assertThat(step()).containsText("1 of 6");
        Chrome.cell(page, "potential energy", 7).click();
        assertThat(step()).containsText("6 of 6");
        Chrome.button(page, "Long tape").click();
        double[] heights = {height(1), height(2), height(3)};
        int[] landings = {1, 2, 3, 2, 1, 3};
        for (int i = 0; i < landings.length; i++) {
            lab.type("height", i + 2, LabHands.print(heights[landings[i] - 1], 2));
        }
        assertThat(page.getByText("6 of 6 rows")).isVisible();

        Chrome.part(page, "Two ways");
        for (String[] way : new String[][] {{"landing 3", "the hoist"}, {"the floor", "the hoist"},
            {"landing 3", "the stair"}, {"the floor", "the stair"}}) {
            put("Drum of lamp oil", way[0], way[1]);
        }
        Chrome.button(page, "Into the notebook").click();
        assertThat(page.getByText("5 rows stand in “Ways” now.")).isVisible();
        assertThat(Chrome.cell(page, "potential energy", 2)).hasValue(Chrome.cell(page, "potential energy", 4).inputValue());

        Chrome.part(page, "Falling");
        put("Drum of lamp oil", "landing 3", "the hoist");
        Chrome.button(page, "Let a load fall …").click();
        Chrome.button(page, "Do it").click();
        page.keyboard().press("Escape");
        Chrome.button(page, "It strikes the floor").click();

        Chrome.part(page, "Analyse");
        lab.column("mass times height", "q", "m*h");
        double gradient = lab.gradient("Eₚ", "q");
        assertThat(gradient).isCloseTo(9.81, within(0.2));
        asked(lab, gradient);
        lab.handIn("The keeper with the hoist is right: both ways the drum stores the same on landing three, because "
                + "only its weight and the height count. The stair is longer, and along the flat parts no work is done "
                + "on the load. When it falls, potential energy becomes kinetic energy, and at the floor thermal "
                + "energy.", "12");
    }

    private static void asked(LabHands lab, double gradient) {
        String line = "What is the gradient of your line";
        lab.slip(line, LabHands.print(gradient / 1000, 5), "N/kg", "That comes out when a mass is in grams");
        lab.slip(line, LabHands.print(1 / gradient, 4), "N/kg", "That is upside down");
        lab.right(line, LabHands.print(gradient, 2), "N/kg");
        lab.slip("A coil of rope of 6 kg", "72", "J", "Mass times height is not yet an energy");
        lab.slip("A coil of rope of 6 kg", "706300", "J", "The mass belongs into kilograms");
        lab.right("A coil of rope of 6 kg", "706", "J");
        lab.right("How much more does the drum store", "0", "J");
        lab.slip("The reference level is at 4.9 m", "865", "J", "The drum lies below the level");
        lab.right("The reference level is at 4.9 m", "-865", "J");
        lab.slip("How fast is a load", "8.69", "m/s", "Kinetic energy has a half in it");
        lab.slip("How fast is a load", "151", "m/s", "That is the square of the speed.");
        lab.right("How fast is a load", "12.3", "m/s");
    }
}
