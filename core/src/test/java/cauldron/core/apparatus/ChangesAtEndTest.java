package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is changed where a run stands still at its end rules at once, and can be told apart from what ran. */
class ChangesAtEndTest {

    private static Run run(String apparatus, Object... settings) {
        Apparatus a = Inventory.get(apparatus);
        return new Run(a, Settings.of(a.manifest(), Tree.of(settings)), 3);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    @Test
    void whatIsChangedAtTheEndIsNoPartOfWhatRan() {
        Run run = run("pendulum", "length", 1.0);
        run.seek(2.5);
        Recipe ran = run.recipe();
        run.act(new Action.Change("length", 0.6));
        assertThat(run.changesAtEnd()).isEqualTo(1);
        assertThat(run.recipeOfWhatRan()).isEqualTo(ran);
        assertThat(run.recipe().actions()).hasSize(1);
        assertThat(run.settingsOfWhatRan().toTree()).containsEntry("length", 1.0);
        assertThat(run.settingsNow().toTree()).containsEntry("length", 0.6);
        run.seek(2.6);
        assertThat(run.changesAtEnd()).isZero();
        assertThat(run.recipeOfWhatRan().actions()).hasSize(1);
        run.seek(2.5);
        assertThat(run.changesAtEnd()).as("in the past of a run that went on").isZero();
    }

    @Test
    void ofSeveralChangesOfOneSettingTheLastCountsAndReplayingGivesTheSame() {
        Run run = run("pendulum", "length", 1.0);
        run.seek(2.5);
        for (double length = 0.95; length > 0.5; length -= 0.05) {
            run.act(new Action.Change("length", length));
        }
        run.act(new Action.Change("drag", true));
        run.act(new Action.Change("length", 0.7));
        assertThat(run.recipe().actions()).extracting(Recipe.Timed::action)
                .isEqualTo(List.of(new Action.Change("drag", true), new Action.Change("length", 0.7)));
        run.seek(7);
        Run again = Run.replay(run.apparatus(), run.recipe(), 7);
        assertThat(again.channels()).isEqualTo(run.channels());
        assertThat(again.events()).isEqualTo(run.events());
    }

    @Test
    void takenBackEverythingIsAsItWas() {
        Run run = run("gas-cylinder", "count1", 200.0);
        run.seek(1e-9);
        double[] before = run.channels().clone();
        double[] events = run.events();
        run.act(new Action.Change("count1", 600.0));
        run.act(new Action.Change("heat", "held"));
        assertThat(run.channels()).isNotEqualTo(before);
        run.takeBackChanges();
        assertThat(run.channels()).isEqualTo(before);
        assertThat(run.events()).isEqualTo(events);
        assertThat(run.recipe().actions()).isEmpty();
        run.seek(2e-9);
        Run other = run("gas-cylinder", "count1", 200.0);
        other.seek(2e-9);
        assertThat(run.channels()).isEqualTo(other.channels());
    }

    /** A refused one leaves those before it; whatever else is done makes them part of the run. */
    @Test
    void aRefusedChangeLeavesTheOthersAndAnActSettlesThem() {
        Run run = run("equilibrium-flask");
        run.seek(100);
        run.act(new Action.Change("iodide-1", 7.0));
        double[] then = run.channels().clone();
        assertThatThrownBy(() -> run.act(new Action.Change("iodide-1", 0.0))).hasMessageContaining("can't be taken out");
        assertThat(run.channels()).isEqualTo(then);
        assertThat(run.changesAtEnd()).isEqualTo(1);

        Run tower = run("drop-tower");
        tower.seek(1);
        tower.act(new Action.Change("place", "moon"));
        tower.act(new Action.Perform("let-go", Map.of()));
        assertThat(tower.changesAtEnd()).isZero();
        assertThat(tower.recipeOfWhatRan().actions()).hasSize(2);
    }

    @Test
    void aStopJustBeforeAContactShowsTheFallAndJustAfterItTheRebound() {
        Run run = run("drop-tower", "height", 19.6, "medium", "none");
        Event contact = run.manifest().event("contact.1");
        assertThatThrownBy(() -> new StopAt.Happening(contact, 1).checkAhead(run)).hasMessageContaining("“Let fall” first");
        run.act(new Action.Perform("let-go", Map.of()));
        new StopAt.Happening(contact, 1).checkAhead(run);
        assertThat(run.advance(60, new StopAt.Happening(contact, 1, true))).isTrue();
        double falling = read(run, "velocity.1");
        assertThat(falling).isCloseTo(-Math.sqrt(2 * 9.81 * 19.6), within(1e-6));
        assertThat(run.advance(60, new StopAt.Happening(contact, 1, true))).as("the same one again").isFalse();
        run.seek(0);
        assertThat(run.advance(60, new StopAt.Happening(contact, 1, false))).isTrue();
        assertThat(read(run, "velocity.1")).isPositive();
        assertThat(run.back(new StopAt.Happening(contact, 1, true))).isFalse();
    }

    /** Waters that begin within half a degree are even from the beginning. */
    @Test
    void watersThatBeginAlikeAreEvenAtOnce() {
        Run run = run("twin-tanks", "upper", 20.0, "lower", 20.0);
        run.seek(60);
        assertThat(run.count(run.manifest().event("even"), -1, 60)).isEqualTo(1);
        assertThat(run.outcome(run.manifest().outcome("even-at"))).isZero();
    }
}
