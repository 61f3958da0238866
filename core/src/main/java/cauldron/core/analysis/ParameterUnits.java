package cauldron.core.analysis;

import cauldron.core.quantity.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds the units of a typed model's parameters from those of the axes: what is added must be alike, what a
 * logarithm or sine takes must be a number, and the whole must be like y. Each of these is a linear equation
 * between powers of the axes' units (dimensional homogeneity; P. W. Bridgman, Dimensional Analysis, 1922), so
 * a parameter has a unit where they determine it.
 */
final class ParameterUnits {

    private static final double EPSILON = 1e-9;

    /** The model can't be homogeneous, as with bare numbers in place of constants. */
    private static final class Unlike extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    private final List<String> names;
    private final String xSymbol;
    private final Unit y;
    private final Unit x;
    /** Sums that must be nought: powers of the parameters' units, then of y's and of x's. */
    private final List<double[]> equations = new ArrayList<>();
    /** Parameters, and after them powers whose exponent is a parameter, so that their unit is open. */
    private final int unknowns;
    private int open;

    private ParameterUnits(Formula model, List<String> names, String xSymbol, Unit y, Unit x) {
        unknowns = names.size() + openPowers(model.root());
        this.names = names;
        this.xSymbol = xSymbol;
        this.y = y;
        this.x = x;
    }

    /** The units that are determined, by name. */
    static Map<String, Unit> of(Formula model, List<String> names, String xSymbol, Unit y, Unit x) {
        ParameterUnits work = new ParameterUnits(model, names, xSymbol, y, x);
        Map<String, Unit> found = new LinkedHashMap<>();
        try {
            work.alike(work.size(model.root()), work.axis(y, 1, 0));
        } catch (Unlike e) {
            return found;
        }
        for (double[] row : work.solved()) {
            int own = -1;
            int others = 0;
            for (int k = 0; k < work.unknowns; k++) {
                if (Math.abs(row[k]) > EPSILON) {
                    own = own < 0 ? k : own;
                    others++;
                }
            }
            if (own < 0 && (Math.abs(row[work.unknowns]) > EPSILON || Math.abs(row[work.unknowns + 1]) > EPSILON)) {
                return Map.of();
            }
            if (others == 1 && own < names.size()) {
                try {
                    found.put(names.get(own), FitKind.product(y, rounded(-row[work.unknowns]), x, rounded(-row[work.unknowns + 1])));
                } catch (ArithmeticException e) {
                    // A power finer than units can have.
                    found.remove(names.get(own));
                }
            }
        }
        return found;
    }

    private static double rounded(double power) {
        return Math.rint(power * 12) / 12 + 0.0;
    }

    private double[] none() {
        return new double[unknowns + 2];
    }

    /** The size of an axis: equal units on both are one and the same. */
    private double[] axis(Unit unit, double yPower, double xPower) {
        double[] v = none();
        if (!unit.dimension().isNone()) {
            boolean same = y.sameKind(x) && y.factor() == x.factor();
            v[unknowns] = same ? yPower + xPower : yPower;
            v[unknowns + 1] = same ? 0 : xPower;
        }
        return v;
    }

    private void alike(double[] a, double[] b) {
        double[] row = none();
        for (int i = 0; i < row.length; i++) {
            row[i] = a[i] - b[i];
        }
        equations.add(row);
    }

    private static double[] combined(double[] a, double ka, double[] b, double kb) {
        double[] out = new double[a.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = ka * a[i] + kb * b[i];
        }
        return out;
    }

    private double[] size(Node n) {
        switch (n.kind()) {
            case NUMBER:
                return none();
            case UNIT:
                // Numbers are those of the axes here, so a unit in the formula would be counted twice.
                throw new Unlike();
            case SYMBOL:
                if (n.text().equals(xSymbol)) {
                    return axis(x, 0, 1);
                }
                int k = names.indexOf(n.text());
                double[] own = none();
                if (k >= 0) {
                    own[k] = 1;
                }
                return own;
            case SUM:
            case DIFFERENCE:
                double[] left = size(n.left());
                alike(left, size(n.right()));
                return left;
            case PRODUCT:
                return combined(size(n.left()), 1, size(n.right()), 1);
            case QUOTIENT:
                return combined(size(n.left()), 1, size(n.right()), -1);
            case NEGATIVE:
                return size(n.left());
            case POWER:
                return power(n);
            default:
                return function(n);
        }
    }

    private double[] power(Node n) {
        double[] base = size(n.left());
        Formula exponent = new Formula(n.right());
        if (exponent.symbols().isEmpty()) {
            return combined(base, exponent.value(Map.of()), none(), 0);
        }
        alike(size(n.right()), none());
        double[] result = none();
        result[names.size() + open++] = isNone(base) ? 0 : 1;
        return result;
    }

    private static boolean isNone(double[] size) {
        for (double v : size) {
            if (v != 0) {
                return false;
            }
        }
        return true;
    }

    private static int openPowers(Node n) {
        int count = n.kind() == Node.Kind.POWER && !new Formula(n.right()).symbols().isEmpty() ? 1 : 0;
        for (Node arg : n.args()) {
            count += openPowers(arg);
        }
        return count;
    }

    private double[] function(Node n) {
        double[] first = n.args().isEmpty() ? none() : size(n.args().get(0));
        switch (Function.named(n.text())) {
            case ABS:
                return first;
            case SQRT:
                return combined(first, 0.5, first, 0);
            case CBRT:
                return combined(first, 1.0 / 3, first, 0);
            case MIN:
            case MAX:
                n.args().forEach(a -> alike(first, size(a)));
                return first;
            default:
                alike(first, none());
                return none();
        }
    }

    /** Gauss and Jordan's elimination. */
    private List<double[]> solved() {
        List<double[]> left = new ArrayList<>(equations);
        List<double[]> done = new ArrayList<>();
        for (int k = 0; k < unknowns; k++) {
            double[] pivot = null;
            for (double[] row : left) {
                if (Math.abs(row[k]) > EPSILON && (pivot == null || Math.abs(row[k]) > Math.abs(pivot[k]))) {
                    pivot = row;
                }
            }
            if (pivot == null) {
                continue;
            }
            left.remove(pivot);
            double lead = pivot[k];
            for (int i = 0; i < pivot.length; i++) {
                pivot[i] /= lead;
            }
            for (List<double[]> rows : List.of(done, left)) {
                for (double[] row : rows) {
                    double share = row[k];
                    for (int i = 0; i < row.length; i++) {
                        row[i] -= share * pivot[i];
                    }
                }
            }
            done.add(pivot);
        }
        done.addAll(left);
        return done;
    }
}
