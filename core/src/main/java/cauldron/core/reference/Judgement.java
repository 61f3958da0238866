package cauldron.core.reference;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;

/**
 * A whole table judged: its values, what is worked out of them, and the fits.
 *
 * @param held  values that could be held against something
 * @param right of them within their reading error
 * @param share of the points that it brings, 0 to 1
 * @param words the whole in a sentence
 */
public record Judgement(List<CellCheck> cells, List<WorkedCheck.Worked> worked, List<FitCheck.Fitted> fits, int held,
        int right,
                        double share, String words) {

    /**
     * Judges a table.
     *
     * @param lab    the columns of the lab
     * @param rows   complete rows that the lab asks for
     * @param tree   the student's table
     * @param kept   what was kept of each cell, by {@code row/column}
     * @param trials by their ids
     * @param fits   the fits on its graphs
     * @param goesOn whether there is still time
     */
    public static Judgement of(Judging judging, List<Map<String, Object>> lab, int rows, Map<String, Object> tree,
            Map<String, Map<String, Object>> kept, Map<String, Trial> trials, List<FitCheck.Asked> fits,
            BooleanSupplier goesOn) {
        TableCheck check = TableCheck.of(judging, tree, kept, trials, goesOn);
        List<WorkedCheck.Worked> worked = WorkedCheck.of(judging, lab, tree, check.table());
        List<CellCheck> cells = check.cells();
        int held = (int) cells.stream().filter(c -> c.verdict() != Verdict.NOT_HELD).count();
        int right = (int) cells.stream().filter(c -> c.verdict() == Verdict.RIGHT).count();
        return new Judgement(cells, worked, FitCheck.of(check, tree, fits), held, right,
                share(judging, rows, cells, worked), words(cells, worked, held, right));
    }

    /**
     * What part of the table is right: each asked row of each column counts once, and what is worked out in a column as
     * much as the readings of one. A value that more rows than asked for have right isn't counted twice.
     */
    private static double share(Judging judging, int rows, List<CellCheck> cells, List<WorkedCheck.Worked> worked) {
        int wanted = Math.max(1, rows);
        double columns = judging.references().size() + judging.expected().size();
        double got = 0;
        for (Reference reference : judging.references()) {
            long right = cells.stream().filter(c -> c.column().equals(reference.column())
                    && c.verdict() == Verdict.RIGHT)
                    .count();
            got += Math.min(right, wanted) / (double) wanted;
        }
        for (Expected expected : judging.expected()) {
            got += worked.stream().anyMatch(w -> w.follows() && w.expected().equals(expected.name())) ? 1 : 0;
        }
        return columns == 0 ? 0 : got / columns;
    }

    private static String words(List<CellCheck> cells, List<WorkedCheck.Worked> worked, int held, int right) {
        if (cells.isEmpty() && worked.isEmpty()) {
            return "Nothing stands in this table yet.";
        }
        Map<Verdict, Integer> counts = new LinkedHashMap<>();
        for (Verdict verdict : Verdict.values()) {
            int n = (int) cells.stream().filter(c -> c.verdict() == verdict).count();
            if (n > 0 && verdict.isFault()) {
                counts.put(verdict, n);
            }
        }
        List<String> parts = new ArrayList<>();
        parts.add(held == 0 ? "No value could be held against the apparatus" : right + " of " + held
                + " values are within reading error");
        counts.forEach((verdict, n) -> parts.add(n + " " + named(verdict)));
        int unlooked = (int) cells.stream().filter(CellCheck::unlooked).count();
        if (unlooked > 0) {
            parts.add(unlooked + " typed without looking");
        }
        int open = (int) cells.stream().filter(c -> c.verdict() == Verdict.NOT_HELD).count();
        if (open > 0) {
            parts.add(open + (open == 1 ? " value has" : " values have") + " nothing to be held against: read on no trial,"
                    + " or on one that can't be had again");
        }
        int formulas = (int) worked.stream().filter(w -> !w.follows()).count();
        if (formulas > 0) {
            parts.add(formulas == 1 ? "1 formula is wrong or missing" : formulas + " formulas are wrong or missing");
        }
        return String.join("; ", parts) + ".";
    }

    private static String named(Verdict verdict) {
        switch (verdict) {
            case OTHER_RECORDING:
                return "under another recording's name";
            case POWER_OF_TEN:
                return "off by a power of ten";
            case SIGN:
                return "with the other sign";
            case MISCOUNTED:
                return "miscounted";
            case LAID_WRONG:
                return "with the instrument laid or set wrong";
            case MISREAD:
                return "misread";
            case UNREADABLE:
                return "unreadable";
            default:
                return "off";
        }
    }
}
