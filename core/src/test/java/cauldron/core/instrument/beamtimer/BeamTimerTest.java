package cauldron.core.instrument.beamtimer;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class BeamTimerTest {

    @Test
    void aPeriodIsBetweenCutsInTheSameDirection() {
        BeamTimer timer = new BeamTimer();
        timer.cut(true, 1.0);
        timer.cut(false, 1.9);
        assertThat(timer.period()).as("half a swing is no period").isNaN();
        timer.cut(true, 3.1);
        assertThat(timer.period()).isEqualTo(3.1 - 1.0);
        timer.cut(false, 3.9);
        assertThat(timer.period()).isEqualTo(3.9 - 1.9);
    }

    @Test
    void afterATouchTheOldPeriodStaysInViewUntilThereIsANewOne() {
        BeamTimer timer = new BeamTimer();
        timer.cut(true, 1);
        timer.cut(true, 3);
        timer.startAfresh();
        timer.cut(true, 10);
        assertThat(timer.period()).isEqualTo(2);
        timer.cut(true, 11.5);
        assertThat(timer.period()).isEqualTo(1.5);
    }

    @Test
    void aSnapshotBringsItBackWhole() {
        BeamTimer timer = new BeamTimer();
        timer.cut(true, 1);
        timer.cut(true, 3);
        double[] snapshot = new double[timer.size()];
        timer.save(snapshot, 0);
        timer.cut(true, 4);
        timer.restore(snapshot, 0);
        assertThat(timer.period()).isEqualTo(2);
        timer.cut(true, 6);
        assertThat(timer.period()).isEqualTo(3);
    }
}
