package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The volume bench: poured, dipped and read from the picture as a person does, with the slips of reading named. */
class BrassTest {

    private BrowserContext context;
    private Page page;
    private Eyes eyes;

    @AfterEach
    void close() {
        context.close();
    }

    private void as(String person) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, person);
        eyes = new Eyes(page);
    }

    private Locator cylinder(int which) {
        return page.locator("[data-cylinder='" + which + "']").locator("visible=true").first();
    }

    /** What stands at a height of the picture on a cylinder's scale, worked out from its drawn marks. */
    private double reading(int which, double division, double capacity, boolean atTheEdge) {
        List<?> found = (List<?>) cylinder(which).evaluate("""
                (g) => {
                  const marks = g.querySelector('[data-marks]').getAttribute('d').match(/M[^M]+/g)
                    .map((m) => Number(m.slice(1).split(/[ ,h]/)[1]));
                  const curve = g.querySelector('[data-curve]').getAttribute('d').match(/-?[0-9.]+/g).map(Number);
                  const ring = g.querySelector('[data-ring] ellipse');
                  const bottom = Math.max(...curve.filter((_, i) => i % 2));
                  const under = g.querySelector('[data-ring] ellipse[stroke-dasharray]') ? -1 : 1;
                  const edge = Number(ring.getAttribute('cy')) + under * Number(ring.getAttribute('ry'));
                  return [marks[0], marks[1], bottom, edge];
                }""");
        double[] at = found.stream().mapToDouble(v -> ((Number) v).doubleValue()).toArray();
        double first = Math.ceil(capacity / 10 / division - 1e-9) * division;
        return first + (at[0] - at[atTheEdge ? 3 : 2]) / (at[0] - at[1]) * division;
    }

    private Locator grip(String title) {
        return page.locator("circle:has(title:text-is('" + title + "'))").locator("visible=true").first();
    }

    private static double[] middle(Locator of) {
        BoundingBox box = of.boundingBox();
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    /** Drags the eye to where a cylinder's surface is until its ring has closed. */
    private void levelEye(int which) {
        for (int i = 0; i < 4; i++) {
            BoundingBox curve = cylinder(which).locator("[data-curve]").boundingBox();
            double[] eye = middle(grip("Bring the eye to: the eye"));
            eyes.drag(eye, new double[] {eye[0], curve.y + curve.height});
        }
        assertThat(cylinder(which).locator("[data-ring]")).hasAttribute("data-ring", Pattern.compile("^[01]$"));
    }

    private void does(String act, Map<String, String> chosen) {
        Chrome.button(page, act).click();
        chosen.forEach((label, option) -> {
            Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).last();
            field.selectOption(option);
        });
        Chrome.button(page, "Do it").click();
    }

    private Locator step() {
        return page.getByTestId("step");
    }

    @Test
    void waterIsPouredByHandAndThingsAreDippedByKeysAndByForm() {
        as("ines");
        page.navigate(App.address() + "/bench/volume-bench");
        grip("Fill to a mark: the jug").waitFor();
        // By its lip the jug is brought over the first cylinder; how high the hand is says how far it is filled.
        BoundingBox large = cylinder(1).locator("[data-marks]").boundingBox();
        eyes.drag(middle(grip("Fill to a mark: the jug")), new double[] {large.x + large.width, large.y
                + 0.45 * large.height});
        assertThat(step()).containsText(Pattern.compile("the jug into the first cylinder, to about 1[345][0-9]"));
        levelEye(1);
        double read = reading(1, 2, 250, false);
        assertThat(new BenchHands(page).channel("seen.1")).isCloseTo(read, within(0.3));
        assertThat(reading(1, 2, 250, true)).isGreaterThan(read + 2);
        // The cork by keys: it floats; held under by form, more of it is under water.
        Locator cork = grip("Put a thing: the cork");
        cork.focus();
        for (int i = 0; i < 8; i++) {
            cork.press("ArrowUp");
        }
        while (page.getByText("the cork to the first cylinder, let go").count() == 0) {
            cork.press("ArrowLeft");
        }
        cork.press("Enter");
        assertThat(step()).containsText("the cork to the first cylinder, let go");
        levelEye(1);
        double floats = reading(1, 2, 250, false);
        assertThat(floats).isCloseTo(read + 1.5, within(0.5));
        does("Put a thing …", Map.of("Thing", "the cork", "To", "the first cylinder", "How", "held under with a "
                + "needle"));
        page.keyboard().press("Escape");
        levelEye(1);
        assertThat(reading(1, 2, 250, false)).isCloseTo(read + 6.1, within(1.0));
        page.keyboard().press("Escape");
        does("Put a thing …", Map.of("Thing", "the brass nut", "To", "the balance"));
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-part=display]").first()).hasText(Pattern.compile("1[5-9]\\.[0-9]{2} g"));
        does("Put a thing …", Map.of("Thing", "the shackle", "To", "the third cylinder"));
        assertThat(page.getByText("The shackle doesn't go into the third cylinder: it is wider than the "
                + "opening")).isVisible();
    }

    @Test
    void theSlipsOfReadingAreNamed() {
        as("rosa.eklund");
        Chrome.sealed(page, "Is it brass?", 1, "Scales");
        String[][] scales = {{"10", "20", "10"}, {"5", "10", "25"}, {"2", "4", "10"}};
        for (int row = 1; row <= scales.length; row++) {
            Chrome.cell(page, "cylinder", row).fill(row + ".");
            Chrome.cell(page, "lower label", row).fill(scales[row - 1][0]);
            Chrome.cell(page, "next label", row).fill(scales[row - 1][1]);
            Chrome.cell(page, "spaces between", row).fill(scales[row - 1][2]);
        }
        Locator space = Chrome.question(page, "What does one space of the second");
        Chrome.answer(space, "1", "mL");
        assertThat(space).containsText("Not every space is a whole millilitre");
        Chrome.answer(space, "5", "mL");
        assertThat(space).containsText("upside down");
        Chrome.answer(space, "0.2", "mL");
        assertThat(space.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        Chrome.part(page, "Read");
        double[][] scale = {{1, 100}, {0.2, 25}, {0.2, 10}};
        double[] high = new double[scale.length];
        for (int i = 0; i < scale.length; i++) {
            high[i] = reading(i + 1, scale[i][0], scale[i][1], false);
        }
        for (int i = 0; i < scale.length; i++) {
            Chrome.cell(page, "cylinder", i + 1).fill(i + 1 + ".");
            Chrome.cell(page, "eye high up", i + 1).fill(LabHands.print(high[i], 2));
            if (i < 2) {
                levelEye(i + 1);
                Chrome.cell(page, "eye level", i + 1).fill(LabHands.print(reading(i + 1, scale[i][0], scale[i][1],
                        false), 2));
            } else {
                // Read too early: the eye is level with another cylinder still.
                Chrome.cell(page, "eye level", i + 1).fill(LabHands.print(reading(i + 1, scale[i][0], scale[i][1],
                        false), 2));
            }
        }
        levelEye(1);
        double edge = reading(1, 1, 100, true);
        Locator hundred = Chrome.question(page, "What is in the first cylinder");
        Chrome.answer(hundred, LabHands.print(edge, 2), "mL");
        assertThat(hundred).containsText("Its lowest point counts");
        new LabHands(page).right("What is in the first cylinder", LabHands.print(reading(1, 1, 100, false), 1), "mL");
        Locator ten = Chrome.question(page, "And in the third");
        Chrome.answer(ten, LabHands.print(reading(3, 0.2, 10, false), 2), "mL");
        assertThat(ten).containsText("bring it down until the ring closes");
        levelEye(3);
        new LabHands(page).right("And in the third", LabHands.print(reading(3, 0.2, 10, false), 2), "mL");
    }
}
