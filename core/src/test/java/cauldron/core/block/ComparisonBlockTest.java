package cauldron.core.block;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.marking.AnswerCheck.Verdict;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Predictions beside what was seen: sealed first, and only what was seen is marked. */
class ComparisonBlockTest {

    private static Map<String, Object> block(Object... changed) {
        Map<String, Object> tree = Tree.of("type", "comparison", "id", "c", "prompt", "Up or down?", "options",
                List.of("up", "down", "neither"), "points", 4.0, "cases", List.of(Tree.of("text", "Case A", "seen", 1.0),
                        Tree.of("text", "Case B", "seen", 3.0), Tree.of("text", "Case C", "seen", 2.0)));
        tree.putAll(Tree.of(changed));
        return tree;
    }

    private static Sheet sheet(Map<String, Object> block) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "pendulum", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "One", "blocks", List.of(block)),
                        Tree.of("id", "two", "kind", "explain", "title", "Two", "blocks", List.of(
                                Tree.of("type", "text", "id", "x", "markdown", "words"))))));
    }

    private static Progress with(Map<String, Object> kept) {
        return new Progress(sheet(block()), Map.of("c", kept), Map.of());
    }

    private static String lacks(Map<String, Object> kept) {
        return with(kept).missing().stream().map(m -> (String) m.get("text")).findFirst().orElse("nothing");
    }

    @Test
    void eachRowBringsItsShareAndTheFirstWrongOneIsNamed() {
        ComparisonBlock block = (ComparisonBlock) sheet(block()).block("c");
        assertThat(block.check("1, 3, 2").right()).isTrue();
        assertThat(block.check("1,3,2").points(4)).isEqualTo(4);
        AnswerCheck.Result two = block.check("1, 2, 2");
        assertThat(two.verdict()).isEqualTo(Verdict.VALUE);
        assertThat(two.points(4)).as("two thirds of 4, to a tenth").isEqualTo(2.7);
        assertThat(two.feedback()).isEqualTo("2 of 3 are as it is. Do this one again, and look closely: Case B.");
        assertThat(block.check("2, 1, 1").points(4)).isZero();
        for (String odd : new String[] {"", "1, 3", "1, 3, 2, 2", "1, 3, 4", "1, 3, 0", "up, down, up", "1, 3, 22", "1,,2"}) {
            assertThat(block.check(odd).counts()).as(odd).isFalse();
        }
    }

    @Test
    void allIsPredictedThenSealedThenSeen() {
        Map<String, Object> kept = new LinkedHashMap<>();
        kept.put("predicted/1", Tree.of("option", 1.0));
        kept.put("predicted/2", Tree.of("option", 1.0));
        assertThat(lacks(kept)).isEqualTo("One: seal your predictions");
        Sealable block = (Sealable) sheet(block()).block("c");
        assertThat(with(kept).lackOfPrediction(block)).isEqualTo("Predict all 3 cases first; then they can be sealed.");
        kept.put("predicted/3", Tree.of("option", 9.0));
        assertThat(with(kept).lackOfPrediction(block)).as("there is no ninth option").isNotNull();
        kept.put("predicted/3", Tree.of("option", 3.0));
        assertThat(with(kept).lackOfPrediction(block)).isNull();
        assertThat(with(kept).openParts()).isEqualTo(1);
        kept.put("seal", Tree.of("sealed", true));
        assertThat(with(kept).openParts()).isEqualTo(2);
        assertThat(lacks(kept)).isEqualTo("One: note what you saw in 3 more cases");
        kept.put("seen/1", Tree.of("option", 2.0));
        kept.put("seen/2", Tree.of("option", 2.0));
        assertThat(lacks(kept)).isEqualTo("One: note what you saw in one more case");
        kept.put("seen/3", Tree.of("option", 2.0));
        assertThat(lacks(kept)).as("wrong, but all there").isEqualTo("nothing");
    }

    @Test
    void theAnswerInWordsIsWhatWasSeenInEachCase() {
        Map<String, Object> kept = Map.of("predicted/1", Tree.of("option", 1.0), "seen/1", Tree.of("option", 2.0),
                "seen/2",
                Tree.of("option", 7.0), "seen/3", Tree.of("option", 3.0));
        assertThat(sheet(block()).block("c").answer(with(kept).written())).isEqualTo("Case A: down\nCase C: neither");
    }

    @Test
    void onlyWhatIsSeenWaitsForTheSeal() {
        Sealable block = (Sealable) sheet(block()).block("c");
        assertThat(block.isPredicted("predicted/2")).isTrue();
        assertThat(block.isPredicted("seal")).isTrue();
        assertThat(block.isPredicted("seen/2")).isFalse();
    }

    @Test
    void whatIsToBeSeenNeverReachesAStudent() {
        Sheet sheet = sheet(block());
        assertThat(sheet.forStudent().toString()).contains("Case B").doesNotContain("seen");
        assertThat(Sheet.fromTree(sheet.toTree())).isEqualTo(sheet);
    }

    @Test
    void faultsAreToldWithTheirPlace() {
        assertThatThrownBy(() -> sheet(block("options", List.of("up"), "cases", List.of(Tree.of("text", "A", "seen", 2.0)))))
                .hasMessageContaining("block c: options: two at least are needed")
                .hasMessageContaining("“A” is to be seen as option 2, but there are 1");
        assertThatThrownBy(() -> sheet(block("options", List.of("up", "up", "down")))).hasMessageContaining("options: two "
                + "of them are alike");
        assertThatThrownBy(() -> sheet(block("cases", List.of()))).hasMessageContaining("cases: one at least");
        assertThatThrownBy(() -> sheet(block("cases", List.of(Tree.of("text", "A", "seen", 1.0), Tree.of("text", "A",
                "seen", 2.0))))).hasMessageContaining("cases: two of them are alike");
    }
}
