package cauldron.core.analysis;

import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The kinds of curve that school science fits. Numbers are those of the graph, in the units shown there.
 *
 * @param formula    over x and the parameters
 * @param equation   how it is written, with {@code {x}}, {@code {y}} and the parameters in braces
 * @param parameters in the order in which they are shown
 */
public record FitKind(String id, String name, String formula, String equation, List<Parameter> parameters) {

    /**
     * One parameter.
     *
     * @param yPower its unit is that of y to this power
     * @param xPower times that of x to this power; {@code NaN} where it depends on another parameter
     */
    public record Parameter(String name, String meaning, double yPower, double xPower) {

        /** Its unit, as composed from those of the axes; null where it has none that is fixed. */
        Unit unit(Unit y, Unit x) {
            return Double.isNaN(xPower) ? null : isDifference() ? product(difference(y), yPower, x, xPower) : product(y, yPower, x, xPower);
        }

        /** Whether it is a height above another place rather than above nought: an amplitude on an axis in °C is so many K. */
        private boolean isDifference() {
            return name.equals("A");
        }
    }

    private static Unit difference(Unit unit) {
        return unit.offset() == 0 ? unit : Units.coherent(unit.dimension());
    }

    private static Parameter p(String name, String meaning, double yPower, double xPower) {
        return new Parameter(name, meaning, yPower, xPower);
    }

    /** All kinds but the student's own formula. */
    public static final List<FitKind> ALL = List.of(
            new FitKind("proportional", "proportional", "k*x", "{y} = {k} · {x}", List.of(p("k", "gradient", 1, -1))),
            new FitKind("line", "straight line", "m*x + c", "{y} = {m} · {x} + {c}",
                    List.of(p("m", "gradient", 1, -1), p("c", "intercept", 1, 0))),
            new FitKind("quadratic", "quadratic", "a*x^2 + b*x + c", "{y} = {a} · {x}² + {b} · {x} + {c}",
                    List.of(p("a", "coefficient of the square", 1, -2), p("b", "gradient at the origin", 1, -1),
                            p("c", "intercept", 1, 0))),
            new FitKind("cubic", "cubic", "a*x^3 + b*x^2 + c*x + d", "{y} = {a} · {x}³ + {b} · {x}² + {c} · {x} + {d}",
                    List.of(p("a", "coefficient of the cube", 1, -3), p("b", "coefficient of the square", 1, -2),
                            p("c", "gradient at the origin", 1, -1), p("d", "intercept", 1, 0))),
            new FitKind("power", "power", "A*x^n", "{y} = {A} · {x}^{n}",
                    List.of(p("A", "factor", 1, Double.NaN), p("n", "power", 0, 0))),
            new FitKind("inverse", "inverse", "k/x", "{y} = {k} / {x}", List.of(p("k", "product of both", 1, 1))),
            new FitKind("inverse-square", "inverse square", "k/x^2", "{y} = {k} / {x}²",
                    List.of(p("k", "product with the square", 1, 2))),
            new FitKind("exponential", "exponential, with offset", "A*exp(k*x) + C", "{y} = {A} · exp({k} · {x}) + {C}",
                    List.of(p("A", "height above the offset at the origin", 1, 0), p("k", "rate: growth, or decay below zero", 0, -1),
                            p("C", "offset it tends to", 1, 0))),
            new FitKind("logarithm", "natural logarithm", "a*ln(x) + b", "{y} = {a} · ln({x}) + {b}",
                    List.of(p("a", "rise for each factor e", 1, 0), p("b", "value where the axis is 1", 1, 0))),
            new FitKind("sine", "sinusoid", "A*sin(2*π*x/T + φ) + C", "{y} = {A} · sin(2π {x} / {T} + {φ}) + {C}",
                    List.of(p("A", "amplitude", 1, 0), p("T", "period", 0, 1), p("φ", "phase at the origin, in rad", 0, 0),
                            p("C", "middle", 1, 0))),
            new FitKind("damped-sine", "damped sinusoid", "A*exp(-g*x)*sin(2*π*x/T + φ) + C",
                    "{y} = {A} · exp(−{g} · {x}) · sin(2π {x} / {T} + {φ}) + {C}",
                    List.of(p("A", "amplitude at the origin", 1, 0), p("g", "damping rate", 0, -1), p("T", "period", 0, 1),
                            p("φ", "phase at the origin, in rad", 0, 0), p("C", "middle", 1, 0))),
            new FitKind("normal", "normal curve", "A*exp(-(x-μ)^2/(2*σ^2))", "{y} = {A} · exp(−({x} − {μ})² / (2 · {σ}²))",
                    List.of(p("A", "height", 1, 0), p("μ", "mean", 0, 1), p("σ", "standard deviation", 0, 1))));

    /** The kind of that id; refuses one there isn't. */
    public static FitKind get(String id) {
        return ALL.stream().filter(k -> k.id.equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no kind of fit “" + id + "”"));
    }

    List<String> names() {
        return parameters.stream().map(Parameter::name).toList();
    }

    /**
     * The unit of y to a power times x to a power: coherent where it can be ({@code N/(m/s²)} is {@code kg}). A place on
     * an axis in °C stays in °C; in anything composed, such as a gradient, it is an interval.
     */
    static Unit product(Unit y, double yPower, Unit x, double xPower) {
        if (y.offset() != 0 && yPower == 1 && xPower == 0) {
            return y;
        }
        if (x.offset() != 0 && yPower == 0 && xPower == 1) {
            return x;
        }
        if (xPower < 0 && (x.offset() != 0 || y.offset() != 0)) {
            return product(difference(y), yPower, difference(x), xPower);
        }
        List<String> above = new ArrayList<>();
        List<String> below = new ArrayList<>();
        double factor = Math.pow(y.factor(), yPower) * Math.pow(x.factor(), xPower);
        put(y, yPower, above, below);
        put(x, xPower, above, below);
        cauldron.core.quantity.Dimension d = y.dimension().power(yPower).times(x.dimension().power(xPower));
        if (Math.abs(factor - 1) < 1e-12) {
            return Units.coherent(d);
        }
        String text = (above.isEmpty() ? "1" : String.join(" · ", above)) + (below.isEmpty() ? "" : "/" + below.get(0));
        return new Unit(text, d, factor, 0);
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    private static void put(Unit unit, double power, List<String> above, List<String> below) {
        if (power == 0 || unit.symbol().isEmpty()) {
            return;
        }
        double size = Math.abs(power);
        boolean whole = size == Math.rint(size);
        boolean compound = unit.symbol().indexOf(' ') >= 0 || unit.symbol().indexOf('/') >= 0 || unit.symbol().indexOf('·') >= 0;
        int n = (int) size;
        String raised = size == 1 ? "" : whole && n < 10 ? "⁰¹²³⁴⁵⁶⁷⁸⁹".substring(n, n + 1)
                : whole ? "^" + n : "^(" + (int) Math.rint(12 * size) / gcd((int) Math.rint(12 * size), 12) + "/"
                        + 12 / gcd((int) Math.rint(12 * size), 12) + ")";
        boolean bracket = compound && (power < 0 || size != 1);
        (power > 0 ? above : below).add((bracket ? "(" + unit.symbol() + ")" : unit.symbol()) + raised);
    }

    /** How the unit is written of a parameter whose unit hangs on another: that of a power's factor is {@code cm/sⁿ}. */
    String openUnit(Unit y, Unit x) {
        List<String> above = new ArrayList<>();
        List<String> below = new ArrayList<>();
        put(y, 1, above, below);
        put(x, -1, above, below);
        return (above.isEmpty() && !below.isEmpty() ? "1" : String.join("", above)) + (below.isEmpty() ? "" : "/" + below.get(0) + "ⁿ");
    }

    /** Starting values from the shape of the points; empty where the search needs none. */
    Map<String, Double> start(double[] x, double[] y) {
        switch (id) {
            case "power":
                return powerStart(x, y);
            case "sine":
                return Waves.start(x, y, false);
            case "damped-sine":
                return Waves.start(x, y, true);
            case "normal":
                return normalStart(x, y);
            case "exponential":
                return exponentialStart(x, y);
            default:
                return Map.of();
        }
    }

    private static Map<String, Double> powerStart(double[] x, double[] y) {
        double[] lx = new double[x.length];
        double[] ly = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            lx[i] = x[i] > 0 ? Math.log(x[i]) : Double.NaN;
            ly[i] = y[i] != 0 ? Math.log(Math.abs(y[i])) : Double.NaN;
        }
        try {
            LineFit line = LineFit.of(lx, ly);
            return Map.of("A", Math.signum(Statistics.of(y).median()) * Math.exp(line.intercept()), "n", line.slope());
        } catch (IllegalArgumentException e) {
            return Map.of();
        }
    }

    /** The gradients of the two halves differ by the factor exp(k · distance of their middles). */
    private static Map<String, Double> exponentialStart(double[] x, double[] y) {
        double middle = Statistics.of(x).median();
        double[][] halves = new double[2][];
        double[] slopes = new double[2];
        double[] centres = new double[2];
        for (int h = 0; h < 2; h++) {
            double[] part = x.clone();
            for (int i = 0; i < part.length; i++) {
                part[i] = h == 0 == x[i] <= middle ? x[i] : Double.NaN;
            }
            halves[h] = part;
            centres[h] = Statistics.of(part).mean();
        }
        try {
            slopes[0] = LineFit.of(halves[0], y).slope();
            slopes[1] = LineFit.of(halves[1], y).slope();
        } catch (IllegalArgumentException e) {
            return Map.of();
        }
        double ratio = slopes[1] / slopes[0];
        double k = Math.log(ratio > 0 ? ratio : Math.abs(slopes[1]) > Math.abs(slopes[0]) ? 10 : 0.1) / (centres[1] - centres[0]);
        return k == 0 || Double.isNaN(k) || Double.isInfinite(k) ? Map.of() : Map.of("k", k);
    }

    private static Map<String, Double> normalStart(double[] x, double[] y) {
        double sum = 0;
        double mean = 0;
        double top = 0;
        for (int i = 0; i < x.length; i++) {
            sum += Math.abs(y[i]);
            mean += x[i] * Math.abs(y[i]);
            top = Math.abs(y[i]) > Math.abs(top) ? y[i] : top;
        }
        mean /= sum;
        double square = 0;
        for (int i = 0; i < x.length; i++) {
            square += (x[i] - mean) * (x[i] - mean) * Math.abs(y[i]);
        }
        return sum == 0 ? Map.of() : Map.of("A", top, "μ", mean, "σ", Math.sqrt(square / sum));
    }
}
