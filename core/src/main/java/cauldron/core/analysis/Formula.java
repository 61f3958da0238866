package cauldron.core.analysis;

import cauldron.core.quantity.Dimension;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A formula over symbols in ordinary school algebra: {@code t/20}, {@code √L}, {@code 4π²L/T²}. Powers
 * bind to the right and before a sign, so −2² is −4; a product needs no sign between its factors.
 * Evaluation is in SI units; {@link #dimension} finds out the unit of the result.
 */
public final class Formula {

    /** The kinds of node; FUNCTION holds its name in {@code text}. */
    enum Kind { NUMBER, SYMBOL, SUM, DIFFERENCE, PRODUCT, QUOTIENT, POWER, NEGATIVE, FUNCTION }

    /** One node of the formula's tree. */
    record Node(Kind kind, double number, String text, Node left, Node right, int position) {
    }

    private final Node root;

    private Formula(Node root) {
        this.root = root;
    }

    /**
     * Reads a formula.
     *
     * @param symbols what may be used in it besides numbers, π and functions
     * @throws FormulaException pointing at the place
     */
    public static Formula parse(String text, Set<String> symbols) {
        return new Formula(new FormulaReader(text, symbols).read());
    }

    /** The symbols that occur, in order. */
    public Set<String> symbols() {
        Set<String> found = new LinkedHashSet<>();
        List<Node> open = new ArrayList<>(List.of(root));
        while (!open.isEmpty()) {
            Node node = open.remove(0);
            if (node.kind() == Kind.SYMBOL) {
                found.add(node.text());
            }
            if (node.left() != null) {
                open.add(node.left());
            }
            if (node.right() != null) {
                open.add(node.right());
            }
        }
        return found;
    }

    /** The value in SI for values in SI; NaN where it has none. */
    public double value(Map<String, Double> values) {
        return value(root, values);
    }

    private static double value(Node n, Map<String, Double> values) {
        switch (n.kind()) {
            case NUMBER:
                return n.number();
            case SYMBOL:
                Double v = values.get(n.text());
                return v == null ? Double.NaN : v;
            case SUM:
                return value(n.left(), values) + value(n.right(), values);
            case DIFFERENCE:
                return value(n.left(), values) - value(n.right(), values);
            case PRODUCT:
                return value(n.left(), values) * value(n.right(), values);
            case QUOTIENT:
                return value(n.left(), values) / value(n.right(), values);
            case POWER:
                return Math.pow(value(n.left(), values), value(n.right(), values));
            case NEGATIVE:
                return -value(n.left(), values);
            default:
                return function(n.text(), value(n.left(), values));
        }
    }

    private static double function(String name, double x) {
        switch (name) {
            case "sqrt":
                return Math.sqrt(x);
            case "abs":
                return Math.abs(x);
            case "ln":
                return Math.log(x);
            case "log":
                return Math.log10(x);
            case "exp":
                return Math.exp(x);
            case "sin":
                return Math.sin(x);
            case "cos":
                return Math.cos(x);
            default:
                return Math.tan(x);
        }
    }

    /**
     * The dimension of the result for dimensions of the symbols.
     *
     * @throws FormulaException where unlike quantities are added, or a function needs a pure number
     */
    public Dimension dimension(Map<String, Dimension> dimensions) {
        return dimension(root, dimensions);
    }

    private static Dimension dimension(Node n, Map<String, Dimension> of) {
        switch (n.kind()) {
            case NUMBER:
                return Dimension.NONE;
            case SYMBOL:
                return of.get(n.text());
            case SUM:
            case DIFFERENCE:
                Dimension a = dimension(n.left(), of);
                Dimension b = dimension(n.right(), of);
                if (!a.equals(b)) {
                    throw new FormulaException((n.kind() == Kind.SUM ? "Can't add " : "Can't subtract ")
                            + named(b) + (n.kind() == Kind.SUM ? " to " : " from ")
                            + named(a), n.position());
                }
                return a;
            case PRODUCT:
                return dimension(n.left(), of).times(dimension(n.right(), of));
            case QUOTIENT:
                return dimension(n.left(), of).over(dimension(n.right(), of));
            case NEGATIVE:
                return dimension(n.left(), of);
            case POWER:
                return power(n, of);
            default:
                return functionDimension(n, of);
        }
    }

    private static Dimension power(Node n, Map<String, Dimension> of) {
        Dimension base = dimension(n.left(), of);
        if (!dimension(n.right(), of).isNone()) {
            throw new FormulaException("A power must be a pure number", n.position());
        }
        if (base.isNone()) {
            return base;
        }
        if (!new Formula(n.right()).symbols().isEmpty()) {
            throw new FormulaException("The power of a quantity with a unit must be a fixed number", n.position());
        }
        try {
            return base.power(value(n.right(), Map.of()));
        } catch (ArithmeticException e) {
            throw new FormulaException("That power of " + named(base) + " has no unit", n.position());
        }
    }

    private static Dimension functionDimension(Node n, Map<String, Dimension> of) {
        Dimension inner = dimension(n.left(), of);
        if (n.text().equals("sqrt")) {
            return inner.power(0.5);
        }
        if (n.text().equals("abs")) {
            return inner;
        }
        if (!inner.isNone()) {
            throw new FormulaException(n.text() + " needs a pure number or an angle, not " + named(inner),
                    n.position());
        }
        return Dimension.NONE;
    }

    private static String named(Dimension d) {
        return d.isNone() ? "a pure number" : "a quantity in " + cauldron.core.quantity.Units.coherent(d).symbol();
    }
}
