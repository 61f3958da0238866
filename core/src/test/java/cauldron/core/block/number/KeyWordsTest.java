package cauldron.core.block.number;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.marking.AnswerKey;
import cauldron.core.marking.AnswerKeyForm;
import cauldron.core.sheet.Sheet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class KeyWordsTest {

    private static final Sheet SHEET = Sheet.fromTree(Tree.of("title", "T", "summary", "", "minutes", 5, "apparatus",
            "pendulum",
            "parts", List.of(Tree.of("id", "p", "kind", "measure", "title", "P", "blocks", List.of(
            Tree.of("type", "films", "id", "films", "apparatus", "pendulum", "views", List.of("side"), "rate", 60,
                    "seconds", 9,
                    "fixed", Tree.of("mass", 200), "choices", List.of(Tree.of("id", "cord", "name", "Cord", "options",
                            List.of(
                            Tree.of("id", "tern", "name", "Tern", "set", Tree.of("length", Tree.of("from", 0.4, "to",
                                    0.45))))))),
            Tree.of("type", "bench", "id", "bench", "apparatus", "volume-bench"),
            Tree.of("type", "table", "id", "t", "title", "Swings", "rows", 3, "columns", List.of(Tree.of("id", "L",
                    "name",
                    "length", "symbol", "L", "unit", "m", "kind", "measured"))))))));

    private static List<String> words(Map<String, Object> key) {
        return KeyWords.of(AnswerKeyForm.read(key), SHEET);
    }

    @Test
    void aFixedValueIsToldWithHowNearIsEnoughAndWhatSlipsComeTo() {
        assertThat(words(Tree.of("value", 9.81, "unit", "m/s^2", "tolerancePercent", 2.5, "tolerance", 0.1, "figures",
                3, "slips",
                List.of(Tree.of("factor", 4, "hint", "Half a swing?"))))).containsExactly(
                "Right: 9.81 m/s², within 2.5 % or 0.1 m/s²", "Figures asked for: 3",
                        "Slip, 39.24 m/s²: Half a swing?");
        assertThat(words(Tree.of("value", 8, "unit", "", "tolerance", 0.1))).containsExactly("Right: 8, within 0.1");
    }

    @Test
    void aPersonalValueIsToldByItsRangeOneThatAllHaveByItself() {
        assertThat(words(Tree.of("own", Tree.of("films", "films", "choice", "cord", "option", "tern", "setting",
                "length"),
                "unit", "m", "tolerancePercent", 1, "slips", List.of(Tree.of("factor", 2, "hint", "?")))))
                        .containsExactly(
                "Right: “Length to the middle of the bob” of Cord Tern, 0.4 to 0.45 m, each student's own, within 1 %",
                "Slip, 2 times what is right: ?");
        assertThat(words(Tree.of("own", Tree.of("films", "films", "setting", "mass"), "unit", "g", "tolerance", 1)))
                .containsExactly("Right: “Mass of the bob”, 200 g, within 1 g");
    }

    @Test
    void whatFollowsFromATableAndWhatTrialsCameToAreToldByTheirNames() {
        assertThat(words(Tree.of("following", Tree.of("table", "t", "formula", "mean(L)"), "unit", "m",
                "tolerancePercent", 2)))
                .containsExactly(
                "Right: what follows from the student's table “Swings” by mean(L), within 2 %");
        AnswerKey brass = AnswerKeyForm.read(Tree.of("came", Tree.of("bench", "bench", "outcome", outcome(0), "last",
                true),
                "unit", "ml", "tolerance", 1, "slips", List.of(Tree.of("outcome", outcome(1), "hint", "?"))));
        assertThat(KeyWords.of(brass, SHEET)).satisfiesExactly(
                right -> assertThat(right).startsWith("Right: the last “").contains(name(0)),
                slip -> assertThat(slip).isEqualTo("Slip, what “" + name(1) + "” came to: ?"));
    }

    private static cauldron.core.apparatus.Manifest bench() {
        return cauldron.core.inventory.Inventory.get("volume-bench").manifest();
    }

    private static String outcome(int which) {
        return bench().outcomes().get(which).id();
    }

    private static String name(int which) {
        return bench().outcomes().get(which).name();
    }
}
