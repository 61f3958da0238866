package cauldron.core.apparatus;

import java.util.Arrays;
import java.util.List;

/** What is recorded of a run all the time: the values of every channel, and where every part moved by hand was. */
final class Samples {

    private final double[][] values;
    private final double[][] paths;
    private final List<Handle> handles;
    private int count;

    Samples(Manifest manifest) {
        values = new double[manifest.channels().size()][256];
        paths = new double[manifest.handles().size()][512];
        handles = manifest.handles();
    }

    int count() {
        return count;
    }

    /** The first so many count; the others are forgotten. */
    void keep(int first) {
        count = Math.min(count, first);
    }

    double[] of(Channel channel) {
        return values[channel.index()];
    }

    double[] path(Handle handle) {
        return paths[handle.index()];
    }

    void take(Readings readings, Scene scene) {
        if (count == values[0].length) {
            for (int i = 0; i < values.length; i++) {
                values[i] = Arrays.copyOf(values[i], 2 * count);
            }
            for (int i = 0; i < paths.length; i++) {
                paths[i] = Arrays.copyOf(paths[i], 4 * count);
            }
        }
        for (int i = 0; i < values.length; i++) {
            values[i][count] = readings.values()[i];
        }
        for (int i = 0; i < paths.length; i++) {
            Place at = handles.get(i).at();
            paths[i][2 * count] = scene.of(at.x());
            paths[i][2 * count + 1] = scene.of(at.y());
        }
        count++;
    }
}
