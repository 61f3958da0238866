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
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;

/** A student does each lab on the real interface: predicts, measures on the picture, analyses, answers, hands in. */
@Order(3)
class LabsTest {

    private static final String REASONS = "I would trust the way whose readings I could repeat best, because one "
            + "reading alone may be off by a division. The gradient does not change when all values on one axis are "
            + "shifted by the same amount, and that is why a zero in another place does no harm to it at all.";

    private BrowserContext context;
    private Page page;
    private Eyes eyes;
    private LabHands hands;

    private void open(String student, String lab) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, student);
        eyes = new Eyes(page);
        hands = new LabHands(page);
        page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(lab))
                .getByRole(AriaRole.BUTTON).click();
        Chrome.button(page, "Prediction").click();
        page.getByRole(AriaRole.RADIO).nth(1).check();
        if (lab.contains("label")) {
            assertThat(page.getByText("Sketch the graph first.")).isVisible();
            eyes.sketch();
            Chrome.button(page, "Take back").click();
            assertThat(page.getByTestId("stroke")).hasCount(1);
        }
        Chrome.button(page, "Seal my prediction").click();
        assertThat(page.getByText("Sealed", new Page.GetByTextOptions().setExact(true))).isVisible();
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void part(String name) {
        Chrome.part(page, name);
    }

    private void handIn(String points) {
        hands.handIn(REASONS, points);
    }

    @Test
    void theSpringByWeightsAndByRhythmAndASinkerWeighed() {
        open("cyril.haas", "The slip's lost label");
        part("By weights");
        int[] grams = {50, 100, 150, 200, 300};
        for (int i = 0; i < grams.length; i++) {
            hands.record("Load", grams[i] + " g", "Way", "at rest");
            if (i == 0) {
                Chrome.button(page, "Ruler").click();
                page.getByLabel("Ruler graduated in").waitFor();
            }
            double[] support = eyes.onScreen(eyes.attribute("[data-part=body]", "x")
                    + 0.5 * eyes.attribute("[data-part=body]", "width"),
                    70);
            double[] hook = eyes.onScreen(eyes.attribute("[data-part=body]", "x")
                    + 0.5 * eyes.attribute("[data-part=body]", "width"),
                    eyes.attribute("[data-part=body]", "y"));
            if (i == 0) {
                eyes.layRuler(support, hook);
            }
            hands.type("load", i + 1, grams[i] + " g");
            hands.type("weight", i + 1, LabHands.print(grams[i] * 9.81 / 1000, 3));
            hands.type("hook below support", i + 1, LabHands.print(eyes.read("ruler", hook), 1));
        }
        // A tenth of a millimetre is estimated on the ruler, and the cell says so by itself.
        assertThat(page.getByLabel("Uncertainty in row 5 of hook below support")).hasValue("0.01");
        double byWeights = 100 * hands.gradient("F", "x");

        part("By rhythm");
        Chrome.button(page, "Stopwatch").click();
        int[] bounced = {100, 150, 200, 300};
        for (int i = 0; i < bounced.length; i++) {
            hands.type("load", i + 1, bounced[i] + " g");
            hands.type("mass", i + 1, String.valueOf(bounced[i]));
            hands.record("Load", bounced[i] + " g", "Way", "bouncing");
            timeTenBounces(i + 1);
        }
        hands.type("load", 5, "Brill");
        hands.record("Load", "Sinker Brill", "Way", "bouncing");
        timeTenBounces(5);
        // The sealed sketch stands behind the graph of the same quantities, either way round, and behind no other.
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("t");
        page.getByLabel("along", new Page.GetByLabelOptions().setExact(true)).selectOption("m");
        assertThat(page.getByTestId("expected")).hasCount(1);
        Chrome.button(page, "Swap the axes").click();
        assertThat(page.getByTestId("expected")).hasCount(1);
        hands.column("period", "T", "t/10");
        hands.column("period squared", "T2", "T^2");
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("T");
        assertThat(page.getByTestId("expected")).hasCount(0);
        double perGram = hands.gradient("T2", "m");
        double byRhythm = 4 * Math.PI * Math.PI / (1000 * perGram);
        assertThat(byRhythm / byWeights).as("both ways agree: %s, %s", byWeights, byRhythm).isCloseTo(1, within(0.04));

        double period = hands.value("10 bounces", 5) / 10;
        part("Analyse");
        hands.right("How steep is your line", LabHands.print(byWeights / 100, 4), "N/cm");
        hands.right("What is the spring's constant?", LabHands.print(0.5 * (byWeights + byRhythm), 2), "N/m");
        hands.right("mass of sinker Brill", LabHands.print(period * period / perGram, 0), "g");
        handIn("9");
    }

    /**
     * Zeroes the stopwatch as the body passes its middle upwards, and takes its time ten bounces later with one key.
     */
    private void timeTenBounces(int row) {
        eyes.frame(0);
        String body = "[data-part=body]";
        double low = eyes.attribute(body, "y");
        // Held at first at the lowest place; the middle of the bounce is where most of it is half the way up.
        double high = low;
        for (int f = 260; f < 380; f += 4) {
            eyes.frame(f);
            high = Math.min(high, eyes.attribute(body, "y"));
        }
        double middle = 0.5 * (low + high);
        int first = eyes.risingThroughZero(300, 5, () -> middle - eyes.attribute(body, "y"));
        int second = eyes.risingThroughZero(first + 8, 5, () -> middle - eyes.attribute(body, "y"));
        eyes.frame(first);
        Chrome.button(page, "Zero here").click();
        eyes.risingThroughZero(first + 10 * (second - first) - (second - first) / 3, 4,
                () -> middle - eyes.attribute(body, "y"));
        hands.take("10 bounces", row);
    }

    @Test
    void theGlidersForceAndAccelerationGiveItsMass() {
        open("cyril.haas", "What the ferry's propeller can push");
        part("Measure");
        String[] throttles = {"45 %", "60 %", "75 %", "90 %", "100 %"};
        for (int i = 0; i < throttles.length; i++) {
            int row = i + 1;
            hands.record("Throttle", throttles[i], "Load", "none");
            if (i == 0) {
                // Without a display on the bench the key says what is missing.
                page.getByLabel("time, row 1").press("=");
                assertThat(page.getByText("Nothing on the bench shows a value in s now.")).isVisible();
                Chrome.button(page, "Stopwatch").click();
            }
            hands.type("throttle", row, throttles[i]);
            Chrome.button(page, "Spring scale, close up").click();
            page.locator("[data-part=pointer]").waitFor();
            eyes.frame(30);
            hands.type("scale at rest", row, LabHands.print(pointer(), 2));
            eyes.frame(545);
            hands.type("scale pulled", row, LabHands.print(pointer(), 2));
            Chrome.button(page, "Track from the side").click();
            page.locator("[data-part=glider]").waitFor();
            int cut = eyes.firstFrame(545, 655, () -> page.locator("[data-part=thread]").count() == 0);
            eyes.frame(cut);
            Chrome.button(page, "Zero here").click();
            double[] start = eyes.middle("[data-part=glider]");
            if (page.locator("[data-instrument=tape]").count() == 0) {
                Chrome.button(page, "Long tape").click();
            }
            eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=1"), new double[] {start[0] + 470, start[1]
                    + 30});
            eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=0"), new double[] {start[0], start[1] + 30});
            int last = eyes.firstFrame(cut, cut + 240, () -> eyes.middle("[data-part=glider]")[0] > start[0] + 420);
            eyes.frame(last);
            double[] end = eyes.middle("[data-part=glider]");
            hands.type("distance", row, LabHands.print(eyes.metres("tape", new double[] {end[0], start[1] + 30}),
                    3));
            hands.take("time", row);
        }
        hands.column("force", "F", "F_2-F_1");
        hands.column("acceleration", "a", "2*s/t^2");
        part("Analyse");
        hands.findUnit("force", "kg m/s", "look again at the power of s");
        hands.findUnit("force", "N", "");
        hands.findUnit("acceleration", "s²/m", "upside down");
        double mass = hands.gradient("F", "a");
        assertThat(page.getByTestId("equation")).not().containsText("kg");
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByText("Measure: find the unit of a")).isVisible();
        page.keyboard().press("Escape");
        hands.findUnit("acceleration", "m/s²", "");
        // The gradient's unit is asked for too.
        page.getByLabel("Parameters of fit 1").click();
        page.getByLabel("Unit of gradient").fill("kg");
        page.getByLabel("Unit of gradient").press("Enter");
        assertThat(page.getByLabel("Unit of gradient")).hasCount(0);
        page.keyboard().press("Escape");
        assertThat(page.getByTestId("equation")).containsText("kg · a");
        assertThat(mass).isBetween(0.2, 0.31);
        hands.right("gradient of force against acceleration", LabHands.print(mass, 3), "N/(m/s^2)");
        // The reading of a scale shows the scale again: the view goes with it.
        part("Measure");
        Chrome.button(page, Pattern.compile("^Show how .* was read$")).first().click();
        assertThat(page.locator("[data-part=pointer]")).isVisible();
        handIn("4");
    }

    /** What the pointer shows, judged between the numbered marks. */
    private double pointer() {
        Object newtons = page.evaluate("""
                () => {
                  const names = [...document.querySelectorAll('#film-content text.mono')]
                      .map((t) => [Number(t.getAttribute('x')), Number(t.textContent)]);
                  const at = Number(document.querySelector('[data-part=pointer]').getAttribute('d')
                          .match(/^M([-\\d.e]+)/)[1]);
                  return (at - names[0][0]) / (names[4][0] - names[0][0]) * (names[4][1] - names[0][1]) + names[0][1];
                }""");
        return ((Number) newtons).doubleValue();
    }

    @Test
    void theGasAtSeveralTemperaturesAndTwoGasesAtOne() {
        open("calla.munro", "The air in the fog signal");
        part("One gas");
        int[] kelvin = {200, 300, 500, 800, 1200};
        for (int i = 0; i < kelvin.length; i++) {
            runAt(kelvin[i], "700");
            hands.take("temperature", i + 1);
            hands.take("pressure", i + 1);
            hands.type("mean speed", i + 1, readout("speed1"));
            if (i == 1) {
                assertThat(page.getByTestId("still-wanted")).containsText("2 of 5 different trials run. Still wanted: "
                        + "3 with another");
            }
        }
        assertThat(page.getByText("5 of 5 trials")).isVisible();
        assertThat(page.getByTestId("still-wanted")).hasCount(0);
        drawOver();
        assertThat(page.getByLabel("Uncertainty in row 5 of mean speed")).hasValue("");
        hands.gradient("p", "T");
        part("Two gases");
        double ratio = 0;
        for (int i = 0; i < 2; i++) {
            runAt(i == 0 ? 300 : 600, "500");
            hands.take("temperature", i + 1);
            hands.type("speed N₂", i + 1, readout("speed1"));
            hands.type("speed He", i + 1, readout("speed2"));
            hands.type("energy N₂", i + 1, readout("energy1"));
            hands.type("energy He", i + 1, readout("energy2"));
            ratio += hands.value("speed He", i + 1) / hands.value("speed N₂", i + 1) / 2;
            assertThat(hands.value("energy He", i + 1) / hands.value("energy N₂", i + 1)).isCloseTo(1, within(0.15));
        }
        part("Analyse");
        hands.right("how many times as fast as nitrogen", LabHands.print(ratio, 2), "");
        // A line through the squares of the speeds tells where the speed is twice that at 300 K.
        part("One gas");
        double slope = 0;
        double meanT = 0;
        double meanV = 0;
        double sxx = 0;
        for (int i = 1; i <= 5; i++) {
            meanT += hands.value("temperature", i) / 5;
            meanV += Math.pow(hands.value("mean speed", i), 2) / 5;
        }
        for (int i = 1; i <= 5; i++) {
            slope += (hands.value("temperature", i) - meanT) * (Math.pow(hands.value("mean speed", i), 2) - meanV);
            sxx += Math.pow(hands.value("temperature", i) - meanT, 2);
        }
        slope /= sxx;
        double at300 = meanV + slope * (300 - meanT);
        part("Analyse");
        hands.right("At which temperature", LabHands.print(meanT + (4 * at300 - meanV) / slope, 0), "K");
        // A value of the gauge brings back its trial, at its moment.
        part("One gas");
        Chrome.button(page, Pattern.compile("^Show how .* was read$")).first().click();
        assertThat(page.getByText("This is how")).isVisible();
        assertThat(page.getByTestId("time")).hasText(Pattern.compile("^700\\.0"));
        double shown = Double.parseDouble(page.getByLabel("Thermometer", new Page.GetByLabelOptions().setExact(true))
                .innerText().split(" ")[0]);
        assertThat(shown).isEqualTo(hands.value("temperature", 1));
        handIn("6");
    }

    /** An arrow over the picture stays with its trial in the notebook. */
    private void drawOver() {
        Chrome.button(page, "Draw over").click();
        Chrome.button(page, "Arrow").click();
        double[] middle = eyes.middle("svg[aria-label^='Gas cylinder']");
        eyes.drag(middle, new double[] {middle[0] + 60, middle[1] - 30});
        assertThat(page.locator("[data-drawn='1']")).hasCount(1);
        Chrome.button(page, "Draw over").click();
        assertThat(page.locator("[data-drawn='1'] line")).hasCount(1);
    }

    private void runAt(int kelvin, String picoseconds) {
        if (!Chrome.button(page, "New run").isDisabled()) {
            Chrome.button(page, "New run").click();
        }
        Locator temperature = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions()
                .setName(Pattern.compile("^Temperature")));
        temperature.fill(String.valueOf(kelvin));
        temperature.press("Enter");
        page.getByLabel("Speed", new Page.GetByLabelOptions().setExact(true)).selectOption("8");
        Chrome.button(page, "Stop at …").click();
        page.getByLabel("Stop exactly at").selectOption("a time");
        page.getByLabel("Value to stop at").fill(picoseconds);
        Chrome.button(page, "Run to there").click();
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Stopped at "
                + picoseconds)))
                .hasCount(1);
    }

    private String readout(String channel) {
        return page.locator("[data-channel=" + channel + "]").innerText().split(" ")[0];
    }
}
