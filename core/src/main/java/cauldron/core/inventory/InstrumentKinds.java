package cauldron.core.inventory;

import cauldron.core.instrument.InstrumentKind;
import cauldron.core.instrument.beamtimer.LightGate;
import cauldron.core.instrument.gauge.Gauge;
import cauldron.core.instrument.magnifier.Magnifier;
import cauldron.core.instrument.markers.PositionMarkers;
import cauldron.core.instrument.protractor.Protractor;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.instrument.tape.LongTape;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Every kind of instrument there is. A new one adds its line; a second one of an id throws. */
public final class InstrumentKinds {

    private static final Map<String, InstrumentKind> ALL = listed(List.of(Ruler.KIND, LongTape.KIND, Protractor.KIND,
            PositionMarkers.KIND, Magnifier.KIND, SpringScale.KIND, Stopwatch.KIND, LightGate.KIND, Gauge.KIND));

    private InstrumentKinds() {
    }

    static Map<String, InstrumentKind> listed(List<InstrumentKind> kinds) {
        Map<String, InstrumentKind> map = new LinkedHashMap<>();
        for (InstrumentKind kind : kinds) {
            if (map.put(kind.id(), kind) != null) {
                throw new IllegalStateException("There are two kinds of instrument “" + kind.id() + "”");
            }
        }
        return map;
    }

    /** All of them. */
    public static List<InstrumentKind> all() {
        return List.copyOf(ALL.values());
    }

    /** The kind of that id; refuses one there isn't. */
    public static InstrumentKind get(String id) {
        InstrumentKind kind = ALL.get(id);
        if (kind == null) {
            throw new IllegalArgumentException("There is no kind of instrument “" + id + "”");
        }
        return kind;
    }
}
