package cauldron.core.apparatus.gascylinder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The molecule that the class chose is followed: it is part of the recipe, and stays the same one. */
class FollowTest {

    private static final double PS = 1e-12;
    private static final GasCylinder CYLINDER = new GasCylinder();

    private static Run run(int count) {
        return new Run(CYLINDER, Settings.of(CYLINDER.manifest(), Map.of("count1", count, "length", 40)), 5);
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    @Test
    void theOnePointedAtIsTheNearest() {
        Run run = run(60);
        run.seek(20 * PS);
        double[] crowd = new double[3 * run.crowdSize()];
        int n = run.crowd(crowd);
        double x = crowd[3 * 17];
        double y = crowd[3 * 17 + 1];
        run.act(run.manifest().act("follow").pointedAt(x + 1e-11, y));
        assertThat(n).isEqualTo(60);
        assertThat(read(run, "tag-x")).isCloseTo(x, within(1e-18));
        assertThat(read(run, "tag-y")).isCloseTo(y, within(1e-18));
        double speed = read(run, "tag-speed");
        run.seek(300 * PS);
        double later = read(run, "tag-speed");
        Run again = Run.replay(CYLINDER, run.recipe(), 300 * PS);
        assertThat(read(again, "tag-speed")).isEqualTo(later);
        again.seek(20 * PS);
        assertThat(read(again, "tag-speed")).isEqualTo(speed);
    }

    /** Others are taken out around it: it is the same molecule still. */
    @Test
    void itStaysTheSameWhenOthersAreTakenOut() {
        Run run = run(60);
        run.seek(10 * PS);
        for (int i = 0; i < 40; i++) {
            run.act(new Action.Perform("another"));
        }
        double x = read(run, "tag-x");
        double speed = read(run, "tag-speed");
        run.act(new Action.Change("count1", 5.0));
        assertThat(read(run, "tag-x")).isEqualTo(x);
        assertThat(read(run, "tag-speed")).isEqualTo(speed);
        assertThat(run.crowdSize()).isEqualTo(5);
    }

    @Test
    void anotherOneIsAnotherOneAndAllComeRound() {
        Run run = run(7);
        double first = read(run, "tag-x");
        for (int i = 0; i < 6; i++) {
            run.act(new Action.Perform("another"));
            assertThat(read(run, "tag-x")).isNotEqualTo(first);
        }
        run.act(new Action.Perform("another"));
        assertThat(read(run, "tag-x")).isEqualTo(first);
        Run empty = run(0);
        assertThatThrownBy(() -> empty.act(new Action.Perform("another"))).hasMessage("There is no molecule in the cylinder");
    }
}
