package cauldron.core.instrument;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.List;
import java.util.Map;

/**
 * An instrument that can lie on the tray.
 *
 * @param shape    how it is drawn and handled
 * @param unit     unit of its scale or display; empty for one that measures nothing by itself
 * @param span     length of its scale in {@code unit}
 * @param division smallest division of its scale, or last digit of its display, in {@code unit}
 * @param numbered every how many divisions a number stands
 * @param channel  what a gauge shows; empty for all others, and where the apparatus says what is shown
 */
public record Instrument(String id, String name, Shape shape, String unit, double span, double division,
                         int numbered, String channel) {

    /**
     * The kinds of instrument. A scale is read by eye at its two ends; a dynamometer is a force's scale, whose
     * pointer stands where the channel is that it is hooked into; the last three show digits.
     */
    public enum Shape { STRAIGHT, TAPE, ANGULAR, MARKERS, LENS, DYNAMOMETER, CLOCK, GATE, GAUGE }

    /** Every instrument there is. */
    public static final List<Instrument> ALL = List.of(
            new Instrument("ruler", "Ruler", Shape.STRAIGHT, "mm", 2000, 1, 100, ""),
            new Instrument("fine-ruler", "Ruler", Shape.STRAIGHT, "nm", 200, 1, 10, ""),
            new Instrument("tape", "Long tape", Shape.TAPE, "cm", 1000, 1, 10, ""),
            new Instrument("protractor", "Protractor", Shape.ANGULAR, "°", 90, 1, 10, ""),
            new Instrument("markers", "Position markers", Shape.MARKERS, "", 0, 0, 1, ""),
            new Instrument("magnifier", "Magnifier", Shape.LENS, "", 0, 0, 1, ""),
            new Instrument("spring-scale", "Spring scale", Shape.DYNAMOMETER, "N", 3, 0.05, 10, ""),
            new Instrument("stopwatch", "Stopwatch", Shape.CLOCK, "s", 3600, 0.01, 1, ""),
            new Instrument("beam-timer", "Beam timer", Shape.GATE, "s", 3600, 0.001, 1, ""),
            new Instrument("pressure-gauge", "Pressure gauge", Shape.GAUGE, "kPa", 1000, 0.1, 1, "pressure"),
            new Instrument("thermometer", "Thermometer", Shape.GAUGE, "K", 3000, 0.1, 1, "temperature"));

    /** The instrument of that id; refuses one there isn't. */
    public static Instrument get(String id) {
        for (Instrument instrument : ALL) {
            if (instrument.id().equals(id)) {
                return instrument;
            }
        }
        throw new IllegalArgumentException("There is no instrument “" + id + "”");
    }

    private boolean showsDigits() {
        return shape == Shape.CLOCK || shape == Shape.GATE || shape == Shape.GAUGE;
    }

    /** Whether it shows something of the apparatus that no camera sees, and so only serves a live bench. */
    public boolean needsChannel() {
        return shape == Shape.GAUGE || shape == Shape.DYNAMOMETER;
    }

    /**
     * How far a reading may be off, in its unit: half a division at each of the two ends of a scale, the
     * last digit of a display.
     *
     * @param graduation how many of its own smallest divisions the scale in use is divided in; 1 for a display
     */
    public double uncertainty(double graduation) {
        return showsDigits() ? division : 2 * (0.5 * division * graduation);
    }

    /**
     * The uncertainty that a value read with one of some instruments has, in the unit of a column. The
     * first instrument that measures the column's kind of quantity counts.
     *
     * @param lying ids; {@code ruler:10} is a ruler graduated in ten of its smallest divisions
     * @return {@code {instrument, name, text}}, or an empty tree where none of them measures that
     */
    public static Map<String, Object> uncertainty(List<String> lying, String columnUnit) {
        Unit column = Units.parse(columnUnit);
        for (String entry : lying) {
            int colon = entry.indexOf(':');
            String id = colon < 0 ? entry : entry.substring(0, colon);
            double graduation = colon < 0 ? 1 : Double.parseDouble(entry.substring(colon + 1));
            Instrument instrument = get(id);
            if (instrument.division > 0) {
                Unit own = Units.parse(instrument.unit);
                if (own.sameKind(column) && (!own.dimension().isNone() || columnUnit.equals(instrument.unit))) {
                    double u = instrument.uncertainty(graduation) * own.factor() / column.factor();
                    return Tree.of("instrument", id, "name", instrument.name, "text", Numbers.printShort(u));
                }
            }
        }
        return Tree.of();
    }

    /**
     * What a display shows, as it would be copied into a column.
     *
     * @param si the value in SI
     * @return {@code {text, unit}} as displayed, and {@code typed} in the column's unit, or {@code error}
     * @throws IllegalArgumentException if the column holds another kind of quantity
     */
    public Map<String, Object> shown(double si, String columnUnit) {
        Unit own = Units.parse(unit);
        int decimals = (int) Math.max(0, Math.round(-Math.log10(division)));
        String text = Numbers.fixed(si / own.factor(), decimals);
        if (columnUnit.isEmpty()) {
            return Tree.of("text", text, "unit", unit, "typed", text);
        }
        Unit column = Units.parse(columnUnit);
        if (!own.sameKind(column)) {
            throw new IllegalArgumentException("The " + name.toLowerCase() + " shows " + unit
                    + ", but the column is in " + columnUnit);
        }
        // A change of unit moves the point, and keeps as many figures as are shown.
        int shift = (int) Math.round(Math.log10(own.factor() / column.factor()));
        String typed = Numbers.fixed(si / column.factor(), Math.max(0, decimals - shift));
        return Tree.of("text", text, "unit", unit, "typed", typed);
    }

    public Map<String, Object> toTree() {
        return Tree.of("id", id, "name", name, "shape", shape.name().toLowerCase(), "unit", unit, "span", span,
                "division", division, "numbered", (double) numbered, "channel", channel, "metres",
                shape == Shape.STRAIGHT || shape == Shape.TAPE ? Units.parse(unit).factor() : 0.0);
    }
}
