package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.marking.AnswerCheck.Verdict;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TypicalAnswersTest {

    private static Map<String, Verdict> verdicts(AnswerKey key) {
        Map<String, Verdict> map = new LinkedHashMap<>();
        TypicalAnswers.to(key).forEach(a -> map.put(a.why(), a.result().verdict()));
        return map;
    }

    @Test
    void eachMeetsTheVerdictThatAStudentWouldMeet() {
        AnswerKey key = AnswerKeyForm.read(Tree.of("value", 9.81, "unit", "m/s^2", "tolerancePercent", 2.0, "slips",
                List.of(Tree.of("factor", 4.0, "hint", "Half a swing?"))));
        assertThat(verdicts(key)).containsEntry("right", Verdict.RIGHT).containsEntry("right, with two figures",
                Verdict.RIGHT)
                .containsEntry("a slip you named", Verdict.KNOWN_SLIP).containsEntry("without a unit", Verdict.NO_UNIT)
                .containsEntry("in a unit of something else", Verdict.OTHER_QUANTITY)
                .containsEntry("just not near enough", Verdict.VALUE)
                .containsEntry("ten times too large", Verdict.POWER_OF_TEN).containsEntry("with the other sign",
                        Verdict.SIGN)
                .containsEntry("upside down", Verdict.UPSIDE_DOWN).hasSize(10);
    }

    @Test
    void aKeyThatIsTooNarrowShowsItself() {
        AnswerKey key = AnswerKeyForm.read(Tree.of("value", 9.806, "unit", "m/s^2", "tolerance", 0.001));
        assertThat(verdicts(key)).containsEntry("right, with two figures", Verdict.VALUE);
    }

    @Test
    void aValueThatIsTheStudentsOwnIsAssumed() {
        AnswerKey key = AnswerKeyForm.read(Tree.of("own", Tree.of("films", "f", "setting", "mass"), "unit", "g",
                "tolerancePercent", 5.0));
        assertThat(TypicalAnswers.to(key).get(0).number()).isEqualTo("4.200");
        assertThat(verdicts(key)).containsEntry("right", Verdict.RIGHT);
    }
}
