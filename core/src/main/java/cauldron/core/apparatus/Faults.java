package cauldron.core.apparatus;

import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;

/** What is wrong with a declaration, collected to be told together. */
final class Faults {

    private final List<String> all = new ArrayList<>();

    void add(Declared where, String what) {
        all.add(where + ": " + what);
    }

    void add(String what) {
        all.add(what);
    }

    /** Whether a unit can be read; notes it if not. */
    boolean readable(Declared where, String unit) {
        try {
            Units.parse(unit);
            return true;
        } catch (IllegalArgumentException e) {
            add(where, "its unit can't be read: " + e.getMessage());
            return false;
        }
    }

    /** Notes something declared that is named here but belongs to no such list of this apparatus. */
    void known(Declared where, Declared named, List<? extends Declared> list) {
        if (named == null || !list.contains(named)) {
            add(where, "names " + (named == null ? "something not declared yet" : named + ", which isn't declared here"));
        }
    }

    List<String> all() {
        return all;
    }
}
