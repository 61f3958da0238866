package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Units;
import java.util.List;
import java.util.Map;

/** Many values of one kind at one instant, shown as a histogram. */
public final class Distribution extends Declared {

    private final String symbol;
    private final String unit;
    private double typicalMax = 1;
    private List<Choice<?>> populations = List.of();
    private List<String> marks = List.of();

    Distribution(Declaration owner, String id, String symbol, String name, String unit) {
        super(owner, id, name);
        this.symbol = symbol;
        this.unit = unit;
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

    /** How many values are marked. */
    public int markCount() {
        return marks.size();
    }

    /** How many kinds of values are told apart. */
    public int populationCount() {
        return populations.size();
    }

    void check(Manifest all, Faults faults) {
        faults.readable(this, unit);
        populations.forEach(c -> faults.known(this, c, all.settings()));
        if (!(typicalMax > 0)) {
            faults.add(this, "needs a scale that ends above 0");
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "symbol", symbol, "name", name(), "unit", unit, "typicalMax", typicalMax,
                "populations", populations.stream().map(Declared::id).toList(), "marks", marks, "perSi",
                1 / Units.parse(unit).factor());
    }
}
