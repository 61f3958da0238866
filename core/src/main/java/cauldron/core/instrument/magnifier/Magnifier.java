package cauldron.core.instrument.magnifier;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** A glass that enlarges what is under it: the apparatus and the instruments laid on it. */
public final class Magnifier {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("magnifier", "Magnifier", Reading.NONE,
            InstrumentKind.DIGIT, false, false);

    private Magnifier() {
    }

    /** A glass. */
    public static Instrument glass() {
        return new Instrument(KIND);
    }
}
