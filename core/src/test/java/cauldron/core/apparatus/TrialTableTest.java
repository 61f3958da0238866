package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Trials as rows, with what was set and what they came to. */
class TrialTableTest {

    private static final Manifest RIG = Inventory.get("crash-rig").manifest();

    private static Map<String, Object> trial(String name, Map<String, Object> settings, Object... outcomes) {
        return Tree.of("name", name, "settings", settings, "outcomes", Tree.of(outcomes));
    }

    @Test
    void numbersWordsAndSwitchesEachAsTheyAreRead() {
        TrialTable table = TrialTable.of(RIG, List.of(
                trial("stiff", Tree.of("front", 700.0), "survival", 12.345, "chest-met", 3.0),
                trial("bagged", Tree.of("bag", true, "stroke", 30.0, "build", "light"), "survival", 98.7654)),
                List.of("set.front", "set.build", "set.bag", "set.stroke", "came.survival", "came.chest-met"));
        assertThat(table.rows().get(0))
                .containsExactly("stiff", "700", "middle: 1100 kg, front 0.6 m", "off", "", "12.3", "wheel");
        assertThat(table.rows().get(1))
                .containsExactly("bagged", "400", "light: 700 kg, front 0.4 m", "on", "30", "98.8", "");
        assertThat(table.numbers().get(0))
                .containsExactly(Double.NaN, 700, Double.NaN, Double.NaN, Double.NaN, 12.3, Double.NaN);
        assertThat(table.columns()).extracting(RunTable.Column::symbol)
                .containsExactly("trial", "F_f", "Sled", "Airbag", "d_a", "P", "chest");
        assertThat(table.columns()).extracting(RunTable.Column::label)
                .containsExactly(true, false, true, true, false, false, true);
    }

    @Test
    void oddThingsAreSaidOrLeftOut() {
        TrialTable odd = TrialTable.of(RIG, List.of(trial("odd", Tree.of(), "survival", "high", "chest-met", 99.0),
                Tree.of("name", "nothing yet", "settings", Tree.of())), List.of("came.survival", "came.chest-met"));
        assertThat(odd.rows().get(0)).containsExactly("odd", "", "");
        assertThat(odd.rows().get(1)).containsExactly("nothing yet", "", "");
        assertThatThrownBy(() -> TrialTable.of(RIG, List.of(), List.of("front"))).hasMessageContaining("front");
        assertThat(TrialTable.of(RIG, List.of(trial("far", Tree.of("front", 9000.0)), trial("near", Tree.of("front",
                90.0))),
                List.of("set.front")).rows()).containsExactly(new String[] {"far", ""}, new String[] {"near", "90"});
        List<Map<String, Object>> many = new ArrayList<>();
        for (int i = 0; i <= TrialTable.MOST_ROWS; i++) {
            many.add(trial("t", Tree.of()));
        }
        assertThatThrownBy(() -> TrialTable.of(RIG, many, List.of())).hasMessageContaining("1000");
        assertThatThrownBy(() -> TrialTable.of(Inventory.get("rail-run").manifest(), List.of(), List.of("set.points")))
                .hasMessageContaining("column");
    }
}
