package cauldron.core.instrument;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.List;
import java.util.Map;

/**
 * An instrument on the tray of an apparatus. Unit, span and divisions are said where it is declared, as a rule for
 * molecules isn't one for pendulums.
 *
 * @param id       the same for no two on one tray
 * @param unit     unit of its scale or display; empty for one that measures nothing by itself
 * @param span     length of its scale in {@code unit}
 * @param division smallest division of its scale, or last digit of its display, in {@code unit}
 */
public record Instrument(String id, InstrumentKind kind, String name, String unit, double span, double division) {

    /** One that measures nothing by itself. */
    public Instrument(InstrumentKind kind) {
        this(kind.id(), kind, kind.name(), "", 0, 0);
    }

    /** One that is graduated; refuses what can be no scale. */
    public static Instrument graduated(InstrumentKind kind, String unit, double span, double division) {
        if (!(division > 0) || !(span >= division)) {
            throw new IllegalArgumentException(kind.name() + ": needs a division above 0 and a span of at least one");
        }
        Units.parse(unit);
        return new Instrument(kind.id(), kind, kind.name(), unit, span, division);
    }

    /** The same under an id and a name of its own, where a tray holds two of a kind or says which it is. */
    public Instrument called(String newId, String newName) {
        return new Instrument(newId, kind, newName, unit, span, division);
    }

    /**
     * An instrument as it lies.
     *
     * @param graduation how many of its own smallest divisions the scale in use is divided in; 1 for a display
     */
    public record Laid(Instrument instrument, double graduation) {

        private double uncertainty() {
            return instrument.kind.uncertainty(instrument.division, graduation);
        }
    }

    /**
     * The uncertainty that a value read with one of some instruments has, in the unit of a column. The first instrument
     * that measures the column's kind of quantity counts.
     *
     * @return {@code {instrument, name, text}}, or an empty tree where none of them measures that
     */
    public static Map<String, Object> uncertainty(List<Laid> lying, String columnUnit) {
        Unit column = Units.parse(columnUnit);
        for (Laid laid : lying) {
            Instrument instrument = laid.instrument;
            if (instrument.division > 0) {
                Unit own = Units.parse(instrument.unit);
                if (own.sameKind(column) && (!own.dimension().isNone() || columnUnit.equals(instrument.unit))) {
                    double u = laid.uncertainty() * own.factor() / column.factor();
                    return Tree.of("instrument", instrument.id, "name", instrument.name, "text", Numbers.printShort(u));
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

    /**
     * All of it as plain data.
     *
     * @param channel id of the channel it shows, or an empty text
     */
    public Map<String, Object> toTree(String channel) {
        return Tree.of("id", id, "kind", kind.id(), "digits", kind.reading() == InstrumentKind.Reading.DIGITS,
                "missed", kind.missed(), "name", name, "unit", unit, "span", span, "division", division,
                "several", kind.several(), "channel", channel, "si",
                unit.isEmpty() ? 1.0 : Units.parse(unit).factor());
    }

    /** Reads what {@link #toTree} wrote, as far as reading off it goes: a page needn't wait for the list of kinds. */
    public static Instrument read(Map<String, Object> tree) {
        double division = Tree.number(tree, "division");
        InstrumentKind kind = new InstrumentKind(Tree.text(tree, "kind"), Tree.text(tree, "name"),
                Tree.flag(tree, "digits") ? InstrumentKind.Reading.DIGITS : InstrumentKind.Reading.SCALE,
                Tree.number(tree, "missed", InstrumentKind.DIGIT), false, false);
        return new Instrument(Tree.text(tree, "id"), kind, Tree.text(tree, "name"), Tree.text(tree, "unit"),
                Tree.number(tree, "span"), division);
    }
}
