package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.List;

/**
 * States of an experiment kept along a run, from which any moment can be computed again. When they hold
 * too many numbers, every other one is given up: going back takes longer, but a long run of a large state
 * has room.
 */
final class Checkpoints {

    private static final int SAMPLES_BETWEEN = 60;

    /**
     * One of them.
     *
     * @param actions how many actions had been done
     */
    record Checkpoint(double time, int actions, double[] state) {
    }

    private final int mostValues;
    private final List<Checkpoint> all = new ArrayList<>();
    private int samplesBetween = SAMPLES_BETWEEN;
    private int values;

    /** Checkpoints that hold at most so many numbers. */
    Checkpoints(int mostValues) {
        this.mostValues = mostValues;
    }

    /** Whether one is due after so many samples. */
    boolean isDue(int samples) {
        return samples % samplesBetween == 0;
    }

    void keep(double time, int actions, double[] state) {
        all.add(new Checkpoint(time, actions, state));
        values += state.length;
        if (values > mostValues) {
            thinOut();
        }
    }

    private void thinOut() {
        samplesBetween *= 2;
        // The first is the beginning, the last the way on from here; neither may go.
        for (int i = all.size() - 2; i > 0; i -= 2) {
            values -= all.remove(i).state().length;
        }
    }

    /** The last one not after a time; the beginning if there is none. */
    Checkpoint before(double time) {
        int i = all.size() - 1;
        while (i > 0 && all.get(i).time() > time) {
            i--;
        }
        return all.get(i);
    }

    /** Forgets those after a time, but never the beginning. */
    void dropAfter(double time) {
        while (all.size() > 1 && all.get(all.size() - 1).time() > time) {
            values -= all.remove(all.size() - 1).state().length;
        }
    }

    /** Forgets those at which more had been done, but never the beginning. */
    void dropBeyond(int actions) {
        while (all.size() > 1 && all.get(all.size() - 1).actions() > actions) {
            values -= all.remove(all.size() - 1).state().length;
        }
    }

    /** How many numbers they hold together. */
    int values() {
        return values;
    }
}
