package cauldron.core.apparatus;

/** What a drawing needs to know at an instant: coordinates and lengths in metres, and flags. */
public final class Scene {

    private final double[] values;

    /** An empty one for an apparatus. */
    public Scene(Manifest manifest) {
        values = new double[manifest.scene().size()];
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
