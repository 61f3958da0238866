package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** A setting that is on or off; off at first unless said. */
public final class Switch extends Setting {

    private boolean first;

    Switch(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    /** Whether it is on at first. */
    public Switch first(boolean on) {
        stillOpen();
        first = on;
        return this;
    }

    /** It may change while the apparatus runs. */
    public Switch live() {
        setLive();
        return this;
    }

    /** Shown in a group of its own. */
    public Switch in(String group) {
        setGroup(group);
        return this;
    }

    /** Shown only while a choice stands on one of some options. */
    @SafeVarargs
    public final <T> Switch when(Choice<T> choice, T... options) {
        setShownWhen(Condition.of(choice, (Object[]) options));
        return this;
    }

    @Override
    public Boolean initial() {
        return first;
    }

    @Override
    public Object check(Object value) {
        if (value instanceof Boolean) {
            return value;
        }
        throw new SettingException(id(), name() + ": must be on or off");
    }

    @Override
    public Map<String, Object> toTree() {
        return Tree.of("type", "switch", "id", id(), "name", name(), "initial", first, "group", group(), "live",
                isLive(), "shownWhen", shownWhen());
    }
}
