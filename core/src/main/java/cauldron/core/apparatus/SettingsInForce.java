package cauldron.core.apparatus;

import cauldron.core.Stateful;
import java.util.ArrayList;
import java.util.List;

/**
 * Which settings rule an experiment now. Every state they have been in is kept, so that a snapshot needs
 * to hold only a number.
 */
final class SettingsInForce implements Stateful {

    private final List<Settings> all = new ArrayList<>();
    private int current;

    SettingsInForce(Settings first) {
        all.add(first);
    }

    /** The settings that rule now. */
    Settings now() {
        return all.get(current);
    }

    /** Puts others in their place. */
    void change(Settings to) {
        all.add(to);
        current = all.size() - 1;
    }

    @Override
    public int size() {
        return 1;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = current;
    }

    @Override
    public void restore(double[] in, int at) {
        current = (int) in[at];
    }
}
