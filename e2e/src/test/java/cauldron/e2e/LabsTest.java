package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;

/** A student does each lab on the real interface: predicts, measures on the picture, analyses, answers, hands in. */
@Order(3)
class LabsTest {

    private static final String REASONS = "I would trust the way whose readings I could repeat best, because one reading"
            + " alone may be off by a division. The gradient does not change when all values on one axis are shifted by the"
            + " same amount, and that is why a zero in another place does no harm to it at all.";

    private BrowserContext context;
    private Page page;
    private Eyes eyes;

    private void open(String student, String lab) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, student);
        eyes = new Eyes(page);
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

    private void record(String first, String value, String second, String other) {
        page.getByLabel(first, new Page.GetByLabelOptions().setExact(true)).selectOption(value);
        page.getByLabel(second, new Page.GetByLabelOptions().setExact(true)).selectOption(other);
        Chrome.button(page, "Record").click();
        assertThat(page.getByLabel("On the bench").locator("option:checked")).containsText(value + ", " + other);
        page.locator("[aria-label^='Recording: '][aria-label*='" + value + ", " + other + "']").waitFor();
    }

    private void type(String column, int row, String text) {
        Chrome.cell(page, column, row).fill(text);
    }

    private void take(String column, int row) {
        Locator cell = Chrome.cell(page, column, row);
        cell.press("=");
        assertThat(cell).not().hasValue("");
    }

    private double value(String column, int row) {
        return Double.parseDouble(Chrome.cell(page, column, row).inputValue());
    }

    private void column(String name, String symbol, String formula) {
        Chrome.button(page, "Column").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("Name").fill(name);
        dialog.getByLabel("Symbol").fill(symbol);
        dialog.getByLabel("Formula").fill(formula);
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add the column")).click();
        assertThat(dialog).hasCount(0);
    }

    /** Types the unit of a column into its heading; without a hint it is to be right. */
    private void findUnit(String column, String unit, String hint) {
        Locator field = page.getByLabel("Unit of " + column);
        field.fill(unit);
        field.press("Enter");
        if (hint.isEmpty()) {
            assertThat(field).hasCount(0);
        } else {
            assertThat(page.getByText(hint)).isVisible();
        }
    }

    /** Chooses axes, fits the line, and gives its gradient as the page prints it. */
    private double gradient(String up, String along) {
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption(up);
        page.getByLabel("along", new Page.GetByLabelOptions().setExact(true)).selectOption(along);
        if (!page.getByLabel("line of best fit").isChecked()) {
            page.getByLabel("line of best fit").click();
        }
        Locator equation = page.getByTestId("equation");
        assertThat(equation).containsText("=");
        String text = equation.innerText();
        java.util.regex.Matcher m = Pattern.compile("= *\\(?([−-]?[0-9.]+)").matcher(text);
        assertThat(m.find()).as(text).isTrue();
        double slope = Double.parseDouble(m.group(1).replace('−', '-'));
        java.util.regex.Matcher power = Pattern.compile("^.*?× 10([⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+)\\)?").matcher(text);
        return power.find() && text.indexOf("10") < text.indexOf(along) ? slope * Math.pow(10, lifted(power.group(1))) : slope;
    }

    private static int lifted(String digits) {
        StringBuilder plain = new StringBuilder();
        for (char c : digits.toCharArray()) {
            plain.append(c == '⁻' ? '-' : (char) ('0' + "⁰¹²³⁴⁵⁶⁷⁸⁹".indexOf(c)));
        }
        return Integer.parseInt(plain.toString());
    }

    private void answer(String about, String number, String unit) {
        Locator question = Chrome.question(page, about);
        Chrome.answer(question, number, unit);
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    private void handIn(String points) {
        part("Explain");
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("points$"))).fill(REASONS);
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByText("Everything is there.")).isVisible();
        Chrome.button(page, "Hand in").click();
        assertThat(page.getByText(Pattern.compile("Handed in"))).containsText(points);
    }

    private static String print(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    @Test
    void theSpringByWeightsAndByRhythmAndASinkerWeighed() {
        open("cyril.haas", "The slip's lost label");
        part("By weights");
        int[] grams = {50, 100, 150, 200, 300};
        for (int i = 0; i < grams.length; i++) {
            record("Load", grams[i] + " g", "Way", "at rest");
            if (i == 0) {
                Chrome.button(page, "Ruler").click();
                page.getByLabel("Ruler graduated in").waitFor();
            }
            double[] support = eyes.onScreen(eyes.attribute("[data-part=body]", "x") + 0.5 * eyes.attribute("[data-part=body]", "width"),
                    70);
            double[] hook = eyes.onScreen(eyes.attribute("[data-part=body]", "x") + 0.5 * eyes.attribute("[data-part=body]", "width"),
                    eyes.attribute("[data-part=body]", "y"));
            if (i == 0) {
                eyes.layRuler(support, hook);
            }
            type("load", i + 1, grams[i] + " g");
            type("weight", i + 1, print(grams[i] * 9.81 / 1000, 3));
            type("hook below support", i + 1, print(eyes.read("ruler", hook), 1));
        }
        // The ruler measures to the millimetre, and the cell says so by itself.
        assertThat(page.getByLabel("Uncertainty in row 5 of hook below support")).hasValue("0.1");
        double byWeights = 100 * gradient("F", "x");

        part("By rhythm");
        Chrome.button(page, "Stopwatch").click();
        int[] bounced = {100, 150, 200, 300};
        for (int i = 0; i < bounced.length; i++) {
            type("load", i + 1, bounced[i] + " g");
            type("mass", i + 1, String.valueOf(bounced[i]));
            record("Load", bounced[i] + " g", "Way", "bouncing");
            timeTenBounces(i + 1);
        }
        type("load", 5, "Brill");
        record("Load", "Sinker Brill", "Way", "bouncing");
        timeTenBounces(5);
        // The sealed sketch stands behind the graph of the same quantities, either way round, and behind no other.
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("t");
        page.getByLabel("along", new Page.GetByLabelOptions().setExact(true)).selectOption("m");
        assertThat(page.getByTestId("expected")).hasCount(1);
        Chrome.button(page, "Swap the axes").click();
        assertThat(page.getByTestId("expected")).hasCount(1);
        column("period", "T", "t/10");
        column("period squared", "T2", "T^2");
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("T");
        assertThat(page.getByTestId("expected")).hasCount(0);
        double perGram = gradient("T2", "m");
        double byRhythm = 4 * Math.PI * Math.PI / (1000 * perGram);
        assertThat(byRhythm / byWeights).as("both ways agree: %s, %s", byWeights, byRhythm).isCloseTo(1, within(0.04));

        part("Analyse");
        double period = value("10 bounces", 5) / 10;
        answer("How steep is your line", print(byWeights / 100, 4), "N/cm");
        answer("What is the spring's constant?", print(0.5 * (byWeights + byRhythm), 2), "N/m");
        answer("mass of sinker Brill", print(period * period / perGram, 0), "g");
        handIn("9");
    }

    /** Zeroes the stopwatch as the body passes its middle upwards, and takes its time ten bounces later with one key. */
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
        take("10 bounces", row);
    }

    @Test
    void theGlidersForceAndAccelerationGiveItsMass() {
        open("cyril.haas", "What the ferry's propeller can push");
        part("Measure");
        String[] throttles = {"45 %", "60 %", "75 %", "90 %", "100 %"};
        for (int i = 0; i < throttles.length; i++) {
            int row = i + 1;
            record("Throttle", throttles[i], "Load", "none");
            if (i == 0) {
                // Without a display on the bench the key says what is missing.
                page.getByLabel("time, row 1").press("=");
                assertThat(page.getByText("Nothing on the bench shows a value in s now.")).isVisible();
                Chrome.button(page, "Stopwatch").click();
            }
            type("throttle", row, throttles[i]);
            Chrome.button(page, "Spring scale, close up").click();
            page.locator("[data-part=pointer]").waitFor();
            eyes.frame(30);
            type("scale at rest", row, print(pointer(), 2));
            eyes.frame(545);
            type("scale pulled", row, print(pointer(), 2));
            Chrome.button(page, "Track from the side").click();
            page.locator("[data-part=glider]").waitFor();
            int cut = eyes.firstFrame(545, 655, () -> page.locator("[data-part=thread]").count() == 0);
            eyes.frame(cut);
            Chrome.button(page, "Zero here").click();
            double[] start = eyes.middle("[data-part=glider]");
            if (page.locator("[data-instrument=tape]").count() == 0) {
                Chrome.button(page, "Long tape").click();
            }
            eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=1"), new double[] {start[0] + 470, start[1] + 30});
            eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=0"), new double[] {start[0], start[1] + 30});
            int last = eyes.firstFrame(cut, cut + 240, () -> eyes.middle("[data-part=glider]")[0] > start[0] + 420);
            eyes.frame(last);
            double[] end = eyes.middle("[data-part=glider]");
            type("distance", row, print(eyes.read("tape", new double[] {end[0], start[1] + 30}) / 100, 3));
            take("time", row);
        }
        column("force", "F", "F_2-F_1");
        column("acceleration", "a", "2*s/t^2");
        part("Analyse");
        findUnit("force", "kg m/s", "look again at the power of s");
        findUnit("force", "N", "");
        findUnit("acceleration", "s²/m", "upside down");
        double mass = gradient("F", "a");
        assertThat(page.getByTestId("equation")).not().containsText("kg");
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByText("Measure: find the unit of a")).isVisible();
        page.keyboard().press("Escape");
        findUnit("acceleration", "m/s²", "");
        // The gradient's unit is asked for too.
        page.getByLabel("Parameters of fit 1").click();
        page.getByLabel("Unit of gradient").fill("kg");
        page.getByLabel("Unit of gradient").press("Enter");
        assertThat(page.getByLabel("Unit of gradient")).hasCount(0);
        page.keyboard().press("Escape");
        assertThat(page.getByTestId("equation")).containsText("kg · a");
        assertThat(mass).isBetween(0.2, 0.31);
        answer("gradient of force against acceleration", print(mass, 3), "N/(m/s^2)");
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
                  const names = [...document.querySelectorAll('#film-content text.mono')].map((t) => [Number(t.getAttribute('x')), Number(t.textContent)]);
                  const at = Number(document.querySelector('[data-part=pointer]').getAttribute('d').match(/^M([-\\d.e]+)/)[1]);
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
            take("temperature", i + 1);
            take("pressure", i + 1);
            type("mean speed", i + 1, readout("speed1"));
            if (i == 1) {
                assertThat(page.getByTestId("still-wanted")).containsText("2 of 5 different trials run. Still wanted: 3 with another");
            }
        }
        assertThat(page.getByText("5 of 5 trials")).isVisible();
        assertThat(page.getByTestId("still-wanted")).hasCount(0);
        drawOver();
        assertThat(page.getByLabel("Uncertainty in row 5 of mean speed")).hasValue("");
        gradient("p", "T");
        part("Two gases");
        double ratio = 0;
        for (int i = 0; i < 2; i++) {
            runAt(i == 0 ? 300 : 600, "500");
            take("temperature", i + 1);
            type("speed N₂", i + 1, readout("speed1"));
            type("speed He", i + 1, readout("speed2"));
            type("energy N₂", i + 1, readout("energy1"));
            type("energy He", i + 1, readout("energy2"));
            ratio += value("speed He", i + 1) / value("speed N₂", i + 1) / 2;
            assertThat(value("energy He", i + 1) / value("energy N₂", i + 1)).isCloseTo(1, within(0.15));
        }
        part("Analyse");
        answer("how many times as fast as nitrogen", print(ratio, 2), "");
        // A line through the squares of the speeds tells where the speed is twice that at 300 K.
        part("One gas");
        double slope = 0;
        double meanT = 0;
        double meanV = 0;
        double sxx = 0;
        for (int i = 1; i <= 5; i++) {
            meanT += value("temperature", i) / 5;
            meanV += Math.pow(value("mean speed", i), 2) / 5;
        }
        for (int i = 1; i <= 5; i++) {
            slope += (value("temperature", i) - meanT) * (Math.pow(value("mean speed", i), 2) - meanV);
            sxx += Math.pow(value("temperature", i) - meanT, 2);
        }
        slope /= sxx;
        double at300 = meanV + slope * (300 - meanT);
        part("Analyse");
        answer("At which temperature", print(meanT + (4 * at300 - meanV) / slope, 0), "K");
        // A value of the gauge brings back its trial, at its moment.
        part("One gas");
        Chrome.button(page, Pattern.compile("^Show how .* was read$")).first().click();
        assertThat(page.getByText("This is how")).isVisible();
        assertThat(page.getByTestId("time")).hasText(Pattern.compile("^700\\.0"));
        double shown = Double.parseDouble(page.getByLabel("Thermometer", new Page.GetByLabelOptions().setExact(true))
                .innerText().split(" ")[0]);
        assertThat(shown).isEqualTo(value("temperature", 1));
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
        if (!Chrome.button(page, "Restart with these settings").isDisabled()) {
            Chrome.button(page, "Restart with these settings").click();
        }
        Locator temperature = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Temperature")));
        temperature.fill(String.valueOf(kelvin));
        temperature.press("Enter");
        page.getByLabel("Speed", new Page.GetByLabelOptions().setExact(true)).selectOption("8");
        Chrome.button(page, "Stop at …").click();
        page.getByLabel("Stop exactly at").selectOption("a time");
        page.getByLabel("Value to stop at").fill(picoseconds);
        Chrome.button(page, "Run to there").click();
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Stopped at " + picoseconds)))
                .hasCount(1);
    }

    private String readout(String channel) {
        return page.locator("[data-channel=" + channel + "]").innerText().split(" ")[0];
    }
}
