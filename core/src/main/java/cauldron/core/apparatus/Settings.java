package cauldron.core.apparatus;

import java.util.LinkedHashMap;
import java.util.Map;

/** A checked value for every setting of one apparatus. Immutable. */
public final class Settings {

    private final Manifest manifest;
    private final Map<String, Object> values;

    private Settings(Manifest manifest, Map<String, Object> values) {
        this.manifest = manifest;
        this.values = values;
    }

    /**
     * Settings from some values; what is not named takes its initial value.
     *
     * @throws SettingException if a value is out of range or names no setting
     */
    public static Settings of(Manifest manifest, Map<String, ?> some) {
        Map<String, Object> all = new LinkedHashMap<>();
        for (Setting setting : manifest.settings()) {
            Object value = some.get(setting.id());
            all.put(setting.id(), value == null ? setting.initial() : setting.check(value));
        }
        for (String id : some.keySet()) {
            if (!all.containsKey(id)) {
                throw new SettingException(id, manifest.name() + " has no setting “" + id + "”");
            }
        }
        return new Settings(manifest, all);
    }

    /** The same with one value changed. */
    public Settings with(String id, Object value) {
        Map<String, Object> changed = new LinkedHashMap<>(values);
        changed.put(id, manifest.setting(id).check(value));
        return new Settings(manifest, changed);
    }

    /** An amount in the setting's own unit. */
    public double amount(String id) {
        return (Double) values.get(id);
    }

    public String choice(String id) {
        return (String) values.get(id);
    }

    public boolean on(String id) {
        return (Boolean) values.get(id);
    }

    public Map<String, Object> toTree() {
        return new LinkedHashMap<>(values);
    }
}
