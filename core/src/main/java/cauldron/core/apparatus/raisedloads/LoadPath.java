package cauldron.core.apparatus.raisedloads;

import java.util.ArrayList;
import java.util.List;

/**
 * A path through the tower, as the points it goes through. Between two points it is straight; by the hoist it goes up
 * the shaft on the right, by the stair over two flights a storey on the left.
 */
final class LoadPath {

    /** How a load is brought. */
    enum By { HOIST, STAIR }

    /** How far right the hoist's shaft is, in metres from the wall. */
    static final double SHAFT = 4.6;
    /** Where the stair turns, and where it reaches the landings. */
    static final double TURN = -2.2;
    static final double FOOT = -0.35;

    private final List<double[]> points = new ArrayList<>();

    private LoadPath(double x, double y) {
        points.add(new double[] {x, y});
    }

    /**
     * The path of a load.
     *
     * @param storeys heights at which the stair has landings, from the floor up, in metres
     */
    static LoadPath of(By by, double fromX, double fromY, double toX, double toY, double[] storeys) {
        LoadPath path = new LoadPath(fromX, fromY);
        if (fromY == toY) {
            path.to(toX, toY);
        } else if (by == By.HOIST) {
            path.to(SHAFT, fromY);
            path.to(SHAFT, toY);
            path.to(toX, toY);
        } else {
            path.to(FOOT, fromY);
            path.climb(fromY, toY, storeys);
            path.to(toX, toY);
        }
        return path;
    }

    private void climb(double from, double to, double[] storeys) {
        int step = to > from ? 1 : -1;
        double at = from;
        for (int i = step > 0 ? 0 : storeys.length - 1; i >= 0 && i < storeys.length; i += step) {
            double next = storeys[i];
            if (step * (next - at) > 0 && step * (to - next) >= 0) {
                to(TURN, 0.5 * (at + next));
                to(FOOT, next);
                at = next;
            }
        }
    }

    private void to(double x, double y) {
        points.add(new double[] {x, y});
    }

    /** Its length in metres. */
    double length() {
        double length = 0;
        for (int i = 1; i < points.size(); i++) {
            length += span(i);
        }
        return length;
    }

    private double span(int i) {
        return Math.hypot(points.get(i)[0] - points.get(i - 1)[0], points.get(i)[1] - points.get(i - 1)[1]);
    }

    /** Told of each stretch of it. */
    interface Walker {
        /**
         * One straight stretch.
         *
         * @param length in metres
         * @param rise   in metres, downwards negative
         */
        void stretch(double length, double rise);
    }

    /** Goes along it. */
    void walk(Walker walker) {
        for (int i = 1; i < points.size(); i++) {
            walker.stretch(span(i), points.get(i)[1] - points.get(i - 1)[1]);
        }
    }

    /** Its points: x and y by turns. */
    double[] points() {
        double[] all = new double[2 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            all[2 * i] = points.get(i)[0];
            all[2 * i + 1] = points.get(i)[1];
        }
        return all;
    }
}
