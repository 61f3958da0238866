package cauldron.core.block.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a page tells of its bench is odd until it was read. */
class RunNowTest {

    private static final BenchBlock BENCH = new BenchBlock("bench", "", new BenchPlan("pendulum", Map.of(), List.of(),
            List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
            List.of()), 0);

    private static Map<String, Object> good() {
        double version = Inventory.get("pendulum").manifest().modelVersion();
        return Tree.of("recipe", Tree.of("apparatus", "pendulum", "modelVersion", version, "settings",
                Tree.of("length", 0.8), "seed", 1.0, "actions", List.of(Tree.of("time", 2.0, "action",
                        Tree.of("type", "change", "setting", "length", "value", 0.5)))), "time", 3.5, "pace", 4.0);
    }

    private static Map<String, Object> with(String key, Object value) {
        Map<String, Object> tree = new LinkedHashMap<>(good());
        tree.put(key, value);
        return tree;
    }

    private static Map<String, Object> withRecipe(String key, Object value) {
        Map<String, Object> recipe = new LinkedHashMap<>(Tree.map(good(), "recipe"));
        recipe.put(key, value);
        return with("recipe", recipe);
    }

    @Test
    void aRunIsRead() {
        RunNow now = RunNow.read(BENCH, good());
        assertThat(now.time()).isEqualTo(3.5);
        assertThat(now.pace()).isEqualTo(4);
        assertThat(now.recipe().settings()).containsEntry("length", 0.8);
        assertThat(now.recipe().actions()).hasSize(1);
    }

    private static void refused(Map<String, Object> tree, String word) {
        assertThatThrownBy(() -> RunNow.read(BENCH, tree)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(word);
    }

    @Test
    void whatIsNoRunOfThisBenchIsRefusedInWords() {
        refused(withRecipe("apparatus", "twin-tanks"), "twin-tanks");
        refused(withRecipe("apparatus", "no-such"), "no-such");
        refused(withRecipe("modelVersion", 99.0), "newer model");
        refused(withRecipe("settings", Tree.of("length", 1e9)), "ength");
        refused(withRecipe("settings", Tree.of("colour", "red")), "colour");
        refused(withRecipe("actions", List.of(Tree.of("time", 1e300, "action", Tree.of("type", "letGo")))),
                "recipe.actions.time: from 0 to");
        refused(withRecipe("actions", List.of(Tree.of("time", 1.0, "action", Tree.of("type", "explode")))), "explode");
        refused(with("recipe", "none"), "recipe");
    }

    @Test
    void timesAndPacesKeepWithinBounds() {
        for (Object odd : new Object[] {-1.0, Double.NaN, Double.POSITIVE_INFINITY, 1e9, "soon"}) {
            refused(with("time", odd), "time");
            refused(with("pace", odd), "pace");
        }
    }
}
