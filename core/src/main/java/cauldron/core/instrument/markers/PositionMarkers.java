package cauldron.core.instrument.markers;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** Marks of where something was, one for each frame. */
public final class PositionMarkers {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("markers", "Position markers", Reading.NONE,
            InstrumentKind.DIGIT, false, false);

    private PositionMarkers() {
    }

    /** A box of them. */
    public static Instrument box() {
        return new Instrument(KIND);
    }
}
