package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/**
 * Twelve recipes of each apparatus come to what they came to before. A change of a model is a new model version and new
 * goldens, written by {@code -Dcauldron.golden.write=true}; anything else that changes one is a fault.
 */
class GoldenTest {

    private static final int RECIPES = 12;
    /** Wall seconds at the speed of the apparatus. */
    private static final double SHOWN = 8;
    private static final Path FOLDER = Path.of("src", "test", "resources", "golden");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    static List<String> apparatus() {
        return Inventory.all().stream().map(a -> a.manifest().id()).toList();
    }

    @ParameterizedTest
    @MethodSource("apparatus")
    void recipesComeToWhatTheyCameToBefore(String id) throws IOException {
        Path file = FOLDER.resolve(id + ".json");
        if (Boolean.getBoolean("cauldron.golden.write")) {
            Files.createDirectories(FOLDER);
            Files.writeString(file, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(made(Inventory.get(id))) + "\n");
        }
        List<?> goldens = JSON.readValue(Files.readString(file), List.class);
        assertThat(goldens).hasSizeGreaterThanOrEqualTo(RECIPES);
        for (Object golden : goldens) {
            @SuppressWarnings("unchecked")
            Map<String, Object> tree = (Map<String, Object>) golden;
            @SuppressWarnings("unchecked")
            Recipe recipe = Recipe.fromTree((Map<String, Object>) tree.get("recipe"));
            double until = ((Number) tree.get("until")).doubleValue();
            assertThat(Golden.states(recipe, until)).as("states of %s", recipe).isEqualTo(tree.get("states"));
            assertThat(Golden.films(recipe, until)).as("films of %s", recipe).isEqualTo(tree.get("films"));
        }
    }

    private static List<Object> made(Apparatus apparatus) {
        List<Object> list = new ArrayList<>();
        double until = SHOWN * apparatus.manifest().speed();
        for (int seed = 1; seed <= RECIPES; seed++) {
            Recipe recipe = Strains.strained(apparatus, seed, until).recipe();
            list.add(Tree.of("recipe", recipe.toTree(), "until", until, "states", Golden.states(recipe, until), "films",
                    Golden.films(recipe, until)));
        }
        return list;
    }

    @Test
    void goldensHoldChangesActsAndGrabs() throws IOException {
        StringBuilder all = new StringBuilder();
        for (String id : apparatus()) {
            all.append(Files.readString(FOLDER.resolve(id + ".json")));
        }
        assertThat(all).contains("\"change\"", "\"grab\"", "\"move\"", "\"letGo\"", "\"perform\"");
    }
}
