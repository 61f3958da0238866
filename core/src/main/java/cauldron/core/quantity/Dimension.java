package cauldron.core.quantity;

import java.util.Arrays;

/**
 * The kind of a quantity as powers of the seven SI base quantities (SI Brochure, 9th edition, 2.3.3).
 * Powers are kept in twelfths, so that square, cube and fourth roots of a quantity stay exact: the
 * square root of a length, which a student plots against a period, has the power 6/12. Plane angle
 * counts as a number, as in the SI.
 */
public final class Dimension {

    /** Parts into which a power is divided. */
    static final int PARTS = 12;
    /** Base unit symbols in the order in which they are printed. */
    static final String[] BASE = {"kg", "m", "s", "A", "K", "mol", "cd"};

    /** A pure number. */
    public static final Dimension NONE = new Dimension(new int[BASE.length]);

    private final int[] twelfths;

    private Dimension(int[] twelfths) {
        this.twelfths = twelfths;
    }

    /** The dimension with whole powers of mass, length, time, current, temperature, amount, light. */
    public static Dimension of(int mass, int length, int time, int current, int temperature, int amount,
                               int light) {
        int[] p = {mass, length, time, current, temperature, amount, light};
        for (int i = 0; i < p.length; i++) {
            p[i] *= PARTS;
        }
        return new Dimension(p);
    }

    public Dimension times(Dimension other) {
        return combine(other, 1);
    }

    public Dimension over(Dimension other) {
        return combine(other, -1);
    }

    /**
     * This dimension to a power.
     *
     * @throws ArithmeticException if the power leads to a fraction finer than a twelfth
     */
    public Dimension power(double exponent) {
        int[] p = new int[twelfths.length];
        for (int i = 0; i < p.length; i++) {
            double exact = twelfths[i] * exponent;
            p[i] = (int) Math.rint(exact);
            if (Math.abs(exact - p[i]) > 1e-9) {
                throw new ArithmeticException("power " + exponent + " of a unit has no meaning here");
            }
        }
        return new Dimension(p);
    }

    public boolean isNone() {
        return equals(NONE);
    }

    int twelfths(int base) {
        return twelfths[base];
    }

    private Dimension combine(Dimension other, int sign) {
        int[] p = new int[twelfths.length];
        for (int i = 0; i < p.length; i++) {
            p[i] = twelfths[i] + sign * other.twelfths[i];
        }
        return new Dimension(p);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Dimension && Arrays.equals(twelfths, ((Dimension) o).twelfths);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(twelfths);
    }

    @Override
    public String toString() {
        return Units.printBase(this);
    }
}
