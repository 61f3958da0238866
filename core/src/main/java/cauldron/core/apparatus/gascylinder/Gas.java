package cauldron.core.apparatus.gascylinder;

import java.util.List;

/**
 * A gas as hard spheres.
 *
 * <p>Molar masses are IUPAC standard atomic weights summed. Diameters are those of hard spheres that would
 * have the gas's measured viscosity at 0 °C by the Chapman–Enskog formula (S. Chapman and T. G. Cowling,
 * The Mathematical Theory of Non-uniform Gases, ch. 12). Vibration and rotation of molecules are left out:
 * every gas behaves here as one of single atoms, with 3/2 kT each.
 *
 * @param molarMass in g/mol
 * @param diameter  in metres
 */
record Gas(String id, String name, String formula, double molarMass, double diameter) {

    /** Boltzmann's constant in J/K, exact since 2019. */
    static final double BOLTZMANN = 1.380649e-23;
    /** Avogadro's constant in 1/mol, exact since 2019. */
    private static final double AVOGADRO = 6.02214076e23;

    static final List<Gas> ALL = List.of(
            new Gas("hydrogen", "hydrogen", "H₂", 2.016, 2.74e-10),
            new Gas("helium", "helium", "He", 4.0026, 2.19e-10),
            new Gas("methane", "methane", "CH₄", 16.043, 4.17e-10),
            new Gas("neon", "neon", "Ne", 20.180, 2.60e-10),
            new Gas("nitrogen", "nitrogen", "N₂", 28.014, 3.77e-10),
            new Gas("oxygen", "oxygen", "O₂", 31.998, 3.63e-10),
            new Gas("argon", "argon", "Ar", 39.95, 3.67e-10),
            new Gas("carbon-dioxide", "carbon dioxide", "CO₂", 44.009, 4.66e-10),
            new Gas("krypton", "krypton", "Kr", 83.798, 4.19e-10),
            new Gas("sulfur-hexafluoride", "sulfur hexafluoride", "SF₆", 146.05, 6.22e-10));

    /** Mass of one molecule in kilograms. */
    double mass() {
        return molarMass / 1000 / AVOGADRO;
    }
}
