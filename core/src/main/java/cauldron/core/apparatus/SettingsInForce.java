package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.List;

/**
 * Which settings rule an experiment now. Every state they have been in is kept, so that a snapshot needs
 * to hold only a number.
 */
public final class SettingsInForce {

    private final Manifest manifest;
    private final List<Settings> all = new ArrayList<>();
    private int current;

    public SettingsInForce(Manifest manifest, Settings first) {
        this.manifest = manifest;
        all.add(first);
    }

    /** The settings that rule now. */
    public Settings now() {
        return all.get(current);
    }

    /** Changes one setting, if it may change while it runs; gives the new settings. */
    public Settings change(Action.Change change) {
        Setting setting = manifest.setting(change.setting());
        if (!setting.live()) {
            throw new IllegalArgumentException(setting.name() + " can't change while it runs");
        }
        all.add(now().with(change.setting(), change.value()));
        current = all.size() - 1;
        return now();
    }

    /** A number that stands for the present settings in a snapshot. */
    public double mark() {
        return current;
    }

    /** Returns to what {@link #mark} gave; gives the settings that rule again. */
    public Settings restore(double mark) {
        current = (int) mark;
        return now();
    }
}
