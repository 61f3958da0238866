package cauldron.core.instrument;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/**
 * An instrument that can lie on the tray.
 *
 * @param shape    how it is drawn and handled: straight scale, angular scale or clock
 * @param span     length of its scale in {@code unit}
 * @param division smallest division of its scale in {@code unit}
 * @param numbered every how many divisions a number stands
 */
public record Instrument(String id, String name, Shape shape, String unit, double span, double division,
                         int numbered) {

    /** The kinds of scale. */
    public enum Shape { STRAIGHT, ANGULAR, CLOCK }

    /** Every instrument there is. */
    public static final List<Instrument> ALL = List.of(
            new Instrument("ruler", "Ruler", Shape.STRAIGHT, "mm", 2000, 1, 100),
            new Instrument("protractor", "Protractor", Shape.ANGULAR, "°", 90, 1, 10),
            new Instrument("stopwatch", "Stopwatch", Shape.CLOCK, "s", 3600, 0.01, 1));

    /** The instrument of that id; refuses one there isn't. */
    public static Instrument get(String id) {
        for (Instrument instrument : ALL) {
            if (instrument.id().equals(id)) {
                return instrument;
            }
        }
        throw new IllegalArgumentException("There is no instrument “" + id + "”");
    }

    public Map<String, Object> toTree() {
        return Tree.of("id", id, "name", name, "shape", shape.name().toLowerCase(), "unit", unit, "span", span,
                "division", division, "numbered", (double) numbered);
    }
}
