package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.analysis.Comparison;
import cauldron.core.analysis.Statistics;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * The values of one distribution in several trials, side by side: least and greatest, median and quartiles of each
 * ({@link Statistics} says which), and in words how each mean stands to that of the first.
 *
 * @param boxes one for each trial, in their order
 * @param words a sentence for each trial after the first that can be compared with it
 */
public record BoxPlots(List<Box> boxes, List<String> words) {

    /** The most trials that are told side by side. */
    public static final int MOST = 24;

    /**
     * One of them.
     *
     * @param values     in SI
     * @param statistics of the values in the distribution's unit
     */
    public record Box(String name, double[] values, Statistics statistics) {

        Map<String, Object> toTree(double factor) {
            Statistics s = statistics;
            return Tree.of("name", name, "values", Arrays.stream(values).map(v -> v / factor).toArray(), "count", (double) s.count(),
                    "least", s.min(), "lower", s.lowerQuartile(), "median", s.median(), "upper", s.upperQuartile(), "most",
                    s.max(), "mean", s.mean(), "sd", s.sd());
        }
    }

    /**
     * Replays trials as far as each had come.
     *
     * @param trials each with its {@code name}, its {@code recipe} and {@code until} when it ran, in model seconds
     * @throws IllegalArgumentException for more trials than are told side by side
     */
    public static BoxPlots of(Apparatus apparatus, Distribution d, List<Map<String, Object>> trials) {
        if (trials.size() > MOST) {
            throw new IllegalArgumentException("Up to " + MOST + " trials are told side by side; these are " + trials.size());
        }
        List<Box> boxes = new ArrayList<>();
        for (Map<String, Object> trial : trials) {
            double[] values = {};
            try {
                Run run = Run.replay(apparatus, Recipe.fromTree(Tree.map(trial, "recipe")), Tree.number(trial, "until"));
                Population population = run.population(d, 0);
                values = Arrays.copyOf(population.values(), population.count());
            } catch (IllegalArgumentException e) {
                // One that can't be made again stands there by its name alone; the others are told all the same.
            }
            double[] own = Arrays.stream(values).map(v -> v / d.factor()).toArray();
            boxes.add(new Box(Tree.text(trial, "name"), values, Statistics.of(own)));
        }
        List<String> words = new ArrayList<>();
        for (int i = 1; i < boxes.size(); i++) {
            if (boxes.get(0).statistics().count() > 1 && boxes.get(i).statistics().count() > 1) {
                words.add(inWords(d, boxes.get(0), boxes.get(i)));
            }
        }
        return new BoxPlots(boxes, words);
    }

    private static String inWords(Distribution d, Box first, Box other) {
        Statistics a = first.statistics();
        Statistics b = other.statistics();
        Unit unit = Units.parse(d.unit());
        double difference = b.mean() - a.mean();
        String agreement = Tree.text(Comparison.of(b.mean(), b.standardError(), unit, a.mean(), a.standardError(), unit), "words");
        return other.name() + ": the mean is " + Numbers.fixed(Math.abs(difference), d.decimals()) + " " + d.unit()
                + (difference < 0 ? " less than in " : " more than in ") + first.name() + ". "
                + agreement.replace("They", "The two means").replace("uncertainty", "standard error") + ".";
    }

    /** All of it as plain data, in the distribution's unit. */
    public Map<String, Object> toTree(Distribution d) {
        List<Object> trees = new ArrayList<>();
        boxes.forEach(box -> trees.add(box.toTree(d.factor())));
        return Tree.of("boxes", trees, "words", words);
    }
}
