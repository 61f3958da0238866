package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/** A value that stands once a run, or a stretch of it, is over: what something came to. */
public final class Outcome extends Shown<Outcome> {

    private List<String> words = List.of();
    private boolean aside;
    private boolean unshown;
    private Condition settledWhen;

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

    /** It is one of some words: the value is the place of one among them. */
    public Outcome words(String... all) {
        stillOpen();
        words = List.of(all);
        return this;
    }

    /** It stands only where all are asked for, not beside every trial. */
    public Outcome aside() {
        stillOpen();
        aside = true;
        return this;
    }

    /** It is kept with a trial for keys of questions, and never told on a page: it is what is to be found out. */
    public Outcome unshown() {
        stillOpen();
        unshown = true;
        return this;
    }

    /** It can be settled only while a choice stands on one of some options. */
    @SafeVarargs
    public final <T> Outcome when(Choice<T> choice, T... options) {
        stillOpen();
        settledWhen = Condition.of(choice, (Object[]) options);
        return this;
    }

    void check(Manifest all, Faults faults) {
        if (settledWhen != null) {
            settledWhen.check(this, all, faults);
        }
    }

    /** What it can be, where it is a word; else empty. */
    public List<String> words() {
        return words;
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "symbol", symbol(), "name", name(), "unit", unit(), "figures", decimals(), "perSi",
                1 / factor(), "zero", read().offset(), "words", words, "aside", aside,
                "unshown", unshown, "shownWhen", Condition.text(settledWhen));
    }
}
