package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a lab can ask of the notebook: finding units, doing without ±, sketching before measuring. */
class NotebookSettingsTest {

    private static Map<String, Object> column(String id, String unit) {
        return Tree.of("id", id, "name", id, "symbol", id, "unit", unit, "kind", "measured");
    }

    private static Map<String, Object> table(Object... more) {
        Map<String, Object> table = Tree.of("type", "table", "id", "t", "title", "Runs", "rows", 1.0, "columns",
                List.of(column("s", "m"), column("t", "s")));
        table.putAll(Tree.of(more));
        return table;
    }

    private static Map<String, Object> axis(String symbol, String unit, Object... more) {
        Map<String, Object> axis = Tree.of("name", symbol, "symbol", symbol, "unit", unit);
        axis.putAll(Tree.of(more));
        return axis;
    }

    private static Map<String, Object> prediction(String table, Map<String, Object> x, Map<String, Object> y) {
        return Tree.of("type", "prediction", "id", "p", "prompt", "?", "sketch", Tree.of("table", table, "x", x, "y", y));
    }

    private static Sheet sheet(Object... blocks) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 10.0, "apparatus", "pendulum", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "One", "blocks", List.of(blocks)))));
    }

    private static String lack(Sheet sheet, String found) {
        Map<String, Object> a = Tree.of("id", "a", "name", "acceleration", "symbol", "a", "unit", "", "kind", "calculated", "formula",
                "2s/t^2", "found", found);
        Map<String, Object> slots = new LinkedHashMap<>(Map.of("columns", Tree.of("columns", List.of(column("s", "m"), column("t", "s"), a)),
                "rows", Tree.of("order", List.of("r1")), "cell/r1/s", Tree.of("text", "1.2"), "cell/r1/t", Tree.of("text", "0.8")));
        List<Map<String, Object>> missing = new Progress(sheet, Map.of("t", slots), Map.of()).missing();
        return missing.isEmpty() ? "" : missing.get(0).get("text").toString();
    }

    @Test
    void aTableIsCompleteOnlyWhenTheUnitsThatWereAskedForAreFound() {
        Sheet asking = sheet(table("units", "asked"));
        assertThat(lack(asking, "")).isEqualTo("One: find the unit of a");
        assertThat(lack(asking, "m/s")).isEqualTo("One: find the unit of a");
        assertThat(lack(asking, "cm/s²")).isEmpty();
        assertThat(lack(sheet(table()), "")).isEmpty();
    }

    @Test
    void theStudentsPageLearnsWhatIsAskedAndHidden() {
        assertThat(shown(sheet(table("units", "asked", "uncertainties", "hidden")), "t"))
                .containsEntry("unitsAsked", true).containsEntry("uncertaintiesHidden", true);
        assertThatThrownBy(() -> sheet(table("unitsAsked", "perhaps"))).isInstanceOf(SheetException.class)
                .hasMessage("part one, block t, unitsAsked: yes or no is needed");
    }

    @Test
    void axesToSketchOnHaveNumbersOrNone() {
        Sheet sheet = sheet(prediction("t", axis("t", "ms", "from", 0.0, "to", 800.0), axis("s", "m")), table());
        Map<String, Object> sketch = Tree.map(shown(sheet, "p"), "sketch");
        assertThat(Tree.map(sketch, "x")).containsEntry("to", 800.0);
        assertThat(Tree.map(sketch, "y")).doesNotContainKey("from");
    }

    @Test
    void axesThatNoTableCanShowAreRefusedWithTheirPlace() {
        assertThatThrownBy(() -> sheet(prediction("u", axis("t", "s"), axis("s", "m")), table()))
                .hasMessage("part one, block p: there is no table “u”");
        assertThatThrownBy(() -> sheet(prediction("t", axis("t", "cm"), axis("s", "m")), table()))
                .hasMessage("part one, block p: t is in s, not in cm");
        assertThatThrownBy(() -> sheet(prediction("t", axis("t", "s", "from", 3.0, "to", 1.0), axis("s", "m")), table()))
                .hasMessageContaining("must go from a number to a larger one");
        assertThatThrownBy(() -> sheet(prediction("t", axis("t", "s", "from", 3.0), axis("s", "m")), table()))
                .hasMessageContaining("the axis of t");
        assertThatThrownBy(() -> sheet(prediction("t", axis("t", "q"), axis("s", "m")), table())).hasMessageContaining("x: unit of t");
    }

    private static Map<String, Object> shown(Sheet sheet, String block) {
        return Blocks.ALL.show(sheet.block(block));
    }
}
