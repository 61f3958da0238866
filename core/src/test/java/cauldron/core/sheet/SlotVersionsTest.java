package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.Slot;
import cauldron.core.block.graph.GraphBlock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What was kept in an older version is read as the version of now; what is of one yet to come is told. */
class SlotVersionsTest {

    private static final Sheet SHEET = Sheet.fromTree(Tree.of("title", "t", "summary", "s", "minutes", 10.0, "apparatus",
            "pendulum", "parts", List.of(Tree.of("id", "m", "kind", "measure", "title", "Measure", "blocks", List.of(
                    Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 2.0, "columns", List.of(
                            Tree.of("id", "L", "name", "length", "symbol", "L", "unit", "cm", "kind", "measured"))),
                    Tree.of("type", "graph", "id", "g", "table", "t"))))));

    private static NotebookReader reading(Object look) {
        NotebookReader reader = new NotebookReader(SHEET);
        reader.lay("g", "view", look);
        return reader;
    }

    @Test
    void aLineOfBeforeThereWereSeveralFitsIsAFitNow() {
        Map<String, Object> before = Tree.of("x", "L", "line", true);
        String written = before.toString();
        assertThat(reading(before).slots().get("g").get("view"))
                .isEqualTo(Tree.of("x", "L", "line", true, "fits", List.of(Tree.of("kind", "line")), "v", 2.0));
        assertThat(before).as("what is stored is left as it is").hasToString(written);
        assertThat(reading(Tree.of("line", true, "fits", List.of(), "v", 2.0)).slots().get("g").get("view"))
                .isEqualTo(Tree.of("line", true, "fits", List.of(), "v", 2.0));
    }

    @Test
    void whatANewerPageKeptCountsAsUnreadableAndIsNamed() {
        for (Object version : new Object[] {3.0, 0.5, "two", -1.0}) {
            NotebookReader reader = reading(Tree.of("x", "L", "v", version));
            assertThat(reader.slots()).isEmpty();
            assertThat(reader.unreadable()).singleElement().satisfies(u -> assertThat(u.slot()).isEqualTo("view"));
        }
        assertThat(reading(Tree.of("v", 3.0)).unreadable().get(0).reason()).contains("newer page");
    }

    @Test
    void stepsAreTakenInTurnFromTheVersionThatWasKept() {
        Block block = SHEET.block("g");
        Slot<?> view = ((GraphBlock.Kind) (Object) Blocks.ALL.kindOf(block)).view;
        assertThat(view.version()).isEqualTo(2);
        Map<String, Object> first = new LinkedHashMap<>(Tree.of("line", true));
        assertThat(view.toNow(first)).containsEntry("v", 2.0).containsKey("fits");
        assertThat(view.toNow(view.toNow(first))).isEqualTo(view.toNow(first));
        assertThatThrownBy(() -> view.toNow(Tree.of("v", 9.0))).isInstanceOf(IllegalArgumentException.class);
    }
}
