package cauldron.core.apparatus;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A checked value for every setting of one apparatus, of one item of a list or of one act. Immutable. */
public final class Settings {

    private final List<Setting> declared;
    private final Object[] values;
    /** Lists of items as they were read, where they were asked for. */
    private final Object[] read;

    private Settings(List<Setting> declared, Object[] values) {
        this.declared = declared;
        this.values = values;
        this.read = new Object[values.length];
    }

    /**
     * Settings from some values; what is not named takes its initial value. What another setting bounds is brought down
     * to it.
     *
     * @throws SettingException if a value is out of range or names no setting
     */
    public static Settings of(Manifest manifest, Map<String, ?> some) {
        return of(manifest.settings(), some, manifest.name());
    }

    /**
     * The same for whatever has settings.
     *
     * @param owner what has them, in words
     */
    static Settings of(List<Setting> declared, Map<String, ?> some, String owner) {
        Object[] all = new Object[declared.size()];
        int named = 0;
        for (int i = 0; i < all.length; i++) {
            Setting setting = declared.get(i);
            Object value = some.get(setting.id());
            named += some.containsKey(setting.id()) ? 1 : 0;
            all[i] = value == null ? setting.initial() : setting.check(value);
        }
        if (named < some.size()) {
            for (String id : some.keySet()) {
                if (declared.stream().noneMatch(s -> s.id().equals(id))) {
                    throw new SettingException(id, owner + " has no setting “" + id + "”");
                }
            }
        }
        return new Settings(declared, bounded(declared, all));
    }

    /** Brings down what others bound. */
    private static Object[] bounded(List<Setting> declared, Object[] all) {
        for (int i = 0; i < all.length; i++) {
            if (declared.get(i) instanceof Amount amount && amount.ceiling() != null) {
                all[i] = amount.among((Double) all[i], all);
            }
        }
        return all;
    }

    /** The same with one value changed. */
    public Settings with(Setting setting, Object value) {
        Object[] changed = values.clone();
        changed[setting.index()] = setting.check(value);
        return new Settings(declared, bounded(declared, changed));
    }

    /** An amount in SI. */
    public double si(Amount amount) {
        return amount.si((Double) values[amount.index()]);
    }

    /** A count. */
    public int count(Amount amount) {
        return ((Double) values[amount.index()]).intValue();
    }

    /** What the chosen option stands for. */
    public <T> T value(Choice<T> choice) {
        return choice.valueOf(choice(choice));
    }

    /** The id of the chosen option. */
    String choice(Choice<?> choice) {
        return (String) values[choice.index()];
    }

    /** Whether a switch is on. */
    public boolean on(Switch toggle) {
        return (Boolean) values[toggle.index()];
    }

    /** The things in a list, each with the values of its fields. */
    @SuppressWarnings("unchecked")
    public List<Settings> items(Items items) {
        int i = items.index();
        if (read[i] == null) {
            read[i] = items.read(values[i]);
        }
        return (List<Settings>) read[i];
    }

    /** Which thing of its list was picked, from 0 on; {@link Pick#OTHER} for the other one. */
    public int pick(Pick pick) {
        return pick.place(values[pick.index()]);
    }

    /** A value as it is kept. */
    Object kept(Setting setting) {
        return values[setting.index()];
    }

    /** Every value as it is kept, by the ids of the settings. */
    public Map<String, Object> toTree() {
        Map<String, Object> tree = new LinkedHashMap<>();
        for (Setting setting : declared) {
            tree.put(setting.id(), values[setting.index()]);
        }
        return tree;
    }
}
