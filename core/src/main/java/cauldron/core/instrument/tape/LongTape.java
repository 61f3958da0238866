package cauldron.core.instrument.tape;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** A tape from one point to another: its zero at the first end, its marks as far as it is drawn out. */
public final class LongTape {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("tape", "Long tape", Reading.SCALE,
            InstrumentKind.FIFTH, false, true);

    private LongTape() {
    }

    /** Ten metres in centimetres. */
    public static Instrument tenMetres() {
        return Instrument.graduated(KIND, "cm", 1000, 1);
    }
}
