package cauldron.core.block;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.core.sheet.Notebook;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** An explanation is done by writing enough, or by speaking as long where that is allowed. */
class ExplanationBlockTest {

    private static final ExplanationBlock WRITTEN = new ExplanationBlock("why", "Why?", 40, 4, List.of(), 0);
    private static final ExplanationBlock SPOKEN = new ExplanationBlock("why", "Why?", 40, 4, List.of(), 60);

    private static Notebook with(Map<String, Object> spoken, String text) {
        return new Notebook(Map.of("why", Tree.of("spoken", spoken, "answer", Tree.of("text", text))), Map.of());
    }

    private static Map<String, Object> seconds(double seconds) {
        return Tree.of("recording", "r", "seconds", seconds, "pieces", 2.0);
    }

    @Test
    void fortyWordsAreSpokenInSixteenSeconds() {
        assertThat(SPOKEN.lack(with(Tree.of(), "It swings.")))
                .isEqualTo("2 of at least 40 words written, or speak instead");
        assertThat(WRITTEN.lack(with(Tree.of(), "It swings."))).isEqualTo("2 of at least 40 words written");
        assertThat(SPOKEN.lack(with(seconds(15.9), ""))).isEqualTo("15 of at least 16 seconds spoken");
        assertThat(SPOKEN.lack(with(seconds(16), ""))).isNull();
        assertThat(SPOKEN.lack(with(Tree.of("recording", "", "seconds", 16.0), "")))
                .startsWith("0 of at least 40 words");
    }

    @Test
    void noOneHasToSpeakLongerThanOneMay() {
        ExplanationBlock brief = new ExplanationBlock("why", "Why?", 200, 4, List.of(), 30);
        assertThat(brief.lack(with(seconds(30), ""))).isNull();
    }

    @Test
    void whatWasSpokenStandsBesideWhatWasWritten() {
        assertThat(SPOKEN.answer(with(seconds(16.4), "In short: gravity.")))
                .isEqualTo("In short: gravity.\n(Spoken, 16 s)");
        assertThat(SPOKEN.answer(with(seconds(0.4), ""))).isEqualTo("(Spoken, 1 s)");
        assertThat(SPOKEN.answer(with(Tree.of(), "Written."))).isEqualTo("Written.");
    }
}
