package cauldron.core.quantity;

/**
 * A unit of measurement: {@code SI value = number × factor + offset}.
 *
 * @param symbol    how it is printed, with real superscripts: {@code m s⁻²}
 * @param dimension what kind of quantity it measures
 * @param factor    how many coherent SI units it is worth
 * @param offset    the SI value of its zero; other than 0 only for °C
 */
public record Unit(String symbol, Dimension dimension, double factor, double offset) {

    /** The unit of a pure number. */
    public static final Unit ONE = new Unit("", Dimension.NONE, 1, 0);

    public double toSi(double number) {
        return number * factor + offset;
    }

    public double fromSi(double si) {
        return (si - offset) / factor;
    }

    public boolean sameKind(Unit other) {
        return dimension.equals(other.dimension);
    }
}
