package cauldron.core.form;

import java.util.ArrayList;
import java.util.List;

/** Where in a structure a reader is, and all that was found wrong in the whole of it so far. */
public final class Place {

    private final String outer;
    private final String step;
    private final boolean strict;
    private final List<Fault> faults;

    private Place(String outer, String step, boolean strict, List<Fault> faults) {
        this.outer = outer;
        this.step = step;
        this.strict = strict;
        this.faults = faults;
    }

    /** The outside of something that people write: fields that nobody knows are faults. */
    public static Place strict() {
        return new Place("", "", true, new ArrayList<>());
    }

    /** The outside of something that programs sent or stored: what a newer one added is passed over. */
    public static Place lenient() {
        return new Place("", "", false, new ArrayList<>());
    }

    /** A place inside this one: a field, or anything else that can be named. */
    public Place in(String inner) {
        return new Place(path(), inner, strict, faults);
    }

    /** An item of a list, counted from 1 as people do. */
    public Place item(int index) {
        return named(step + " " + (index + 1));
    }

    /** The same place by a name that says more than a number. */
    public Place named(String words) {
        return new Place(outer, words, strict, faults);
    }

    private String path() {
        return outer.isEmpty() ? step : outer + ", " + step;
    }

    /** Notes that something is wrong here. */
    public void fault(String what) {
        faults.add(new Fault(path(), what));
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
