package cauldron.core.block;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.marking.AnswerCheck.Verdict;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Choice questions checked, and the blocks that nobody marks. */
class ChoiceBlockTest {

    private static Sheet sheet(Object... blocks) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "pendulum", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "Part one", "blocks", List.of(blocks)))));
    }

    private static Map<String, Object> choice(boolean several, Object... choices) {
        return Tree.of("type", "choice", "id", "c", "prompt", "Which?", "several", several, "points", 2.0, "choices",
                List.of(choices));
    }

    private static Map<String, Object> wrong(String text, String hint) {
        return Tree.of("text", text, "hint", hint);
    }

    private static Map<String, Object> right(String text) {
        return Tree.of("text", text, "right", true);
    }

    private static ChoiceBlock read(Map<String, Object> choice) {
        return (ChoiceBlock) sheet(choice).block("c");
    }

    @Test
    void oneIsRightAndAHintAnswersTheOther() {
        ChoiceBlock one = read(choice(false, wrong("A", "Think of B."), right("B"), wrong("C", "")));
        assertThat(one.check("2").right()).isTrue();
        assertThat(one.check("1").verdict()).isEqualTo(Verdict.KNOWN_SLIP);
        assertThat(one.check("1").feedback()).isEqualTo("Think of B.");
        assertThat(one.check("3").verdict()).isEqualTo(Verdict.VALUE);
        assertThat(one.tries()).isEqualTo(2);
        for (String odd : new String[] {"", "0", "4", "B", "-1", "2; 3", "99999999999", "1,2"}) {
            assertThat(one.check(odd).counts()).as(odd).isFalse();
        }
    }

    @Test
    void ofSeveralAllHaveToBeChosenAndNothingElse() {
        ChoiceBlock some = read(choice(true, right("A"), wrong("B", "Not B."), right("C"), wrong("D", "")));
        assertThat(some.check("1, 3").right()).isTrue();
        assertThat(some.check("3,1,1").right()).isTrue();
        assertThat(some.check("1").feedback()).isEqualTo("What you chose is right, but it isn't all.");
        assertThat(some.check("1, 2, 3").feedback()).isEqualTo("Not B.");
        assertThat(some.check("1, 3, 4").feedback()).isEqualTo("Not everything that you chose is right.");
    }

    @Test
    void theAnswerInWordsIsWhatWasChosenAndWhyAndOddPlacesAreLeftOut() {
        Sheet sheet = sheet(choice(true, wrong("A", ""), right("B"), right("C")),
                Tree.of("type", "explanation", "id", "w", "prompt", "Why?", "words", 2.0, "points", 2.0));
        Progress done = new Progress(sheet, Map.of("c", Tree.of("answer", Tree.of("chosen", List.of(2.0, 9.0, 3.0),
                "reason", " It fell. ")), "w", Tree.of("answer", Tree.of("text", "\n It is\nheavy. "))), Map.of());
        assertThat(sheet.block("c").answer(done.written())).isEqualTo("B\nC\nIt fell.");
        assertThat(sheet.block("w").answer(done.written())).isEqualTo("It is\nheavy.");
        Progress nothing = new Progress(sheet, Map.of("c", Tree.of("answer", Tree.of("chosen", "B"))), Map.of());
        assertThat(sheet.block("c").answer(nothing.written())).isEmpty();
        assertThat(sheet.block("w").answer(nothing.written())).isEmpty();
    }

    @Test
    void whatIsRightNeverReachesAStudent() {
        Sheet sheet = sheet(choice(false, wrong("A", "a secret hint"), right("B")));
        assertThat(sheet.forStudent().toString()).contains("text=B").doesNotContain("right").doesNotContain("secret");
        assertThat(Sheet.fromTree(sheet.toTree())).isEqualTo(sheet);
    }

    @Test
    void faultsAreToldWithTheirPlace() {
        assertThatThrownBy(() -> sheet(choice(false, wrong("A", ""), wrong("B", ""))))
                .hasMessageContaining("block c: choices: one of them has to be right");
        assertThatThrownBy(() -> sheet(choice(false, right("A"), right("B")))).hasMessageContaining("“several” has to "
                + "be true");
        assertThatThrownBy(() -> sheet(choice(false, right("A")))).hasMessageContaining("two at least");
        assertThatThrownBy(() -> sheet(choice(false, right("A"), wrong("A", "")))).hasMessageContaining("alike");
        assertThatThrownBy(() -> sheet(Tree.of("type", "reading", "id", "r", "sources", List.of(Tree.of("title", "X",
                "address",
                "javascript:alert(1)"))))).hasMessageContaining("has to begin with https://");
    }

    @Test
    void whatIsLackingIsTold() {
        Map<String, Object> asked = choice(false, wrong("A", ""), right("B"));
        asked.put("reasonPrompt", "Why?");
        Sheet sheet = sheet(Tree.of("type", "opening", "id", "o", "prompt", "What do you know?", "words", 3.0), asked,
                Tree.of("type", "extension", "id", "e", "prompt", "Go on."));
        assertThat(missing(sheet, Map.of())).containsExactly("Part one: answer the opening question", "Part one: "
                + "choose an answer");
        assertThat(missing(sheet, Map.of("o", Tree.of("answer", Tree.of("text", "A little bit")), "c",
                Tree.of("answer", Tree.of("chosen", List.of(1.0), "reason", " "))))).containsExactly("Part one: give "
                        + "your reason");
        assertThat(missing(sheet, Map.of("o", Tree.of("answer", Tree.of("text", "A little bit")), "c",
                Tree.of("answer", Tree.of("chosen", List.of(1.0), "reason", "So."))))).isEmpty();
    }

    private static List<String> missing(Sheet sheet, Map<String, Map<String, Object>> slots) {
        return new Progress(sheet, slots, Map.of()).missing().stream().map(m -> (String) m.get("text")).toList();
    }
}
