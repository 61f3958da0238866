package cauldron.core.apparatus;

/** The channels' values at an instant, in SI. */
public final class Readings {

    private final double[] values;

    Readings(Manifest manifest) {
        values = new double[manifest.channels().size()];
    }

    /** Notes a channel's value; NaN where it has none yet. */
    public void put(Channel channel, double si) {
        values[channel.index()] = si;
    }

    /** A channel's value. */
    public double of(Channel channel) {
        return values[channel.index()];
    }

    /** All of them, in the manifest's order; not to be written to. */
    double[] values() {
        return values;
    }
}
