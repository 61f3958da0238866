package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.marking.AnswerKey;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How far a student has come with a sheet. The notebook is what the journal's entries amount to: for
 * each block its slots, each with a value. Slots are {@code answer}, {@code sketch} and {@code seal} of a prediction,
 * {@code trial/id} of an open bench, {@code columns}, {@code rows} and {@code cell/row/column} of a table, {@code view} of a graph,
 * {@code answer} of a question.
 *
 * @param sheet    the lab
 * @param notebook block id → slot → value
 * @param trials   distinct settings filmed for each block of recordings
 */
public record Progress(Sheet sheet, Map<String, Map<String, Object>> notebook, Map<String, Integer> trials) {

    /** Whether a part may be worked in: every prediction before it is sealed. */
    public boolean isOpen(String partId) {
        for (Sheet.Part part : sheet.parts()) {
            if (part.id().equals(partId)) {
                return true;
            }
            for (Block block : part.blocks()) {
                if (block instanceof Block.Prediction && !isSealed(block.id())) {
                    return false;
                }
            }
        }
        throw new IllegalArgumentException("This lab has no part “" + partId + "”");
    }

    /** The part that holds a block; refuses a block the sheet doesn't have. */
    public Sheet.Part partOf(String blockId) {
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (block.id().equals(blockId)) {
                    return part;
                }
            }
        }
        throw new IllegalArgumentException("This lab has no block “" + blockId + "”");
    }

    public boolean isSealed(String blockId) {
        return Tree.flag(slot(blockId, "seal"), "sealed");
    }

    /** What is still to do, part by part, in plain words; empty when all is there. */
    public List<Map<String, Object>> missing() {
        List<Map<String, Object>> list = new ArrayList<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                String lack = lack(block);
                if (lack != null) {
                    list.add(Tree.of("part", part.id(), "block", block.id(), "text", part.title() + ": " + lack));
                }
            }
        }
        return list;
    }

    /** The first part with something missing, or null when all is there. */
    public Sheet.Part at() {
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (lack(block) != null) {
                    return part;
                }
            }
        }
        return null;
    }

    private String lack(Block block) {
        if (block instanceof Block.Prediction) {
            return isSealed(block.id()) ? null : "seal your prediction";
        }
        if (block instanceof Block.Films) {
            int wanted = ((Block.Films) block).distinctTrials();
            int have = trials.getOrDefault(block.id(), 0);
            return have >= wanted ? null : have + " of " + wanted + " different recordings made";
        }
        if (block instanceof Block.Bench) {
            int wanted = ((Block.Bench) block).distinctTrials();
            int have = distinctBenchTrials(block.id());
            return have >= wanted ? null : have + " of " + wanted + " different trials run";
        }
        if (block instanceof Block.Table) {
            int wanted = ((Block.Table) block).rows();
            DataTable table = DataTable.of(table((Block.Table) block));
            int have = completeRows(table);
            return have < wanted ? have + " of " + wanted + " rows complete"
                    : ((Block.Table) block).unitsAsked() ? unitLack(table) : null;
        }
        if (block instanceof Block.Graph) {
            return !((Block.Graph) block).line() || Tree.flag(slot(block.id(), "view"), "line") ? null
                    : "fit a line on the graph";
        }
        if (block instanceof Block.NumberQuestion) {
            return Tree.text(slot(block.id(), "answer"), "number", "").isBlank() ? "answer the question" : null;
        }
        if (block instanceof Block.Explanation) {
            int wanted = ((Block.Explanation) block).words();
            int have = words(Tree.text(slot(block.id(), "answer"), "text", ""));
            return have >= wanted ? null : have + " of at least " + wanted + " words written";
        }
        return null;
    }

    /** Trials of an open bench that aren't deleted and differ in their settings from all others. */
    public int distinctBenchTrials(String blockId) {
        List<Object> settings = new ArrayList<>();
        for (String name : notebook.getOrDefault(blockId, Map.of()).keySet()) {
            if (name.startsWith("trial/") && !Tree.flag(slot(blockId, name), "removed")) {
                settings.add(Tree.map(slot(blockId, name), "settings"));
            }
        }
        return distinct(settings);
    }

    /**
     * What is right for this student.
     *
     * @param personal the student's own seed
     */
    public AnswerKey key(Block.NumberQuestion question, int personal) {
        AnswerKey.Following following = question.key().following();
        if (following == null) {
            return sheet.key(question, personal);
        }
        try {
            return sheet.following(question.key(), table((Block.Table) sheet.block(following.table())));
        } catch (IllegalArgumentException e) {
            // A table changed so that nothing follows from it.
            return question.key().with(Double.NaN);
        }
    }

    /** Words in a text: runs of letters and digits. */
    public static int words(String text) {
        int n = 0;
        boolean inside = false;
        for (int i = 0; i < text.length(); i++) {
            boolean letter = Character.isLetterOrDigit(text.charAt(i)) || inside && "'’.-".indexOf(text.charAt(i)) >= 0;
            n += letter && !inside ? 1 : 0;
            inside = letter;
        }
        return n;
    }

    private static String unitLack(DataTable table) {
        for (DataTable.Column column : table.columns()) {
            if (column.calculated() && column.trouble() == null && !column.unitFound()) {
                return "find the unit of " + column.symbol();
            }
        }
        return null;
    }

    /** Rows in which everything that is typed stands and can be read; what is worked out or constant isn't typed. */
    public static int completeRows(DataTable table) {
        int complete = 0;
        int rows = table.columns().isEmpty() ? 0 : table.columns().get(0).values().length;
        for (int row = 0; row < rows; row++) {
            boolean full = true;
            for (DataTable.Column column : table.columns()) {
                full &= !column.byHand() || !column.text(row).isBlank() && column.troubles()[row] == null;
            }
            complete += full ? 1 : 0;
        }
        return complete;
    }

    /** How many of some settings differ; neither the order of names nor 1 for 1.0 makes a difference. */
    public static int distinct(Iterable<?> settings) {
        Set<Object> different = new LinkedHashSet<>();
        settings.forEach(s -> different.add(plain(s)));
        return different.size();
    }

    private static Object plain(Object value) {
        if (value instanceof Number) {
            return ((Number) value).doubleValue() + 0.0;
        }
        if (value instanceof Map) {
            Map<Object, Object> map = new LinkedHashMap<>();
            ((Map<?, ?>) value).forEach((k, v) -> map.put(k, plain(v)));
            return map;
        }
        return value;
    }

    /**
     * What a question still waits for before it opens, in words; null where it is open. A question that rests on
     * measuring opens when its table has the rows that are asked for: guessing is no way round measuring.
     */
    public String waitsFor(Block.NumberQuestion question) {
        if (question.restsOn().isEmpty()) {
            return null;
        }
        Block.Table table = (Block.Table) sheet.block(question.restsOn());
        int have = completeRows(DataTable.of(table(table)));
        return have >= table.rows() ? null : "This question opens when “" + table.title() + "” has " + table.rows()
                + " complete rows. It has " + have + ".";
    }

    /** What a prediction still lacks before it can be sealed, in words; null where it is whole. */
    public String lackOfPrediction(Block.Prediction block) {
        Map<String, Object> answer = slot(block.id(), "answer");
        double choice = Tree.number(answer, "choice", -1);
        if (!block.choices().isEmpty() && !(choice >= 0 && choice < block.choices().size() && choice == Math.rint(choice))) {
            return "Choose one of the predictions first; then it can be sealed.";
        }
        if (block.sketch() != null && !hasStroke(slot(block.id(), "sketch").get("strokes"))) {
            return "Sketch the graph first; then it can be sealed.";
        }
        return null;
    }

    private static boolean hasStroke(Object strokes) {
        if (strokes instanceof List) {
            for (Object stroke : (List<?>) strokes) {
                // Two places make a line: x, y, x, y.
                if (stroke instanceof List && ((List<?>) stroke).size() >= 4) {
                    return true;
                }
            }
        }
        return false;
    }

    /** A student's table as {@code DataTable} takes it, gathered from the notebook's slots. */
    public Map<String, Object> table(Block.Table block) {
        Map<String, Object> slots = notebook.getOrDefault(block.id(), Map.of());
        List<Map<String, Object>> typed = Tree.maps(slot(block.id(), "columns"), "columns");
        List<Map<String, Object>> columns = typed.isEmpty() ? block.columns() : typed;
        List<Map<String, Object>> rows = new ArrayList<>();
        for (String row : Tree.texts(slot(block.id(), "rows"), "order")) {
            Map<String, Object> cells = new LinkedHashMap<>();
            Map<String, Object> uncertainties = new LinkedHashMap<>();
            for (Map<String, Object> c : columns) {
                String column = Tree.text(c, "id");
                String place = "cell/" + row + "/" + column;
                if (slots.containsKey(place)) {
                    Map<String, Object> cell = slot(block.id(), place);
                    cells.put(column, Tree.text(cell, "text", ""));
                    uncertainties.put(column, Tree.text(cell, "uncertainty", ""));
                }
            }
            rows.add(Tree.of("id", row, "cells", cells, "uncertainties", uncertainties, "out",
                    Tree.text(slot(block.id(), "row/" + row), "out", "")));
        }
        return Tree.of("columns", columns, "rows", rows);
    }

    private Map<String, Object> slot(String block, String slot) {
        return Tree.map(notebook.getOrDefault(block, Map.of()), slot);
    }
}
