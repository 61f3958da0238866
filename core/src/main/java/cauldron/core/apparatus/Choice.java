package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/**
 * A setting that is one of several named things.
 *
 * @param <T> what an option stands for in the model: a radius, a substance, a mode
 */
public final class Choice<T> extends Setting {

    /**
     * What a choice offers.
     *
     * @param value what it stands for in the model, in SI where it is a number
     */
    public record Option<T>(String id, String name, T value) {
    }

    private final List<Option<T>> options = new ArrayList<>();
    private String first;
    private String note = "";

    Choice(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    /** Offers one thing more, and says what it stands for; no two may stand for the same. */
    public Choice<T> option(String id, String name, T value) {
        stillOpen();
        options.add(new Option<>(id, name, value));
        return this;
    }

    /** Offers each of a list, by what it is told and called by. */
    public Choice<T> options(T[] all, Function<T, String> ids, Function<T, String> names) {
        for (T one : all) {
            option(ids.apply(one), names.apply(one), one);
        }
        return this;
    }

    /** The option it begins with; the first one unless said. */
    public Choice<T> first(String id) {
        stillOpen();
        first = id;
        return this;
    }

    /** What whoever chooses should know. */
    public Choice<T> note(String text) {
        stillOpen();
        note = text;
        return this;
    }

    /** It may change while the apparatus runs. */
    public Choice<T> live() {
        setLive();
        return this;
    }

    /** Shown in a group of its own. */
    public Choice<T> in(String group) {
        setGroup(group);
        return this;
    }

    /** Shown only while a switch is on. */
    public Choice<T> when(Switch toggle) {
        setShownWhen(Condition.of(toggle, true));
        return this;
    }

    /** Shown only while another choice stands on one of some options. */
    @SafeVarargs
    public final <U> Choice<T> when(Choice<U> choice, U... options) {
        setShownWhen(Condition.of(choice, (Object[]) options));
        return this;
    }

    /** What can be chosen. */
    public List<Option<T>> options() {
        return List.copyOf(options);
    }

    /** What an option of an id stands for. */
    T valueOf(String id) {
        for (Option<T> option : options) {
            if (option.id().equals(id)) {
                return option.value();
            }
        }
        throw new IllegalArgumentException(this + " has no option “" + id + "”");
    }

    /** What an option of an id is called. */
    String nameOf(String id) {
        for (Option<T> option : options) {
            if (option.id().equals(id)) {
                return option.name();
            }
        }
        throw new IllegalArgumentException(this + " has no option “" + id + "”");
    }

    /** The id of the option that stands for something, or null. */
    String idOf(Object value) {
        for (Option<T> option : options) {
            if (Objects.equals(option.value(), value)) {
                return option.id();
            }
        }
        return null;
    }

    @Override
    public Object initial() {
        return first != null || options.isEmpty() ? first : options.get(0).id();
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        if (options.size() < 2) {
            faults.add(this, "needs at least two options");
        }
        for (Option<T> option : options) {
            if (options.stream().filter(o -> o.id().equals(option.id())).count() > 1) {
                faults.add(this, "has the option “" + option.id() + "” twice");
            }
            if (!option.id().equals(idOf(option.value()))) {
                faults.add(this, "has two options that stand for the same as “" + option.id() + "”");
            }
        }
        if (!options.isEmpty() && options.stream().noneMatch(o -> o.id().equals(initial()))) {
            faults.add(this, "begins with “" + first + "”, which it doesn't offer");
        }
    }

    @Override
    public Object check(Object value) {
        List<String> names = new ArrayList<>();
        for (Option<T> option : options) {
            if (option.id().equals(value)) {
                return value;
            }
            names.add(option.name());
        }
        throw new SettingException(id(), name() + ": choose one of " + String.join(", ", names));
    }

    @Override
    public Map<String, Object> toTree() {
        List<Object> list = new ArrayList<>();
        for (Option<T> option : options) {
            list.add(Tree.of("id", option.id(), "name", option.name()));
        }
        return Tree.of("type", "choice", "id", id(), "name", name(), "options", list, "initial", initial(), "group",
                group(), "live", isLive(), "shownWhen", shownWhen(), "note", note);
    }
}
