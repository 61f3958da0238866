package cauldron.core.instrument.beamtimer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class LightGateTest {

    @Test
    void aBeamAtTheMiddleOfASwingShowsItsPeriodToTheMillisecond() {
        double interval = 1.0 / 60;
        double period = 1.7321;
        int n = 1200;
        double[] path = new double[2 * n];
        for (int i = 0; i < n; i++) {
            path[2 * i] = 0.1 * Math.cos(2 * Math.PI * i * interval / period);
            path[2 * i + 1] = 0.02;
        }
        LightGate gate = LightGate.of(path, n, interval, 0, 0, 0, 0.05);
        assertThat(gate.passages(0.4)).isZero();
        assertThat(gate.period(1.0, 0.001)).isNaN();
        for (double t = 3; t < 19; t += 1.3) {
            assertThat(gate.period(t, 0.001)).isCloseTo(1.732, within(1e-9));
            assertThat(gate.period(t, 0.001) * 1000).isCloseTo(Math.rint(gate.period(t, 0.001) * 1000), within(1e-9));
        }
        // A beam that ends before the body's path isn't cut.
        assertThat(LightGate.of(path, n, interval, 0, 0.03, 0, 0.05).times()).isEmpty();
    }
}
