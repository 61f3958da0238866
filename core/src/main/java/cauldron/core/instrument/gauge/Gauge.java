package cauldron.core.instrument.gauge;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** A gauge that shows one channel of the apparatus in digits. */
public final class Gauge {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("gauge", "Gauge", Reading.DIGITS,
            InstrumentKind.DIGIT, true, false);

    private Gauge() {
    }

    /** A gauge with its last digit. */
    public static Instrument showing(String id, String name, String unit, double span, double digit) {
        return Instrument.graduated(KIND, unit, span, digit).called(id, name);
    }
}
