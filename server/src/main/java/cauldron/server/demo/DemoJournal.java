package cauldron.server.demo;

import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.analysis.Fit;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.bench.BenchPlan;
import cauldron.core.quantity.Numbers;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.trials.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A made-up student's notebook: entries on their way to the server, and the tables as they stand. */
final class DemoJournal {

    /** A recording that was asked for, and what is behind it. */
    record Filmed(Trials.TrialInfo trial, Recipe recipe, FilmPlan plan) {

        Run run(double until) {
            return Inventory.replay(recipe, until);
        }
    }

    private final Assignments.WorkInfo work;
    private final Person student;
    private final Sheet sheet;
    private final Notebooks notebooks;
    private final Trials trials;
    private final Instant now;
    private final List<Notebooks.NewEntry> waiting = new ArrayList<>();
    private final Map<String, Map<String, Map<String, Object>>> cells = new LinkedHashMap<>();
    private final Map<String, List<Object>> columns = new LinkedHashMap<>();
    /** Rows left out, and why. */
    private final Map<String, String> out = new LinkedHashMap<>();
    private int count;

    DemoJournal(Assignments.WorkInfo work, Person student, Sheet sheet, Notebooks notebooks, Trials trials,
            Instant now) {
        this.work = work;
        this.student = student;
        this.sheet = sheet;
        this.notebooks = notebooks;
        this.trials = trials;
        this.now = now;
    }

    Sheet sheet() {
        return sheet;
    }

    Instant now() {
        return now;
    }

    UUID id(String purpose) {
        return UUID.nameUUIDFromBytes((work.id() + purpose).getBytes(StandardCharsets.UTF_8));
    }

    void add(String block, String slot, Map<String, Object> value) {
        waiting.add(new Notebooks.NewEntry(id("entry" + count++).toString(), block, slot, value, now.toString()));
    }

    /** Asks for a recording. */
    Filmed film(String block, Map<String, Object> chosen) {
        send();
        FilmPlan plan = ((FilmsBlock) sheet.block(block)).plan();
        Trials.TrialInfo trial = trials.make(id("trial" + count++), work.id(), student, block, chosen);
        return new Filmed(trial, plan.recipe(chosen, work.seed(), trial.number()), plan);
    }

    /** A bench of the lab, as it is set up, with this work's chance. */
    Run bench(String block) {
        return bench(block, Map.of());
    }

    /** The same with some settings changed. */
    Run bench(String block, Map<String, Object> changed) {
        BenchPlan plan = ((BenchBlock) sheet.block(block)).plan();
        Apparatus apparatus = Inventory.get(plan.apparatus());
        Map<String, Object> settings = new LinkedHashMap<>(plan.setup());
        settings.putAll(changed);
        return new Run(apparatus, Settings.of(apparatus.manifest(), settings), id(block).hashCode());
    }

    /** Keeps a trial of a bench as the page would; answers its id. */
    String keep(String block, int number, Run run) {
        String id = id(block + number).toString();
        Manifest m = run.manifest();
        Map<String, Object> kept = Tree.of("id", id, "number", (double) number, "name", "", "note", "", "at",
                now.toString(),
                "recipe", run.recipe().toTree(), "until", run.head(), "settings", run.settings().toTree(), "scene",
                list(run.scene().values()), "frame", list(run.frame(m.views().get(0)).toArray()), "sketches",
                        List.of());
        if (!m.outcomes().isEmpty()) {
            Map<String, Object> outcomes = new LinkedHashMap<>();
            m.outcomes().forEach(o -> outcomes.put(o.id(), o.own(run.outcome(o))));
            outcomes.values().removeIf(value -> ((Double) value).isNaN());
            kept.put("outcomes", outcomes);
        }
        if (!m.curves().isEmpty()) {
            kept.put("curves", m.curves().stream().map(c -> c.isAlwaysShown() ? list(run.scene().of(c)) : List.of())
                    .toList());
        }
        add(block, "trial/" + id, kept);
        return id;
    }

    private static List<Double> list(double[] values) {
        return Arrays.stream(values).boxed().toList();
    }

    /** Types into a cell, where it was read on a picture with what lay there. */
    void cell(String table, int row, String column, String text, String trial, double frame, String view,
            Map<String, Object> instruments, String uncertainty) {
        Map<String, Object> value = Tree.of("text", text);
        if (trial != null) {
            Map<String, Object> reading = Tree.of("trial", trial, "frame", frame, "instruments", instruments);
            if (!view.isEmpty()) {
                reading.put("view", view);
            }
            value.put("reading", reading);
        }
        if (!uncertainty.isEmpty()) {
            value.put("uncertainty", uncertainty);
        }
        Map<String, Map<String, Object>> rows = cells.computeIfAbsent(table, t -> new LinkedHashMap<>());
        String id = "r" + row;
        if (!rows.containsKey(id)) {
            rows.put(id, new LinkedHashMap<>());
            add(table, "rows", Tree.of("order", List.copyOf(rows.keySet())));
        }
        rows.get(id).put(column, text);
        add(table, "cell/" + id + "/" + column, value);
    }

    /** Types a label or a value known without measuring. */
    void cell(String table, int row, String column, String text) {
        cell(table, row, column, text, null, 0, "", Map.of(), "");
    }

    /** Leaves a row out, and says why. */
    void leaveOut(String table, int row, String reason) {
        out.put(table + "/r" + row, reason);
        add(table, "row/r" + row, Tree.of("out", reason));
    }

    /** Adds a calculated column. */
    void calculated(String table, String id, String name, String symbol, String formula) {
        calculated(table, id, name, symbol, formula, "");
    }

    /** Adds a calculated column whose unit the student was asked to find. */
    void calculated(String table, String id, String name, String symbol, String formula, String found) {
        List<Object> list = columns.computeIfAbsent(table, t -> new ArrayList<>(((TableBlock) sheet.block(t))
                .columns()));
        list.add(Tree.of("id", id, "name", name, "symbol", symbol, "unit", "", "kind", "calculated", "formula",
                formula, "found", found));
        add(table, "columns", Tree.of("columns", List.copyOf(list)));
    }

    /** What was typed into a cell, as a number. */
    double number(String table, int row, String column) {
        return Numbers.read((String) cells.get(table).get("r" + row).get(column));
    }

    /** Fits a line on a graph; gives gradient and intercept in the columns' units. */
    double[] line(String graph, String x, String y) {
        String table = ((GraphBlock) sheet.block(graph)).table();
        add(graph, "view", Tree.of("x", x, "y", y, "origin", true, "line", true));
        List<Object> rows = new ArrayList<>();
        cells.getOrDefault(table, Map.of()).forEach((row, values) -> rows.add(Tree.of("id", row, "cells", values,
                "out", out.getOrDefault(table + "/" + row, ""))));
        Object all = columns.containsKey(table) ? columns.get(table) : ((TableBlock) sheet.block(table)).columns();
        return Fit.of(DataTable.of(Tree.of("columns", all, "rows", rows)), Tree.of("x", x, "y", y, "kind", "line"))
                .result().values();
    }

    void send() {
        for (Notebooks.Outcome outcome : notebooks.keep(work.id(), student, waiting)) {
            if (!outcome.kept()) {
                throw new IllegalStateException("The demo's entry " + outcome.id() + " is refused: "
                        + outcome.reason());
            }
        }
        waiting.clear();
    }
}
