package cauldron.core.instrument.springscale;

import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.InstrumentKind.Reading;

/**
 * A spring scale hooked into one force of the apparatus: its pointer stands where that channel is. The spring's own mass
 * and swing are left out.
 */
public final class SpringScale {

    /** The kind. */
    public static final InstrumentKind KIND = new InstrumentKind("spring-scale", "Spring scale", Reading.SCALE,
            InstrumentKind.TENTH, true, false);

    private SpringScale() {
    }

    /** Up to a force in newtons, in sixty divisions. */
    public static Instrument upTo(double newtons) {
        return Instrument.graduated(KIND, "N", newtons, newtons / 60);
    }
}
