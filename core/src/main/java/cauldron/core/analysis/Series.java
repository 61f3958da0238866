package cauldron.core.analysis;

import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** Numbers from a start to an end by equal steps, printed with as many decimals as start and step were typed with. */
public final class Series {

    private static final int MOST = 10_000;

    private Series() {
    }

    /**
     * Makes a series; the end belongs to it where a step falls on it.
     *
     * @throws IllegalArgumentException naming what is wrong with which of them
     */
    public static List<String> of(String start, String step, String end) {
        double from = read("From", start);
        double by = read("Step", step);
        double to = read("To", end);
        if (by == 0 || (to - from) * by < 0) {
            throw new IllegalArgumentException("Step: must lead from " + start.strip() + " towards " + end.strip());
        }
        double count = Math.floor((to - from) / by + 1e-9) + 1;
        if (count > MOST) {
            throw new IllegalArgumentException("Step: that makes more than " + MOST + " rows. Take a larger one");
        }
        int decimals = Math.max(decimals(start), decimals(step));
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            texts.add(Numbers.fixed(from + i * by, decimals));
        }
        return texts;
    }

    private static double read(String field, String typed) {
        try {
            return Numbers.read(typed);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(field + ": " + e.getMessage());
        }
    }

    private static int decimals(String typed) {
        int point = Math.max(typed.indexOf('.'), typed.indexOf(','));
        return point < 0 ? 0 : typed.strip().length() - 1 - point;
    }
}
