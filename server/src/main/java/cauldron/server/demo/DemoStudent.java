package cauldron.server.demo;

import cauldron.core.Chance;
import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Block;
import cauldron.core.sheet.FilmPlan;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.marking.Marking;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.trials.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * A made-up student at work on the lamp keeper's clock. Each reading is got as a real one is: the
 * recipe is replayed, an instrument is laid on the picture at a frame, and the scale is read with an
 * error of about half a division.
 */
@Component
@ConditionalOnProperty("cauldron.demo")
class DemoStudent {

    static final int NOT_STARTED = 0;
    private static final int PREDICTED = 1;
    private static final int TWO_CORDS = 2;
    private static final int MEASURED = 3;
    private static final int ANALYSED = 4;
    private static final int HANDED_IN = 5;
    private static final int MARKED = 6;

    static final int[] SPREAD = {5, 3, 2, 6, 0, 4, 2, 5, 3, 1, 4, 2, 0, 5, 3, 2, 1, 6, 4, 2, 3, 5, 0, 2, 4, 1};
    static final int[] FINISHED = {6, 6, 5, 6, 6, 5, 6, 6, 4, 6, 5, 6};
    static final int[] BEGINNING = {0, 1, 2, 0, 1, 0, 2, 1};

    private static final String TABLE = "readings";
    private static final int SWINGS = 20;
    private static final double RATE = 120;

    private final Assignments assignments;
    private final Notebooks notebooks;
    private final Trials trials;
    private final Marking marking;
    private final Clock clock;

    DemoStudent(Assignments assignments, Notebooks notebooks, Trials trials, Marking marking, Clock clock) {
        this.assignments = assignments;
        this.notebooks = notebooks;
        this.trials = trials;
        this.marking = marking;
        this.clock = clock;
    }

    void work(Assignments.AssignmentInfo given, Person student, Person teacher, int stage, int seed) {
        Chance chance = Chance.named(seed, "demo student");
        Assignments.WorkInfo work = assignments.begin(given.id(), student.id(), seed);
        Sheet sheet = assignments.sheet(given);
        Journal journal = new Journal(work, student);
        predict(journal, chance);
        journal.send();
        // A few count half swings, the commonest slip; it shows in their g.
        boolean halfSwings = chance.unit() < 0.15;
        if (stage >= TWO_CORDS) {
            measure(journal, sheet, stage >= MEASURED ? 5 : 2, halfSwings, chance);
        }
        if (stage >= ANALYSED) {
            analyse(journal, sheet);
        }
        if (stage >= HANDED_IN) {
            journal.add("why", "answer", Tree.of("text", REASONS[chance.below(REASONS.length)]));
        }
        journal.send();
        if (stage >= HANDED_IN) {
            marking.submit(work.id(), student, clock.instant());
        }
        if (stage >= MARKED) {
            int points = 2 + chance.below(3);
            marking.mark(work.id(), teacher, "why", points, COMMENTS[points - 2]);
        }
    }

    private void predict(Journal journal, Chance chance) {
        int choice = chance.below(3);
        journal.add("expect", "answer", Tree.of("choice", (double) choice, "reason", PREDICTIONS[choice]));
        journal.add("expect", "seal", Tree.of("sealed", true));
    }

    private void measure(Journal journal, Sheet sheet, int cords, boolean halfSwings, Chance chance) {
        FilmPlan plan = ((Block.Films) sheet.block("films")).plan();
        List<FilmPlan.Option> options = plan.choices().get(0).options();
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < cords; i++) {
            Map<String, Object> chosen = Tree.of("cord", options.get(i).id(), "release",
                    chance.unit() < 0.7 ? "keel" : "bilge", "bob", "m240");
            Trials.TrialInfo trial = trials.make(journal.id("trial" + i), journal.work.id(), journal.student, "films",
                    chosen);
            Recipe recipe = plan.recipe(chosen, journal.work.seed(), trial.number());
            String row = "r" + (i + 1);
            rows.add(row);
            journal.add(TABLE, "rows", Tree.of("order", List.copyOf(rows)));
            cell(journal, row, "cord", Tree.of("text", options.get(i).name()));
            readLength(journal, row, trial, recipe, plan, chance);
            readTime(journal, row, trial, recipe, halfSwings ? SWINGS / 2 : SWINGS, chance);
        }
    }

    /** Lays the ruler from the pivot to the bob's middle while the bob hangs in the catch. */
    private void readLength(Journal journal, String row, Trials.TrialInfo trial, Recipe recipe, FilmPlan plan,
            Chance chance) {
        Run run = Run.replay(recipe, 0);
        double[] scene = new double[run.manifest().scene().size()];
        run.scene(scene);
        double[] frame = run.frame(plan.view());
        double scale = Film.scale(frame);
        double dx = scene[2] - scene[0];
        double dy = scene[3] - scene[1];
        double misplaced = 0.0007 * chance.normal();
        double read = Math.hypot(dx, dy) + misplaced + 0.0004 * chance.normal();
        double angle = Math.toDegrees(Math.atan2(-dy, dx));
        Map<String, Object> ruler = Tree.of("x", (scene[0] - frame[0]) * scale, "y",
                (frame[1] + frame[3] - scene[1] + misplaced) * scale, "angle", angle);
        cell(journal, row, "L", Tree.of("text", Numbers.fixed(100 * read, 1), "reading",
                Tree.of("trial", trial.id().toString(), "frame", 0.0, "instruments", Tree.of("ruler", ruler))));
    }

    /** Steps from one passage of the lowest point to another, a frame early or late. */
    private void readTime(Journal journal, String row, Trials.TrialInfo trial, Recipe recipe, int swings,
            Chance chance) {
        Run run = Run.replay(recipe, 60);
        int lowest = run.manifest().event("lowest");
        List<Double> passages = new ArrayList<>();
        double[] events = run.events();
        for (int i = 0; i < events.length; i += 2) {
            if (events[i] == lowest) {
                passages.add(events[i + 1]);
            }
        }
        double first = Math.rint(passages.get(1) * RATE + 0.6 * chance.normal());
        double last = Math.rint(passages.get(1 + 2 * swings) * RATE + 0.6 * chance.normal());
        cell(journal, row, "t", Tree.of("text", Numbers.fixed((last - first) / RATE, 2), "reading",
                Tree.of("trial", trial.id().toString(), "frame", last, "instruments",
                        Tree.of("stopwatch", Tree.of("zero", first)))));
    }

    private void analyse(Journal journal, Sheet sheet) {
        Block.Table table = (Block.Table) sheet.block(TABLE);
        List<Object> columns = new ArrayList<>(table.columns());
        columns.add(Tree.of("id", "T", "name", "period", "symbol", "T", "unit", "", "kind", "calculated", "formula",
                "t/20"));
        columns.add(Tree.of("id", "T2", "name", "period squared", "symbol", "T²", "unit", "", "kind", "calculated",
                "formula", "T^2"));
        journal.add(TABLE, "columns", Tree.of("columns", columns));
        journal.add("graph", "view", Tree.of("x", "L", "y", "T2", "origin", true, "line", true));
        DataTable worked = DataTable.of(Tree.of("columns", columns, "rows", journal.rows()));
        double perCentimetre = (Double) worked.line("L", "T2").get("slope");
        String g = Numbers.print(4 * Math.PI * Math.PI / (100 * perCentimetre), 3);
        journal.add("g", "answer", Tree.of("number", g, "unit", "m/s²"));
        journal.send();
        marking.check(journal.work.id(), journal.student, "g", g, "m/s²");
    }

    private static void cell(Journal journal, String row, String column, Map<String, Object> value) {
        journal.add(TABLE, "cell/" + row + "/" + column, value);
    }

    /** Entries on their way to the server, and the table's cells so far. */
    private final class Journal {

        private final Assignments.WorkInfo work;
        private final Person student;
        private final List<Notebooks.NewEntry> waiting = new ArrayList<>();
        private final Map<String, Map<String, Object>> cells = new LinkedHashMap<>();
        private int count;

        Journal(Assignments.WorkInfo work, Person student) {
            this.work = work;
            this.student = student;
        }

        UUID id(String purpose) {
            return UUID.nameUUIDFromBytes((work.id() + purpose).getBytes(StandardCharsets.UTF_8));
        }

        void add(String block, String slot, Map<String, Object> value) {
            waiting.add(new Notebooks.NewEntry(id("entry" + count++), block, slot, value, clock.instant()));
            if (slot.startsWith("cell/")) {
                String[] path = slot.split("/");
                cells.computeIfAbsent(path[1], r -> new LinkedHashMap<>()).put(path[2], value.get("text"));
            }
        }

        List<Object> rows() {
            List<Object> rows = new ArrayList<>();
            cells.forEach((row, values) -> rows.add(Tree.of("id", row, "cells", values)));
            return rows;
        }

        void send() {
            notebooks.keep(work.id(), student, waiting);
            waiting.clear();
        }
    }

    private static final String[] PREDICTIONS = {
        "The weight pulls it back just as hard, so the time should not change.",
        "It has further to go but it is also faster at the bottom, so less than four times.",
        "The way it has to go is four times as long, so it needs four times the time."};

    private static final String[] REASONS = {
        "The graph of T squared against L is a straight line through the origin, so for T = 2 s I go up to 4 s² on the"
                + " upright axis, across to the line and down, and read about 99 cm. The length limits it: half a"
                + " millimetre at each end of the ruler is more than one frame in 20 swings.",
        "You square the two seconds and divide by the gradient, that gives the length of the cord from the pivot to the"
                + " middle of the bob. I think the time limits it because I was not sure in which frame the bob passed"
                + " the lowest point, but I timed twenty swings so the error is shared out.",
        "Two seconds squared is four. On my line four belongs to a length just below one metre. If the cord stretched"
                + " later the clock would go slow. My length readings are uncertain because the middle of the bob has"
                + " no mark, so I had to judge it by eye each time."};

    private static final String[] COMMENTS = {
        "You found the length. Say more about why that measurement is the weaker one: compare the two in per cent.",
        "Clear. Add numbers to the last part: how many per cent is one frame in 20 swings?",
        "Exactly: read off the line, and a comparison with numbers."};
}
