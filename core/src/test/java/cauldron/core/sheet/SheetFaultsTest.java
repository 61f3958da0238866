package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import cauldron.core.Tree;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.form.Fault;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Sheets are read strictly: all that is wrong is told at once, each with its place, and old ones go on to be read. */
class SheetFaultsTest {

    private static Map<String, Object> sheet(Object... blocks) {
        return Tree.of("title", "T", "summary", "S", "minutes", 10.0, "apparatus", "pendulum", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "One", "blocks", List.of(blocks))));
    }

    private static Map<String, Object> table(String id) {
        return Tree.of("type", "table", "id", id, "title", "Readings", "rows", 2.0, "columns",
                List.of(Tree.of("id", "t", "name", "time", "symbol", "t", "unit", "s", "kind", "measured")));
    }

    private static List<String> faults(Map<String, Object> tree) {
        SheetException told = catchThrowableOfType(SheetException.class, () -> Sheet.fromTree(tree));
        assertThat(told).hasMessage(String.join("\n", told.faults().stream().map(Fault::text).toList()));
        return told.faults().stream().map(Fault::text).toList();
    }

    @Test
    void everyFaultOfEveryBlockIsToldTogether() {
        Map<String, Object> tree = sheet(
                Tree.of("type", "text", "id", "a", "markdwon", "words"),
                table("t"),
                Tree.of("type", "graph", "id", "g", "table", "nowhere"),
                Tree.of("type", "hologram", "id", "h"),
                Tree.of("type", "bench", "id", "b", "apparatus", "pendulum", "setup", Tree.of("length", 9.0, "colour", "red"),
                        "readouts", List.of("aura")),
                Tree.of("type", "number", "id", "n", "prompt", "?", "points", -1.0, "key",
                        Tree.of("value", 1.0, "unit", "parsnip", "slips", List.of(Tree.of("factor", 2.0)))),
                Tree.of("type", "explanation", "id", "t", "prompt", "?", "words", 3.0, "points", 2.0));
        tree.put("minutes", 0.0);
        tree.put("colour", "red");
        assertThat(faults(tree)).contains("there is no field “colour” here",
                "minutes: a whole number from 1 to 1000 is needed",
                "part one, block a: there is no field “markdwon” here; is “markdown” meant?",
                "part one, block a, markdown: a text is needed",
                "part one, block g: there is no table “nowhere”",
                "part one, block t: another block has this id",
                "part one, block b: Pendulum has no setting “colour”",
                "part one, block b: Pendulum has no channel “aura”",
                "part one, block n, points: a number from 0 to 1000 is needed",
                "part one, block n, key, slips 1, hint: a text is needed")
                .anySatisfy(f -> assertThat(f).contains("there is no block “hologram”"))
                .anySatisfy(f -> assertThat(f).startsWith("part one, block b: Length to the middle of the bob: can't be 9 m"));
    }

    @Test
    void aGraphOpensOnColumnsItsTableHas() {
        assertThat(faults(sheet(table("t"), Tree.of("type", "graph", "id", "g", "table", "t", "along", "t", "up", "x"))))
                .containsExactly("part one, block g, up: table “t” has no column “x” of numbers");
    }

    @Test
    void onATrayLiesOnlyWhatServesThere() {
        Map<String, Object> films = Tree.of("type", "films", "id", "f", "apparatus", "pendulum", "views", List.of("side"), "rate", 60.0,
                "seconds", 5.0, "instruments", List.of("ruler", "thermometer", "spring-scale"));
        assertThat(faults(sheet(films))).containsExactly("part one, block f: Pendulum has no instrument “thermometer”",
                "part one, block f: no camera sees what a spring scale shows");
        assertThat(faults(sheet(Tree.of("type", "bench", "id", "b", "apparatus", "gas-cylinder", "instruments",
                List.of("thermometer", "tape"))))).containsExactly("part one, block b: Gas cylinder has no instrument “tape”");
    }

    @Test
    void whatOnlyFollowsFromAnotherFaultIsNotTold() {
        Map<String, Object> broken = table("t");
        broken.put("rows", "many");
        assertThat(faults(sheet(broken, Tree.of("type", "graph", "id", "g", "table", "t"))))
                .containsExactly("part one, block t, rows: a whole number from 0 to 10000 is needed");
    }

    @Test
    void aSheetOfTheFirstVersionIsReadAsOneOfNow() {
        Map<String, Object> films = Tree.of("type", "films", "id", "f", "apparatus", "pendulum", "view", "side", "rate", 60.0,
                "seconds", 5.0, "fixed", Tree.of("held", true), "start", Tree.of("act", "open-catch", "from", 0.1, "to", 0.2));
        Sheet sheet = Sheet.fromTree(sheet(films));
        FilmsBlock read = (FilmsBlock) sheet.block("f");
        assertThat(read.plan().views()).containsExactly("side");
        assertThat(read.plan().acts()).hasSize(1);
        Map<String, Object> written = sheet.toTree();
        assertThat(written).containsEntry("version", (double) Sheet.VERSION);
        assertThat(Sheet.fromTree(written)).isEqualTo(sheet);
        // Of now, the old words are faults.
        Map<String, Object> late = sheet(films);
        late.put("version", 2.0);
        assertThat(faults(late)).anySatisfy(f -> assertThat(f).contains("there is no field “view” here"));
    }

    @Test
    void aVersionThatIsNotKnownYetIsRefused() {
        Map<String, Object> future = sheet(table("t"));
        future.put("version", 99.0);
        assertThat(faults(future)).containsExactly("version: a whole number from 1 to 2 is needed");
    }

    @Test
    void whatIsNoSheetAtAllIsToldToo() {
        assertThat(faults(Map.of())).contains("title: a text is needed", "parts: a list is needed");
        assertThat(faults(Tree.of("parts", List.of("x", Tree.of("blocks", "y"))))).contains("parts 1: a group of fields is needed");
    }

    @Test
    void levelsOfARubricGoDownFromThePointsThereAre() {
        Object[] levels = {Tree.of("points", 3.0, "like", "all"), Tree.of("points", 1.0, "like", "some")};
        Map<String, Object> tree = Tree.of("type", "explanation", "id", "why", "prompt", "?", "words", 3.0, "points", 3.0,
                "rubric", List.of(levels));
        assertThat(Sheet.fromTree(sheet(tree)).block("why").id()).isEqualTo("why");
        tree.put("rubric", List.of(levels[1], levels[0]));
        assertThat(faults(sheet(tree))).singleElement().asString().contains("levels go down from at most 3 points");
        tree.put("rubric", List.of(Tree.of("points", 4.0, "like", "more than there is")));
        assertThat(faults(sheet(tree))).singleElement().asString().contains("levels go down from at most 3 points");
        tree.put("rubric", List.of(Tree.of("points", 2.0)));
        assertThat(faults(sheet(tree))).anyMatch(f -> f.contains("like"));
    }
}
