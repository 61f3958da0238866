package cauldron.core.pooling;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.Fit;
import cauldron.core.analysis.LabColumns;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The tables of a class in one graph. Both axes are formulas over the lab's own columns, worked out in every student's
 * table and brought to the same units; each student's points are fitted by themselves, and all of them together.
 */
public final class Pool {

    /** A student's points, or those of them that belong to one group. */
    public static final int MOST_POINTS = 200;
    private static final int MOST_TABLES = 400;
    private static final int CURVE = 60;
    private static final int FIGURES = 4;

    /**
     * What is pooled.
     *
     * @param along formula over the lab's symbols
     * @param up    formula over the lab's symbols
     * @param kind  of curve that is fitted; empty: none
     */
    public record Asked(String along, String up, String kind) {
    }

    /**
     * A student's table.
     *
     * @param who    whose it is; comes back with the series
     * @param tree   as {@link DataTable} takes it
     * @param groups what each row belongs to, by the row's id; rows that aren't there belong to none
     */
    public record Source(String who, Map<String, Object> tree, Map<String, String> groups) {
    }

    /**
     * One student's points in one group.
     *
     * @param constants the fitted values, in the order of {@link Pool#constants}; empty where there is no fit
     * @param trouble   why there is none; empty where there is
     */
    public record Series(String who, String group, double[] x, double[] y, double[] constants, String trouble) {
    }

    /** An axis. */
    public record Axis(String formula, String unit) {
    }

    private final Asked asked;
    private final List<Map<String, Object>> lab;
    private final Unit along;
    private final Unit up;
    private final List<Series> series = new ArrayList<>();
    private final List<Constant> constants = new ArrayList<>();
    private Map<String, Object> whole = Map.of();
    private double[][] curve = {{}, {}};

    private Pool(Asked asked, List<Map<String, Object>> lab) {
        this.asked = asked;
        this.lab = lab;
        along = unit("along", asked.along());
        up = unit("up", asked.up());
    }

    /**
     * Pools.
     *
     * @param lab the lab's columns
     * @throws PoolException naming the axis whose formula can't be worked out
     */
    public static Pool of(Asked asked, List<Map<String, Object>> lab, List<Source> sources) {
        Pool pool = new Pool(asked, lab);
        sources.stream().limit(MOST_TABLES).forEach(pool::take);
        pool.fitAll();
        return pool;
    }

    private Unit unit(String axis, String formula) {
        DataTable.Column column = DataTable.whole(Tree.of("columns", lab, "rows", List.of()), formula);
        if (column.trouble() != null) {
            throw new PoolException(axis, column.trouble());
        }
        // A column by itself stays in the lab's own unit.
        return lab.stream().filter(c -> Tree.text(c, "symbol", "").equals(formula.strip())).findFirst()
                .map(c -> Units.parse(Tree.text(c, "unit", ""))).orElse(column.unit());
    }

    private void take(Source source) {
        Map<String, Object> tree = LabColumns.of(lab, source.tree());
        DataTable.Column xs = DataTable.whole(tree, asked.along());
        DataTable.Column ys = DataTable.whole(tree, asked.up());
        if (xs.trouble() != null || ys.trouble() != null || !xs.unit().sameKind(along) || !ys.unit().sameKind(up)) {
            return;
        }
        List<Map<String, Object>> rows = Tree.maps(tree, "rows");
        Map<String, List<double[]>> points = new LinkedHashMap<>();
        for (int i = 0; i < rows.size(); i++) {
            double x = along.fromSi(xs.unit().toSi(xs.values()[i]));
            double y = up.fromSi(ys.unit().toSi(ys.values()[i]));
            boolean out = !Tree.text(rows.get(i), "out", "").isBlank();
            if (!out && isNumber(x) && isNumber(y)) {
                points.computeIfAbsent(source.groups().getOrDefault(Tree.text(rows.get(i), "id"), ""),
                        g -> new ArrayList<>()).add(new double[] {x, y});
            }
        }
        points.forEach((group, list) -> {
            int n = Math.min(MOST_POINTS, list.size());
            double[] x = new double[n];
            double[] y = new double[n];
            for (int i = 0; i < n; i++) {
                x[i] = list.get(i)[0];
                y[i] = list.get(i)[1];
            }
            series.add(fitted(source.who(), group, x, y));
        });
    }

    private static boolean isNumber(double value) {
        return !Double.isNaN(value) && !Double.isInfinite(value);
    }

    private Series fitted(String who, String group, double[] x, double[] y) {
        if (asked.kind().isEmpty()) {
            return new Series(who, group, x, y, new double[0], "");
        }
        try {
            return new Series(who, group, x, y, fit(x, y).result().values(), "");
        } catch (IllegalArgumentException e) {
            return new Series(who, group, x, y, new double[0], e.getMessage());
        }
    }

    private Fit fit(double[] x, double[] y) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            rows.add(Tree.of("id", "r" + i, "cells", Tree.of("x", Double.toString(x[i]), "y", Double.toString(y[i]))));
        }
        List<Map<String, Object>> columns = List.of(column("x", "along", along), column("y", "up", up));
        return Fit.of(DataTable.of(Tree.of("columns", columns, "rows", rows)),
                Tree.of("x", "x", "y", "y", "kind", asked.kind()));
    }

    private static Map<String, Object> column(String id, String symbol, Unit unit) {
        return Tree.of("id", id, "name", symbol, "symbol", symbol, "unit", unit.symbol(), "kind", "measured");
    }

    /** All points of all together, and what the fits of all come to. */
    private void fitAll() {
        if (asked.kind().isEmpty()) {
            return;
        }
        double[] x = series.stream().flatMapToDouble(s -> Arrays.stream(s.x())).toArray();
        double[] y = series.stream().flatMapToDouble(s -> Arrays.stream(s.y())).toArray();
        try {
            Fit all = fit(x, y);
            whole = all.toTree();
            curve = new double[][] {places(x), all.curve(places(x))};
        } catch (IllegalArgumentException e) {
            whole = Tree.of("trouble", e.getMessage());
            return;
        }
        List<Map<String, Object>> parameters = Tree.maps(whole, "parameters");
        for (int k = 0; k < parameters.size(); k++) {
            constants.add(Constant.of(parameters.get(k), k, series));
        }
    }

    private static double[] places(double[] x) {
        double least = Arrays.stream(x).min().orElse(0);
        double most = Arrays.stream(x).max().orElse(1);
        double[] places = new double[CURVE];
        for (int i = 0; i < CURVE; i++) {
            places[i] = least + (most - least) * i / (CURVE - 1);
        }
        return places;
    }

    /** The axis along. */
    public Axis along() {
        return new Axis(asked.along(), along.symbol());
    }

    /** The upright axis. */
    public Axis up() {
        return new Axis(asked.up(), up.symbol());
    }

    /** What each student has, in the order in which tables came. */
    public List<Series> series() {
        return series;
    }

    /** What the fits of all come to, constant by constant; empty where nothing was fitted. */
    public List<Constant> constants() {
        return constants;
    }

    /** A student's fitted values as they are read, with their units. */
    public List<String> told(Series one) {
        List<String> told = new ArrayList<>();
        for (int k = 0; k < Math.min(one.constants().length, constants.size()); k++) {
            told.add((Numbers.print(one.constants()[k], FIGURES) + " " + constants.get(k).unit()).strip());
        }
        return told;
    }

    /**
     * The fit of all points together, as {@link Fit#toTree} tells it, or its {@code trouble}; empty where none was
     * asked for.
     */
    public Map<String, Object> whole() {
        return whole;
    }

    /** Places of that fit's curve, along and upright. */
    public double[][] curve() {
        return curve;
    }
}
