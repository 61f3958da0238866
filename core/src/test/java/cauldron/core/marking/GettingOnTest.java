package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.marking.GettingOn.Asked;
import cauldron.core.marking.HowItWent.Found;
import java.util.List;
import org.junit.jupiter.api.Test;

class GettingOnTest {

    private static final Found RIGHT = new Found("right", "Right.");
    private static final Found OFF = new Found("value", "Not yet.");
    private static final Found TEN = new Found("power-of-ten", "A power of ten is off.");
    private static final Found SIGN = new Found("sign", "The sign.");
    private static final Found HALF = new Found("known-slip", "Is this the time of one swing?");

    @Test
    void wrongTriesInARowAreTold() {
        assertThat(GettingOn.ofTries(List.of(new Asked("g?", List.of(OFF, OFF))))).isEmpty();
        assertThat(GettingOn.ofTries(List.of(new Asked("g?", List.of(OFF, OFF, TEN)))))
                .containsExactly("3 wrong tries at “g?”");
        assertThat(GettingOn.ofTries(List.of(new Asked("g?", List.of(OFF, OFF, OFF, RIGHT))))).as("got there")
                .isEmpty();
        assertThat(GettingOn.ofTries(List.of(new Asked("g?", List.of(OFF, RIGHT, OFF, OFF))))).as("two in a row")
                .isEmpty();
    }

    @Test
    void theSameSlipIsToldOverAllQuestions() {
        assertThat(GettingOn.ofTries(List.of(new Asked("a", List.of(TEN)), new Asked("b", List.of(TEN, SIGN)),
                new Asked("c", List.of(TEN, OFF))))).containsExactly("three times the same slip: the power of ten");
        assertThat(GettingOn.ofTries(List.of(new Asked("a", List.of(TEN, RIGHT)), new Asked("b", List.of(TEN, SIGN)),
                new Asked("c", List.of(TEN, OFF))))).as("one of them was mended").isEmpty();
        assertThat(GettingOn.ofTries(List.of(new Asked("a", List.of(HALF, HALF)), new Asked("b", List.of(HALF, HALF)))))
                .containsExactly("4 times the same slip: Is this the time of one swing?");
        assertThat(GettingOn.ofTries(List.of(new Asked("a", List.of(OFF, OFF)), new Asked("b", List.of(OFF)))))
                .as("a wrong value is no slip").isEmpty();
    }

    @Test
    void quietIsToldFromTheLimitOn() {
        assertThat(GettingOn.ofQuiet(4.9, 5)).isEmpty();
        assertThat(GettingOn.ofQuiet(5, 5)).isEqualTo("nothing new for 5 min");
        assertThat(GettingOn.ofQuiet(7.9, 5)).isEqualTo("nothing new for 7 min");
    }

    @Test
    void aLongQuestionIsShortened() {
        assertThat(GettingOn.ofTries(List.of(new Asked("x".repeat(200), List.of(OFF, OFF, OFF)))).get(0).length())
                .isLessThan(90);
    }
}
