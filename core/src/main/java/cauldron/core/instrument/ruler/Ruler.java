package cauldron.core.instrument.ruler;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** A straight rule true to scale in the picture. It shows marks, never a value: reading is the student's. */
public final class Ruler {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("ruler", "Ruler", Reading.SCALE,
            InstrumentKind.TENTH, false, true);

    private Ruler() {
    }

    /** Two metres in millimetres. */
    public static Instrument twoMetres() {
        return graduated("mm", 2000, 1);
    }

    /** A rule in any unit of length. */
    public static Instrument graduated(String unit, double span, double division) {
        return Instrument.graduated(KIND, unit, span, division);
    }
}
