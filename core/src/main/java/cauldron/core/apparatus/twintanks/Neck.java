package cauldron.core.apparatus.twintanks;

/**
 * What the neck between the tanks holds. Conductivities of metals near room temperature (CRC Handbook of Chemistry and
 * Physics); those of mild steel, soda-lime glass and cork are textbook values that vary by a tenth and more.
 */
enum Neck {
    COPPER("copper", "copper core", 401), ALUMINIUM("aluminium", "aluminium core", 236), STEEL("steel", "steel core",
            50),
    GLASS("glass", "glass core", 1.0), CORK("cork", "cork", 0.045), OPEN("open", "open tube", Double.NaN);

    final String id;
    final String inWords;
    /** Thermal conductivity in W/(m K); that of the water where the tube is open. */
    final double conductivity;

    Neck(String id, String inWords, double conductivity) {
        this.id = id;
        this.inWords = inWords;
        this.conductivity = conductivity;
    }
}
