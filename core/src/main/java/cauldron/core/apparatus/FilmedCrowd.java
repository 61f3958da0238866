package cauldron.core.apparatus;

import java.util.Arrays;

/**
 * The bodies of a crowd as a camera sees them: each keeps its place among them from frame to frame, and its kind is that of
 * the last frame it is in. Of a crowd that would make a film too large to send, the first ones are filmed.
 */
final class FilmedCrowd {

    /** What their places are called among a film's fields: {@code crowd:3.x}. */
    static final String ID = "crowd";
    private static final int EACH = 3;

    private final FilmedLine places = new FilmedLine(ID);
    private final double[] seen;
    private final double[] kinds = new double[FilmedLine.MOST_POINTS];

    FilmedCrowd(int most) {
        seen = new double[EACH * most];
    }

    /** Takes one more frame. */
    void take(Run run, Frame frame, double scale) {
        int count = Math.min(run.crowd(seen), FilmedLine.MOST_POINTS);
        double[] points = new double[2 * count];
        for (int i = 0; i < count; i++) {
            points[2 * i] = seen[EACH * i];
            points[2 * i + 1] = seen[EACH * i + 1];
            kinds[i] = seen[EACH * i + 2];
        }
        places.take(points, frame, scale);
    }

    /** Where they are. */
    FilmedLine places() {
        return places;
    }

    /** The kind of each. */
    double[] kinds() {
        return Arrays.copyOf(kinds, places.points());
    }
}
