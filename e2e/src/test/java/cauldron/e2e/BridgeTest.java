package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** How far a drop will go: the last whole frame, the gap by ruler, a weaker liquid against the ruler left there. */
class BridgeTest {

    private BrowserContext context;
    private Page page;
    private Eyes eyes;

    @AfterEach
    void close() {
        context.close();
    }

    private BoundingBox part(String name) {
        return page.locator("[data-part=" + name + "]").first().boundingBox();
    }

    private boolean hasParted() {
        BoundingBox upper = part("upper-liquid");
        return part("lower-liquid").y > upper.y + upper.height + 3;
    }

    /** Height of a face on the screen: 0 the lower one, 1 the upper one. */
    private double face(int which) {
        BoundingBox stud = part(which == 0 ? "lower-stud" : "upper-stud");
        double line = 0.7;
        return which == 0 ? stud.y + line : stud.y + stud.height - line;
    }

    @Test
    void waterGoesFurtherThanHexaneAndItsGapGivesItsSurfaceTension() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "nadia.pike");
        eyes = new Eyes(page);
        LabHands hands = new LabHands(page);
        Chrome.sealed(page, "How far a drop will go", 0, "Drawn out");
        hands.record("Liquid", "water");
        int parted = eyes.firstFrame(30, 535, this::hasParted);
        eyes.frame(parted - 1);
        assertThat(hasParted()).isFalse();
        Chrome.button(page, "Ruler").click();
        page.getByLabel("Ruler graduated in").waitFor();
        // Beside the studs, so that its scale is seen against the lamp.
        double x = part("lower-stud").x - 12;
        eyes.layRuler(new double[] {x, face(0)}, new double[] {x, face(1)});
        double gap = eyes.read("ruler", new double[] {x, face(1)}) - eyes.read("ruler", new double[] {x, face(0)});
        assertThat(gap).isCloseTo(5.61, within(0.08));
        typed(hands, 1, "water", "18.0", "998", LabHands.print(gap, 2));
        hands.record("Liquid", "hexane");
        int sooner = eyes.firstFrame(30, 535, this::hasParted);
        eyes.frame(sooner - 1);
        double less = eyes.read("ruler", new double[] {x, face(1)}) - eyes.read("ruler", new double[] {x, face(0)});
        assertThat(less).isCloseTo(4.75, within(0.1));
        typed(hands, 2, "hexane", "86.2", "659", LabHands.print(less, 2));
        typed(hands, 3, "glycerol", "92.1", "1261", "5.32");
        typed(hands, 4, "decane", "142.3", "730", "4.91");
        typed(hands, 5, "ethane-1,2-diol", "62.1", "1113", "5.19");
        Chrome.part(page, "Analyse");
        double length = 2 / (3.66 - 1.043 * Double.parseDouble(LabHands.print(gap, 2)) / 2);
        Locator tension = Chrome.question(page, "And its surface tension");
        Chrome.answer(tension, LabHands.print(998 * 9.81e-6 * length * length, 4), "N/m");
        assertThat(tension.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        Chrome.answer(tension, LabHands.print(998e-3 * length * length, 4), "mN/m");
        assertThat(tension).containsText("Is g in it?");
        Chrome.answer(tension, LabHands.print(998 * 9.81e-3 * length * length, 1), "mN/m");
        assertThat(tension.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    private static void typed(LabHands hands, int row, String liquid, String molar, String density, String gap) {
        hands.type("liquid", row, liquid);
        hands.type("molar mass", row, molar);
        hands.type("density", row, density);
        hands.type("widest gap", row, gap);
    }

    @Test
    void theScrewIsTurnedAndHeldAndGlycerolPartsBeforeWater() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
        BenchHands bench = new BenchHands(page);
        bench.open("liquid-bridge");
        Chrome.button(page, "Turn the screw").click();
        Chrome.button(page, "Hold the screw").click();
        double held = bench.channel("gap");
        assertThat(held).isBetween(3.0, 5.6);
        Chrome.button(page, "Turn the screw").click();
        Chrome.button(page, "Again").waitFor();
        assertThat(bench.came("Widest gap")).containsText("5.61");
        page.getByLabel("Liquid", new Page.GetByLabelOptions().setExact(true)).selectOption("glycerol");
        Chrome.button(page, "Turn the screw").click();
        Chrome.button(page, "Again").waitFor();
        assertThat(bench.cameTo("Widest gap")).isBetween(5.3, 5.6);
        assertThat(bench.cameTo("The neck thins for")).isGreaterThan(100);
    }
}
