package cauldron.core.instrument.stopwatch;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** A clock that is set to zero at any moment, with laps and a count of cycles. */
public final class Stopwatch {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("stopwatch", "Stopwatch", Reading.DIGITS,
            InstrumentKind.DIGIT, false, false);
    private static final int LAST = 1_000_000;

    private Stopwatch() {
    }

    /** To a hundredth of a second. */
    public static Instrument toHundredths() {
        return showing("s", 0.01);
    }

    /** In another unit of time, with its last digit. */
    public static Instrument showing(String unit, double digit) {
        return Instrument.graduated(KIND, unit, LAST * digit, digit);
    }
}
