package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.marking.AnswerCheck;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Answers marked against what the student's own trials came to. */
class CameKeyTest {

    private static Sheet asking(Map<String, Object> came, String unit) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "crash-rig", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "Part one", "blocks", List.of(
                        Tree.of("type", "bench", "id", "b", "apparatus", "crash-rig"),
                        Tree.of("type", "number", "id", "n", "prompt", "How likely?", "points", 2.0, "key",
                                Tree.of("came", came, "unit", unit, "tolerance", 0.2)))))));
    }

    private static Map<String, Object> trial(double survival, Object cost) {
        return Tree.of("settings", Tree.of(), "outcomes", Tree.of("survival", survival, "cost", cost));
    }

    @Test
    void theBestThatKeepsWithinABoundCounts() {
        Sheet sheet = asking(Tree.of("bench", "b", "outcome", "survival", "within", "cost", "atMost", 8500.0), "%");
        NumberBlock question = (NumberBlock) sheet.block("n");
        Map<String, Object> trials = new LinkedHashMap<>();
        Progress progress = new Progress(sheet, Map.of("b", trials), Map.of());
        assertThat(AnswerCheck.check("97", "%", progress.key(question, 1)).verdict()).isEqualTo(AnswerCheck.Verdict.NOT_YET);
        trials.put("trial/1", trial(91.2, 8000.0));
        trials.put("trial/2", trial(97.4, 8500));
        trials.put("trial/3", trial(99.9, 9900.0));
        trials.put("trial/5", Tree.of("settings", Tree.of(), "outcomes", Tree.of("survival", "a lot", "cost", 1.0)));
        trials.put("trial/6", Tree.of("settings", Tree.of()));
        Map<String, Object> deleted = trial(98.8, 8000.0);
        deleted.put("removed", true);
        trials.put("trial/4", deleted);
        assertThat(AnswerCheck.check("97.4", "%", progress.key(question, 1)).right()).isTrue();
        assertThat(AnswerCheck.check("0.974", "", progress.key(question, 1)).right()).isTrue();
        assertThat(AnswerCheck.check("99.9", "%", progress.key(question, 1)).right()).isFalse();
        assertThat(AnswerCheck.check("98.8", "%", progress.key(question, 1)).right()).isFalse();
        assertThat(sheet.forStudent().toString()).doesNotContain("atMost");
    }

    @Test
    void theLeastOfAllWhereThatIsAsked() {
        Sheet sheet = asking(Tree.of("bench", "b", "outcome", "hic", "least", true), "");
        Progress progress = new Progress(sheet, Map.of("b", Tree.of("trial/1", Tree.of("outcomes", Tree.of("hic", 700.0)),
                "trial/2", Tree.of("outcomes", Tree.of("hic", 250.0)))), Map.of());
        assertThat(AnswerCheck.check("250", "", progress.key((NumberBlock) sheet.block("n"), 1)).right()).isTrue();
    }

    private static Sheet reading(Map<String, Object> slip) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "volume-bench", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "Part one", "blocks", List.of(
                        Tree.of("type", "bench", "id", "b", "apparatus", "volume-bench", "acts", List.of("look")),
                        Tree.of("type", "number", "id", "n", "prompt", "How much?", "points", 2.0, "key", Tree.of("came",
                                Tree.of("bench", "b", "outcome", "level.1", "last", true), "unit", "mL", "tolerance", 0.4, "slips",
                                List.of(slip))))))));
    }

    /** The last trial counts, and another outcome of it tells what was done wrong. */
    @Test
    void aSlipMayBeAnotherOutcomeOfTheLastTrial() {
        Sheet sheet = reading(Tree.of("outcome", "edge.1", "hint", "The lowest point counts."));
        Map<String, Object> trials = new LinkedHashMap<>();
        Progress progress = new Progress(sheet, Map.of("b", trials), Map.of());
        NumberBlock question = (NumberBlock) sheet.block("n");
        assertThat(AnswerCheck.check("61.5", "mL", progress.key(question, 1)).verdict()).isEqualTo(AnswerCheck.Verdict.NOT_YET);
        trials.put("trial/1", Tree.of("outcomes", Tree.of("level.1", 90.0, "edge.1", 92.0)));
        trials.put("trial/2", Tree.of("outcomes", Tree.of("level.1", 61.5, "edge.1", 64.1)));
        assertThat(AnswerCheck.check("61.5", "mL", progress.key(question, 1)).right()).isTrue();
        assertThat(AnswerCheck.check("64.0", "mL", progress.key(question, 1)).feedback()).isEqualTo("The lowest point counts.");
        assertThat(AnswerCheck.check("90", "mL", progress.key(question, 1)).verdict()).isEqualTo(AnswerCheck.Verdict.VALUE);
        trials.put("trial/2", Tree.of("outcomes", Tree.of("level.1", 61.5)));
        assertThat(AnswerCheck.check("64.0", "mL", progress.key(question, 1)).verdict()).isEqualTo(AnswerCheck.Verdict.VALUE);
        assertThat(sheet.toTree()).isEqualTo(Sheet.fromTree(sheet.toTree()).toTree());
    }

    @Test
    void aSlipThatCantComeIsRefused() {
        assertThatThrownBy(() -> reading(Tree.of("outcome", "density.cork", "hint", "h"))).hasMessageContaining("in another unit");
        assertThatThrownBy(() -> reading(Tree.of("outcome", "luck", "hint", "h"))).hasMessageContaining("luck");
        assertThatThrownBy(() -> reading(Tree.of("hint", "h"))).hasMessageContaining("factor or outcome");
        assertThatThrownBy(() -> reading(Tree.of("factor", 2.0, "outcome", "edge.1", "hint", "h")))
                .hasMessageContaining("factor or outcome");
    }

    @Test
    void whatNeverComesIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> asking(Tree.of("bench", "x", "outcome", "survival"), "%"))
                .hasMessage("part one, block n: there is no bench “x”");
        assertThatThrownBy(() -> asking(Tree.of("bench", "b", "outcome", "survival"), "kg"))
                .hasMessageContaining("“survival” is in %, not in kg");
        assertThatThrownBy(() -> asking(Tree.of("bench", "b", "outcome", "luck"), "%")).hasMessageContaining("luck");
        assertThatThrownBy(() -> asking(Tree.of("bench", "b", "outcome", "survival", "within", "price"), "%"))
                .hasMessageContaining("price");
    }
}
