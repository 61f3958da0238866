package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Answers whose slips people make, temperatures, angles, and what is asked of figures. */
class AnswerKindsTest {

    private static AnswerKey key(Object... fields) {
        return AnswerKeyForm.read(Tree.of(fields));
    }

    private static AnswerCheck.Result check(String number, String unit, AnswerKey key) {
        return AnswerCheck.check(number, unit == null ? "" : unit, key);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"0.25 | Hz | 4 | UPSIDE_DOWN | one divided by", "240 | s | 4 | KNOWN_SLIP | sixty", "0.0667 | s | 4 | KNOWN_SLIP | sixty",
        "4000 | s | 4 | POWER_OF_TEN | comma or point", "-400 | s | 4 | SIGN | power of ten"})
    void slipsOfSizeAreRecognised(String number, String unit, double truth, AnswerCheck.Verdict verdict, String words) {
        AnswerCheck.Result result = check(number, unit, key("value", truth, "unit", unit, "tolerancePercent", 2.0));
        assertThat(result.verdict()).isEqualTo(verdict);
        assertThat(result.feedback()).contains(words);
    }

    @Test
    void aTruthOfNoughtHasAnAbsoluteTolerance() {
        AnswerKey nought = key("value", 0.0, "unit", "N", "tolerance", 0.1);
        assertThat(check("0.05", "N", nought).right()).isTrue();
        assertThat(check("-90", "mN", nought).right()).isTrue();
        assertThat(check("0.2", "N", nought).right()).isFalse();
        assertThatThrownBy(() -> key("value", 0.0, "unit", "N", "tolerancePercent", 2.0)).hasMessageContaining("tolerance");
        assertThatThrownBy(() -> key("value", 1.0, "unit", "N")).hasMessageContaining("tolerancePercent or tolerance");
    }

    @Test
    void ofATemperatureInCelsiusNoPartCanBeAsked() {
        assertThatThrownBy(() -> key("value", 20.0, "unit", "°C", "tolerancePercent", 2.0)).hasMessageContaining("°C");
        AnswerKey warm = key("value", 20.0, "unit", "°C", "tolerance", 0.5);
        assertThat(check("20.4", "°C", warm).right()).isTrue();
        assertThat(check("293.3", "K", warm).right()).isTrue();
        assertThat(check("20.6", "°C", warm).right()).isFalse();
        // 20.6 °C is no power of ten away from anything.
        assertThat(check("2", "°C", warm).verdict()).isEqualTo(AnswerCheck.Verdict.VALUE);
    }

    @Test
    void aBareAngleAndAnUnclearUnitAreAskedAboutAndCostNothing() {
        AnswerKey angle = key("value", 30.0, "unit", "°", "tolerancePercent", 2.0);
        AnswerCheck.Result bare = check("30", "", angle);
        assertThat(bare.counts()).isFalse();
        assertThat(bare.feedback()).contains("degrees");
        assertThat(check("0.5236", "", angle).right()).as("radians").isTrue();
        AnswerCheck.Result unclear = check("9.81", "ms-2", key("value", 9.81, "unit", "m/s²", "tolerancePercent", 2.0));
        assertThat(unclear.counts()).isFalse();
        assertThat(unclear.feedback()).contains("two ways");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"9.81 m/s² | RIGHT", "9,81N/kg | RIGHT", "9.81 | NO_UNIT", "about 9 | NOT_A_NUMBER", "9.8e0 m/s^2 | RIGHT", "9.8 × 10^0 m/s^2 | RIGHT"})
    void aUnitInTheBoxForTheNumberIsTakenApart(String number, AnswerCheck.Verdict verdict) {
        assertThat(check(number, "", key("value", 9.81, "unit", "m/s²", "tolerancePercent", 2.0)).verdict()).isEqualTo(verdict);
    }

    @Test
    void figuresAreJudgedWhereTheLabAsks() {
        AnswerKey three = key("value", 9.81, "unit", "m/s²", "tolerancePercent", 2.0, "figures", 3.0);
        assertThat(check("9.81", "m/s²", three).right()).isTrue();
        AnswerCheck.Result few = check("9.8", "m/s²", three);
        assertThat(few.verdict()).isEqualTo(AnswerCheck.Verdict.FIGURES);
        assertThat(few.feedback()).contains("fewer");
        assertThat(check("9.8067", "m/s²", three).feedback()).contains("round");
        assertThat(few.counts()).as("costs no try").isFalse();
    }

    private static AnswerCheck.Result asked(String number, String unit, Object... key) {
        return AnswerCheck.check(number, unit, AnswerKeyForm.read(Tree.of(key)));
    }

    @Test
    void aRelativeMassIsRightAloneAndInEveryUnitThatMeansIt() {
        Object[] chlorine = {"value", 35.453, "unit", "u", "alsoIn", List.of("", "g/mol"), "tolerancePercent", 0.2};
        for (String unit : new String[] {"", "u", "Da", "g/mol", "g mol^-1"}) {
            assertThat(asked("35.45", unit, chlorine).right()).as(unit).isTrue();
        }
        assertThat(asked("0.03545", "kg/mol", chlorine).right()).isTrue();
        assertThat(asked("35.45", "m", chlorine).verdict()).isEqualTo(AnswerCheck.Verdict.OTHER_QUANTITY);
        assertThat(asked("35.45", "kg/mol", chlorine).right()).isFalse();
    }

    @Test
    void whatIsMeantOtherwiseIsAskedAboutAndCostsNothing() {
        Object[] warm = {"value", 45.0, "unit", "°C", "tolerance", 1.0};
        AnswerCheck.Result charge = asked("45", "C", warm);
        assertThat(charge.feedback()).contains("°C").contains("no try");
        assertThat(charge.counts()).isFalse();
        Object[] share = {"value", 12.5, "unit", "%", "tolerancePercent", 2.0};
        AnswerCheck.Result bare = asked("12.5", "", share);
        assertThat(bare.feedback()).contains("per cent");
        assertThat(bare.counts()).isFalse();
        assertThat(asked("0.125", "", share).right()).isTrue();
        assertThat(asked("12.5", "%", share).right()).isTrue();
        assertThat(asked("40", "", share).counts()).as("a wrong number is a try").isTrue();
    }

    @Test
    void aNumberThatGoesWithAnotherUnitOfTheKindCostsNothing() {
        Object[] length = {"value", 2.5, "unit", "m", "tolerancePercent", 2.0};
        AnswerCheck.Result other = asked("2.5", "cm", length);
        assertThat(other.counts()).isFalse();
        assertThat(other.feedback()).contains("no try");
        assertThat(asked("250", "cm", length).right()).isTrue();
        assertThat(asked("3.1", "cm", length).counts()).isTrue();
        assertThat(asked("2.5", "s", length).counts()).as("another quantity is a try").isTrue();
    }
}
