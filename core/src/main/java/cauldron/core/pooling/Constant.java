package cauldron.core.pooling;

import cauldron.core.Tree;
import cauldron.core.analysis.Histogram;
import cauldron.core.analysis.Statistics;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One fitted constant over a class.
 *
 * @param meaning such as gradient; may be empty
 * @param unit    empty where it has none, or none that is fixed
 * @param spreads over all, and where there are groups over each of them
 * @param start   where the first of some bins begins in which nearly equal values are counted together
 * @param width   of a bin
 */
public record Constant(String name, String meaning, String unit, List<Spread> spreads, double start, double width) {

    /**
     * How values are spread; all in the constant's unit.
     *
     * @param group empty: over all
     * @param middle the median as it is read; empty where there is none
     * @param sd    standard deviation of one value; empty for fewer than two
     * @param text  the mean and its standard uncertainty, as they would be given: “9.80 ± 0.03”
     */
    public record Spread(String group, int count, double median, String middle, String mean, String sd, String text) {
    }

    private static final int FIGURES = 4;

    static Constant of(Map<String, Object> parameter, int which, List<Pool.Series> series) {
        String unit = Tree.text(parameter, "unit", "");
        Set<String> groups = new LinkedHashSet<>();
        groups.add("");
        series.forEach(s -> groups.add(s.group()));
        List<Spread> spreads = new ArrayList<>();
        for (String group : groups) {
            double[] values = series.stream().filter(s -> s.constants().length > 0)
                    .filter(s -> group.isEmpty() || s.group().equals(group)).mapToDouble(s -> s.constants()[which])
                    .toArray();
            if (values.length > 0 || group.isEmpty()) {
                spreads.add(spread(group, values));
            }
        }
        Statistics all = Statistics.of(values(series, which));
        double width = all.count() < 2 || all.max() == all.min() ? 1 : Histogram.niceWidth(all);
        return new Constant(Tree.text(parameter, "name"), Tree.text(parameter, "meaning", ""), unit, spreads,
                all.count() == 0 ? 0 : width * Math.floor(all.min() / width), width);
    }

    private static double[] values(List<Pool.Series> series, int which) {
        return series.stream().filter(s -> s.constants().length > 0).mapToDouble(s -> s.constants()[which]).toArray();
    }

    private static Spread spread(String group, double[] values) {
        Statistics s = Statistics.of(values);
        String mean = s.count() == 0 ? "" : Numbers.print(s.mean(), FIGURES);
        boolean several = s.count() > 1 && s.sd() > 0;
        return new Spread(group, s.count(), s.median(), s.count() == 0 ? "" : Numbers.print(s.median(), FIGURES),
                mean, several ? Numbers.print(s.sd(), 2) : "",
                several ? Numbers.printWithUncertainty(s.mean(), s.sd() / Math.sqrt(s.count())) : mean);
    }
}
