package cauldron.core.analysis;

import cauldron.core.quantity.Dimension;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A formula over symbols in ordinary school algebra: {@code t/20}, {@code √L}, {@code 4π²L/T²}. Powers
 * bind to the right and before a sign, so −2² is −4; a product needs no sign between its factors; a unit in
 * quotes is one of it: {@code ln(T/"s")}. Evaluation is in SI units; {@link #dimension} finds out the unit
 * of the result.
 */
public final class Formula {

    private final Node root;

    Formula(Node root) {
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

    Node root() {
        return root;
    }

    /** The symbols that occur, in order. */
    public Set<String> symbols() {
        Set<String> found = new LinkedHashSet<>();
        collect(root, found);
        return found;
    }

    private static void collect(Node node, Set<String> found) {
        if (node.kind() == Node.Kind.SYMBOL) {
            found.add(node.text());
        }
        node.args().forEach(a -> collect(a, found));
    }

    /** The value in SI for values in SI; NaN where it has none. */
    public double value(Map<String, Double> values) {
        Map<String, Evaluation.Value> columns = new LinkedHashMap<>();
        values.forEach((symbol, v) -> columns.put(symbol, new Evaluation.Value(new double[] {v}, null)));
        return new Evaluation(columns, 1, new boolean[1]).of(this).numbers()[0];
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
            case UNIT:
                return n.unit().dimension();
            case SYMBOL:
                return of.get(n.text());
            case SUM:
                return alike(n, "Can't add ", " to ", of);
            case DIFFERENCE:
                return alike(n, "Can't subtract ", " from ", of);
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

    /**
     * Whether the result is a difference of temperatures and no temperature: what doesn't change when every temperature
     * that goes in is raised by the same.
     *
     * @param places      symbols that stand for temperatures
     * @param differences symbols that stand for differences of temperatures
     */
    boolean isTemperatureDifference(Set<String> places, Set<String> differences) {
        if (symbols().stream().noneMatch(s -> places.contains(s) || differences.contains(s))) {
            return false;
        }
        Double weight = weight(root, places);
        return weight != null && Math.abs(weight) < 1e-12;
    }

    /** By how much the result rises when all temperatures rise by one; null where that isn't a fixed number. */
    private static Double weight(Node n, Set<String> places) {
        if (new Formula(n).symbols().stream().noneMatch(places::contains)) {
            return 0.0;
        }
        switch (n.kind()) {
            case SYMBOL:
                return 1.0;
            case NEGATIVE:
                return times(weight(n.left(), places), -1);
            case SUM:
                return plus(weight(n.left(), places), weight(n.right(), places), 1);
            case DIFFERENCE:
                return plus(weight(n.left(), places), weight(n.right(), places), -1);
            case PRODUCT:
                return isNumber(n.left()) ? times(weight(n.right(), places), number(n.left()))
                        : isNumber(n.right()) ? times(weight(n.left(), places), number(n.right())) : null;
            case QUOTIENT:
                return isNumber(n.right()) ? times(weight(n.left(), places), 1 / number(n.right())) : null;
            case FUNCTION:
                return weightOfFunction(n, places);
            default:
                return null;
        }
    }

    private static Double weightOfFunction(Node n, Set<String> places) {
        switch (Function.named(n.text())) {
            case MEAN:
            case MEDIAN:
            case MIN:
            case MAX:
            case PREV:
            case NEXT:
            case INTERCEPT:
                return weight(n.left(), places);
            case SD:
            case SE:
                return 0.0;
            case ABS:
                Double inside = weight(n.left(), places);
                return inside != null && inside == 0 ? inside : null;
            default:
                return null;
        }
    }

    private static Double times(Double weight, double k) {
        return weight == null ? null : (Double) (weight * k);
    }

    private static Double plus(Double a, Double b, double sign) {
        return a == null || b == null ? null : (Double) (a + sign * b);
    }

    private static boolean isNumber(Node n) {
        return n.kind() == Node.Kind.NUMBER || n.kind() == Node.Kind.NEGATIVE && isNumber(n.left());
    }

    private static double number(Node n) {
        return n.kind() == Node.Kind.NEGATIVE ? -number(n.left()) : n.number();
    }

    /** What whoever typed it should know, though nothing is wrong with it; or null. */
    public String note() {
        return note(root);
    }

    private static String note(Node n) {
        if (n.kind() == Node.Kind.FUNCTION && n.args().size() == 1 && isNumber(n.left()) && Math.abs(number(n.left())) > 2 * Math.PI) {
            Function f = Function.named(n.text());
            if (f == Function.SIN || f == Function.COS || f == Function.TAN) {
                String typed = FormulaPrinter.text(n.left());
                return n.text() + "(" + typed + ") takes " + typed + " as radians. For degrees write " + n.text() + "(" + typed + "°)";
            }
        }
        for (Node arg : n.args()) {
            String note = note(arg);
            if (note != null) {
                return note;
            }
        }
        return null;
    }

    private static Dimension alike(Node n, String verb, String joint, Map<String, Dimension> of) {
        Dimension a = dimension(n.left(), of);
        Dimension b = dimension(n.right(), of);
        if (!a.equals(b)) {
            throw new FormulaException(verb + named(b) + joint + named(a) + kelvinHint(n, a, b), n.position());
        }
        return a;
    }

    /** Temperatures are calculated with in kelvins already: what turns degrees into kelvins would count twice. */
    private static String kelvinHint(Node n, Dimension a, Dimension b) {
        Dimension kelvin = Units.parse("K").dimension();
        Node number = a.equals(kelvin) && b.isNone() ? n.right() : b.equals(kelvin) && a.isNone() ? n.left() : null;
        boolean zero = number != null && isNumber(number) && Math.abs(Math.abs(number(number)) - 273.15) < 1;
        return zero ? ". Temperatures are calculated with in kelvins already: leave " + FormulaPrinter.text(number)
                + " away, and give this column the unit K" : "";
    }

    private static Dimension power(Node n, Map<String, Dimension> of) {
        Dimension base = dimension(n.left(), of);
        if (!dimension(n.right(), of).isNone()) {
            throw new FormulaException("A power must be a pure number", n.position());
        }
        if (base.isNone()) {
            return base;
        }
        Formula exponent = new Formula(n.right());
        if (!exponent.symbols().isEmpty() || new Formula(n.right()).worksAcross()) {
            throw new FormulaException("The power of a quantity with a unit must be a fixed number", n.position());
        }
        return raised(base, exponent.value(Map.of()), n.position());
    }

    private static Dimension raised(Dimension base, double exponent, int position) {
        try {
            return base.power(exponent);
        } catch (ArithmeticException e) {
            throw new FormulaException("That power of " + named(base) + " has no unit", position);
        }
    }

    private static Dimension functionDimension(Node n, Map<String, Dimension> of) {
        List<Dimension> in = new ArrayList<>();
        n.args().forEach(a -> in.add(dimension(a, of)));
        Function f = Function.named(n.text());
        switch (f) {
            case ROW:
            case COUNT:
                return Dimension.NONE;
            case SQRT:
                return raised(in.get(0), 0.5, n.position());
            case CBRT:
                return raised(in.get(0), 1.0 / 3, n.position());
            case RATE:
            case SLOPE:
                return in.get(0).over(in.get(1));
            case AREA:
                return in.get(0).times(in.get(1));
            case INTERCEPT:
                return in.get(0);
            case MIN:
            case MAX:
                for (Dimension d : in) {
                    if (!d.equals(in.get(0))) {
                        throw new FormulaException("Can't compare " + named(d) + " with " + named(in.get(0)), n.position());
                    }
                }
                return in.get(0);
            case ABS:
            case MEAN:
            case SUM:
            case SD:
            case SE:
            case MEDIAN:
            case RUNSUM:
            case PREV:
            case NEXT:
                return in.get(0);
            default:
                if (!in.get(0).isNone()) {
                    throw new FormulaException(n.text() + " needs a pure number or an angle, not " + named(in.get(0))
                            + ". Divide by the unit first, in quotes: " + n.text() + "(… / \""
                            + Units.coherent(in.get(0)).symbol() + "\")", n.position());
                }
                return Dimension.NONE;
        }
    }

    /** Whether any part of it needs other rows. */
    boolean worksAcross() {
        return worksAcross(root);
    }

    private static boolean worksAcross(Node n) {
        if (n.kind() == Node.Kind.FUNCTION && Function.named(n.text()).across(n.args().size())) {
            return true;
        }
        return n.args().stream().anyMatch(Formula::worksAcross);
    }

    static String named(Dimension d) {
        return d.isNone() ? "a pure number" : "a quantity in " + Units.coherent(d).symbol();
    }

    /** The formula typed anew, with only the brackets it needs. Reading it gives the same formula again. */
    @Override
    public String toString() {
        return FormulaPrinter.text(root);
    }

    /** The formula as MathML, for a look at what was meant. */
    public String mathMl() {
        return FormulaPrinter.mathMl(root);
    }
}
