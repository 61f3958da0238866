package cauldron.core.apparatus;

import cauldron.core.Stateful;

/** A number that an experiment remembers and its snapshots hold: a phase, an account, a time. */
public final class Register implements Stateful {

    private double value;

    Register(double first) {
        value = first;
    }

    /** What it holds. */
    public double get() {
        return value;
    }

    /** Whether it holds anything but 0. */
    public boolean isOn() {
        return value != 0;
    }

    /** Holds another number. */
    public void set(double to) {
        value = to;
    }

    /** Holds 1 or 0. */
    public void set(boolean on) {
        value = on ? 1 : 0;
    }

    /** Adds to it. */
    public void add(double more) {
        value += more;
    }

    @Override
    public int size() {
        return 1;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = value;
    }

    @Override
    public void restore(double[] in, int at) {
        value = in[at];
    }
}
