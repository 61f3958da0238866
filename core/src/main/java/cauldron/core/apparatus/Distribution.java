package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/** Many values of one kind at one instant, shown as a histogram. */
public final class Distribution extends Shown<Distribution> {

    private double typicalMax = 1;
    private List<Choice<?>> populations = List.of();
    private List<String> marks = List.of();
    private String counted = "values";
    private String together = "all";
    private double scaleTimes;
    private int scaleMark;
    private int bins = 40;
    private boolean overTrials;
    private Layer followedOn;
    private String followed = "";

    Distribution(Declaration owner, String id, String symbol, String name, String unit) {
        super(owner, id, symbol, name, unit);
    }

    @Override
    Distribution self() {
        return this;
    }

    @Override
    String sort() {
        return "distribution";
    }

    /** Where its scale ends, in its unit. */
    public Distribution upTo(double value) {
        stillOpen();
        typicalMax = value;
        return this;
    }

    /** Tells its values apart by the choices that name them. */
    public Distribution of(Choice<?>... choices) {
        stillOpen();
        populations = List.of(choices);
        return this;
    }

    /** Names the marked values. */
    public Distribution marks(String... names) {
        stillOpen();
        marks = List.of(names);
        return this;
    }

    /** Names what is counted, in the plural, and what all kinds of it are called together. */
    public Distribution counting(String things, String all) {
        stillOpen();
        counted = things;
        together = all;
        return this;
    }

    /** Names the one whose value is marked while a layer is shown. */
    public Distribution follows(String name, Layer layer) {
        stillOpen();
        followed = name;
        followedOn = layer;
        return this;
    }

    /** Its scale follows one of the marked values: it ends at about so many times that. */
    public Distribution endingAt(double times, int mark) {
        stillOpen();
        scaleTimes = times;
        scaleMark = mark;
        return this;
    }

    /** In how many bins it is counted at first; 40 unless said, fewer where there are few values. */
    public Distribution inBins(int many) {
        stillOpen();
        bins = many;
        return this;
    }

    /** It is compared over trials, too, as boxes. */
    public Distribution overTrials() {
        stillOpen();
        overTrials = true;
        return this;
    }

    /** How many values are marked. */
    public int markCount() {
        return marks.size();
    }

    /** How many kinds of values are told apart. */
    public int populationCount() {
        return populations.size();
    }

    void check(Manifest all, Faults faults) {
        populations.forEach(c -> faults.known(this, c, all.settings()));
        if (!followed.isEmpty()) {
            faults.known(this, followedOn, all.layers());
        }
        if (scaleMark < 0 || scaleMark > 0 && scaleMark >= marks.size()) {
            faults.add(this, "has a scale that follows a mark it doesn't have");
        }
        if (read().offset() != 0) {
            faults.add(this, "counts from nothing up, which " + unit() + " doesn't");
        }
        if (!(typicalMax > 0)) {
            faults.add(this, "needs a scale that ends above 0");
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "symbol", symbol(), "name", name(), "unit", unit(), "typicalMax", typicalMax,
                "populations", populations.stream().map(Declared::id).toList(), "marks", marks, "decimals",
                decimals(), "counted", counted, "together", together, "followed", followed, "followedOn",
                followedOn == null ? "" : followedOn.id(), "perSi", 1 / factor(),
                "scaleTimes", scaleTimes, "scaleMark", (double) scaleMark, "overTrials", overTrials, "bins", (double) bins);
    }
}
