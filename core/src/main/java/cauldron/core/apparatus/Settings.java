package cauldron.core.apparatus;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A checked value for every setting of one apparatus. Immutable. */
public final class Settings {

    private final List<Setting> declared;
    private final Object[] values;

    private Settings(List<Setting> declared, Object[] values) {
        this.declared = declared;
        this.values = values;
    }

    /**
     * Settings from some values; what is not named takes its initial value.
     *
     * @throws SettingException if a value is out of range or names no setting
     */
    public static Settings of(Manifest manifest, Map<String, ?> some) {
        Object[] all = new Object[manifest.settings().size()];
        for (Setting setting : manifest.settings()) {
            Object value = some.get(setting.id());
            all[setting.index()] = value == null ? setting.initial() : setting.check(value);
        }
        some.keySet().forEach(manifest::setting);
        return new Settings(manifest.settings(), all);
    }

    /** The same with one value changed. */
    public Settings with(Setting setting, Object value) {
        Object[] changed = values.clone();
        changed[setting.index()] = setting.check(value);
        return new Settings(declared, changed);
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

    /** Every value as it is kept, by the ids of the settings. */
    public Map<String, Object> toTree() {
        Map<String, Object> tree = new LinkedHashMap<>();
        for (Setting setting : declared) {
            tree.put(setting.id(), values[setting.index()]);
        }
        return tree;
    }
}
