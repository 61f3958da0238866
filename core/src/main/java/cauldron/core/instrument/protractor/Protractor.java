package cauldron.core.instrument.protractor;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/** A half circle with its zero straight down, graduated both ways. */
public final class Protractor {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("protractor", "Protractor", Reading.SCALE,
            InstrumentKind.FIFTH, false, true);

    private Protractor() {
    }

    /** In whole degrees. */
    public static Instrument inDegrees() {
        return Instrument.graduated(KIND, "°", 90, 1);
    }
}
