package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.marking.AnswerCheck.Verdict;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers as students type them, and what is asked about free of charge. */
class AnswerNumberTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"½ | 0.5", "1 1/2 | 1.5", "1½ | 1.5", "3/2 | 1.5", "2pi | 6.283185307179586",
        "π/2 | 1.5707963267948966", "sqrt(2) | 1.4142135623730951", "√2 | 1.4142135623730951", "10^-3 | 0.001",
        "4*10^(-3) | 0.004", "4·10^-3 | 0.004", "1 000 | 1000", "3 600 000 | 3600000", "12'500 | 12500", "12’500.5 | 12500.5",
        "2− | -2", "3+ | 3", "−1 500 | -1500", "-1/2 | -0.5", "1.5e3 | 1500", "1,5 | 1.5"})
    void numbersAreReadAsTheyAreTyped(String typed, double value) {
        assertThat(AnswerNumber.read(typed).value()).isCloseTo(value, within(1e-12 * Math.abs(value)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "x", "1/0", "12 50", "1 0000", "1..5", "(", "2+2+", "sqrt(-1)", "½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½½"})
    void whatIsNoNumberIsSaidToBeNone(String typed) {
        assertThatThrownBy(() -> AnswerNumber.read(typed)).isInstanceOf(IllegalArgumentException.class);
    }

    private static AnswerCheck.Result check(String number, String unit, Object... key) {
        return AnswerCheck.check(number, unit, AnswerKeyForm.read(Tree.of(key)));
    }

    /** 250,000 is asked about, free of charge, where it isn't right as 250; right as either it is never doubted. */
    @Test
    void aCommaThatMayPartThousandsIsAskedAbout() {
        AnswerCheck.Result asked = check("250,000", "N", "value", 250_000.0, "unit", "N", "tolerancePercent", 2.0);
        assertThat(asked.verdict()).isEqualTo(Verdict.NOT_A_NUMBER);
        assertThat(asked.counts()).isFalse();
        assertThat(asked.feedback()).contains("250000").contains("250.000");
        assertThat(check("250,000", "N", "value", 250.0, "unit", "N", "tolerancePercent", 2.0).right()).isTrue();
        assertThat(check("250 000", "N", "value", 250_000.0, "unit", "N", "tolerancePercent", 2.0).right()).isTrue();
        assertThat(check("0,125", "N", "value", 9.0, "unit", "N", "tolerancePercent", 2.0).verdict()).isNotEqualTo(Verdict.NOT_A_NUMBER);
        assertThat(check("2,5", "N", "value", 9.0, "unit", "N", "tolerancePercent", 2.0).verdict()).isNotEqualTo(Verdict.NOT_A_NUMBER);
    }

    /** Which number it would be isn't told by the wrong unit. */
    @Test
    void aWrongUnitSaysNothingOfTheNumber() {
        String right = check("9.81", "m/s", "value", 9.81, "unit", "m/s²", "tolerancePercent", 1.0).feedback();
        assertThat(check("5.00", "m/s", "value", 9.81, "unit", "m/s²", "tolerancePercent", 1.0).feedback()).isEqualTo(right);
    }

    @Test
    void aFractionIsRightButHasNoFigures() {
        assertThat(check("3/2", "m", "value", 1.5, "unit", "m", "tolerancePercent", 1.0).right()).isTrue();
        AnswerCheck.Result asked = check("3/2", "m", "value", 1.5, "unit", "m", "tolerancePercent", 1.0, "figures", 3.0);
        assertThat(asked.verdict()).isEqualTo(Verdict.FIGURES);
        assertThat(asked.counts()).isFalse();
        assertThat(check("1.50", "m", "value", 1.5, "unit", "m", "tolerancePercent", 1.0, "figures", 3.0).right()).isTrue();
    }
}
