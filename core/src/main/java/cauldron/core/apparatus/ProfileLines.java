package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.List;

/** The lines of a profile at an instant, in SI. */
public final class ProfileLines {

    private record Line(String name, List<Double> points) {
    }

    private final List<Line> lines = new ArrayList<>();
    private double[] mark = {};

    /** Begins another line. */
    public void line(String name) {
        lines.add(new Line(name, new ArrayList<>()));
    }

    /** The line's next point. */
    public void point(double along, double up) {
        List<Double> points = lines.get(lines.size() - 1).points();
        points.add(along);
        points.add(up);
    }

    /** Marks the point at which it stands now. */
    public void mark(double along, double up) {
        mark = new double[] {along, up};
    }

    /** The point at which it stands now; empty where none is marked. */
    public double[] mark() {
        return mark;
    }

    /** How many lines there are. */
    public int count() {
        return lines.size();
    }

    /** What a line is called. */
    public String name(int line) {
        return lines.get(line).name();
    }

    /** A line's points: along and up by turns. */
    public double[] points(int line) {
        return lines.get(line).points().stream().mapToDouble(Double::doubleValue).toArray();
    }
}
