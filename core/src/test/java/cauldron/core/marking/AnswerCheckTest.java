package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AnswerCheckTest {

    private static final AnswerKey G = AnswerKeyForm.read(Tree.of("value", 9.81, "unit", "m/s²", "tolerancePercent",
            3.0, "slips", List.of(Tree.of("factor", 4.0, "hint", "Half a swing?"))));

    @ParameterizedTest
    @CsvSource(delimiter = '|', ignoreLeadingAndTrailingWhitespace = true, value = {
        "9.7 | m/s^2 | RIGHT", "981 | cm s^-2 | RIGHT", "9,81 | N/kg | RIGHT", "0.0098 | km/s² | RIGHT",
        "9.4 | m/s² | VALUE", "-9.8 | m/s² | SIGN", "981 | m/s² | POWER_OF_TEN", "0.981 | m/s² | POWER_OF_TEN",
        "39.2 | m/s² | KNOWN_SLIP", "9.81 | m/s | OTHER_QUANTITY", "4.03 | s²/m | UPSIDE_DOWN",
        "9.81 | '' | NO_UNIT", "abc | m/s² | NOT_A_NUMBER", "9.81 | m/sec² | RIGHT", "9.81 | m/swing² | UNREADABLE_UNIT", "0 | m/s² | VALUE"})
    void verdicts(String number, String unit, AnswerCheck.Verdict verdict) {
        assertThat(AnswerCheck.check(number, unit.equals("''") ? "" : unit, G).verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"9.4, m/s²", "981, m/s²", "39.2, m/s²", "9.81, m/s", "-9.8, m/s²", "4.03, s²/m"})
    void feedbackNeverGivesTheAnswer(String number, String unit) {
        String feedback = AnswerCheck.check(number, unit, G).feedback();
        assertThat(feedback).doesNotContain("9.8").doesNotContain("3%").doesNotContain("m/s²");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', ignoreLeadingAndTrailingWhitespace = true, value =
            {"9.81 | m/s² | 0", "10.791 | N/kg | 0.1",
        "882.9 | cm s^-2 | -0.1", "9.81 m/s² | '' | 0", "-9.81 | m/s² | -2"})
    void howFarAnAnswerIsOff(String number, String unit, double off) {
        assertThat(AnswerCheck.off(number, unit.equals("''") ? "" : unit, G)).isCloseTo(off,
                org.assertj.core.api.Assertions.within(1e-12));
        assertThat(AnswerCheck.band(G)).isEqualTo(0.03);
    }

    @ParameterizedTest
    @CsvSource({"9.81, m/s", "abc, m/s²", "9.81, m/swing²"})
    void whatIsNoAnswerIsNotOffBySomuch(String number, String unit) {
        assertThat(AnswerCheck.off(number, unit, G)).isNaN();
    }
}
