package cauldron.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class InstrumentTest {

    @Test
    void aReadingHasTheUncertaintyOfTheInstrumentThatMeasuresItsQuantity() {
        List<String> lying = List.of("stopwatch", "ruler", "markers");
        assertThat(Instrument.uncertainty(lying, "cm")).containsEntry("instrument", "ruler").containsEntry("text", "0.1");
        assertThat(Instrument.uncertainty(lying, "m")).containsEntry("text", "0.001");
        assertThat(Instrument.uncertainty(lying, "s")).containsEntry("instrument", "stopwatch").containsEntry("text", "0.01");
        assertThat(Instrument.uncertainty(lying, "ms")).containsEntry("text", "10");
        assertThat(Instrument.uncertainty(lying, "N")).isEmpty();
        assertThat(Instrument.uncertainty(List.of("protractor"), "°")).containsEntry("text", "1");
        assertThat(Instrument.uncertainty(List.of("protractor"), "")).isEmpty();
        assertThat(Instrument.uncertainty(List.of(), "cm")).isEmpty();
        assertThat(Instrument.uncertainty(List.of("ruler:10"), "cm")).as("graduated in centimetres").containsEntry("text", "1");
        assertThat(Instrument.uncertainty(List.of("spring-scale:2"), "N")).containsEntry("text", "0.1");
        assertThat(Instrument.uncertainty(List.of("tape"), "m")).containsEntry("text", "0.01");
    }

    @Test
    void aDisplayIsCopiedWithItsFiguresIntoTheColumnsUnit() {
        Instrument stopwatch = Instrument.get("stopwatch");
        assertThat(stopwatch.shown(12.3456, "s")).containsEntry("text", "12.35").containsEntry("typed", "12.35");
        assertThat(stopwatch.shown(12.3456, "ms")).containsEntry("typed", "12346");
        assertThat(Instrument.get("pressure-gauge").shown(101325, "Pa")).containsEntry("text", "101.3").containsEntry("typed", "101325");
        assertThat(Instrument.get("pressure-gauge").shown(101325, "bar")).containsEntry("typed", "1.013");
        assertThatThrownBy(() -> stopwatch.shown(1, "cm")).hasMessage("The stopwatch shows s, but the column is in cm");
    }

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
        assertThat(gate.period(1.0)).isNaN();
        for (double t = 3; t < 19; t += 1.3) {
            assertThat(gate.period(t)).isCloseTo(1.732, within(1e-9));
            assertThat(gate.period(t) * 1000).isCloseTo(Math.rint(gate.period(t) * 1000), within(1e-9));
        }
        // A beam that ends before the body's path isn't cut.
        assertThat(LightGate.of(path, n, interval, 0, 0.03, 0, 0.05).times()).isEmpty();
    }
}
