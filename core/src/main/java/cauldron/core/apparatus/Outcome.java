package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** A value that stands once a run, or a stretch of it, is over: what something came to. */
public final class Outcome extends Shown<Outcome> {

    Outcome(Declaration owner, String id, String symbol, String name, String unit) {
        super(owner, id, symbol, name, unit);
    }

    @Override
    Outcome self() {
        return this;
    }

    @Override
    String sort() {
        return "outcome";
    }

    /** A value in its unit, from one in SI. */
    public double own(double si) {
        return si / factor();
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "symbol", symbol(), "name", name(), "unit", unit(), "figures", decimals(), "perSi",
                1 / factor());
    }
}
