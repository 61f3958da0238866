package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.number.NumberBlock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a page counts from what it is shown is what the server counts from the whole sheet. */
class CountedBlocksTest {

    private static final Map<String, Object> TABLE = Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 3.0, "columns",
            List.of(Tree.of("id", "L", "name", "length", "symbol", "L", "unit", "cm", "kind", "measured"),
                    Tree.of("id", "q", "name", "square", "symbol", "q", "unit", "", "kind", "calculated", "formula", "L^2")),
            "unitsAsked", true);

    private static final Sheet SHEET = Sheet.fromTree(Tree.of("version", 2.0, "title", "T", "summary", "S", "minutes", 5.0, "apparatus",
            "pendulum", "parts", List.of(Tree.of("id", "one", "kind", "measure", "title", "One", "blocks", List.of(
                    Tree.of("type", "text", "id", "a", "markdown", "words"),
                    Tree.of("type", "vocabulary", "id", "v", "terms", List.of()),
                    Tree.of("type", "prediction", "id", "p", "prompt", "?", "choices", List.of("x", "y")),
                    Tree.of("type", "films", "id", "f", "apparatus", "pendulum", "views", List.of("side"), "rate", 60.0, "seconds", 5.0,
                            "distinctTrials", 2.0),
                    Tree.of("type", "bench", "id", "b", "apparatus", "pendulum", "distinctTrials", 2.0),
                    TABLE,
                    Tree.of("type", "graph", "id", "g", "table", "t"),
                    Tree.of("type", "graph", "id", "h", "table", "t", "line", false),
                    Tree.of("type", "number", "id", "n", "prompt", "?", "points", 1.0, "restsOn", "t", "key",
                            Tree.of("value", 1.0, "unit", "m", "tolerancePercent", 1.0)),
                    Tree.of("type", "explanation", "id", "e", "prompt", "?", "words", 2.0, "points", 1.0),
                    Tree.of("type", "comparison", "id", "c", "prompt", "?", "options", List.of("x", "y"), "points", 1.0, "cases",
                            List.of(Tree.of("text", "A", "seen", 1.0), Tree.of("text", "B", "seen", 2.0))))))));

    private static Map<String, Map<String, Object>> book(boolean full) {
        Map<String, Map<String, Object>> book = new LinkedHashMap<>();
        if (full) {
            book.put("p", Tree.of("seal", Tree.of("sealed", true)));
            book.put("b", Tree.of("trial/1", Tree.of("settings", Tree.of("length", 1.0)), "trial/2",
                    Tree.of("settings", Tree.of("length", 2.0))));
            book.put("t", Tree.of("rows", Tree.of("order", List.of("r1", "r2")), "cell/r1/L", Tree.of("text", "4")));
            book.put("g", Tree.of("view", Tree.of("line", true)));
            book.put("n", Tree.of("answer", Tree.of("number", "7")));
            book.put("c", Tree.of("seal", Tree.of("sealed", true), "seen/2", Tree.of("option", 1.0)));
            book.put("e", Tree.of("answer", Tree.of("text", "one two")));
        }
        return book;
    }

    @Test
    void aPageCountsAsTheServerDoes() {
        for (boolean full : new boolean[] {false, true}) {
            Progress progress = new Progress(SHEET, book(full), Map.of("f", full ? 2 : 0));
            for (Map<String, Object> part : Tree.maps(SHEET.forStudent(), "parts")) {
                for (Map<String, Object> shown : Tree.maps(part, "blocks")) {
                    Block whole = SHEET.block(Tree.text(shown, "id"));
                    Block little = CountedBlocks.block(shown);
                    if (little == null) {
                        assertThat(whole.lack(progress.written())).as("%s counts nothing", whole.id()).isNull();
                        continue;
                    }
                    assertThat(little.lack(progress.written())).as(whole.id())
                            .isEqualTo(whole.lack(progress.written()));
                    assertThat(little.counted(progress.written())).as(whole.id())
                            .isEqualTo(whole.counted(progress.written()));
                    if (whole instanceof NumberBlock number) {
                        assertThat(((NumberBlock) little).waitsFor(SHEET, progress.written()))
                                .isEqualTo(number.waitsFor(SHEET, progress.written()));
                    }
                }
            }
        }
    }

    @Test
    void whatIsCountedIsSaidInAFewWords() {
        Progress some = new Progress(SHEET, book(true), Map.of("f", 1));
        assertThat(SHEET.parts().get(0).blocks().stream().map(b -> b.counted(some.written())))
                .containsExactly("", "", "", "1 of 2", "2 of 2 trials", "1 of 3 rows", "no line yet", "", "", "", "1 of 2");
    }

    @Test
    void aColumnThatWasAddedTakesNoRowAwayOnThePageEither() {
        List<Map<String, Object>> columns = List.of(column("L"), column("added"));
        Map<String, Map<String, Object>> book = book(true);
        book.get("t").put("columns", Tree.of("columns", columns));
        Progress progress = new Progress(SHEET, book, Map.of());
        Block little = CountedBlocks.block(Tree.maps(Tree.maps(SHEET.forStudent(), "parts").get(0), "blocks").stream()
                .filter(b -> Tree.text(b, "id").equals("t")).findFirst().orElseThrow());
        assertThat(little.counted(progress.written())).isEqualTo("1 of 3 rows")
                .isEqualTo(SHEET.block("t").counted(progress.written()));
    }

    @Test
    void aGraphIsDoneWhenALineCanBeFitted() {
        Map<String, Map<String, Object>> book = book(true);
        book.get("t").put("columns", Tree.of("columns", List.of(column("L"), column("x"))));
        Progress progress = new Progress(SHEET, book, Map.of());
        assertThat(progress.lack(SHEET.block("g"))).isEqualTo("the line on the graph needs two points that lie apart");
        book.get("t").put("cell/r1/x", Tree.of("text", "1"));
        book.get("t").put("cell/r2/L", Tree.of("text", "4"));
        book.get("t").put("cell/r2/x", Tree.of("text", "2"));
        assertThat(progress.lack(SHEET.block("g"))).as("both at one place").isNotNull();
        book.get("t").put("cell/r2/L", Tree.of("text", "5"));
        assertThat(progress.lack(SHEET.block("g"))).isNull();
        assertThat(SHEET.block("g").counted(progress.written())).isEqualTo("line fitted");
        book.get("g").put("view", Tree.of("line", false));
        assertThat(progress.lack(SHEET.block("g"))).isEqualTo("fit a line on the graph");
    }

    private static Map<String, Object> column(String id) {
        return Tree.of("id", id, "name", id, "symbol", id, "unit", "", "kind", "measured");
    }
}
