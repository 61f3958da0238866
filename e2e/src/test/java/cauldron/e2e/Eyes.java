package cauldron.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.function.DoubleSupplier;

/** Looks at a picture as a student does: where parts are, and what scales laid on them read. */
final class Eyes {

    private final Page page;

    Eyes(Page page) {
        this.page = page;
    }

    void frame(int frame) {
        page.getByLabel("Go to a frame").fill(String.valueOf(frame));
        page.getByLabel("Go to a frame").press("Enter");
    }

    double attribute(String part, String name) {
        return Double.parseDouble(page.locator(part).first().getAttribute(name));
    }

    /** The frame, between two, in which a condition comes to hold for the first time. */
    int firstFrame(int from, int to, java.util.function.BooleanSupplier holds) {
        int low = from;
        int high = to;
        while (high - low > 1) {
            int middle = (low + high) / 2;
            frame(middle);
            if (holds.getAsBoolean()) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    /** The frame nearest to where a quantity next rises through zero. */
    int risingThroughZero(int from, int step, DoubleSupplier quantity) {
        int f = from;
        frame(f);
        double before = quantity.getAsDouble();
        while (true) {
            frame(f + step);
            double next = quantity.getAsDouble();
            if (before < 0 && next >= 0) {
                return firstFrame(f, f + step, () -> quantity.getAsDouble() >= 0);
            }
            f += step;
            before = next;
        }
    }

    /** A place in the picture, on the screen. */
    double[] onScreen(double x, double y) {
        return point("([x, y]) => { const svg = document.querySelector('[role=group] > g, svg[role=group] g');"
                + " const p = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM()); return [p.x, p.y]; }", x, y);
    }

    private double[] point(String script, double x, double y) {
        List<?> list = (List<?>) page.evaluate(script, List.of(x, y));
        return new double[] {((Number) list.get(0)).doubleValue(), ((Number) list.get(1)).doubleValue()};
    }

    void drag(double[] from, double[] to) {
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
        page.mouse().move(to[0], to[1]);
        page.mouse().up();
    }

    double[] middle(String selector) {
        BoundingBox box = page.locator(selector).first().boundingBox();
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    /** Lays the ruler's zero on one place of the picture and turns it towards another. */
    void layRuler(double[] zeroAt, double[] towards) {
        double[] zero = ruler(0, 0);
        double[] grip = ruler(0.03, 0.5);
        drag(grip, new double[] {grip[0] + zeroAt[0] - zero[0], grip[1] + zeroAt[1] - zero[1]});
        drag(middle("[data-instrument=ruler] .cursor-alias circle"), towards);
    }

    private double[] ruler(double along, double across) {
        return point("([a, b]) => { const r = document.querySelector('[data-instrument=ruler] rect');"
                + " const p = new DOMPoint(a * r.getAttribute('width'), b * r.getAttribute('height'))"
                + ".matrixTransform(r.getScreenCTM()); return [p.x, p.y]; }", along, across);
    }

    /** Where along an instrument's numbered marks a place on the screen falls. */
    double read(String instrument, double[] place) {
        Object value = page.evaluate("""
                ([instrument, x, y]) => {
                  const scale = document.querySelector(`[data-instrument=${instrument}]`);
                  const at = new DOMPoint(x, y).matrixTransform(scale.querySelector('rect').getScreenCTM().inverse());
                  const names = [...scale.querySelectorAll('text.mono')].map((t) => [Number(t.getAttribute('x')), Number(t.textContent)]);
                  const [one, other] = names.slice(-2);
                  const per = (other[0] - one[0]) / (other[1] - one[1]);
                  return one[1] + (at.x - one[0]) / per;
                }""", List.of(instrument, place[0], place[1]));
        return ((Number) value).doubleValue();
    }

    /** The same in metres, whatever unit stands on it. */
    double metres(String instrument, double[] place) {
        boolean inMetres = page.locator("[data-instrument=" + instrument + "] text").allTextContents().contains("m");
        return read(instrument, place) / (inMetres ? 1 : 100);
    }

    /** Draws a curve across the empty axes of a prediction, and a level line below it. */
    void sketch() {
        var box = page.getByRole(AriaRole.APPLICATION).boundingBox();
        for (int stroke = 0; stroke < 2; stroke++) {
            page.mouse().move(box.x + 70, box.y + box.height - 50);
            page.mouse().down();
            for (int i = 1; i <= 20; i++) {
                page.mouse().move(box.x + 70 + 10 * i, box.y + box.height - 50 - (stroke == 0 ? 22 * Math.sqrt(i) : 0));
            }
            page.mouse().up();
            PlaywrightAssertions.assertThat(page.getByTestId("stroke")).hasCount(stroke + 1);
        }
    }
}
