package cauldron.core.apparatus.volumebench;

/**
 * Things from the fuel store. Densities are textbook values (Kaye &amp; Laby; CRC Handbook): steel 7.85, lead 11.34,
 * cork 0.24, soda-lime glass 2.50, yellow brass 8.47, beeswax 0.96 g/cm³.
 */
enum Thing {
    SHACKLE("shackle", "Shackle", 7850, 9.6, 34, 42),
    SINKER("sinker", "Sinker", 11340, 3.2, 14, 28),
    /** A cylinder 18 mm across and 24 mm high. */
    CORK("cork", "Cork", 240, Math.PI * 81 * 24 / 1000, 18, 24),
    GLASS("glass", "Sea glass", 2500, 2.4, 20, 14),
    /** A hexagon 19 mm across its flats and 10 mm thick, with a hole of 12 mm. */
    NUT("nut", "Brass nut", 8470, (Math.sqrt(3) / 2 * 361 - Math.PI * 36) * 10 / 1000, 22, 10),
    /** A disc 22 mm across and 8 mm thick. */
    SEAL("seal", "Wax seal", 960, Math.PI * 121 * 8 / 1000, 22, 8);

    /** Never changes: recipes are kept with it. */
    final String id;
    /** What it is called. */
    final String inWords;
    /** In kg/m³. */
    final double density;
    /** In m³. */
    final double volume;
    /** In m, as it goes in. */
    final double width;
    /** In m. */
    final double height;

    Thing(String id, String inWords, double density, double millilitres, double width, double height) {
        this.id = id;
        this.inWords = inWords;
        this.density = density;
        volume = millilitres * 1e-6;
        this.width = width / 1000;
        this.height = height / 1000;
    }
}
