package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A line of the scene as a camera sees it: the places of its points in each frame, as many in all frames; where a frame has
 * fewer, the rest are {@link #NOTHING}.
 */
final class FilmedLine {

    /** Stands where there is no point. */
    static final short NOTHING = Short.MIN_VALUE;
    /** A longer line is thinned evenly, its ends kept: it would make a film too large to send. */
    static final int MOST_POINTS = 120;

    private final String id;
    private final List<short[]> frames = new ArrayList<>();
    private int most;

    FilmedLine(String id) {
        this.id = id;
    }

    /** Takes one more frame. */
    void take(double[] points, Frame frame, double scale) {
        int there = points.length / 2;
        int kept = Math.min(there, MOST_POINTS);
        short[] places = new short[2 * kept];
        for (int i = 0; i < kept; i++) {
            int from = kept == there ? i : (int) Math.round(i * (there - 1.0) / (kept - 1));
            places[2 * i] = Film.picture(SceneField.Kind.X, points[2 * from], frame, scale);
            places[2 * i + 1] = Film.picture(SceneField.Kind.Y, points[2 * from + 1], frame, scale);
        }
        frames.add(places);
        most = Math.max(most, kept);
    }

    /** The most points it has in any frame. */
    int points() {
        return most;
    }

    /** What the place of a point is called among a film's fields: {@code outline:3.x}. */
    String field(int point, boolean up) {
        return id + ":" + point + (up ? ".y" : ".x");
    }

    /** The place of a point in all frames. */
    short[] places(int point, boolean up) {
        short[] all = new short[frames.size()];
        Arrays.fill(all, NOTHING);
        for (int f = 0; f < all.length; f++) {
            int at = 2 * point + (up ? 1 : 0);
            all[f] = at < frames.get(f).length ? frames.get(f)[at] : NOTHING;
        }
        return all;
    }

    String id() {
        return id;
    }
}
