package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Stiff laws against closed forms and published values. */
class StiffStepsTest {

    /** H. H. Robertson's reactions; values as printed with LSODE (A. C. Hindmarsh, 1983). */
    private static void robertson(double t, double[] y, double[] dy) {
        dy[0] = -0.04 * y[0] + 1e4 * y[1] * y[2];
        dy[2] = 3e7 * y[1] * y[1];
        dy[1] = -dy[0] - dy[2];
    }

    @Test
    void robertsonsReactions() {
        double[][] printed = {{0.4, 9.8517e-1, 3.3864e-5, 1.4794e-2}, {40, 7.1582e-1, 9.1851e-6, 2.8416e-1},
            {4e3, 1.8320e-1, 8.9424e-7, 8.1680e-1}};
        for (double[] row : printed) {
            StiffSteps steps = new StiffSteps(StiffStepsTest::robertson, 3);
            steps.from(new double[] {1, 0, 0});
            double[] y = steps.to(row[0]);
            for (int i = 0; i < 3; i++) {
                assertThat(y[i]).as("y%d at %s", i + 1, row[0]).isCloseTo(row[i + 1], within(1e-4 * row[i + 1]));
            }
            assertThat(y[0] + y[1] + y[2]).isCloseTo(1, within(1e-9));
        }
    }

    /** y' = −λ (y − cos t) − sin t has the solution cos t, on which everything else falls within 1/λ. */
    @Test
    void itFollowsWhatIsSlowBesideWhatIsFast() {
        StiffSteps steps = new StiffSteps((t, y, dy) -> dy[0] = -1e6 * (y[0] - Math.cos(t)) - Math.sin(t), 1);
        steps.from(new double[] {3});
        for (double t : new double[] {0.1, 1, 5}) {
            assertThat(steps.to(t)[0]).as("at %s", t).isCloseTo(Math.cos(t), within(2e-9));
        }
        assertThat(steps.to(2e-6)[0]).isCloseTo(1 + 2 * Math.exp(-2), within(1e-8));
    }

    /** A linear chain of two decays, one a million times faster. */
    @Test
    void aChainOfDecays() {
        double fast = 1e6;
        double slow = 1;
        StiffSteps steps = new StiffSteps((t, y, dy) -> {
            dy[0] = -slow * y[0];
            dy[1] = slow * y[0] - fast * y[1];
        }, 2);
        steps.from(new double[] {1, 0});
        double[] y = steps.to(2);
        assertThat(y[0]).isCloseTo(Math.exp(-2), within(1e-9));
        assertThat(y[1]).isCloseTo(slow / (fast - slow) * (Math.exp(-2) - Math.exp(-2 * fast)), within(1e-15));
    }

    @Test
    void whatIsNotStiffIsFollowedAsWell() {
        StiffSteps steps = new StiffSteps((t, y, dy) -> {
            dy[0] = y[1];
            dy[1] = -y[0];
        }, 2);
        steps.from(new double[] {1, 0});
        double[] y = steps.to(10);
        assertThat(y[0]).isCloseTo(Math.cos(10), within(2e-8));
        assertThat(y[1]).isCloseTo(-Math.sin(10), within(2e-8));
    }

    @Test
    void theAnswerDependsOnThePointAndTheLengthAlone() {
        StiffSteps once = new StiffSteps(StiffStepsTest::robertson, 3);
        once.from(new double[] {1, 0, 0});
        double[] first = once.to(40);
        once.to(3);
        once.to(700);
        assertThat(once.to(40)).isEqualTo(first);
    }

    @Test
    void whatCannotBeFollowedIsSaid() {
        StiffSteps steps = new StiffSteps((t, y, dy) -> dy[0] = y[0] * y[0], 1);
        steps.from(new double[] {1});
        assertThatThrownBy(() -> steps.to(2)).isInstanceOf(IllegalStateException.class).hasMessageContaining("stiff");
    }
}
