package cauldron.core.quantity;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The units of school science and how they are printed. Values after the SI Brochure, 9th edition
 * (2019), tables 2, 4, 7 and 8; customary ones after NIST Special Publication 811 (2008), appendix B.8: the calorie is
 * the thermochemical one, the year has 365.25 days, and a revolution is 2π radians.
 */
public final class Units {

    private static final Map<String, Unit> NAMED = new LinkedHashMap<>();
    private static final Map<String, Boolean> PREFIXABLE = new LinkedHashMap<>();
    private static final Map<String, Double> PREFIXES = new LinkedHashMap<>();
    /** Derived units offered when a formula yields a dimension; the first that fits is printed. */
    private static final String[] NICE = {"N", "J", "W", "Pa", "C", "V", "Ω", "F", "T"};

    static {
        Dimension mass = Dimension.of(1, 0, 0, 0, 0, 0, 0);
        Dimension length = Dimension.of(0, 1, 0, 0, 0, 0, 0);
        Dimension time = Dimension.of(0, 0, 1, 0, 0, 0, 0);
        Dimension current = Dimension.of(0, 0, 0, 1, 0, 0, 0);
        Dimension temperature = Dimension.of(0, 0, 0, 0, 1, 0, 0);
        Dimension amount = Dimension.of(0, 0, 0, 0, 0, 1, 0);
        Dimension light = Dimension.of(0, 0, 0, 0, 0, 0, 1);
        Dimension force = mass.times(length).over(time.power(2));
        Dimension energy = force.times(length);
        Dimension power = energy.over(time);
        Dimension pressure = force.over(length.power(2));
        Dimension charge = current.times(time);
        Dimension voltage = power.over(current);
        add("m", length, 1, true);
        add("g", mass, 1e-3, true);
        add("s", time, 1, true);
        add("A", current, 1, true);
        add("K", temperature, 1, true);
        add("mol", amount, 1, true);
        add("cd", light, 1, false);
        add("N", force, 1, true);
        add("J", energy, 1, true);
        add("W", power, 1, true);
        add("Pa", pressure, 1, true);
        add("Hz", time.power(-1), 1, true);
        add("C", charge, 1, true);
        add("V", voltage, 1, true);
        add("Ω", voltage.over(current), 1, true);
        add("ohm", voltage.over(current), 1, true);
        add("F", charge.over(voltage), 1, true);
        add("T", voltage.times(time).over(length.power(2)), 1, true);
        add("L", length.power(3), 1e-3, true);
        add("l", length.power(3), 1e-3, true);
        add("bar", pressure, 1e5, true);
        add("eV", energy, 1.602176634e-19, true);
        add("min", time, 60, false);
        add("h", time, 3600, false);
        add("d", time, 86400, false);
        add("t", mass, 1000, false);
        add("u", mass, 1.66053906660e-27, false);
        add("Da", mass, 1.66053906660e-27, true);
        add("cc", length.power(3), 1e-6, false);
        add("mph", length.over(time), 0.44704, false);
        add("kph", length.over(time), 1 / 3.6, false);
        add("Wh", energy, 3600, true);
        add("Ah", charge, 3600, true);
        add("cal", energy, 4.184, true);
        add("atm", pressure, 101325, false);
        add("mmHg", pressure, 133.322387415, false);
        add("M", amount.over(length.power(3)), 1000, true);
        add("H", voltage.times(time).over(current), 1, true);
        add("Wb", voltage.times(time), 1, true);
        add("S", current.over(voltage), 1, true);
        add("lm", light, 1, false);
        add("lx", light.over(length.power(2)), 1, true);
        add("Bq", time.power(-1), 1, true);
        add("Gy", energy.over(mass), 1, true);
        add("Sv", energy.over(mass), 1, true);
        add("Å", length, 1e-10, false);
        add("yr", time, 31557600, false);
        add("day", time, 86400, false);
        add("in", length, 0.0254, false);
        add("ft", length, 0.3048, false);
        add("mi", length, 1609.344, false);
        add("lb", mass, 0.45359237, false);
        add("rev", Dimension.NONE, 2 * Math.PI, false);
        add("rpm", time.power(-1), 2 * Math.PI / 60, false);
        add("ppm", Dimension.NONE, 1e-6, false);
        add("rad", Dimension.NONE, 1, true);
        add("°", Dimension.NONE, Math.PI / 180, false);
        add("deg", Dimension.NONE, Math.PI / 180, false);
        add("%", Dimension.NONE, 0.01, false);
        NAMED.put("°C", new Unit("°C", temperature, 1, 273.15));
        PREFIXES.put("G", 1e9);
        PREFIXES.put("M", 1e6);
        PREFIXES.put("k", 1e3);
        PREFIXES.put("h", 1e2);
        PREFIXES.put("d", 1e-1);
        PREFIXES.put("c", 1e-2);
        PREFIXES.put("m", 1e-3);
        PREFIXES.put("µ", 1e-6);
        PREFIXES.put("μ", 1e-6);
        PREFIXES.put("u", 1e-6);
        PREFIXES.put("n", 1e-9);
        PREFIXES.put("p", 1e-12);
        PREFIXES.put("f", 1e-15);
        PREFIXES.put("a", 1e-18);
        PREFIXES.put("z", 1e-21);
    }

    private Units() {
    }

    private static void add(String symbol, Dimension dimension, double factor, boolean prefixable) {
        NAMED.put(symbol, new Unit(symbol, dimension, factor, 0));
        PREFIXABLE.put(symbol, prefixable);
    }

    /**
     * Reads a unit as students write it: {@code m/s^2}, {@code m s^-2}, {@code m·s⁻²}, {@code cm},
     * {@code °}, {@code min}. The empty text is the unit of a pure number.
     *
     * @throws UnitSyntaxException if it can't be read
     */
    public static Unit parse(String text) {
        return new UnitReader(text).read();
    }

    /** The unit of that symbol, prefix included, or null. */
    static Unit lookUp(String symbol) {
        Unit whole = NAMED.get(symbol);
        if (whole != null) {
            return whole;
        }
        for (Map.Entry<String, Double> prefix : PREFIXES.entrySet()) {
            if (symbol.startsWith(prefix.getKey())) {
                String rest = symbol.substring(prefix.getKey().length());
                if (Boolean.TRUE.equals(PREFIXABLE.get(rest))) {
                    Unit unit = NAMED.get(rest);
                    return new Unit(symbol, unit.dimension(), factor(prefix.getValue(), rest, unit), 0);
                }
            }
        }
        return null;
    }

    // kg must be worth exactly 1: 1000 × 0.001 happens to be, but mg and µg must not carry a rounding
    // of the gram's factor either.
    private static double factor(double prefix, String rest, Unit unit) {
        return rest.equals("g") ? prefix / 1000 : prefix * unit.factor();
    }

    /** The coherent SI unit of a dimension in its nicest form: {@code N} rather than {@code kg m s⁻²}. */
    public static Unit coherent(Dimension dimension) {
        for (String symbol : NICE) {
            Unit unit = NAMED.get(symbol);
            if (unit.dimension().equals(dimension)) {
                return unit;
            }
        }
        return new Unit(printBase(dimension), dimension, 1, 0);
    }

    static String printBase(Dimension d) {
        StringBuilder above = new StringBuilder();
        StringBuilder below = new StringBuilder();
        boolean roots = false;
        for (int i = 0; i < Dimension.BASE.length; i++) {
            roots |= d.twelfths(i) % Dimension.PARTS != 0;
        }
        for (int k = 0; k < 2 * Dimension.BASE.length; k++) {
            // Positive powers come first: s² m⁻¹, not m⁻¹ s².
            int i = k % Dimension.BASE.length;
            int p = d.twelfths(i);
            if (p == 0 || p > 0 != k < Dimension.BASE.length) {
                continue;
            }
            // Roots have no superscript in type, so they are written with a root sign and a slash.
            StringBuilder to = roots && p < 0 ? below : above;
            if (to.length() > 0) {
                to.append(' ');
            }
            to.append(printPower(Dimension.BASE[i], roots ? Math.abs(p) : p));
        }
        if (below.length() == 0) {
            return above.toString();
        }
        String denominator = below.indexOf(" ") >= 0 ? "(" + below + ")" : below.toString();
        return (above.length() == 0 ? "1" : above.toString()) + "/" + denominator;
    }

    private static String printPower(String symbol, int twelfths) {
        if (twelfths == Dimension.PARTS) {
            return symbol;
        }
        if (twelfths == Dimension.PARTS / 2) {
            return "√" + symbol;
        }
        if (twelfths % Dimension.PARTS == 0) {
            return symbol + superscript(twelfths / Dimension.PARTS);
        }
        int divisor = gcd(Math.abs(twelfths), Dimension.PARTS);
        return symbol + "^(" + twelfths / divisor + "/" + Dimension.PARTS / divisor + ")";
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    static String superscript(int n) {
        StringBuilder out = new StringBuilder();
        for (char c : String.valueOf(n).toCharArray()) {
            out.append(c == '-' ? '⁻' : UnitReader.SUPERSCRIPTS.charAt(c - '0'));
        }
        return out.toString();
    }
}
