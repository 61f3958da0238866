package cauldron.core.apparatus;

import java.util.Map;

/**
 * Something that can be set on an apparatus. Values are kept as {@link Double} (in the setting's own
 * unit, which is what people see and type), {@link String} (a choice's id), {@link Boolean}, or as a list (items).
 */
public abstract sealed class Setting extends Declared permits Amount, Choice, Items, Pick, Switch {

    private String group = "";
    private boolean live;
    private Condition shownWhen;
    private boolean advised;

    Setting(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    final String sort() {
        return "setting";
    }

    /** Which settings are shown together; empty for the main group. */
    public final String group() {
        return group;
    }

    /** May change while it runs; otherwise a change starts a new trial. */
    public final boolean isLive() {
        return live;
    }

    /** Shown only while another setting has a value: {@code "place=own"}; empty: always. */
    public final String shownWhen() {
        return Condition.text(shownWhen);
    }

    /** Whether {@link Apparatus#advice} may have something to say of it. */
    public final boolean isAdvised() {
        return advised;
    }

    final void setAdvised() {
        stillOpen();
        advised = true;
    }

    final void setGroup(String to) {
        stillOpen();
        group = to;
    }

    final void setLive() {
        stillOpen();
        live = true;
    }

    final void setShownWhen(Condition condition) {
        stillOpen();
        shownWhen = condition;
    }

    final Condition condition() {
        return shownWhen;
    }

    /** The value it begins with. */
    public abstract Object initial();

    /**
     * Checks a value and brings it to the form in which it is kept.
     *
     * @throws SettingException naming this setting and what it can take
     */
    public abstract Object check(Object value);

    /** All that pages need to know of it. */
    public abstract Map<String, Object> toTree();
}
