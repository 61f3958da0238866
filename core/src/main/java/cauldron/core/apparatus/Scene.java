package cauldron.core.apparatus;

/** What a drawing needs to know at an instant: coordinates and lengths in metres, and flags. */
public final class Scene {

    private final double[] values;
    private final double[][] curves;

    /** An empty one for an apparatus. */
    public Scene(Manifest manifest) {
        values = new double[manifest.scene().size()];
        curves = new double[manifest.curves().size()][0];
    }

    /** Puts something at a place. */
    public void put(Place place, double x, double y) {
        put(place.x(), x);
        put(place.y(), y);
    }

    /** Notes a coordinate or length. */
    public void put(Coordinate coordinate, double metres) {
        values[coordinate.index()] = metres;
    }

    /** Puts a flag up or down. */
    public void put(Flag flag, boolean up) {
        values[flag.index()] = up ? 1 : 0;
    }

    /** Notes a number that is neither a place nor a length. */
    public void put(SceneNumber number, double value) {
        values[number.index()] = value;
    }

    /** Notes a force's components in newtons, rightwards and upwards. */
    public void put(Force force, double right, double up) {
        put(force.right(), right);
        put(force.up(), up);
    }

    /** Lays a curve through points in metres: x and y by turns. The array is kept, and not to be changed. */
    public void put(SceneCurve curve, double[] points) {
        curves[curve.index()] = points;
    }

    /** A curve's points in metres: x and y by turns. */
    public double[] of(SceneCurve curve) {
        return curves[curve.index()];
    }

    /** The value of a field; a flag is 0 or 1. */
    public double of(SceneField field) {
        return values[field.index()];
    }

    /** Whether a flag is up. */
    public boolean isUp(Flag flag) {
        return values[flag.index()] != 0;
    }

    /** All of it, in the manifest's order; not to be written to. */
    public double[] values() {
        return values;
    }
}
