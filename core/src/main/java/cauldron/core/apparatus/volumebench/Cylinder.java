package cauldron.core.apparatus.volumebench;

/**
 * Measuring cylinders, each with two scales. The bores are chosen so that the capacity stands 70 to 200 mm high, as in
 * ordinary tall-form cylinders. A scale is cut for what the cylinder holds ("to contain") and read at the bottom of the
 * curved surface with the eye level with it (ISO 4788).
 */
enum Cylinder {
    TEN_FINE("10-fine", 10, 0.1, 1, 13.5, 25),
    TEN("10", 10, 0.2, 2, 13.5, 25),
    TWENTY_FIVE_FINE("25-fine", 25, 0.2, 5, 18.8, 40),
    TWENTY_FIVE("25", 25, 0.5, 5, 18.8, 40),
    FIFTY_FINE("50-fine", 50, 0.5, 5, 23.5, 70),
    FIFTY("50", 50, 1, 10, 23.5, 70),
    HUNDRED_FINE("100-fine", 100, 1, 10, 29.1, 120),
    HUNDRED("100", 100, 2, 20, 29.1, 120),
    LARGE_FINE("250-fine", 250, 2, 50, 39.9, 240),
    LARGE("250", 250, 5, 50, 39.9, 240);

    private static final double ML = 1e-6;
    private static final double MM = 1e-3;

    /** Never changes: recipes are kept with it. */
    final String id;
    /** Volume at the topmost mark, in m³. */
    final double capacity;
    /** Volume from mark to mark, in m³. */
    final double division;
    /** Volume from one labelled mark to the next, in m³. */
    final double labelled;
    /** What water stands in. */
    final Vessel vessel;
    private final boolean fine;

    Cylinder(String id, double capacity, double division, double labelled, double bore, double grams) {
        this.id = id;
        this.capacity = capacity * ML;
        this.division = division * ML;
        this.labelled = labelled * ML;
        fine = id.endsWith("-fine");
        double radius = bore / 2 * MM;
        double column = capacity * ML / (Math.PI * radius * radius);
        vessel = new Vessel(radius, 12 * MM, column + 14 * MM, grams * MM);
    }

    /** Its name, which doesn't tell its division. */
    String inWords() {
        return Math.round(capacity / ML) + " mL, " + (fine ? "fine" : "coarse") + " scale";
    }

    /** Height above the table of the mark that stands for a volume in m³, in m. */
    double mark(double volume) {
        return vessel.bottomOfCurve(volume);
    }

    /** Volume in m³ of the mark at a height above the table in m. */
    double volumeAt(double height) {
        return vessel.volumeAtCurve(height);
    }
}
