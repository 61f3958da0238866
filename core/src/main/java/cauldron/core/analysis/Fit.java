package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.UnitCheck;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A fit asked for on a graph: which columns, which kind of curve, which points. Asked for by
 * {@code {x, y, kind, formula?, start?: {name: number}, weighted?, from?, to?, follows?: [{name, formula}], unitsAsked?,
 * found?: {name: unit}, plain?}}, where kind {@code own} means the student's formula in the columns' symbols and
 * further letters, which are its parameters. {@code follows} asks for quantities worked out from the parameters;
 * {@code unitsAsked} keeps units back that aren't {@code found}; {@code plain} keeps ± back.
 */
public final class Fit {

    private static final int MOST_RESIDUALS = 2000;
    /** How many figures a value without its uncertainty has. */
    private static final int PLAIN_FIGURES = 4;

    private static final int MOST_ROUNDS = 20;
    /** Part of an uncertainty by which a parameter may still move when weights are settled. */
    private static final double STANDS = 1e-6;

    private final DataTable.Column x;
    private final DataTable.Column y;
    private final FitKind kind;
    private final Formula model;
    private final String symbol;
    private final CurveFit.Result result;
    private final int[] rows;
    private final Map<String, Object> asked;
    /** Units of the parameters of a model of one's own, where the axes determine them. */
    private final Map<String, Unit> own;

    private Fit(DataTable.Column x, DataTable.Column y, FitKind kind, Formula model, String symbol, CurveFit.Result result,
                int[] rows, Map<String, Object> asked) {
        this.x = x;
        this.y = y;
        this.kind = kind;
        this.model = model;
        this.symbol = symbol;
        this.result = result;
        this.rows = rows;
        this.asked = asked;
        own = kind != null ? Map.of() : ParameterUnits.of(model, result.names(), symbol, y.unit(), x.unit());
    }

    /**
     * Fits.
     *
     * @throws IllegalArgumentException with the reason why there is no fit
     */
    public static Fit of(DataTable table, Map<String, Object> asked) {
        DataTable.Column x = table.need(Tree.text(asked, "x"));
        DataTable.Column y = table.need(Tree.text(asked, "y"));
        double from = Tree.number(asked, "from", Double.NEGATIVE_INFINITY);
        double to = Tree.number(asked, "to", Double.POSITIVE_INFINITY);
        int[] rows = new int[x.values().length];
        int n = 0;
        for (int i = 0; i < rows.length; i++) {
            double at = x.values()[i];
            if (!table.out()[i] && isNumber(at) && isNumber(y.values()[i]) && at >= from && at <= to) {
                rows[n++] = i;
            }
        }
        rows = java.util.Arrays.copyOf(rows, n);
        double[] xs = new double[rows.length];
        double[] ys = new double[rows.length];
        double[] sigma = new double[rows.length];
        for (int k = 0; k < rows.length; k++) {
            xs[k] = x.values()[rows[k]];
            ys[k] = y.values()[rows[k]];
            sigma[k] = y.uncertainties()[rows[k]];
        }
        boolean weighted = Tree.flag(asked, "weighted");
        if (weighted) {
            refuseUnsure(sigma, y.symbol());
        }
        boolean upright = xs.length > 1;
        for (double v : xs) {
            upright &= v == xs[0];
        }
        if (upright) {
            throw new IllegalArgumentException("All points have the same " + x.symbol() + ", so no curve fits");
        }
        String kindId = Tree.text(asked, "kind");
        Map<String, Double> start = new LinkedHashMap<>();
        FitKind kind = null;
        Formula model;
        String symbol = "x";
        List<String> names;
        if (kindId.equals("own")) {
            String typed = Tree.text(asked, "formula", "");
            symbol = x.symbol();
            names = parameters(typed, symbol);
            if (names.isEmpty()) {
                throw new FormulaException("The formula has no parameters. Use letters for what is to be found, such as a × "
                        + symbol + " + b", 0);
            }
            model = CurveFit.read(typed, symbol, names);
            Map<String, Object> given = asked.containsKey("start") ? Tree.map(asked, "start") : Map.of();
            for (String name : names) {
                if (given.get(name) instanceof Number) {
                    start.put(name, ((Number) given.get(name)).doubleValue());
                }
            }
        } else {
            kind = FitKind.get(kindId);
            names = kind.names();
            model = CurveFit.read(kind.formula(), "x", names);
        }
        CurveFit fit = new CurveFit(model, symbol, names, xs, ys, weighted ? sigma : null);
        CurveFit.Result result = kind == null ? fit.fit(start, false) : fit.fit(kind.start(xs, ys), true);
        if (weighted) {
            double[] along = new double[rows.length];
            boolean uncertain = false;
            for (int k = 0; k < rows.length; k++) {
                along[k] = x.uncertainties()[rows[k]] > 0 ? x.uncertainties()[rows[k]] : 0;
                uncertain |= along[k] > 0;
            }
            result = uncertain ? effective(model, symbol, names, xs, ys, sigma, along, result) : result;
        }
        CurveFit.Result found = FitNoise.without(kind == null ? result : tidy(kind, result), model, symbol, xs, ys);
        return new Fit(x, y, kind, model, symbol, found, rows, asked);
    }

    /**
     * Weights by uncertainties along both axes: an uncertainty of x counts as one of y by the curve's slope there,
     * σ² = σ_y² + (f'(x) σ_x)² (the effective variance: J. Orear, Am. J. Phys. 50 (1982) 912), taken anew until it stands.
     */
    private static CurveFit.Result effective(Formula model, String symbol, List<String> names, double[] xs, double[] ys,
            double[] sigma, double[] along, CurveFit.Result first) {
        CurveFit.Result result = first;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double[] both = new double[xs.length];
            double[] left = new double[xs.length];
            double[] right = new double[xs.length];
            for (int i = 0; i < xs.length; i++) {
                double h = Math.max(1e-6 * Math.abs(xs[i]), 1e-3 * along[i]) + 1e-300;
                left[i] = xs[i] - h;
                right[i] = xs[i] + h;
            }
            double[] below = CurveFit.curve(model, symbol, result, left);
            double[] above = CurveFit.curve(model, symbol, result, right);
            for (int i = 0; i < xs.length; i++) {
                double slope = (above[i] - below[i]) / (right[i] - left[i]);
                double part = Double.isNaN(slope) || Double.isInfinite(slope) ? 0 : slope * along[i];
                both[i] = Math.sqrt(sigma[i] * sigma[i] + part * part);
            }
            Map<String, Double> from = new LinkedHashMap<>();
            double moved = 0;
            for (int k = 0; k < names.size(); k++) {
                from.put(names.get(k), result.values()[k]);
            }
            CurveFit.Result next = new CurveFit(model, symbol, names, xs, ys, both).fit(from, true);
            for (int k = 0; k < names.size(); k++) {
                moved = Math.max(moved, Math.abs(next.values()[k] - result.values()[k]) / (next.uncertainties()[k] + 1e-300));
            }
            result = next;
            if (moved < STANDS) {
                break;
            }
        }
        return result;
    }

    private static boolean isNumber(double v) {
        return !Double.isNaN(v) && !Double.isInfinite(v);
    }

    private static void refuseUnsure(double[] sigma, String symbol) {
        for (double s : sigma) {
            if (!(s > 0)) {
                throw new IllegalArgumentException("To weight the points, each needs an uncertainty of " + symbol
                        + ". Give the column one, or let all points count alike");
            }
        }
    }

    /** Letters of a typed model that are no functions and not the column's symbol, in the order they come in. */
    public static List<String> parameters(String typed, String symbol) {
        Set<String> found = new LinkedHashSet<>();
        int i = typed.indexOf('=') + 1;
        while (i < typed.length()) {
            char c = typed.charAt(i);
            if (!Character.isLetter(c)) {
                // 2e5 is a number, not 2 times e5.
                i += isExponent(typed, i) ? 2 : 1;
                continue;
            }
            int end = i + 1;
            while (end < typed.length() && c != 'π' && typed.charAt(end) != 'π'
                    && (Character.isLetterOrDigit(typed.charAt(end)) || typed.charAt(end) == '_')) {
                end++;
            }
            String word = typed.substring(i, end);
            if (typed.startsWith(symbol, i) && symbol.length() >= word.length()) {
                i += symbol.length();
                continue;
            }
            if (Function.named(word) == null && !word.equals("π") && !word.equals("pi")) {
                found.add(word);
            }
            i = end;
        }
        return new ArrayList<>(found);
    }

    private static boolean isExponent(String text, int at) {
        return Character.isDigit(text.charAt(at)) && at + 2 < text.length() && (text.charAt(at + 1) == 'e' || text.charAt(at + 1) == 'E')
                && (Character.isDigit(text.charAt(at + 2)) || text.charAt(at + 2) == '-' || text.charAt(at + 2) == '+');
    }

    /** Amplitude, period and width above zero, phase within a turn: the same curve said in the usual way. */
    private static CurveFit.Result tidy(FitKind kind, CurveFit.Result r) {
        double[] v = r.values().clone();
        double[][] covariances = new double[v.length][];
        for (int k = 0; k < v.length; k++) {
            covariances[k] = r.covariances()[k].clone();
        }
        List<String> names = r.names();
        if (kind.id().equals("normal") && v[names.indexOf("σ")] < 0) {
            turn(names.indexOf("σ"), v, covariances);
        }
        if (kind.id().endsWith("sine")) {
            int a = names.indexOf("A");
            int t = names.indexOf("T");
            int phase = names.indexOf("φ");
            if (v[t] < 0) {
                // sin(−ωx + φ) is −sin(ωx − φ).
                turn(t, v, covariances);
                turn(phase, v, covariances);
                turn(a, v, covariances);
            }
            if (v[a] < 0) {
                turn(a, v, covariances);
                v[phase] += Math.PI;
            }
            v[phase] -= 2 * Math.PI * Math.rint(v[phase] / (2 * Math.PI));
        }
        return new CurveFit.Result(names, v, r.uncertainties(), covariances, r.points(), r.sumOfSquares(), r.rms(), r.rSquared(),
                r.centred(), r.fitted(), r.note());
    }

    private static void turn(int k, double[] v, double[][] covariances) {
        v[k] = -v[k];
        for (int l = 0; l < v.length; l++) {
            if (l != k) {
                covariances[k][l] = -covariances[k][l];
                covariances[l][k] = -covariances[l][k];
            }
        }
    }

    /** What was found, in numbers of the shown units. */
    public CurveFit.Result result() {
        return result;
    }

    /** Whether it is one of {@link FitKind}'s, whose parameters are known to be places or differences. */
    boolean isOfKind() {
        return kind != null;
    }

    /** The unit of the axis along, where a straight line was fitted and that axis has a zero of its own; else null. */
    Unit shiftedAxis() {
        return kind != null && kind.id().equals("line") && x.unit().offset() != 0 ? x.unit() : null;
    }

    /** The unit of a parameter; null where it isn't fixed. */
    Unit unit(int parameter) {
        return kind == null ? own.get(result.names().get(parameter)) : kind.parameters().get(parameter).unit(y.unit(), x.unit());
    }

    /** The curve's heights at places along x, in the shown units. */
    public double[] curve(double[] at) {
        return CurveFit.curve(model, symbol, result, at);
    }

    /** The curve's gradient at a place, in the shown units, by central differences of a millionth of the range. */
    public double gradient(double at, double range) {
        double step = 1e-5 * range;
        double[] ends = curve(new double[] {at - step, at + step});
        return (ends[1] - ends[0]) / (2 * step);
    }

    /** As people read it, and the residuals by row; of very many points none, for nobody could tell them apart. */
    public Map<String, Object> toTree() {
        List<Object> parameters = new ArrayList<>();
        for (int k = 0; k < result.names().size(); k++) {
            parameters.add(quantity(result.names().get(k), kind == null ? "" : kind.parameters().get(k).meaning(), result.values()[k],
                    result.uncertainties()[k], unit(k), unitText(k)));
        }
        List<Object> follows = new ArrayList<>();
        for (Map<String, Object> f : asked.containsKey("follows") ? Tree.maps(asked, "follows") : List.<Map<String, Object>>of()) {
            follows.add(following(Tree.text(f, "name", ""), Tree.text(f, "formula", "")));
        }
        List<Object> residuals = new ArrayList<>();
        List<Object> at = new ArrayList<>();
        for (int k = 0; k < rows.length && rows.length <= MOST_RESIDUALS; k++) {
            at.add((double) rows[k]);
            residuals.add(y.values()[rows[k]] - result.fitted()[k]);
        }
        return Tree.of("points", (double) result.points(), "parameters", parameters, "follows", follows, "equation", equation(),
                "rSquared", Numbers.fixed(result.rSquared(), 4), "aboutZero", !result.centred(), "rms", Numbers.print(result.rms(), 3)
                        + (y.unit().symbol().isEmpty() || Tree.flag(asked, "unitsAsked") ? "" : " " + y.unit().symbol()), "rows", at, "residuals", residuals,
                "note", result.note());
    }

    private Map<String, Object> following(String name, String typed) {
        try {
            FromFit f = FromFit.of(this, typed);
            Map<String, Object> tree = quantity(name, "", f.value(), f.uncertainty(), f.unit(), f.unit().symbol());
            tree.put("formula", f.formula().toString());
            return tree;
        } catch (FormulaException e) {
            return Tree.of("name", name, "formula", typed, "error", e.getMessage(), "at", (double) e.position());
        }
    }

    /** A number with what is known and may be shown of it. */
    private Map<String, Object> quantity(String name, String meaning, double value, double uncertainty, Unit unit, String unitText) {
        UnitCheck check = UnitCheck.of(Tree.text(found(), name, ""), unit == null ? Unit.ONE : unit);
        boolean asks = Tree.flag(asked, "unitsAsked") && unit != null;
        return Tree.of("name", name, "meaning", meaning, "value", value, "uncertainty", Double.isNaN(uncertainty) ? null : (Object) uncertainty,
                "text", spaced(printed(value, uncertainty), asks && !check.right() ? "" : unitText), "unit", unit == null ? "" : unit.symbol(),
                "unitFixed", unit != null, "unitAsked", asks, "unitFound", check.right(), "unitHint", check.note());
    }

    private Map<String, Object> found() {
        return asked.containsKey("found") ? Tree.map(asked, "found") : Map.of();
    }

    private String unitText(int k) {
        Unit unit = unit(k);
        return unit != null ? unit.symbol() : kind != null ? kind.openUnit(y.unit(), x.unit()) : "";
    }

    private static String spaced(String number, String unit) {
        return unit.isEmpty() ? number : number + " " + unit;
    }

    private String printed(double value, double uncertainty) {
        return Tree.flag(asked, "plain") ? Numbers.print(value, PLAIN_FIGURES) : Numbers.printWithUncertainty(value, uncertainty);
    }

    private String equation() {
        if (kind == null) {
            return y.symbol() + " = " + model;
        }
        String text = kind.equation().replace("{x}", x.symbol()).replace("{y}", y.symbol());
        for (int k = 0; k < result.names().size(); k++) {
            String value = printed(result.values()[k], result.uncertainties()[k]);
            boolean back = Tree.flag(asked, "unitsAsked")
                    && !UnitCheck.of(Tree.text(found(), result.names().get(k), ""), unit(k) == null ? Unit.ONE : unit(k)).right();
            boolean bracket = value.contains("±") || value.startsWith("\u2212");
            String full = spaced(bracket && !value.startsWith("(") ? "(" + value + ")" : value, back ? "" : unitText(k));
            text = text.replace("{" + result.names().get(k) + "}", full);
        }
        return text;
    }
}
