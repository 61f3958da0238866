package cauldron.core.matter;

/**
 * Liquid water at 1 atm, from 0 to 100 °C, air-free.
 *
 * <p>Density after G. S. Kell, J. Chem. Eng. Data 20, 97 (1975), eq. 16: greatest at 3.98 °C; within 0.02 kg/m³ of
 * IAPWS-95. Heat capacity, thermal conductivity and viscosity after C. O. Popiel and J. Wojtkowiak, Heat Transfer
 * Engineering 19(3), 87 (1998), fitted to IAPWS tables: within 0.1 %, 2 % (at the cold end, 0.5 % from 25 °C up) and
 * 0.2 %.
 *
 * <p>Temperatures are in °C, as in the sources; all else is SI.
 */
public final class Water {

    private static final double[] DENSITY = {999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9,
        -280.54253e-12};
    private static final double DENSITY_BELOW = 16.879850e-3;

    private Water() {
    }

    /** Density in kg/m³ at a temperature in °C. */
    public static double density(double t) {
        double sum = 0;
        for (int i = DENSITY.length - 1; i >= 0; i--) {
            sum = sum * t + DENSITY[i];
        }
        return sum / (1 + DENSITY_BELOW * t);
    }

    /** Specific heat capacity at constant pressure, in J/(kg K), at a temperature in °C. */
    public static double heatCapacity(double t) {
        double root = Math.sqrt(t);
        return 1000 * (4.2174356 - 0.0056181625 * t + 0.0012992528 * t * root - 0.00011535353 * t * t
                + 4.14964e-6 * t * t * root);
    }

    /** Enthalpy in J/kg at a temperature in °C, counted from 0 °C: what {@link #heatCapacity} adds up to. */
    public static double enthalpy(double t) {
        double root = Math.sqrt(t);
        return 1000 * t * (4.2174356 - 0.0056181625 * t / 2 + 0.0012992528 * t * root / 2.5 - 0.00011535353 * t * t / 3
                + 4.14964e-6 * t * t * root / 3.5);
    }

    /** Thermal conductivity in W/(m K) at a temperature in °C. */
    public static double conductivity(double t) {
        double root = Math.sqrt(t);
        return 0.5650285 + 0.0026363895 * t - 0.00012516934 * t * root - 1.5154918e-6 * t * t - 0.0009412945 * root;
    }

    /** Viscosity in Pa s at a temperature in °C. */
    public static double viscosity(double t) {
        return 1 / (557.82468 + 19.408782 * t + 0.1360459 * t * t - 3.1160832e-4 * t * t * t);
    }
}
