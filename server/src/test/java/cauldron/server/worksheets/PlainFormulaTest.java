package cauldron.server.worksheets;

import static org.assertj.core.api.Assertions.assertThat;

import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

class PlainFormulaTest {

    private static String plain(String tex) {
        Element span = new Element("span").text(tex);
        PlainFormula.set(span);
        return span.html();
    }

    @Test
    void schoolFormulasBecomeALineThatCanBeRead() {
        assertThat(plain("T = 2\\pi\\sqrt{\\frac{L}{g}}")).isEqualTo("T = 2π√(L/g)");
        assertThat(plain("g = \\frac{4\\pi^2 L}{T^2}")).isEqualTo("g = (4π<sup>2</sup> L)/(T<sup>2</sup>)");
        assertThat(plain("E_{kin} = \\tfrac12 m v^{2}")).isEqualTo("E<sub>kin</sub> = 1/2 m v<sup>2</sup>");
        assertThat(plain("a \\cdot b \\approx -5\\,\\text{m}")).isEqualTo("a ·b ≈−5&nbsp;m");
    }

    @Test
    void whatIsBrokenOrUnknownStaysAndEnds() {
        assertThat(plain("\\frac{1}{")).isEqualTo("1/()");
        assertThat(plain("\\wobble x")).isEqualTo("wobblex");
        assertThat(plain("{".repeat(500) + "\\sqrt".repeat(50))).isNotNull();
        assertThat(plain("<b>^")).isEqualTo("&lt;b&gt;<sup></sup>");
    }
}
