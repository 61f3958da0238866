package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** One run goes after another, of which it hears now and then only. */
class FollowerTest {

    private static Run fresh(Apparatus apparatus) {
        return new Run(apparatus, Settings.of(apparatus.manifest(), Map.of()), 7);
    }

    /** Tells how a run stands, as it is sent, and goes on until it is there. */
    private static void catchUp(Follower follower, Run run, double most) {
        follower.told(Recipe.fromTree(run.recipe().toTree()), run.time());
        int rounds = 0;
        while (!follower.goOn(most)) {
            assertThat(++rounds).isLessThan(20_000);
        }
    }

    private static void assertSame(Follower follower, Run run) {
        assertThat(follower.run().time()).isEqualTo(run.time());
        assertThat(follower.run().channels()).as(run.manifest().id()).isEqualTo(run.channels());
        assertThat(follower.run().settingsNow().toTree()).isEqualTo(run.settingsNow().toTree());
    }

    @Test
    void itShowsToTheLastBitWhatTheOtherOneShows() {
        for (Apparatus apparatus : Inventory.all()) {
            double second = apparatus.manifest().speed();
            Run run = fresh(apparatus);
            Follower follower = new Follower(apparatus);
            for (double at : new double[] {0, 0.7, 2.3456, 4, 1.1, 4.2}) {
                run.seek(at * second);
                catchUp(follower, run, 0.1 * second);
                assertSame(follower, run);
            }
        }
    }

    @Test
    void whatIsDoneIsDoneAgainWhenItIsHeardOf() {
        Apparatus pendulum = Inventory.get("pendulum");
        Run run = fresh(pendulum);
        Follower follower = new Follower(pendulum);
        run.seek(8);
        catchUp(follower, run, 0.1);
        // Meanwhile it had gone on by itself, past the moment at which something was done.
        follower.told(run.recipe(), 9);
        while (!follower.goOn(0.1)) {
            assertThat(follower.run().time()).isLessThanOrEqualTo(9);
        }
        run.act(new Action.Change("length", 0.5));
        run.seek(8.4);
        run.act(new Action.Change("mass", 400.0));
        run.seek(10);
        catchUp(follower, run, 0.1);
        assertSame(follower, run);
        assertThat(follower.run().recipe()).isEqualTo(run.recipe());
    }

    @Test
    void goingBackAndDoingAnotherThingThereIsFollowed() {
        Apparatus pendulum = Inventory.get("pendulum");
        Run run = fresh(pendulum);
        Follower follower = new Follower(pendulum);
        run.seek(3);
        run.act(new Action.Change("length", 0.5));
        run.seek(6);
        catchUp(follower, run, 0.1);
        Run known = follower.run();
        run.seek(2);
        catchUp(follower, run, 0.1);
        assertSame(follower, run);
        assertThat(follower.run()).as("nothing was changed by looking back").isSameAs(known);
        run.act(new Action.Change("length", 1.5));
        run.seek(4);
        catchUp(follower, run, 0.1);
        assertSame(follower, run);
        Run anew = new Run(pendulum, Settings.of(pendulum.manifest(), Map.of("length", 0.8)), 7);
        anew.seek(1);
        catchUp(follower, anew, 0.1);
        assertSame(follower, anew);
    }

    @Test
    void stepsAreFollowedOneByOneAndBack() {
        Apparatus tower = Inventory.get("raised-loads");
        Run run = fresh(tower);
        Follower follower = new Follower(tower);
        for (String onto : new String[] {"1", "2", "3"}) {
            run.act(new Action.Perform("place", Tree.of("load", onto.equals("2") ? "2" : "1", "onto", onto)));
            catchUp(follower, run, 1);
            assertSame(follower, run);
        }
        double height = run.read(tower.manifest().channel("height"));
        for (int at : new int[] {1, 0, 2}) {
            run.seek(at);
            catchUp(follower, run, 1);
            assertSame(follower, run);
        }
        run.seek(3);
        catchUp(follower, run, 1);
        assertThat(follower.run().read(tower.manifest().channel("height"))).isEqualTo(height).isEqualTo(8);
    }

    @Test
    void nothingTakesLongAtOnce() {
        Follower follower = new Follower(Inventory.get("pendulum"));
        follower.told(fresh(Inventory.get("pendulum")).recipe(), 1e7);
        for (int i = 1; i <= 100; i++) {
            assertThat(follower.goOn(0.1)).isFalse();
            assertThat(follower.run().time()).isCloseTo(0.1 * i, within(1e-9));
        }
    }

    @Test
    void whatCannotBeDoneHereIsToldInWords() {
        Apparatus pendulum = Inventory.get("pendulum");
        Follower follower = new Follower(pendulum);
        Recipe good = fresh(pendulum).recipe();
        follower.told(new Recipe("pendulum", good.modelVersion(), good.settings(), 7,
                List.of(new Recipe.Timed(0, new Action.Change("length", 1e9)))), 1);
        assertThatThrownBy(() -> follower.goOn(0.1)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("ength");
        assertThatThrownBy(() -> follower.told(new Recipe("pendulum", -1, good.settings(), 7, List.of()), 1))
                .isInstanceOf(OtherModelException.class);
    }
}
