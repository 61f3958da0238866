package cauldron.core.analysis;

import cauldron.core.Tree;
import cauldron.core.quantity.Dimension;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.UnitCheck;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A table as a student keeps it, worked out: calculated columns in the order in which they need each other,
 * their units, and their standard uncertainties to first order (BIPM, GUM:1995, 5.1), for which cells count
 * as independent. Bad cells and formulas become troubles of their column; nothing is thrown.
 */
public final class DataTable {

    private static final int FIGURES = 4;
    /** A symbol nobody can type. */
    private static final String WHOLE = "\u0000";

    /**
     * One column worked out.
     *
     * @param values        in {@code unit}, NaN where there is none
     * @param uncertainties in {@code unit}, NaN where none is known
     * @param typed         what was typed; null in a calculated column
     * @param troubles      by row, null where there is none
     * @param trouble       of the column as a whole, or null
     * @param troubleAt     where in the formula or unit
     */
    public record Column(String id, String symbol, Unit unit, boolean calculated, double[] values, double[] uncertainties,
                         String[] typed, String[] troubles, String trouble, int troubleAt, Map<String, Object> spec) {

        /** Whether its cells are filled by a person: neither worked out nor the same in every row. */
        public boolean byHand() {
            return !calculated && !"constant".equals(spec.get("kind"));
        }

        /** What stands in a row: as typed, or printed as the column asks for. */
        public String text(int row) {
            if (typed != null) {
                return typed[row];
            }
            double value = values[row];
            if (Double.isNaN(value) || Double.isInfinite(value)) {
                return "";
            }
            if (spec.containsKey("decimals")) {
                return Numbers.fixed(value, (int) Math.max(0, Math.min(12, Tree.number(spec, "decimals", 3))));
            }
            return Numbers.print(value, (int) Math.max(1, Math.min(12, Tree.number(spec, "figures", FIGURES))));
        }

        /** How sure it is: {@code 2.006 ± 0.009}; empty where that isn't known. */
        public String sureness(int row) {
            double u = uncertainties[row];
            return Double.isNaN(u) || Double.isNaN(values[row]) ? "" : Numbers.printWithUncertainty(values[row], u);
        }

        /** What is to be said of a column beside its values, such as uncertainties that some cells lack; or null. */
        public String note() {
            int with = 0;
            int without = 0;
            for (int i = 0; i < values.length && !calculated; i++) {
                if (!Double.isNaN(values[i])) {
                    with += uncertainties[i] > 0 ? 1 : 0;
                    without += uncertainties[i] > 0 ? 0 : 1;
                }
            }
            return with > 0 && without > 0 ? without + (without == 1 ? " value counts" : " values count")
                    + " as exact: without ±" : null;
        }

        /** Whether the student, asked for this column's unit, has found it. */
        public boolean unitFound() {
            return UnitCheck.of(Tree.text(spec, "found", ""), unit).right();
        }

        /** Values of all rows that aren't left out and have one. */
        double[] counted(boolean[] out) {
            double[] list = new double[values.length];
            for (int i = 0; i < list.length; i++) {
                list[i] = out[i] ? Double.NaN : values[i];
            }
            return list;
        }
    }

    private static final Dimension KELVIN = Units.parse("K").dimension();

    private final List<Column> columns;
    private final boolean[] out;

    private DataTable(List<Column> columns, boolean[] out) {
        this.columns = columns;
        this.out = out;
    }

    /** Works out a table from its tree. */
    public static DataTable of(Map<String, Object> tree) {
        return of(TableData.of(tree));
    }

    /** Works out a table. */
    public static DataTable of(TableData data) {
        return new Work(data).done();
    }

    /** One working out. */
    private static final class Work {
        private final TableData data;
        private final Map<String, Column> done = new LinkedHashMap<>();
        private final Map<String, Evaluation.Value> inSi = new LinkedHashMap<>();
        private final Map<String, Map<String, Object>> waiting = new LinkedHashMap<>();
        /** Uncertainties of single cells in SI, by cell. */
        private final List<double[]> cellUncertainties = new ArrayList<>();
        private int cells;
        /** Calculated columns that are differences of temperatures. */
        private final Set<String> differences = new LinkedHashSet<>();

        Work(TableData data) {
            this.data = data;
        }

        DataTable done() {
            Set<String> all = new LinkedHashSet<>();
            for (Map<String, Object> spec : data.columns()) {
                String symbol = Tree.text(spec, "symbol");
                String kind = TableData.kind(spec);
                if (!all.add(symbol)) {
                    continue;
                }
                if (kind.equals("calculated")) {
                    waiting.put(symbol, spec);
                } else {
                    given(kind.equals("constant") ? data.constant(spec) : data.typed(spec), kind.equals("constant"));
                }
            }
            Map<String, Formula> formulas = read(all);
            boolean progress = true;
            while (progress && !formulas.isEmpty()) {
                progress = false;
                for (String symbol : List.copyOf(formulas.keySet())) {
                    if (done.keySet().containsAll(formulas.get(symbol).symbols())) {
                        calculate(waiting.get(symbol), formulas.remove(symbol));
                        progress = true;
                    }
                }
            }
            formulas.keySet().forEach(symbol -> fail(waiting.get(symbol), circle(symbol, formulas), 0));
            List<Column> ordered = new ArrayList<>();
            Set<String> seen = new LinkedHashSet<>();
            for (Map<String, Object> spec : data.columns()) {
                String symbol = Tree.text(spec, "symbol");
                ordered.add(seen.add(symbol) ? done.get(symbol)
                        : failed(spec, "Two columns have the symbol " + symbol + ". Give one of them another", 0));
            }
            return new DataTable(ordered, data.out());
        }

        private void given(Column column, boolean constant) {
            done.put(column.symbol(), column);
            int rows = data.rows();
            double[] si = new double[rows];
            boolean uncertain = false;
            for (int i = 0; i < rows; i++) {
                si[i] = column.unit().toSi(column.values()[i]);
                uncertain |= column.uncertainties()[i] > 0;
            }
            Partials partials = null;
            if (uncertain) {
                partials = constant ? SparsePartials.constant(cells, rows) : SparsePartials.cells(cells, rows);
                double[] u = new double[rows];
                for (int i = 0; i < rows; i++) {
                    u[i] = Double.isNaN(column.uncertainties()[i]) ? 0 : column.uncertainties()[i] * column.unit().factor();
                }
                cellUncertainties.add(u);
                cells += rows;
            }
            inSi.put(column.symbol(), new Evaluation.Value(si, partials));
        }

        private Map<String, Formula> read(Set<String> all) {
            Map<String, Formula> formulas = new LinkedHashMap<>();
            for (Map.Entry<String, Map<String, Object>> entry : waiting.entrySet()) {
                Set<String> usable = new LinkedHashSet<>(all);
                try {
                    formulas.put(entry.getKey(), Formula.parse(Tree.text(entry.getValue(), "formula", ""), usable));
                } catch (FormulaException e) {
                    fail(entry.getValue(), e.getMessage(), e.position());
                }
            }
            return formulas;
        }

        /** Names the columns that go round, beginning and ending with this one where it is one of them. */
        private static String circle(String symbol, Map<String, Formula> stuck) {
            List<String> path = new ArrayList<>(List.of(symbol));
            while (true) {
                String next = stuck.get(path.get(path.size() - 1)).symbols().stream().filter(stuck::containsKey).findFirst().orElse(symbol);
                int at = path.indexOf(next);
                path.add(next);
                if (at >= 0) {
                    String way = String.join(" → ", path.subList(at, path.size()));
                    return at == 0 && path.size() == 2 ? symbol + " is defined through itself"
                            : at == 0 ? symbol + " is defined through itself: " + way : symbol + " needs columns that go round in a circle: " + way;
                }
            }
        }

        private void calculate(Map<String, Object> spec, Formula formula) {
            try {
                Map<String, Dimension> dimensions = new LinkedHashMap<>();
                Set<String> places = new LinkedHashSet<>();
                for (String symbol : formula.symbols()) {
                    Column needed = done.get(symbol);
                    if (needed.trouble() != null) {
                        throw new FormulaException("Column " + symbol + " has to be put right first", 0);
                    }
                    dimensions.put(symbol, needed.unit().dimension());
                    if (needed.unit().dimension().equals(KELVIN) && !differences.contains(symbol)) {
                        places.add(symbol);
                    }
                }
                boolean difference = formula.isTemperatureDifference(places, differences);
                Unit unit = unit(spec, formula.dimension(dimensions));
                if (difference && unit.offset() != 0) {
                    // Between two temperatures there are so many degrees, wherever they lie.
                    unit = new Unit(unit.symbol(), unit.dimension(), unit.factor(), 0);
                }
                int rows = data.rows();
                Evaluation.Value value = new Evaluation(inSi, rows, data.out(), this::source).of(formula);
                double[] values = new double[rows];
                double[] uncertainties = new double[rows];
                Arrays.fill(uncertainties, Double.NaN);
                if (value.partials() != null) {
                    uncertainties = ((SparsePartials) value.partials()).uncertainties(allCells());
                }
                String[] troubles = new String[rows];
                for (int i = 0; i < rows; i++) {
                    values[i] = unit.fromSi(value.numbers()[i]);
                    uncertainties[i] /= unit.factor();
                    if (Double.isInfinite(values[i])) {
                        troubles[i] = "Row " + (i + 1) + ": this is infinite. Something is divided by nought here, or grows"
                                + " beyond all numbers";
                    }
                }
                String symbol = Tree.text(spec, "symbol");
                inSi.put(symbol, value);
                if (difference) {
                    differences.add(symbol);
                }
                done.put(symbol, new Column(Tree.text(spec, "id"), symbol, unit, true, values, uncertainties, null,
                        troubles, null, 0, spec));
            } catch (FormulaException e) {
                fail(spec, e.getMessage(), e.position());
            } catch (IllegalArgumentException e) {
                fail(spec, e.getMessage(), 0);
            }
        }

        /** Something uncertain that is no cell. */
        private Partials source(double uncertainty) {
            int rows = data.rows();
            double[] u = new double[rows];
            Arrays.fill(u, uncertainty);
            Partials partials = SparsePartials.constant(cells, rows);
            cellUncertainties.add(u);
            cells += rows;
            return partials;
        }

        private double[] allCells() {
            double[] all = new double[cells];
            int at = 0;
            for (double[] u : cellUncertainties) {
                System.arraycopy(u, 0, all, at, u.length);
                at += u.length;
            }
            return all;
        }

        private void fail(Map<String, Object> spec, String trouble, int at) {
            done.put(Tree.text(spec, "symbol"), failed(spec, trouble, at));
        }

        private Column failed(Map<String, Object> spec, String trouble, int at) {
            double[] none = new double[data.rows()];
            Arrays.fill(none, Double.NaN);
            return new Column(Tree.text(spec, "id"), Tree.text(spec, "symbol"), Unit.ONE, true, none, none, null,
                    new String[data.rows()], trouble, at, spec);
        }
    }

    /** The unit a calculated column is shown in: as wanted; else as found by the student; else the coherent one. */
    private static Unit unit(Map<String, Object> spec, Dimension derived) {
        String wanted = Tree.text(spec, "unit", "");
        String found = Tree.text(spec, "found", "");
        if (wanted.isBlank() && UnitCheck.of(found, Units.coherent(derived)).right() && !derived.isNone()) {
            wanted = found;
        }
        if (wanted.isBlank()) {
            return Units.coherent(derived);
        }
        Unit unit = Units.parse(wanted);
        if (!unit.dimension().equals(derived)) {
            Unit right = Units.coherent(derived);
            throw new IllegalArgumentException("This formula gives "
                    + (right.symbol().isEmpty() ? "a pure number" : right.symbol()) + ", not " + unit.symbol());
        }
        return unit;
    }

    public List<Column> columns() {
        return columns;
    }

    /** Which rows are left out. */
    public boolean[] out() {
        return out;
    }

    /** The column of that id, or null. */
    public Column column(String id) {
        for (Column column : columns) {
            if (column.id().equals(id)) {
                return column;
            }
        }
        return null;
    }

    /** The column of that id; refuses one there isn't. */
    public Column need(String id) {
        Column column = column(id);
        if (column == null) {
            throw new IllegalArgumentException("Choose a column");
        }
        return column;
    }

    /**
     * What a formula gives for a table as a whole, such as a gradient: its first value.
     *
     * @param tree    the table
     * @param formula over the columns' symbols
     * @return a column with that formula, for its unit, and its trouble if it has one
     */
    public static Column whole(Map<String, Object> tree, String formula) {
        List<Map<String, Object>> columns = new ArrayList<>(Tree.maps(tree, "columns"));
        columns.add(Tree.of("id", WHOLE, "symbol", WHOLE, "name", WHOLE, "unit", "", "kind", "calculated", "formula", formula));
        return of(Tree.of("columns", columns, "rows", Tree.maps(tree, "rows"))).column(WHOLE);
    }

    /** Statistics of a column, in its unit; rows left out don't count. */
    public Statistics statistics(String id) {
        return Statistics.of(need(id).counted(out));
    }

    /**
     * A column's values counted in bins.
     *
     * @param start where the first begins, width of each; NaN: chosen from the values (Freedman and Diaconis, rounded
     *              to 1, 2 or 5 times a power of ten)
     * @return {@code {start, width, counts, n, mean, sd, normal}}, the last being heights of the normal curve with that
     *         mean, standard deviation and area, at {@link Histogram#PLACES} places from the first bin to the last
     */
    public Map<String, Object> bins(String id, double start, double width) {
        double[] values = Arrays.stream(need(id).counted(out)).filter(v -> !Double.isNaN(v) && !Double.isInfinite(v)).toArray();
        Statistics s = Statistics.of(values);
        if (s.count() == 0) {
            throw new IllegalArgumentException("There are no values yet");
        }
        double w = width > 0 ? width : Histogram.niceWidth(s);
        double from = Double.isNaN(start) ? w * Math.floor(s.min() / w) : start;
        double bins = Math.floor((s.max() - from) / w) + 1;
        if (bins > Histogram.MOST_BINS) {
            throw new IllegalArgumentException("Bin width: that makes more than " + Histogram.MOST_BINS + " bins. Take a larger one");
        }
        double[] counts = new double[(int) Math.max(1, bins)];
        Histogram.count(values, values.length, from, w, counts);
        List<Object> list = new ArrayList<>();
        for (double c : counts) {
            list.add(c);
        }
        List<Object> normal = new ArrayList<>();
        for (double h : Histogram.normal(s, from, w, counts.length)) {
            normal.add(h);
        }
        return Tree.of("start", from, "width", w, "normal", normal, "counts", list, "n", (double) s.count(), "mean", s.mean(), "sd",
                Double.isNaN(s.sd()) ? null : (Object) s.sd());
    }
}
