package cauldron.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.instrument.gauge.Gauge;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.protractor.Protractor;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class InstrumentTest {

    private static Map<String, Object> read(String columnUnit, Instrument... lying) {
        return Instrument.uncertainty(Arrays.stream(lying).map(i -> new Instrument.Laid(i, 1)).toList(), columnUnit);
    }

    @Test
    void aReadingHasTheUncertaintyOfTheInstrumentThatMeasuresItsQuantity() {
        Instrument[] lying = {Stopwatch.toHundredths(), Ruler.twoMetres(), PositionMarkers.box()};
        assertThat(read("cm", lying)).containsEntry("instrument", "ruler").containsEntry("text", "0.01");
        assertThat(read("m", lying)).containsEntry("text", "0.0001");
        assertThat(read("s", lying)).containsEntry("instrument", "stopwatch").containsEntry("text", "0.01");
        assertThat(read("ms", lying)).containsEntry("text", "10");
        assertThat(read("N", lying)).isEmpty();
        assertThat(read("°", Protractor.inDegrees())).containsEntry("text", "0.2");
        assertThat(read("", Protractor.inDegrees())).isEmpty();
        assertThat(read("cm")).isEmpty();
        assertThat(read("m", LongTape.tenMetres())).as("its ends are free: a fifth of a division").containsEntry("text", "0.002");
    }

    @Test
    void aCoarserGraduationIsReadAsMuchWorse() {
        assertThat(Instrument.uncertainty(List.of(new Instrument.Laid(Ruler.twoMetres(), 10)), "cm"))
                .as("graduated in centimetres").containsEntry("text", "0.1");
        assertThat(Instrument.uncertainty(List.of(new Instrument.Laid(SpringScale.upTo(3), 2)), "N")).containsEntry("text", "0.01");
    }

    @Test
    void scaleAndDigitsAreThoseOfWhereItIsDeclared() {
        Instrument small = Ruler.graduated("nm", 200, 1);
        assertThat(read("nm", small)).containsEntry("text", "0.1");
        assertThat(read("µm", small, Ruler.twoMetres())).as("the first that measures it").containsEntry("text", "0.0001");
        assertThat(Stopwatch.showing("ps", 1).shown(1.26e-11, "")).containsEntry("text", "13").containsEntry("unit", "ps");
        assertThatThrownBy(() -> Ruler.graduated("mm", 0.5, 1)).hasMessageContaining("span of at least one");
        assertThatThrownBy(() -> Ruler.graduated("smoot", 10, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void anInstrumentIsReadAsItWasWritten() {
        Instrument gauge = Gauge.showing("thermometer", "Thermometer", "K", 3000, 0.1);
        assertThat(gauge.toTree("temperature")).containsEntry("channel", "temperature").containsEntry("kind", "gauge");
        Instrument read = Instrument.read(gauge.toTree("temperature"));
        assertThat(read.shown(300.04, "")).isEqualTo(gauge.shown(300.04, ""));
        assertThat(read("K", read)).isEqualTo(read("K", gauge));
        Instrument ruler = Instrument.read(Ruler.twoMetres().toTree(""));
        assertThat(Instrument.uncertainty(List.of(new Instrument.Laid(ruler, 5)), "cm")).containsEntry("text", "0.05");
    }

    @Test
    void aDisplayIsCopiedWithItsFiguresIntoTheColumnsUnit() {
        Instrument stopwatch = Stopwatch.toHundredths();
        assertThat(stopwatch.shown(12.3456, "s")).containsEntry("text", "12.35").containsEntry("typed", "12.35");
        assertThat(stopwatch.shown(12.3456, "ms")).containsEntry("typed", "12346");
        Instrument gauge = Gauge.showing("pressure-gauge", "Pressure gauge", "kPa", 1000, 0.1);
        assertThat(gauge.shown(101325, "Pa")).containsEntry("text", "101.3").containsEntry("typed", "101325");
        assertThat(gauge.shown(101325, "bar")).containsEntry("typed", "1.013");
        assertThatThrownBy(() -> stopwatch.shown(1, "cm")).hasMessage("The stopwatch shows s, but the column is in cm");
    }
}
