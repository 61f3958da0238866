package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.marking.HowItWent.Asked;
import cauldron.core.marking.HowItWent.Found;
import cauldron.core.marking.HowItWent.Slip;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class HowItWentTest {

    private static final Found RIGHT = new Found("right", "Right.");
    private static final Found OFF = new Found("value", "Not yet.");
    private static final Found TEN = new Found("power-of-ten", "A power of ten is off.");
    private static final Found UNIT = new Found("other-quantity", "That is a length.");

    @Test
    void studentsAreCountedAndNotTheirTries() {
        HowItWent went = HowItWent.of(List.of(List.of(RIGHT), List.of(TEN, TEN, TEN, RIGHT), List.of(OFF, UNIT),
                List.of(TEN, OFF, RIGHT, OFF), List.of()));
        assertThat(went.tried()).isEqualTo(4);
        assertThat(went.rightAtFirst()).isEqualTo(1);
        assertThat(went.rightAtLast()).as("right once is right").isEqualTo(3);
        assertThat(went.medianTries()).as("1, 2, 4, 4").isEqualTo(3);
        assertThat(went.slips()).as("wrong values say nothing").containsExactly(new Slip("A power of ten is off.", 2),
                new Slip("That is a length.", 1));
    }

    @Test
    void nobodyIsNothing() {
        assertThat(HowItWent.of(List.of(List.of()))).isEqualTo(new HowItWent(0, 0, 0, 0, List.of()));
        assertThat(HowItWent.toTalkAbout(List.of())).isEmpty();
        assertThat(HowItWent.toTalkAbout(List.of(new Asked("Q", HowItWent.of(List.of(List.of(OFF), List.of(OFF)))))))
                .as("two tell nothing about a class").isEmpty();
    }

    @Test
    void whatWentWorstIsToTalkAbout() {
        List<Asked> questions = new ArrayList<>();
        questions.add(new Asked("Well?", HowItWent.of(List.of(List.of(RIGHT), List.of(RIGHT), List.of(RIGHT)))));
        questions.add(new Asked("Late?", HowItWent.of(List.of(List.of(OFF, RIGHT), List.of(OFF, RIGHT),
                List.of(RIGHT)))));
        questions.add(new Asked("Worst?", HowItWent.of(List.of(List.of(TEN), List.of(TEN, OFF), List.of(RIGHT)))));
        questions.add(new Asked("Half?", HowItWent.of(List.of(List.of(UNIT), List.of(OFF, RIGHT), List.of(RIGHT)))));
        questions.add(new Asked("Third?", HowItWent.of(List.of(List.of(UNIT), List.of(OFF, RIGHT), List.of(OFF,
                RIGHT)))));
        assertThat(HowItWent.toTalkAbout(questions)).containsExactly(
                "“Worst?”: 1 of 3 were right at first and no more in the end; 2 met this: A power of ten is off.",
                "“Third?”: 0 of 3 were right at first and 2 in the end.",
                "“Half?”: 1 of 3 were right at first and 2 in the end.");
    }

    @Test
    void whereAllWentWellThatIsSaid() {
        assertThat(HowItWent.toTalkAbout(List.of(new Asked("Q", HowItWent.of(List.of(List.of(RIGHT), List.of(RIGHT),
                List.of(RIGHT), List.of(RIGHT), List.of(OFF))))))).singleElement().asString()
                        .startsWith("Nothing stands out");
    }

    @Test
    void longPromptsAreCut() {
        assertThat(HowItWent.toTalkAbout(List.of(new Asked("x".repeat(200), HowItWent.of(List.of(List.of(OFF),
                List.of(OFF), List.of(OFF))))))).singleElement().asString().contains("x".repeat(79) + "…”")
                        .doesNotContain("x".repeat(80));
    }
}
