package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ScoreTest {

    /** Two numbers of 2 and 6 points, an explanation of 4, a table of one row. */
    private static Sheet sheet(Map<String, Object> scheme) {
        Map<String, Object> table = Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 1.0, "columns",
                List.of(Tree.of("id", "L", "name", "length", "symbol", "L", "unit", "cm", "kind", "measured")));
        Map<String, Object> tree = Tree.of("title", "T", "summary", "S", "minutes", 10.0, "apparatus", "pendulum",
                "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "One", "blocks", List.of(table, number("a", 2),
                        number("b", 6), Tree.of("type", "explanation", "id", "w", "prompt", "Why?", "words", 3.0,
                        "points",
                                4.0)))));
        if (scheme != null) {
            tree.put("scheme", scheme);
        }
        return Sheet.fromTree(tree);
    }

    private static Map<String, Object> number(String id, double points) {
        return Tree.of("type", "number", "id", id, "prompt", "g?", "points", points, "key",
                Tree.of("value", 9.81, "unit",
                "m/s²", "tolerancePercent", 2.0));
    }

    private static Progress written(Sheet sheet) {
        NotebookReader reader = new NotebookReader(sheet);
        reader.lay("t", "rows", Tree.of("order", List.of("r1")));
        reader.lay("t", "cell/r1/L", Tree.of("text", "41"));
        reader.lay("a", "answer", Tree.of("number", "9.8", "unit", "m/s²"));
        return new Progress(sheet, reader.slots(), Map.of());
    }

    private static Score score(Map<String, Object> scheme, Map<String, Double> got) {
        return Score.of(written(sheet(scheme)), got, got::containsKey);
    }

    @Test
    void withoutASchemePointsAreAddedUp() {
        Score score = score(null, Map.of("a", 2.0, "w", 2.5));
        assertThat(score.points()).isEqualTo(4.5);
        assertThat(score.forDone()).isZero();
        assertThat(score.waiting()).isFalse();
        assertThat(score(null, Map.of("a", 2.0)).waiting()).as("the explanation").isTrue();
    }

    @Test
    void halfForCompletenessAndHalfForWhatIsRight() {
        // Of twelve points six are for what is done: the table and one number of four things asked for.
        Score score = score(Tree.of("completeness", 50.0), Map.of("a", 2.0, "b", 3.0, "w", 4.0));
        assertThat(score.asked()).isEqualTo(4);
        assertThat(score.done()).isEqualTo(2);
        assertThat(score.forDone()).isEqualTo(3);
        assertThat(score.points()).as("3 + 6 · 9/12").isEqualTo(7.5);
    }

    @Test
    void theSpotCheckStandsForTheRest() {
        Map<String, Object> scheme = Tree.of("completeness", 50.0, "spotCheck", List.of("b"));
        assertThat(score(scheme, Map.of("b", 3.0)).points()).as("3 + 6 · 3/6").isEqualTo(6);
        assertThat(score(scheme, Map.of("a", 2.0, "w", 4.0)).points()).as("what isn't looked at brings nothing")
                .isEqualTo(3);
        assertThat(score(scheme, Map.of()).waiting()).as("the explanation isn't looked at").isFalse();
        assertThat(score(Tree.of("spotCheck", List.of("b", "w")), Map.of("b", 6.0)).points()).as("12 · 6/10")
                .isEqualTo(7.2);
    }

    @Test
    void allForCompletenessNeedsNoMarking() {
        Score score = score(Tree.of("completeness", 100.0), Map.of("b", 6.0));
        assertThat(score.points()).isEqualTo(6);
        assertThat(score.waiting()).isFalse();
    }
}
