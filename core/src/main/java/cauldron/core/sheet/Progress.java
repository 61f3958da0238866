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
        Set<Object> different = new LinkedHashSet<>();
        for (String name : notebook.getOrDefault(blockId, Map.of()).keySet()) {
            if (name.startsWith("trial/") && !Tree.flag(slot(blockId, name), "removed")) {
                different.add(Tree.map(slot(blockId, name), "settings"));
            }
        }
        return different.size();
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

    private static int completeRows(DataTable table) {
        int complete = 0;
        int rows = table.columns().isEmpty() ? 0 : table.columns().get(0).values().length;
        for (int row = 0; row < rows; row++) {
            boolean full = true;
            for (DataTable.Column column : table.columns()) {
                full &= column.calculated() || !column.text(row).isBlank() && column.troubles()[row] == null;
            }
            complete += full ? 1 : 0;
        }
        return complete;
    }

    /** A student's table as {@code DataTable} takes it, gathered from the notebook's slots. */
    public Map<String, Object> table(Block.Table block) {
        Map<String, Object> slots = notebook.getOrDefault(block.id(), Map.of());
        List<Map<String, Object>> columns = Tree.maps(slot(block.id(), "columns"), "columns");
        List<Map<String, Object>> rows = new ArrayList<>();
        for (String row : Tree.texts(slot(block.id(), "rows"), "order")) {
            Map<String, Object> cells = new LinkedHashMap<>();
            Map<String, Object> uncertainties = new LinkedHashMap<>();
            String prefix = "cell/" + row + "/";
            for (Map.Entry<String, Object> entry : slots.entrySet()) {
                if (entry.getKey().startsWith(prefix)) {
                    String column = entry.getKey().substring(prefix.length());
                    Map<String, Object> cell = slot(block.id(), entry.getKey());
                    cells.put(column, Tree.text(cell, "text", ""));
                    uncertainties.put(column, Tree.text(cell, "uncertainty", ""));
                }
            }
            rows.add(Tree.of("id", row, "cells", cells, "uncertainties", uncertainties, "out",
                    Tree.text(slot(block.id(), "row/" + row), "out", "")));
        }
        return Tree.of("columns", columns.isEmpty() ? block.columns() : columns, "rows", rows);
    }

    private Map<String, Object> slot(String block, String slot) {
        return Tree.map(notebook.getOrDefault(block, Map.of()), slot);
    }
}
