package cauldron.core.apparatus;

/** What a view shows: its left and bottom edge, width and height in metres. */
public record Frame(double left, double bottom, double width, double height) {

    /** Left, bottom, width, height. */
    public double[] toArray() {
        return new double[] {left, bottom, width, height};
    }
}
