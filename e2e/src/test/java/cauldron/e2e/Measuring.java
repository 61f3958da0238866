package cauldron.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;

/** A student's hands and eyes at the film bench: goes to frames, lays the ruler, reads its marks. */
final class Measuring {

    private static final int FRAMES_IN_A_TENTH = 12;

    private final Page page;

    Measuring(Page page) {
        this.page = page;
    }

    void frame(int frame) {
        Locator box = page.getByLabel("Go to a frame");
        box.fill(String.valueOf(frame));
        box.press("Enter");
    }

    /** How far the bob is to the right of the pivot, in picture elements, as one sees it. */
    private double aside(int frame) {
        frame(frame);
        return number("[data-part=bob]", "cx") - number("[data-part=cord]", "x1");
    }

    private double number(String part, String attribute) {
        return Double.parseDouble(page.locator(part).first().getAttribute(attribute));
    }

    /** The frame nearest to the bob's next passage of the vertical from the left to the right. */
    int passageAfter(int frame) {
        int f = frame;
        double before = aside(f);
        while (true) {
            double next = aside(f + FRAMES_IN_A_TENTH);
            if (before < 0 && next >= 0) {
                break;
            }
            f += FRAMES_IN_A_TENTH;
            before = next;
        }
        int low = f;
        int high = f + FRAMES_IN_A_TENTH;
        while (high - low > 1) {
            int middle = (low + high) / 2;
            if (aside(middle) < 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Math.abs(aside(low)) < Math.abs(aside(high)) ? low : high;
    }

    /** Zeroes the stopwatch at a passage, counts 20 whole swings, and reads it: seconds as shown. */
    String timeTwentySwings() {
        int first = passageAfter(300);
        int second = passageAfter(first + 2 * FRAMES_IN_A_TENTH);
        frame(first);
        Chrome.button(page, "Zero here").click();
        int last = passageAfter(first + 20 * (second - first) - (second - first) / 3);
        frame(last);
        return page.getByLabel("Stopwatch", new Page.GetByLabelOptions().setExact(true)).innerText().split(" ")[0];
    }

    /** Drags the ruler's zero to the pivot and turns it along the cord; then reads the marks: centimetres. */
    double layRulerAlongCord() {
        double[] pivot = onScreen("[data-part=cord]", "x1", "y1");
        double[] bob = onScreen("[data-part=bob]", "cx", "cy");
        double[] zero = onRuler(0, 0);
        double[] grip = onRuler(0.02, 0.5);
        double gripX = grip[0];
        double gripY = grip[1];
        page.mouse().move(gripX, gripY);
        page.mouse().down();
        page.mouse().move(gripX + pivot[0] - zero[0], gripY + pivot[1] - zero[1]);
        page.mouse().up();
        BoundingBox turn = page.locator("[data-instrument=ruler] .cursor-alias circle").boundingBox();
        page.mouse().move(turn.x + turn.width / 2, turn.y + turn.height / 2);
        page.mouse().down();
        page.mouse().move(bob[0], bob[1]);
        page.mouse().up();
        return read(bob);
    }

    /** Where along the ruler's marks a place on the screen falls, in centimetres. */
    private double read(double[] place) {
        Object cm = page.evaluate("""
                ([x, y]) => {
                  const rule = document.querySelector('[data-instrument=ruler]');
                  const at = new DOMPoint(x, y).matrixTransform(rule.querySelector('rect').getScreenCTM().inverse());
                  const names = [...rule.querySelectorAll('text.mono')];
                  const per = (names[2].getAttribute('x') - names[1].getAttribute('x'))
                    / (names[2].textContent - names[1].textContent);
                  return at.x / per;
                }""", List.of(place[0], place[1]));
        return ((Number) cm).doubleValue();
    }

    /** A place on the screen from parts of the ruler's length and width; the length counts from its zero. */
    private double[] onRuler(double along, double across) {
        return point("""
                () => {
                  const rect = document.querySelector('[data-instrument=ruler] rect');
                  const x = %s * rect.getAttribute('width');
                  const p = new DOMPoint(x, %s * rect.getAttribute('height')).matrixTransform(rect.getScreenCTM());
                  return [p.x, p.y];
                }""".formatted(along, across));
    }

    private double[] onScreen(String part, String x, String y) {
        return point("() => { const e = document.querySelector('" + part + "');"
                + " const p = new DOMPoint(e.getAttribute('" + x + "'), e.getAttribute('" + y + "'))"
                + ".matrixTransform(e.getScreenCTM()); return [p.x, p.y]; }");
    }

    private double[] point(String script) {
        List<?> list = (List<?>) page.evaluate(script);
        return new double[] {((Number) list.get(0)).doubleValue(), ((Number) list.get(1)).doubleValue()};
    }
}
