package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/** Something of its own in an apparatus that channels and forces belong to: a vehicle, a load. */
public final class Body extends Declared {

    private Items list;
    private int place;
    private Condition thereWhen;

    Body(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "body";
    }

    /** It is one of the things in a list, counted from 0; it is called as that is called, and there while that is. */
    public Body oneOf(Items items, int which) {
        stillOpen();
        list = items;
        place = which;
        return this;
    }

    /** It is there only while a switch is on. */
    public Body when(Switch toggle) {
        stillOpen();
        thereWhen = Condition.of(toggle, true);
        return this;
    }

    /** It is there only while a choice stands on one of some options. */
    @SafeVarargs
    public final <T> Body when(Choice<T> choice, T... options) {
        stillOpen();
        thereWhen = Condition.of(choice, (Object[]) options);
        return this;
    }

    /** What it is called now; empty where it isn't there. */
    public String nameNow(Settings now) {
        if (thereWhen != null && !thereWhen.holds(now)) {
            return "";
        }
        if (list == null) {
            return name();
        }
        List<Settings> all = now.items(list);
        return place < all.size() ? list.nameOf(all, place) : "";
    }

    void check(Manifest all, Faults faults) {
        if (list != null) {
            faults.known(this, list, all.settings());
        }
        if (thereWhen != null) {
            thereWhen.check(this, all, faults);
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name());
    }
}
