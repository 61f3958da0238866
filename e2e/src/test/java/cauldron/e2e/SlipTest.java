package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * The trolley on its slip: calibrated by dial and ruler, let go, timed from the slack cord; all read off the picture.
 */
class SlipTest {

    private static final int LATCHED = 830;
    private static final String[] PLACES = {"Spar", "Kelp"};

    private static final int ROWS = 4;

    private BrowserContext context;
    private Page page;
    private Eyes eyes;
    private LabHands hands;

    private void signIn(String user) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, user);
        eyes = new Eyes(page);
        hands = new LabHands(page);
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void view(String name, String part) {
        Chrome.button(page, name).click();
        page.locator("[data-part=" + part + "]").first().waitFor();
    }

    /** What the hand of the dial points at, judged by the numbers round it. */
    private double dial() {
        Object newtons = page.evaluate("""
                () => {
                  const hand = document.querySelector('[data-part=hand]');
                  const [x1, y1, x2, y2] = ['x1', 'y1', 'x2', 'y2'].map((a) => Number(hand.getAttribute(a)));
                  // The tail of the hand is a fifth as long as its point: the axle is a sixth of the way.
                  const [cx, cy] = [x1 + (x2 - x1) / 6, y1 + (y2 - y1) / 6];
                  const full = Math.max(...[...document.querySelectorAll('#film-content text.mono')]
                      .map((t) => Number(t.textContent)));
                  const turned = (Math.atan2(x2 - cx, cy - y2) * 180) / Math.PI;
                  return ((turned + 135) / 270) * full;
                }""");
        return ((Number) newtons).doubleValue();
    }

    /** The ruler's zero at the end of the spring while it is relaxed. */
    private void layRuler() {
        view("Spring bay", "spring-end");
        eyes.frame(0);
        if (page.getByLabel("Ruler graduated in").count() == 0) {
            Chrome.button(page, "Ruler").click();
            page.getByLabel("Ruler graduated in").waitFor();
        }
        double[] relaxed = eyes.middle("[data-part=spring-end]");
        eyes.layRuler(relaxed, new double[] {relaxed[0] + 300, relaxed[1]});
    }

    private double stretch(int frame) {
        eyes.frame(frame);
        return eyes.read("ruler", eyes.middle("[data-part=spring-end]"));
    }

    @Test
    void springThenStretchThenCoastingAndTheQuantityAskedFor() {
        signIn("kian.thorsen");
        Chrome.sealed(page, "The trolley on its slip", 2, "The spring");
        hands.record("Drawn back to", "Spar", "Trolley", "empty, 0.40 kg");
        layRuler();
        int[] frames = {250, 400, 550, 700, LATCHED};
        for (int i = 0; i < frames.length; i++) {
            hands.type("stretch", i + 1, LabHands.print(stretch(frames[i]), 2));
        }
        view("Gauge bench", "hand");
        for (int i = 0; i < frames.length; i++) {
            eyes.frame(frames[i]);
            hands.type("force", i + 1, LabHands.print(dial(), 2));
        }
        double drawn = hands.value("stretch", 5);
        Locator question = Chrome.question(page, "By how much is the spring stretched");
        Chrome.answer(question, LabHands.print(drawn, 1), "cm");
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");

        Chrome.part(page, "Coasting");
        for (int i = 0; i < PLACES.length; i++) {
            coast(i);
        }
        // Measured once more with the same outcome.
        for (int row = PLACES.length + 1; row <= ROWS; row++) {
            hands.type("place", row, PLACES[row - PLACES.length - 1]);
            for (String column : new String[] {"mass", "stretch", "force", "coasted", "time"}) {
                hands.type(column, row, Chrome.cell(page, column, row - PLACES.length).inputValue());
            }
        }
        hands.column("speed", "v", "s/t");
        hands.column("work of the spring", "W", "F*x/2");
        hands.column("energy of motion", "K", "m*v^2/2");
        hands.findUnit("speed", "m/s", "");
        hands.findUnit("work of the spring", "N", "look again at the power of m");
        hands.findUnit("work of the spring", "J", "");
        hands.findUnit("energy of motion", "J", "");
        analyse();
    }

    private void coast(int i) {
        int row = i + 1;
        if (i > 0) {
            hands.record("Drawn back to", PLACES[i], "Trolley", "empty, 0.40 kg");
        }
        if (i == 0) {
            layRuler();
        }
        view("Spring bay", "spring-end");
        hands.type("place", row, PLACES[i]);
        hands.type("mass", row, "0.40");
        hands.type("stretch", row, LabHands.print(stretch(LATCHED), 2));
        view("Gauge bench", "hand");
        eyes.frame(LATCHED);
        hands.type("force", row, LabHands.print(dial(), 2));
        view("Coasting rails", "mark");
        int slack = eyes.firstFrame(LATCHED, LATCHED + 250, () -> page.locator("[data-taut=false]").count() == 1);
        eyes.frame(slack);
        if (i == 0) {
            Chrome.button(page, "Stopwatch").click();
            Chrome.button(page, "Long tape").click();
        }
        Chrome.button(page, "Zero here").click();
        double[] zero = eyes.middle("[data-part=mark]");
        double y = zero[1] - 50;
        eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=1"), new double[] {zero[0] + 300, y});
        eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=0"), new double[] {zero[0], y});
        int last = eyes.firstFrame(slack, slack + 110, () -> eyes.middle("[data-part=mark]")[0] > zero[0] + 110);
        eyes.frame(last);
        double[] mark = eyes.middle("[data-part=mark]");
        hands.type("coasted", row, LabHands.print(eyes.metres("tape", new double[] {mark[0], y}), 3));
        hands.take("time", row);
    }

    private void analyse() {
        double best = 0;
        double work = 0;
        double lost = 0;
        for (int row = 1; row <= ROWS; row++) {
            double w = hands.value("force", row) * hands.value("stretch", row) / 200;
            double v = hands.value("coasted", row) / hands.value("time", row);
            work = Math.max(work, w);
            best = Math.max(best, hands.value("coasted", row));
            lost += (1 - 0.2 * v * v / w) / ROWS;
        }
        assertThat(lost).as("a small share, seen through honest readings").isBetween(0.0, 0.2);
        Chrome.part(page, "Analyse");
        double k = 100 * hands.gradient("F", "x");
        assertThat(k).isBetween(19.5, 25.5);
        Chrome.part(page, "Coasting");
        double speed = hands.value("coasted", 1) / hands.value("time", 1);
        Chrome.part(page, "Analyse");
        hands.right("What is the constant", LabHands.print(k, 2), "N/m");
        Locator far = Chrome.question(page, "coast furthest");
        Chrome.answer(far, LabHands.print(speed, 2), "m/s");
        assertThat(far).containsText("is the unit of a speed. What is asked for here is a length.");
        Chrome.answer(far, LabHands.print(best, 3), "m");
        assertThat(far.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        Locator most = Chrome.question(page, "What work did the spring do at most");
        Chrome.answer(most, LabHands.print(2 * work, 3), "J");
        assertThat(most).containsText("whole rectangle");
        Chrome.answer(most, LabHands.print(work, 3), "J");
        assertThat(most.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        hands.right("Which share", LabHands.print(100 * lost, 1), "%");
    }

    @Test
    void onTheOpenBenchTheTrolleyIsDrawnByHandAndItsSpeedIsTheClosedForm() {
        signIn("ines");
        BenchHands bench = new BenchHands(page);
        bench.open("spring-trolley");
        bench.set("Coefficient of rolling friction", "0");
        page.getByLabel("Drawn back from the beginning").click();
        double[] at = eyes.middle("[data-part=mark]");
        eyes.drag(at, new double[] {at[0] - 30, at[1]});
        double back = Double.parseDouble(page.getByLabel("Drawn back by", new Page.GetByLabelOptions().setExact(false))
                .first()
                .inputValue());
        assertThat(back).isGreaterThan(20.5);
        Chrome.button(page, "Let go").click();
        Chrome.button(page, "Again").waitFor();
        assertThat(bench.cameTo("Speed as the cord goes slack")).isCloseTo(back / 100 * Math.sqrt(24 / 0.6),
                within(0.001));
    }
}
