package cauldron.core.apparatus.volumebench;

/**
 * A round vessel with a flat floor.
 *
 * <p>When it is emptied some water stays: a film on floor and wall as far up as they were wet, taken as 25 µm thick.
 * With that a cylinder of 100 mL keeps a third of a millilitre, a few drops, which is about by how much cylinders made
 * "to contain" and "to deliver" differ.
 */
final class Vessel {

    /** Thickness of the film that stays on what was wet, in m. */
    static final double FILM = 25e-6;

    private final double radius;
    private final double floor;
    private final double brim;
    private final double mass;
    private Meniscus curve;

    /**
     * A vessel.
     *
     * @param radius inner radius in m
     * @param floor  height of its floor above what it stands on, in m
     * @param brim   depth at which it runs over, in m
     * @param mass   of the empty vessel, in kg
     */
    Vessel(double radius, double floor, double brim, double mass) {
        this.radius = radius;
        this.floor = floor;
        this.brim = brim;
        this.mass = mass;
    }

    double radius() {
        return radius;
    }

    double floor() {
        return floor;
    }

    double brim() {
        return brim;
    }

    double mass() {
        return mass;
    }

    /** Area of the floor in m². */
    double area() {
        return Math.PI * radius * radius;
    }

    /** Water that stays behind when it is emptied, in m³, if it stood to a depth in m. */
    double staysBehind(double depth) {
        return FILM * (area() + 2 * Math.PI * radius * depth);
    }

    /** The surface of water in it, worked out when it is first needed: most pages never do. */
    Meniscus curve() {
        if (curve == null) {
            curve = Meniscus.ofWaterIn(radius);
        }
        return curve;
    }

    /** Height above the table of the lowest point of the curved surface over a volume in m³, in m. */
    double bottomOfCurve(double volume) {
        return floor + Math.max(0, volume - curve().volume()) / area();
    }

    /** The other way round: volume in m³ below a surface whose lowest point is at a height in m above the table. */
    double volumeAtCurve(double height) {
        return (height - floor) * area() + curve().volume();
    }
}
