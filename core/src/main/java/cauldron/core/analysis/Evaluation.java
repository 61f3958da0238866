package cauldron.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Works formulas out over all rows of a table at once, with first derivatives where they are asked for
 * (forward differentiation; A. Griewank, A. Walther, Evaluating Derivatives, ch. 3).
 */
final class Evaluation {

    /**
     * A column of numbers in SI.
     *
     * @param partials null where it depends on nothing that counts
     */
    record Value(double[] numbers, Partials partials) {
    }

    private final Map<String, Value> columns;
    private final int rows;
    private final ColumnFunctions across;

    /**
     * @param columns columns by symbol, in SI
     * @param out     rows that functions of a whole column pass over
     */
    Evaluation(Map<String, Value> columns, int rows, boolean[] out) {
        this(columns, rows, out, null);
    }

    /** @param sources for what is uncertain besides the columns, or null */
    Evaluation(Map<String, Value> columns, int rows, boolean[] out, ColumnFunctions.Sources sources) {
        this.columns = columns;
        this.rows = rows;
        this.across = new ColumnFunctions(rows, out, sources);
    }

    Value of(Formula formula) {
        return of(formula.root());
    }

    private Value of(Node n) {
        switch (n.kind()) {
            case NUMBER:
                return new Value(filled(n.number()), null);
            case UNIT:
                return new Value(filled(n.unit().factor()), null);
            case SYMBOL:
                Value v = columns.get(n.text());
                return v == null ? new Value(filled(Double.NaN), null) : v;
            case NEGATIVE:
                Value x = of(n.left());
                return unary(x, i -> -x.numbers()[i], i -> -1);
            case FUNCTION:
                return function(n);
            default:
                return binary(n.kind(), of(n.left()), of(n.right()));
        }
    }

    private double[] filled(double number) {
        return filled(rows, number);
    }

    // Not by Arrays.fill: in the browser that is one function for arrays of all types, and slow for it.
    static double[] filled(int rows, double number) {
        double[] out = new double[rows];
        for (int i = 0; i < rows; i++) {
            out[i] = number;
        }
        return out;
    }

    /** What a row gives. */
    private interface ByRow {
        double at(int i);
    }

    private Value unary(Value x, ByRow value, ByRow slope) {
        double[] out = new double[rows];
        for (int i = 0; i < rows; i++) {
            out[i] = value.at(i);
        }
        return new Value(out, chained(x, slope, null, null));
    }

    private Partials chained(Value a, ByRow ka, Value b, ByRow kb) {
        Partials pa = a.partials();
        Partials pb = b == null ? null : b.partials();
        if (pa == null && pb == null) {
            return null;
        }
        return pa == null ? pb.chain(each(kb), null, null) : pa.chain(each(ka), pb, pb == null ? null : each(kb));
    }

    private double[] each(ByRow slope) {
        double[] k = new double[rows];
        for (int i = 0; i < rows; i++) {
            k[i] = slope.at(i);
        }
        return k;
    }

    private Value binary(Node.Kind kind, Value left, Value right) {
        double[] a = left.numbers();
        double[] b = right.numbers();
        double[] out = new double[rows];
        switch (kind) {
            case SUM:
                for (int i = 0; i < rows; i++) {
                    out[i] = a[i] + b[i];
                }
                return new Value(out, chained(left, i -> 1, right, i -> 1));
            case DIFFERENCE:
                for (int i = 0; i < rows; i++) {
                    out[i] = a[i] - b[i];
                }
                return new Value(out, chained(left, i -> 1, right, i -> -1));
            case PRODUCT:
                for (int i = 0; i < rows; i++) {
                    out[i] = a[i] * b[i];
                }
                return new Value(out, chained(left, i -> b[i], right, i -> a[i]));
            case QUOTIENT:
                for (int i = 0; i < rows; i++) {
                    out[i] = a[i] / b[i];
                }
                return new Value(out, chained(left, i -> 1 / b[i], right, i -> -out[i] / b[i]));
            default:
                for (int i = 0; i < rows; i++) {
                    out[i] = Math.pow(a[i], b[i]);
                }
                return new Value(out, chained(left, i -> b[i] == 0 ? 0 : b[i] * Math.pow(a[i], b[i] - 1),
                        right, i -> a[i] == 0 ? 0 : out[i] * Math.log(a[i])));
        }
    }

    private Value function(Node n) {
        List<Value> args = new ArrayList<>();
        n.args().forEach(a -> args.add(of(a)));
        Function f = Function.named(n.text());
        if (f.across(args.size())) {
            return across.of(f, args, FormulaPrinter.text(new Node(Node.Kind.FUNCTION, 0, "row", null, n.args(), 0)));
        }
        Value x = args.get(0);
        double[] v = x.numbers();
        switch (f) {
            case SQRT:
                return unary(x, i -> Math.sqrt(v[i]), i -> 0.5 / Math.sqrt(v[i]));
            case CBRT:
                return unary(x, i -> Math.cbrt(v[i]), i -> Math.cbrt(v[i]) / (3 * v[i]));
            case ABS:
                return unary(x, i -> Math.abs(v[i]), i -> Math.signum(v[i]));
            case LN:
                return unary(x, i -> Math.log(v[i]), i -> 1 / v[i]);
            case LOG:
                return unary(x, i -> Math.log10(v[i]), i -> 1 / (v[i] * Math.log(10)));
            case EXP:
                return unary(x, i -> Math.exp(v[i]), i -> Math.exp(v[i]));
            case SIN:
                return unary(x, i -> Math.sin(v[i]), i -> Math.cos(v[i]));
            case COS:
                return unary(x, i -> Math.cos(v[i]), i -> -Math.sin(v[i]));
            case TAN:
                return unary(x, i -> Math.tan(v[i]), i -> 1 + Math.tan(v[i]) * Math.tan(v[i]));
            case ASIN:
                return unary(x, i -> Math.asin(v[i]), i -> 1 / Math.sqrt(1 - v[i] * v[i]));
            case ACOS:
                return unary(x, i -> Math.acos(v[i]), i -> -1 / Math.sqrt(1 - v[i] * v[i]));
            case ATAN:
                return unary(x, i -> Math.atan(v[i]), i -> 1 / (1 + v[i] * v[i]));
            default:
                return extreme(f == Function.MIN ? -1 : 1, args);
        }
    }

    /** The smallest or largest of several in each row; the first of equals counts. */
    private Value extreme(int sign, List<Value> args) {
        Value best = args.get(0);
        for (Value next : args.subList(1, args.size())) {
            double[] a = best.numbers();
            double[] b = next.numbers();
            boolean[] second = new boolean[rows];
            double[] out = new double[rows];
            for (int i = 0; i < rows; i++) {
                second[i] = sign * b[i] > sign * a[i];
                out[i] = Double.isNaN(b[i]) ? b[i] : second[i] ? b[i] : a[i];
            }
            best = new Value(out, chained(best, i -> second[i] ? 0 : 1, next, i -> second[i] ? 1 : 0));
        }
        return best;
    }
}
