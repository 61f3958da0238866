package cauldron.core.form;

import java.util.ArrayList;
import java.util.List;

/** Where in a structure a reader is, and all that was found wrong in the whole of it so far. */
public final class Where {

    private final String outer;
    private final String step;
    private final boolean strict;
    private final List<Fault> faults;

    private Where(String outer, String step, boolean strict, List<Fault> faults) {
        this.outer = outer;
        this.step = step;
        this.strict = strict;
        this.faults = faults;
    }

    /** The outside of something that people write: fields that nobody knows are faults. */
    public static Where strict() {
        return new Where("", "", true, new ArrayList<>());
    }

    /** The outside of something that programs sent or stored: what a newer one added is passed over. */
    public static Where lenient() {
        return new Where("", "", false, new ArrayList<>());
    }

    /** A place inside this one: a field, or anything else that can be named. */
    public Where in(String inner) {
        return new Where(path(), inner, strict, faults);
    }

    /** An item of a list, counted from 1 as people do. */
    public Where item(int index) {
        return named(step + " " + (index + 1));
    }

    /** The same place by a name that says more than a number. */
    public Where named(String words) {
        return new Where(outer, words, strict, faults);
    }

    private String path() {
        return outer.isEmpty() ? step : outer + ", " + step;
    }

    /** Notes that something is wrong here. */
    public void fault(String what) {
        faults.add(new Fault(path(), what));
    }

    /** Does something that refuses with {@link IllegalArgumentException}, and notes here why it refused. */
    public void attempt(Runnable what) {
        try {
            what.run();
        } catch (IllegalArgumentException e) {
            fault(e.getMessage());
        }
    }

    boolean isStrict() {
        return strict;
    }

    /** All faults found so far, anywhere. */
    public List<Fault> faults() {
        return List.copyOf(faults);
    }

    /** How many faults were found so far, anywhere. */
    public int count() {
        return faults.size();
    }
}
