package cauldron.core.apparatus;

/** A place in the scene: two coordinates, {@code id.x} and {@code id.y}. */
public final class Place {

    private final Coordinate x;
    private final Coordinate y;

    Place(Coordinate x, Coordinate y) {
        this.x = x;
        this.y = y;
    }

    /** A camera sees it. */
    public Place filmed() {
        x.filmed();
        y.filmed();
        return this;
    }

    /** How far right. */
    public Coordinate x() {
        return x;
    }

    /** How far up. */
    public Coordinate y() {
        return y;
    }
}
