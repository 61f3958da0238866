package cauldron.core.block;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.block.films.FilmPlan;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A recording's choices may stand for lists of things, with hidden and personal values in their fields. */
class FilmPlanListsTest {

    private static FilmPlan plan(Map<String, Object> fixed, Map<String, Object> behindTheName) {
        FilmPlan.Option one = new FilmPlan.Option("full", "full store", behindTheName);
        FilmPlan.Option other = new FilmPlan.Option("bare", "bare store", Map.of());
        return new FilmPlan("raised-loads", List.of("section"), 1, 3, fixed,
                List.of(new FilmPlan.Choice("store", "Store", List.of(one, other))), List.of(), List.of());
    }

    private static List<Map<String, Object>> loads(Map<String, Object> mass) {
        return List.of(Tree.of("thing", "drum", "mass", mass), Tree.of("thing", "line"), Tree.of("thing", "box", "mass", 2.0));
    }

    @Test
    void aFieldDrawnFromARangeIsEachStudentsOwnAndTheSameInAllTheirTrials() {
        FilmPlan plan = plan(Map.of(), Map.of("loads", loads(Tree.of("from", 5.0, "to", 9.0))));
        Set<Object> masses = new HashSet<>();
        for (int student = 1; student <= 20; student++) {
            Object first = plan.recipe(Map.of("store", "full"), student, 1).settings().get("loads");
            assertThat(plan.recipe(Map.of("store", "full"), student, 2).settings().get("loads")).isEqualTo(first);
            Map<?, ?> drum = (Map<?, ?>) ((List<?>) first).get(0);
            assertThat((Double) drum.get("mass")).isBetween(5.0, 9.0);
            assertThat(((Map<?, ?>) ((List<?>) first).get(2)).get("mass")).isEqualTo(2.0);
            masses.add(drum.get("mass"));
        }
        assertThat(masses).hasSize(20);
        assertThat(plan.recipe(Map.of("store", "bare"), 1, 1).settings().get("loads")).asInstanceOf(
                org.assertj.core.api.InstanceOfAssertFactories.LIST).hasSize(4);
    }
}
