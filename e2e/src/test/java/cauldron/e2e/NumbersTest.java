package cauldron.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Typed numbers mean the same double in the compiled core as in JavaScript and on the JVM: to the bit where somebody
 * could have typed them, to a unit in the last place with more digits than a double holds.
 */
class NumbersTest {

    private static final long SEED = 61;

    @Test
    @SuppressWarnings("unchecked")
    void typedNumbersAreTheNearestDoubles() {
        Random random = new Random(SEED);
        List<String> typed = new ArrayList<>(List.of("0.1", "33.8e21", "4144713729.375e8", "999999999999999"));
        for (int i = 0; i < 20_000; i++) {
            String digits = String.valueOf(Math.abs(random.nextLong()) >>> random.nextInt(60));
            int point = random.nextInt(digits.length() + 1);
            String text = digits.substring(0, point) + "." + digits.substring(point);
            typed.add(random.nextInt(4) > 0 ? text : text + "e" + (random.nextInt(80) - 40));
        }
        try (BrowserContext context = Chrome.context(800, 600)) {
            Page page = ReplayTest.pageWithCore(context);
            List<String> unlike = (List<String>) page.evaluate("""
                    all => all.filter(t => {
                      const [own, right] = [core.readNumber(t).value, Number(t)];
                      const exact = t.replace(/e.*/, '').replace('.', '').length <= 15 && Math.abs(Number(t.split('e')[1] ?? 0)) < 8;
                      return exact ? own !== right : !(Math.abs(own - right) <= 3e-16 * Math.abs(right));
                    })""", typed);
            assertThat(unlike).as("seed %d", SEED).isEmpty();
        }
    }
}
