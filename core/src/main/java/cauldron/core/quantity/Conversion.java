package cauldron.core.quantity;

/**
 * A typed number said in another unit. Where the units differ by a power of ten the decimal mark moves and
 * not a figure is lost or won; otherwise one figure more is kept than was typed, so that converting back
 * gives the number again. What would become very large or small gets a power of ten.
 */
public final class Conversion {

    private final Unit from;
    private final Unit to;

    /**
     * @throws IllegalArgumentException where the units are of unlike kinds
     */
    public Conversion(Unit from, Unit to) {
        if (!from.sameKind(to)) {
            throw new IllegalArgumentException("Can't convert " + named(from) + " to " + named(to) + ": they are of unlike kinds");
        }
        this.from = from;
        this.to = to;
    }

    private static String named(Unit unit) {
        return unit.symbol().isEmpty() ? "a pure number" : unit.symbol();
    }

    /**
     * A value in another unit.
     *
     * @throws IllegalArgumentException where the units are of unlike kinds
     */
    public static double between(double value, Unit from, Unit to) {
        new Conversion(from, to);
        return from.equals(to) ? value : to.fromSi(from.toSi(value));
    }

    /** The number in the other unit; what is no number stays as it is. */
    public String value(String typed) {
        return converted(typed, from.offset() != to.offset());
    }

    /** An uncertainty in the other unit: an interval, which no zero shifts. */
    public String uncertainty(String typed) {
        return converted(typed, false);
    }

    private String converted(String typed, boolean shifted) {
        double number;
        try {
            number = Numbers.read(typed);
        } catch (IllegalArgumentException e) {
            return typed;
        }
        int places = powerOfTen();
        if (shifted) {
            // Degrees Celsius and kelvins: as many decimals as were typed, but for prefixed ones.
            double result = to.fromSi(from.toSi(number));
            return Numbers.fixed(result, Math.max(0, Numbers.decimals(typed) - places));
        }
        if (places != Integer.MIN_VALUE) {
            return Numbers.moved(typed, places);
        }
        int figures = Math.min(15, Numbers.figures(typed) + 1);
        return number == 0 ? typed : Numbers.print(number * (from.factor() / to.factor()), figures);
    }

    /** By how many places the decimal mark moves to the right; {@code MIN_VALUE} where that doesn't do. */
    private int powerOfTen() {
        double ratio = from.factor() / to.factor();
        int places = (int) Math.rint(Math.log10(ratio));
        double ten = Decimal.parse("1e" + places).toDouble();
        return Math.abs(ratio / ten - 1) < 1e-12 ? places : Integer.MIN_VALUE;
    }
}
