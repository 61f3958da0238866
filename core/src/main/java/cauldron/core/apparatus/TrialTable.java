package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * Trials of one apparatus as rows: what was set in each and what it came to, to compare designs.
 *
 * @param rows    what stands in each, one text a column; empty where a setting didn't count or nothing came of it
 * @param numbers the same as numbers in their columns' units, as told; NaN for words and where there is none
 */
public record TrialTable(List<RunTable.Column> columns, List<String[]> rows, List<double[]> numbers) {

    /** The most rows that are made. */
    public static final int MOST_ROWS = 1000;
    /** What the ids of settings and of outcomes begin with, so that one can't be taken for the other. */
    public static final String SETTING = SettingCell.PREFIX;
    public static final String OUTCOME = "came.";

    private interface Cell {
        void fill(Settings set, Map<String, Object> came, String[] texts, double[] numbers, int at);
    }

    /**
     * A table of trials.
     *
     * @param trials each with its {@code name}, the {@code settings} it ran with and the {@code outcomes} it came to, in
     *               their own units
     * @param ids    of settings and outcomes, each with what it begins with; the name stands before them
     * @throws IllegalArgumentException for more trials than rows are made, or an id that isn't known
     */
    public static TrialTable of(Manifest m, List<Map<String, Object>> trials, List<String> ids) {
        if (trials.size() > MOST_ROWS) {
            throw new IllegalArgumentException("A table takes up to " + MOST_ROWS + " trials; these are " + trials.size());
        }
        List<RunTable.Column> columns = new ArrayList<>();
        columns.add(new RunTable.Column("trial", "trial", "trial", "", true));
        List<Cell> cells = new ArrayList<>();
        for (String id : ids) {
            if (id.startsWith(SETTING)) {
                cells.add(setting(m.setting(id.substring(SETTING.length())), columns));
            } else if (id.startsWith(OUTCOME)) {
                cells.add(outcome(m.outcome(id.substring(OUTCOME.length())), id, columns));
            } else {
                throw new IllegalArgumentException("A table of trials has no column “" + id + "”");
            }
        }
        List<String[]> rows = new ArrayList<>();
        List<double[]> numbers = new ArrayList<>();
        for (Map<String, Object> trial : trials) {
            String[] texts = new String[columns.size()];
            double[] values = new double[columns.size()];
            Arrays.fill(texts, "");
            Arrays.fill(values, Double.NaN);
            texts[0] = Tree.text(trial, "name");
            try {
                Settings set = Settings.of(m, Tree.map(trial, "settings"));
                Map<String, Object> came = Tree.map(trial, "outcomes");
                for (int i = 0; i < cells.size(); i++) {
                    cells.get(i).fill(set, came, texts, values, i + 1);
                }
            } catch (IllegalArgumentException e) {
                // One that was kept oddly stands there by its name alone; the others are told all the same.
            }
            rows.add(texts);
            numbers.add(values);
        }
        return new TrialTable(columns, rows, numbers);
    }

    private static Cell setting(Setting setting, List<RunTable.Column> columns) {
        SettingCell cell = new SettingCell(setting);
        columns.add(cell.column());
        return (set, came, texts, numbers, at) -> {
            texts[at] = cell.text(set);
            numbers[at] = cell.number(set);
        };
    }

    /** As it is told: what comes to the same stands at one place, and isn't spread by what nobody reads. */
    private static double rounded(double value, int decimals) {
        double power = Math.pow(10, decimals);
        double shifted = Math.rint(value * power);
        return Math.abs(shifted) < 1e15 ? shifted / power : value;
    }

    private static Cell outcome(Outcome outcome, String id, List<RunTable.Column> columns) {
        boolean words = !outcome.words().isEmpty();
        columns.add(new RunTable.Column(id, outcome.name(), outcome.symbol(), outcome.unit(), words));
        return (set, came, texts, numbers, at) -> {
            if (came.get(outcome.id()) instanceof Double value) {
                boolean known = words && value >= 0 && value < outcome.words().size();
                texts[at] = words ? known ? outcome.words().get(value.intValue()) : ""
                        : Numbers.fixed(value, outcome.decimals());
                numbers[at] = words ? Double.NaN : rounded(value, outcome.decimals());
            }
        };
    }
}
