package cauldron.core.apparatus.droptower;

/**
 * What is let fall. Drag coefficients are those of the nearest body that is tabulated for the Reynolds numbers of such falls
 * (S. F. Hoerner, Fluid-Dynamic Drag, 1965, ch. 3: cube 1.05, cone 0.5, sphere 0.47, flat and loose bodies about 1.1, open
 * parachute 1.3), taken as constant.
 */
enum Thing {
    NUT("nut", "steel nut", 0.05, 7.1e-4, 0.8, 0.5, 6.4e-6, 0.03),
    CORK("cork", "cork float", 0.012, 1.6e-3, 0.47, 0.55, 4.8e-5, 0.045),
    CONE("cone", "paper cone", 0.0025, 1.13e-2, 0.5, 0.05, 3e-6, 0.12),
    GLOVE("glove", "glove", 0.045, 0.015, 1.1, 0.05, 1.2e-4, 0.17),
    FOAM("foam", "foam block", 0.03, 0.01, 1.05, 0.35, 1e-3, 0.1),
    NET("net", "net bag with a stone", 0.4, 6e-3, 0.7, 0.1, 1.5e-4, 0.09),
    CLOTH("cloth", "wet cloth ball", 0.25, 5e-3, 0.5, 0.02, 2.4e-4, 0.08),
    FLARE("flare", "flare with a parachute", 0.15, 1.2e-3, 0.9, 0.05, 9e-5, 0.2);

    /** Drag coefficient times area of the flare's open parachute, in m²: 0.1 m² at 1.3. */
    static final double PARACHUTE = 0.13;

    final String id;
    final String inWords;
    /** Mass in kg. */
    final double mass;
    /** Drag coefficient times the area it turns to the stream, in m². */
    final double dragArea;
    /** Coefficient of restitution: how much of its speed it keeps in a bounce. */
    final double restitution;
    /** Volume in m³. */
    final double volume;
    /** How tall it is drawn, in m. */
    final double size;

    Thing(String id, String inWords, double mass, double area, double dragCoefficient, double restitution, double volume,
            double size) {
        this.id = id;
        this.inWords = inWords;
        this.mass = mass;
        this.dragArea = dragCoefficient * area;
        this.restitution = restitution;
        this.volume = volume;
        this.size = size;
    }
}
