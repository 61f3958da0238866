package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** The instruments by mouse and by keyboard, and the film they measure. */
@ResourceLock("imre.saltzman")
class InstrumentsTest {

    private static final Pattern PLACE = Pattern.compile("translate\\(([-\\d.e]+) ([-\\d.e]+)\\) rotate\\(([-\\d.e]+)\\)");

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void openAFilm() {
        context = Chrome.context(1280, 800);
        page = Chrome.measuring(context, "imre.saltzman");
    }

    @AfterEach
    void close() {
        context.close();
    }

    /** x, y and angle of an instrument in the picture. */
    private double[] place(String instrument) {
        String transform = page.locator("g[data-instrument=" + instrument + "]").getAttribute("transform");
        Matcher m = PLACE.matcher(transform);
        assertThat(m.matches()).as(transform).isTrue();
        return new double[] {Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2)),
            Double.parseDouble(m.group(3))};
    }

    @Test
    void theRulerMovesAndTurnsByKeysCoarseAndFine() {
        Chrome.button(page, "Ruler").click();
        Locator ruler = Chrome.button(page, Pattern.compile("^Ruler\\. Drag it"));
        double[] before = place("ruler");
        ruler.press("ArrowRight");
        double coarse = place("ruler")[0] - before[0];
        ruler.press("Shift+ArrowRight");
        double fine = place("ruler")[0] - before[0] - coarse;
        assertThat(coarse).isPositive();
        assertThat(coarse / fine).isCloseTo(10, within(1e-6));
        ruler.press("ArrowDown");
        assertThat(place("ruler")[1] - before[1]).isCloseTo(coarse, within(1e-6));
        ruler.press("]");
        assertThat(place("ruler")[2] - before[2]).isEqualTo(1);
        ruler.press("{");
        assertThat(place("ruler")[2] - before[2]).isCloseTo(0.9, within(1e-9));
    }

    @Test
    void theRulersMarksAreTrueToScaleAtEveryZoom() {
        Chrome.button(page, "Ruler").click();
        Locator rect = page.locator("[data-instrument=ruler] rect");
        double span = Double.parseDouble(rect.getAttribute("width"));
        for (int i = 0; i < 9; i++) {
            Chrome.button(page, "Zoom in").click();
        }
        // Two metres stay two metres of the picture; only the hairlines at its ends grow thinner.
        assertThat(Double.parseDouble(rect.getAttribute("width"))).isCloseTo(span, within(0.02 * span));
        Object finest = page.evaluate("""
                () => {
                  const d = document.querySelector('[data-instrument=ruler] path').getAttribute('d');
                  const xs = [...d.matchAll(/M([-\\d.e]+) /g)].slice(0, 3).map((m) => Number(m[1]));
                  return xs[2] - xs[1];
                }""");
        // The ruler is 2000 mm long, so at this zoom its marks are single millimetres.
        double mm = Double.parseDouble(rect.getAttribute("width")) / 2000;
        assertThat(((Number) finest).doubleValue()).isCloseTo(mm, within(0.01 * mm));
        assertThat(page.locator("[data-instrument=ruler]")).not().containsText("zoom in");
    }

    @Test
    void theProtractorMovesAndGrowsByMouseAndKeys() {
        Chrome.button(page, "Protractor").click();
        Locator body = Chrome.button(page, Pattern.compile("^Protractor\\. Drag it"));
        double small = body.boundingBox().width;
        body.press("+");
        assertThat(body.boundingBox().width).isGreaterThan(small);
        BoundingBox grip = page.locator("[data-instrument=protractor] > circle").boundingBox();
        double before = body.boundingBox().width;
        page.mouse().move(grip.x + grip.width / 2, grip.y + grip.height / 2);
        page.mouse().down();
        page.mouse().move(grip.x + 60, grip.y + 60);
        page.mouse().up();
        assertThat(body.boundingBox().width).isGreaterThan(before + 50);
        double[] at = place("protractor");
        body.press("ArrowLeft");
        assertThat(place("protractor")[0]).isLessThan(at[0]);
    }

    @Test
    void theStopwatchReadsFilmTimeFromItsZero() {
        Measuring hands = new Measuring(page);
        Chrome.button(page, "Stopwatch").click();
        hands.frame(120);
        Chrome.button(page, "Zero here").click();
        Chrome.button(page, "Ten frames forward").click();
        Chrome.button(page, "One frame forward").click();
        assertThat(page.getByLabel("Go to a frame")).hasValue("131");
        assertThat(page.getByTestId("film-time")).hasText("1.092 s");
        assertThat(page.getByLabel("Stopwatch", new Page.GetByLabelOptions().setExact(true))).hasText("0.09 s");
        Chrome.button(page, "Ten frames back").click();
        hands.frame(90);
        assertThat(page.getByLabel("Stopwatch", new Page.GetByLabelOptions().setExact(true))).hasText("\u22120.25 s");
    }

    @Test
    void noInstrumentTellsAValueThatIsToBeRead() {
        for (String name : new String[] {"Ruler", "Protractor"}) {
            Chrome.button(page, name).click();
        }
        for (String instrument : new String[] {"ruler", "protractor"}) {
            Object spoken = page.locator("[data-instrument=" + instrument + "]").evaluate(
                    "e => [...e.querySelectorAll('[aria-label], title')].map((x) => x.getAttribute('aria-label') ||"
                            + " x.textContent).join(' ')");
            assertThat((String) spoken).doesNotContainPattern("\\d");
        }
    }
}
