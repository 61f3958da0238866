package cauldron.core.apparatus;

import java.util.Map;

/** A kind of apparatus: what it declares and how one is made. */
public interface Apparatus {

    Manifest manifest();

    /** A fresh experiment. */
    Experiment prepare(Settings settings, int seed);

    /**
     * What a view shows: left, bottom, width and height in metres.
     *
     * <p>It may follow the settings only in coarse steps, so that a film's frame doesn't give away a
     * hidden size.
     */
    double[] frame(String view, Settings settings);

    /**
     * What a handle moved to a place means for the settings before a run has begun, such as the release
     * angle for a bob drawn aside. Empty where it means nothing.
     */
    Map<String, Object> placed(String handle, double x, double y, Settings settings);
}
