package cauldron.core.matter;

/**
 * Liquids at room temperature, 10 to 40 °C and 1 atm, pure and without water where they aren't water.
 *
 * <p>Surface tension is a straight line through its values at 20 and 25 °C, water's after IAPWS R1-76(2014). Sources:
 * DIPPR coefficients as restated in OpenFOAM's liquid properties for hexane to propan-1-ol; textbook values (J. J.
 * Jasper, J. Phys. Chem. Ref. Data 1, 841 (1972); CRC Handbook of Chemistry and Physics) for ethane-1,2-diol and
 * glycerol, whose published values lie between 62.5 and 64 mN/m. Density at 20 °C and its expansion, viscosity at 20
 * and 25 °C, and contact angle on clean glass: CRC Handbook. Viscosity goes as exp(E/T) through its two
 * values.
 */
public enum Liquid {
    /** C₆H₁₄. */
    HEXANE("hexane", "hexane", 18.456, 17.912, 659.3, 1.38e-3, 0.313, 0.300, 0),
    /** C₈H₁₈. */
    OCTANE("octane", "octane", 21.615, 21.133, 702.5, 1.16e-3, 0.546, 0.508, 0),
    /** C₁₀H₂₂. */
    DECANE("decane", "decane", 23.866, 23.386, 730.0, 1.05e-3, 0.920, 0.838, 0),
    /** C₆H₅CH₃. */
    METHYLBENZENE("methylbenzene", "methylbenzene", 28.519, 27.925, 866.9, 1.08e-3, 0.590, 0.560, 0),
    /** CH₃COCH₃. */
    ACETONE("acetone", "acetone", 23.658, 23.041, 789.9, 1.43e-3, 0.320, 0.306, 0),
    /** C₂H₅OH. */
    ETHANOL("ethanol", "ethanol", 22.508, 22.097, 789.3, 1.09e-3, 1.200, 1.074, 0),
    /** C₃H₇OH. */
    PROPANOL("propan-1-ol", "propan-1-ol", 23.786, 23.395, 803.4, 1.00e-3, 2.256, 1.945, 0),
    /** HOCH₂CH₂OH. */
    ETHANEDIOL("ethanediol", "ethane-1,2-diol", 48.4, 47.99, 1113.5, 0.65e-3, 19.9, 16.1, 5),
    /** HOCH₂CH(OH)CH₂OH. */
    GLYCEROL("glycerol", "glycerol", 63.4, 63.1, 1261.3, 0.50e-3, 1412, 934, 10),
    /** H₂O. */
    WATER("water", "water", 72.736, 71.972, 998.2, 0.207e-3, 1.002, 0.890, 8);

    /** Never changes: recipes are kept with it. */
    public final String id;
    /** What it is called. */
    public final String inWords;
    /** Angle at which it meets clean glass, in rad; nothing where it spreads. */
    public final double contactAngle;
    private final double tension20;
    private final double tension25;
    private final double density20;
    private final double expansion;
    private final double viscosity20;
    private final double viscosity25;

    Liquid(String id, String inWords, double tension20, double tension25, double density20,
            double expansion, double viscosity20, double viscosity25, double contactDegrees) {
        this.id = id;
        this.inWords = inWords;
        this.tension20 = tension20 / 1000;
        this.tension25 = tension25 / 1000;
        this.density20 = density20;
        this.expansion = expansion;
        this.viscosity20 = viscosity20 / 1000;
        this.viscosity25 = viscosity25 / 1000;
        contactAngle = Math.toRadians(contactDegrees);
    }

    /** Surface tension against air in N/m at a temperature in °C. */
    public double surfaceTension(double t) {
        if (this == WATER) {
            double below = 1 - (t + 273.15) / 647.096;
            return 0.2358 * Math.pow(below, 1.256) * (1 - 0.625 * below);
        }
        return tension20 + (tension25 - tension20) * (t - 20) / 5;
    }

    /** Density in kg/m³ at a temperature in °C. */
    public double density(double t) {
        return this == WATER ? Water.density(t) : density20 * (1 - expansion * (t - 20));
    }

    /** Viscosity in Pa s at a temperature in °C. */
    public double viscosity(double t) {
        if (this == WATER) {
            return Water.viscosity(t);
        }
        double share = (1 / (t + 273.15) - 1 / 293.15) / (1 / 298.15 - 1 / 293.15);
        return viscosity20 * Math.exp(share * Math.log(viscosity25 / viscosity20));
    }
}
