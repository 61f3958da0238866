package cauldron.core.reference;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;

/**
 * A student's table held, value by value, against what the apparatus showed where each was read. A row is held against
 * the trial that its values were read on; where none was, against the one that its words name.
 */
public final class TableCheck {

    private static final int MOST_ROWS = 500;
    private static final int TRACES_KEPT = 4;
    /** Figures of a true value, one more than people read. */
    private static final int FIGURES = 5;

    private final Judging judging;
    private final DataTable table;
    private final List<Map<String, Object>> rows;
    private final Map<String, Map<String, Object>> kept;
    private final Map<String, Trial> trials;
    private final BooleanSupplier goesOn;
    private final Map<String, Trace> traces = new LinkedHashMap<>();
    private final List<CellCheck> cells = new ArrayList<>();
    /** True values in the columns' units, by {@code row/column}. */
    private final Map<String, Double> truths = new LinkedHashMap<>();

    private TableCheck(Judging judging, Map<String, Object> tree, Map<String, Map<String, Object>> kept,
            Map<String, Trial> trials, BooleanSupplier goesOn) {
        this.judging = judging;
        this.kept = kept;
        this.trials = trials;
        this.goesOn = goesOn;
        table = DataTable.of(tree);
        rows = Tree.maps(tree, "rows");
    }

    /**
     * Holds a table against its trials.
     *
     * @param tree   the table, as {@link DataTable} takes it
     * @param kept   what was kept of each cell, by {@code row/column}
     * @param trials the student's trials, by their ids
     * @param goesOn whether there is still time; once there isn't, what is left isn't held
     */
    public static TableCheck of(Judging judging, Map<String, Object> tree, Map<String, Map<String, Object>> kept,
            Map<String, Trial> trials, BooleanSupplier goesOn) {
        TableCheck check = new TableCheck(judging, tree, kept, trials, goesOn);
        for (int i = 0; i < Math.min(MOST_ROWS, check.rows.size()); i++) {
            check.row(i);
        }
        return check;
    }

    /** What was found of each value that is held against something, row by row. */
    public List<CellCheck> cells() {
        return cells;
    }

    /** True values in the columns' units, by {@code row/column}. */
    public Map<String, Double> truths() {
        return truths;
    }

    /** The table worked out as it was typed. */
    public DataTable table() {
        return table;
    }

    private void row(int row) {
        String id = Tree.text(rows.get(row), "id");
        Map<String, Reading> readings = new LinkedHashMap<>();
        Set<String> read = new LinkedHashSet<>();
        for (DataTable.Column column : table.columns()) {
            Reading reading = Reading.of(kept.getOrDefault(id + "/" + column.id(), Map.of()));
            if (reading != null && trials.containsKey(reading.trial())) {
                readings.put(column.id(), reading);
                read.add(reading.trial());
            }
        }
        String rowTrial = read.isEmpty() ? named(row) : read.iterator().next();
        double frame = readings.isEmpty() ? 0 : readings.values().iterator().next().frame();
        for (DataTable.Column column : table.columns()) {
            Reference reference = judging.of(column.id());
            if (reference == null || column.calculated() || column.text(row).isBlank()) {
                continue;
            }
            if (reference.shows() == Reference.Shows.OPTION) {
                cells.add(name(id, column, row, reference, read));
            } else {
                Reading reading = readings.get(column.id());
                cells.add(value(id, column, row, reference, reading, reading == null ? rowTrial : reading.trial(),
                        frame));
            }
        }
    }

    /** The newest trial that a row's words name, or null. */
    private String named(int row) {
        String found = null;
        for (Map.Entry<String, Trial> trial : trials.entrySet()) {
            boolean fits = false;
            for (DataTable.Column column : table.columns()) {
                Reference r = judging.of(column.id());
                if (r != null && r.shows() == Reference.Shows.OPTION) {
                    Trial.Chosen chosen = trial.getValue().chosen().get(r.of());
                    fits = chosen != null && alike(column.text(row), chosen.name());
                }
            }
            found = fits ? trial.getKey() : found;
        }
        return found;
    }

    private static boolean alike(String typed, String name) {
        return plain(typed).equals(plain(name));
    }

    /** A name without what writing it differently changes. */
    private static String plain(String text) {
        StringBuilder kept = new StringBuilder();
        for (char c : text.toLowerCase().toCharArray()) {
            if (Character.isLetterOrDigit(c)) {
                kept.append(c);
            }
        }
        return kept.toString();
    }

    private CellCheck name(String row, DataTable.Column column, int at, Reference reference, Set<String> read) {
        String typed = column.text(at);
        Set<String> names = new LinkedHashSet<>();
        Trial.Chosen one = null;
        for (String trial : read) {
            one = trials.get(trial).chosen().get(reference.of());
            if (one != null) {
                names.add(one.name());
            }
        }
        if (names.isEmpty()) {
            return new CellCheck(row, column.id(), Verdict.NOT_HELD, "", Double.NaN, false,
                    "Nothing in this row was read on a recording.");
        }
        String all = String.join(" and ", names);
        if (names.size() > 1) {
            return new CellCheck(row, column.id(), Verdict.OTHER_RECORDING, all, Double.NaN, false,
                    "The values of this row were read on different recordings: " + one.of() + " " + all + ".");
        }
        String name = one.name();
        if (alike(typed, name)) {
            return new CellCheck(row, column.id(), Verdict.RIGHT, name, Double.NaN, false, "");
        }
        String others = plain(typed);
        boolean known = one.all().stream().anyMatch(n -> plain(n).equals(others));
        // More may be written than the name: “cord Tern, 2nd go”.
        boolean within = !others.isEmpty() && others.contains(plain(name))
                && one.all().stream().noneMatch(n -> !n.equals(name) && others.contains(plain(n)));
        if (within && !known) {
            return new CellCheck(row, column.id(), Verdict.RIGHT, name, Double.NaN, false, "");
        }
        return new CellCheck(row, column.id(), known ? Verdict.OTHER_RECORDING : Verdict.UNREADABLE, name, Double.NaN,
                false,
                known ? "It says “" + typed.strip() + "”, but the row was read on a recording of " + one.of() + " "
                + name + "."
                        : "That is the name of none of the choices; the row was read on " + one.of() + " " + name
                        + ".");
    }

    private CellCheck value(String row, DataTable.Column column, int at, Reference reference, Reading reading,
            String trial,
            double frame) {
        boolean unlooked = reading == null && reference.needsLooking();
        double typed = column.values()[at];
        if (Double.isNaN(typed)) {
            return new CellCheck(row, column.id(), Verdict.UNREADABLE, "", Double.NaN, unlooked,
                    column.troubles()[at] == null ? "No number can be read there." : column.troubles()[at] + ".");
        }
        if (trial == null) {
            return notHeld(row, column, unlooked, "it isn't known which trial it belongs to");
        }
        if (!goesOn.getAsBoolean()) {
            return notHeld(row, column, unlooked, "it took too long to have all trials again");
        }
        try {
            Unit unit = column.unit();
            Showing place = new Showing(trace(trial), reading, frame);
            Showing.Shown shown = place.of(reference);
            ValueCheck.Found found = new ValueCheck(reference, shown, unit).of(unit.toSi(typed));
            if (found.verdict() != Verdict.RIGHT && place.beforeChange() != null) {
                Showing.Shown before = place.beforeChange().of(reference);
                ValueCheck.Found then = new ValueCheck(reference, before, unit).of(unit.toSi(typed));
                shown = then.verdict() == Verdict.RIGHT ? before : shown;
                found = then.verdict() == Verdict.RIGHT ? then : found;
            }
            truths.put(row + "/" + column.id(), unit.fromSi(shown.truth()));
            return new CellCheck(row, column.id(), found.verdict(), Numbers.print(unit.fromSi(shown.truth()), FIGURES),
                    found.divisions(), unlooked, found.words());
        } catch (IllegalArgumentException e) {
            return notHeld(row, column, unlooked, e.getMessage());
        }
    }

    private static CellCheck notHeld(String row, DataTable.Column column, boolean unlooked, String why) {
        return new CellCheck(row, column.id(), Verdict.NOT_HELD, "", Double.NaN, unlooked, "Not held against anything: "
                + why + ".");
    }

    private Trace trace(String id) {
        Trace before = traces.remove(id);
        Trace trace = before == null ? new Trace(trials.get(id)) : before;
        // What was asked last stands last; the one not asked for longest goes.
        traces.put(id, trace);
        if (traces.size() > TRACES_KEPT) {
            traces.remove(traces.keySet().iterator().next());
        }
        return trace;
    }
}
