package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/**
 * An act's argument that is one of the things in a list, {@code "1"} for the first; or something else that is always
 * there, by an id of its own.
 */
public final class Pick extends Setting {

    /** What a pick gives where the other thing was picked. */
    public static final int OTHER = -1;

    private final Items from;
    private String otherId = "";
    private String otherName = "";

    Pick(Declaration owner, String id, String name, Items from) {
        super(owner, id, name);
        this.from = from;
    }

    /** Something else may be picked, too, such as the floor. */
    public Pick or(String id, String name) {
        stillOpen();
        otherId = id;
        otherName = name;
        return this;
    }

    /** The list it picks from. */
    Items from() {
        return from;
    }

    /** Which one a value means, from 0 on; {@link #OTHER} for the other thing. */
    int place(Object value) {
        return value.equals(otherId) ? OTHER : Integer.parseInt((String) value) - 1;
    }

    /** Refuses one that isn't in the list as it is now. */
    void among(Settings now, Object value) {
        if (place(value) >= now.items(from).size()) {
            throw refuse(now.items(from).size());
        }
    }

    /** What a value means among the things there are now. */
    String nameOf(Settings now, Object value) {
        int place = place(value);
        List<Settings> all = now.items(from);
        return place == OTHER ? otherName : place < all.size() ? from.nameOf(all, place) : "?";
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        if (from == null) {
            faults.add(this, "picks from something not declared yet");
        }
    }

    @Override
    public Object initial() {
        return otherId.isEmpty() ? "1" : otherId;
    }

    @Override
    public Object check(Object value) {
        if (!otherId.isEmpty() && otherId.equals(value)) {
            return value;
        }
        for (int i = 1; i <= from.most(); i++) {
            if (String.valueOf(i).equals(value)) {
                return value;
            }
        }
        throw refuse(from.most());
    }

    private SettingException refuse(int most) {
        return new SettingException(id(), name() + ": pick one from 1 to " + most
                + (otherId.isEmpty() ? "" : ", or " + otherName));
    }

    @Override
    public Map<String, Object> toTree() {
        return Tree.of("type", "pick", "id", id(), "name", name(), "from", from.id(), "other", otherId, "otherName",
                otherName, "initial", initial(), "group", group(), "live", isLive(), "shownWhen", shownWhen());
    }
}
