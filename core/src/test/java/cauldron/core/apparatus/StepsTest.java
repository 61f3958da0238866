package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A run whose time line is the list of what was done. */
class StepsTest {

    private static final Apparatus TOWER = Inventory.get("raised-loads");
    private static final Manifest M = TOWER.manifest();

    private static Run run() {
        return new Run(TOWER, Settings.of(M, Map.of()), 1);
    }

    private static Action put(int load, String onto) {
        return new Action.Perform("place", Tree.of("load", String.valueOf(load), "onto", onto));
    }

    private static Run three() {
        Run run = run();
        run.act(put(1, "1"));
        run.act(put(2, "2"));
        run.act(put(1, "3"));
        return run;
    }

    @Test
    void eachActionIsAStepAndARow() {
        Run run = three();
        assertThat(run.time()).isEqualTo(3);
        assertThat(run.head()).isEqualTo(3);
        assertThat(run.sampleCount()).isEqualTo(4);
        double[] heights = run.samples(M.channel("height"));
        assertThat(heights[0]).isNaN();
        assertThat(new double[] {heights[1], heights[2], heights[3]}).containsExactly(2.5, 5, 8);
        assertThat(run.events()).containsExactly(0, 1, 0, 2, 0, 3);
    }

    @Test
    void goingBackAndForwardIsExactAndNothingLiesBeyondTheLast() {
        Run run = three();
        double[] end = run.channels().clone();
        run.seek(1);
        assertThat(run.read(M.channel("height"))).isEqualTo(2.5);
        run.seek(0);
        assertThat(run.read(M.channel("height"))).isNaN();
        run.seek(17);
        assertThat(run.time()).isEqualTo(3);
        assertThat(run.channels()).isEqualTo(end);
        run.advance(5, null);
        assertThat(run.time()).isEqualTo(3);
        run.seek(1.2);
        assertThat(run.time()).isEqualTo(1);
    }

    @Test
    void actingInThePastDropsWhatCameAfter() {
        Run run = three();
        run.seek(1);
        run.act(put(3, "2"));
        assertThat(run.head()).isEqualTo(2);
        assertThat(run.recipe().actions()).hasSize(2);
        assertThat(run.sampleCount()).isEqualTo(3);
        Run again = Run.replay(TOWER, run.recipe(), run.head());
        assertThat(again.channels()).isEqualTo(run.channels());
        assertThat(again.scene().values()).isEqualTo(run.scene().values());
    }

    /** Sliding a slider is one step, however many values it goes through; a refused one leaves all as it was. */
    @Test
    void aSettingChangedAgainAndAgainIsOneStep() {
        Run run = three();
        for (int i = 1; i <= 20; i++) {
            run.act(new Action.Change("level", 0.1 * i));
        }
        assertThat(run.time()).isEqualTo(4);
        assertThat(run.recipe().actions()).hasSize(4);
        assertThat(run.settingsNow().toTree()).containsEntry("level", 2.0);
        assertThatThrownBy(() -> run.act(new Action.Change("level", 99.0))).isInstanceOf(SettingException.class);
        assertThat(run.time()).isEqualTo(4);
        assertThat(run.settingsNow().toTree()).containsEntry("level", 2.0);
        run.act(put(1, "1"));
        run.act(new Action.Change("level", 1.0));
        assertThat(run.time()).isEqualTo(6);
    }

    @Test
    void whatCantBeDoneIsRefusedInWordsAndLeavesEverythingAsItWas() {
        Run run = three();
        assertThatThrownBy(() -> run.act(put(5, "1"))).hasMessage("Load: pick one from 1 to 4");
        assertThatThrownBy(() -> run.act(put(1, "cellar"))).hasMessage("Onto: pick one from 1 to 4, or the floor");
        assertThatThrownBy(() -> run.act(put(1, "4"))).hasMessage("Onto: pick one from 1 to 3, or the floor");
        assertThatThrownBy(() -> run.act(new Action.Perform("place", Tree.of("at", 12.0))))
                .hasMessage("Distance from the wall: can't be 12 m. Allowed: 0.4 to 3.9 m");
        assertThatThrownBy(() -> run.act(new Action.Perform("place", Tree.of("speed", 1.0)))).hasMessageContaining("no setting “speed”");
        assertThatThrownBy(() -> StopAt.fromTree(Tree.of("type", "time", "time", 2.0), M)).hasMessageContaining("one by one");
        assertThat(run.head()).isEqualTo(3);
    }

    /** Ten times what is meant is refused in words before a recipe grows too large to keep. */
    @Test
    void aRunHoldsOnlySoManyActions() {
        Run run = run();
        for (int i = 0; i < Run.MOST_ACTIONS; i++) {
            run.act(put(1 + i % 2, i % 3 == 0 ? "1" : "2"));
        }
        double[] before = run.channels().clone();
        assertThatThrownBy(() -> run.act(put(1, "3"))).hasMessageContaining("up to 10000 actions").hasMessageContaining("restart");
        assertThat(run.head()).isEqualTo(Run.MOST_ACTIONS);
        assertThat(run.channels()).isEqualTo(before);
        run.seek(3);
        run.act(put(1, "3"));
        assertThat(run.head()).isEqualTo(4);
    }

    @Test
    void recipesKeepArgumentsAndOldOnesWithoutAnyAreRead() {
        Recipe recipe = three().recipe();
        assertThat(Recipe.fromTree(recipe.toTree())).isEqualTo(recipe);
        assertThat(Action.fromTree(Tree.of("type", "perform", "act", "cut"))).isEqualTo(new Action.Perform("cut"));
        assertThat(new Action.Perform("cut").toTree()).isEqualTo(Tree.of("type", "perform", "act", "cut"));
    }
}
