package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A run as rows of chosen channels: at an interval, at chosen events, one for each thing that was done, or one for the
 * moment shown; or one of its profiles as rows, as it is at the moment shown. Values are
 * those of the moment to the last bit, as a replay of the run's recipe gives them, printed as a readout shows them.
 *
 * @param columns what stands in them, in order
 * @param times   when each row was, in model seconds
 * @param rows    what stands in each, one text a column; empty where there was no value
 */
public record RunTable(List<Column> columns, double[] times, List<String[]> rows) {

    /** The most rows that are made. */
    public static final int MOST_ROWS = 10_000;
    private static final double WHOLE = 1e-6;
    private static final int TIME_FIGURES = 3;
    private static final String EVENT = "event";

    /**
     * A column.
     *
     * @param id    the channel's; an outcome's or setting's with what those begin with in a {@link TrialTable}; or
     *              {@code time}, {@code step}, {@code event} or {@code done}
     * @param label whether it holds words
     */
    public record Column(String id, String name, String symbol, String unit, boolean label) {

        /** All of it as plain data. */
        public Map<String, Object> toTree() {
            return Tree.of("id", id, "name", name, "symbol", symbol, "unit", unit, "label", label);
        }
    }

    /** When a row is made. */
    public enum Rows { INTERVAL, EVENTS, ACTIONS, NOW, PROFILE }

    /**
     * What is asked for.
     *
     * @param interval between rows, in model seconds; counts for rows at an interval
     * @param events   at which rows are made
     * @param settings whose values at each row stand in columns of their own
     * @param profile  the curve whose points are rows, as it is at the moment shown; null where none is
     */
    public record Plan(Rows at, double interval, List<Event> events, List<Channel> channels, List<Outcome> outcomes,
                       List<Setting> settings, Profile profile) {

        /** Reads a plan: the interval in the manifest's unit of time, the others by their ids. */
        public static Plan fromTree(Map<String, Object> tree, Manifest m) {
            Rows at = Rows.INTERVAL;
            for (Rows rows : Rows.values()) {
                if (rows.name().toLowerCase().equals(Tree.text(tree, "rows"))) {
                    at = rows;
                }
            }
            List<Event> events = new ArrayList<>();
            Tree.texts(tree, "events").forEach(id -> events.add(m.event(id)));
            List<Channel> channels = new ArrayList<>();
            Tree.texts(tree, "channels").forEach(id -> channels.add(m.channel(id)));
            List<Outcome> outcomes = new ArrayList<>();
            Tree.texts(tree, "outcomes").forEach(id -> outcomes.add(m.outcome(id)));
            List<Setting> settings = new ArrayList<>();
            Tree.texts(tree, "settings").forEach(id -> settings.add(m.setting(id)));
            double interval = Tree.number(tree, "interval", 1) * Units.parse(m.timeUnit()).factor();
            Profile profile = at == Rows.PROFILE ? m.profile(Tree.text(tree, "profile")) : null;
            return new Plan(at, interval, events, channels, outcomes, settings, profile);
        }
    }

    /**
     * A run's table, from its beginning to its end.
     *
     * @param run which is left as it is
     * @throws IllegalArgumentException for more rows than are made, or an interval that can't be
     */
    public static RunTable of(Run run, Plan plan) {
        Manifest m = run.manifest();
        if (plan.at() == Rows.PROFILE) {
            return ProfileTable.of(run, plan.profile());
        }
        List<String> labels = new ArrayList<>();
        double[] times = times(run, plan, labels);
        List<SettingCell> settings = plan.settings().stream().map(SettingCell::new).toList();
        List<Column> columns = columns(run, plan);
        settings.forEach(cell -> columns.add(cell.column()));
        Printed[] printed = new Printed[plan.channels().size()];
        for (int c = 0; c < printed.length; c++) {
            Channel channel = plan.channels().get(c);
            printed[c] = new Printed(channel.read(), channel.decimals());
        }
        Printed time = new Printed(Units.parse(m.timeUnit()), m.clock() == Clock.STEPS ? 0 : timeFigures(m, plan));
        List<String[]> rows = new ArrayList<>();
        int stride = stride(m, plan);
        boolean sampled = stride > 0 && plan.outcomes().isEmpty() && settings.isEmpty();
        // A setting changed when all was over belongs to what comes next, not to the rows of this run.
        Run again = sampled ? run : plan.at() == Rows.ACTIONS ? run.again() : run.againAsItRan();
        for (int r = 0; r < times.length; r++) {
            String[] row = new String[columns.size()];
            int at = 0;
            row[at++] = time.print(times[r]);
            if (!labels.isEmpty()) {
                row[at++] = labels.get(r);
            }
            double[] values = again == run ? null : atMoment(again, times[r]);
            for (int c = 0; c < printed.length; c++) {
                row[at++] = printed[c].print(values == null ? run.samples(plan.channels().get(c))[r * stride]
                        : values[plan.channels().get(c).index()]);
            }
            for (Outcome outcome : plan.outcomes()) {
                row[at++] = print(outcome, again.outcome(outcome));
            }
            for (SettingCell cell : settings) {
                row[at++] = cell.text(again.settingsNow());
            }
            rows.add(row);
        }
        return new RunTable(columns, times, rows);
    }

    private static String print(Outcome outcome, double value) {
        if (!outcome.words().isEmpty()) {
            return Double.isNaN(value) ? "" : outcome.words().get((int) value);
        }
        return new Printed(outcome.read(), outcome.decimals()).print(value);
    }

    private static double[] atMoment(Run again, double time) {
        again.seek(time);
        return again.channels();
    }

    private static List<Column> columns(Run run, Plan plan) {
        Manifest m = run.manifest();
        List<Column> columns = new ArrayList<>();
        boolean steps = m.clock() == Clock.STEPS;
        columns.add(steps ? new Column("step", "step", "n", "", false) : new Column("time", "time", "t", m.timeUnit(), false));
        if (plan.at() == Rows.EVENTS) {
            columns.add(new Column(EVENT, EVENT, EVENT, "", true));
        } else if (plan.at() == Rows.ACTIONS) {
            columns.add(new Column("done", "what was done", "done", "", true));
        }
        for (Channel c : plan.channels()) {
            String of = c.body() == null ? "" : c.body().nameNow(run.settingsNow());
            columns.add(new Column(c.id(), of.isEmpty() ? c.name() : c.name() + ", " + of, c.symbol(), c.unit(), false));
        }
        for (Outcome o : plan.outcomes()) {
            columns.add(new Column(TrialTable.OUTCOME + o.id(), o.name(), o.symbol(), o.unit(), !o.words().isEmpty()));
        }
        return columns;
    }

    private static double[] times(Run run, Plan plan, List<String> labels) {
        List<Double> times = new ArrayList<>();
        if (plan.at() == Rows.NOW) {
            times.add(run.time());
        } else if (plan.at() == Rows.ACTIONS) {
            boolean steps = run.manifest().clock() == Clock.STEPS;
            times.add(0.0);
            labels.add("as it was at first");
            int i = 0;
            for (Recipe.Timed timed : run.recipe().actions()) {
                String done = run.actionInWords(i++);
                // A hand's way is one thing done, not hundreds.
                if (!done.isEmpty()) {
                    times.add(steps ? timed.time() + 1 : timed.time());
                    labels.add(done);
                }
            }
        } else if (plan.at() == Rows.EVENTS) {
            double[] events = run.events();
            for (int i = 0; i < events.length; i += 2) {
                Event event = run.manifest().events().get((int) events[i]);
                if (plan.events().contains(event)) {
                    times.add(events[i + 1]);
                    labels.add(event.name());
                }
            }
        } else {
            if (!(plan.interval() > 0)) {
                throw new IllegalArgumentException("The interval must be above 0");
            }
            bounded(Math.floor(run.head() / plan.interval() + WHOLE) + 1);
            for (int i = 0; i * plan.interval() <= run.head() + WHOLE * plan.interval(); i++) {
                times.add(Math.min(run.head(), i * plan.interval()));
            }
        }
        bounded(times.size());
        return times.stream().mapToDouble(Double::doubleValue).toArray();
    }

    static void bounded(double rows) {
        if (rows > MOST_ROWS) {
            throw new IllegalArgumentException("That makes " + Numbers.printShort(rows) + " rows; a table takes up to "
                    + Numbers.printShort(MOST_ROWS) + ". Choose a longer interval.");
        }
    }

    /** How many samples there are to a row, where rows fall on samples; else 0. */
    private static int stride(Manifest m, Plan plan) {
        double ratio = plan.interval() / m.interval();
        boolean whole = plan.at() == Rows.INTERVAL && Math.abs(ratio - Math.rint(ratio)) < WHOLE && ratio > 0.5;
        return whole ? (int) Math.rint(ratio) : 0;
    }

    /** Decimals of a time: as a readout shows it, or up to two more where an interval needs them. */
    private static int timeFigures(Manifest m, Plan plan) {
        int figures = m.timeUnit().equals("s") ? TIME_FIGURES : 1;
        int most = figures + 2;
        double own = plan.interval() / Units.parse(m.timeUnit()).factor();
        while (plan.at() == Rows.INTERVAL && figures < most && Math.abs(own * Math.pow(10, figures)
                - Math.rint(own * Math.pow(10, figures))) > WHOLE) {
            figures++;
        }
        return figures;
    }

    record Printed(Unit unit, int decimals) {

        String print(double si) {
            return Double.isNaN(si) ? "" : Numbers.fixed(unit.fromSi(si), decimals);
        }
    }
}
