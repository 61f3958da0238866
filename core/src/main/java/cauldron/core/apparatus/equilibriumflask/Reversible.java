package cauldron.core.apparatus.equilibriumflask;

import static cauldron.core.chemistry.Substances.AMMONIA;
import static cauldron.core.chemistry.Substances.CALCIUM_CARBONATE;
import static cauldron.core.chemistry.Substances.CALCIUM_OXIDE;
import static cauldron.core.chemistry.Substances.CARBON_DIOXIDE;
import static cauldron.core.chemistry.Substances.ETHANOIC_ACID;
import static cauldron.core.chemistry.Substances.ETHANOL;
import static cauldron.core.chemistry.Substances.ETHYL_ETHANOATE;
import static cauldron.core.chemistry.Substances.HYDROGEN;
import static cauldron.core.chemistry.Substances.HYDROGEN_IODIDE;
import static cauldron.core.chemistry.Substances.IODINE;
import static cauldron.core.chemistry.Substances.IRON_III;
import static cauldron.core.chemistry.Substances.IRON_THIOCYANATE;
import static cauldron.core.chemistry.Substances.NITROGEN;
import static cauldron.core.chemistry.Substances.THIOCYANATE;
import static cauldron.core.chemistry.Substances.WATER_DISSOLVED;

import cauldron.core.chemistry.Reaction;
import cauldron.core.chemistry.Substance;
import java.util.List;

/**
 * A reversible reaction with its equilibrium constant K_c at one temperature, its energy at constant volume ΔU, and the
 * rate constant of the forward reaction with its activation energy. K_c at other temperatures follows by van 't Hoff's
 * equation, d ln K_c/dT = ΔU/RT² (K_p has the enthalpy there: ΔH = ΔU + Δn RT), the rate constant by Arrhenius', the
 * back one from both.
 *
 * <p>Constants in mol/L and s. Hydrogen iodide: K after A. H. Taylor and R. H. Crist, J. Am. Chem. Soc. 63, 1377
 * (1941): 54.5 at 698.6 K, 45.6 at 763.8 K, which gives the enthalpy; rate after M. Bodenstein (1899) as restated by
 * K. J. Laidler, Chemical Kinetics: 0.064 L/(mol s) at 700 K, 167 kJ/mol. Iron thiocyanate: 138 L/mol at 25 °C, ionic
 * strength 0.5 mol/L, −6.7 kJ/mol (G. S. Laurence, Trans. Faraday Soc. 52, 236 (1956)); rate 127 L/(mol s), 54 kJ/mol
 * (J. F. Below, R. E. Connick and C. P. Coppel, J. Am. Chem. Soc. 80, 2961 (1958)); colour 4700 L/(mol cm) at 450 nm.
 * Iodine vapour: about 700 L/(mol cm) at 520 nm. Ammonia:
 * K_p = 1.64e-4 atm⁻² at 400 °C (A. T. Larson and R. L. Dodge, J. Am. Chem. Soc. 45, 2918 (1923)), so K_c = 0.50
 * L²/mol²; ΔH −105 kJ/mol, ΔU −94 kJ/mol there. Lime: one atmosphere of carbon dioxide at 1171 K, ΔH 168, ΔU 158
 * kJ/mol there (CRC Handbook). Ester: K = 4.0 (M. Berthelot and L. Péan de Saint-Gilles, 1862), −3.2 kJ/mol from
 * enthalpies of formation. The rates of the last three are such as are seen with a good catalyst, not taken from
 * measurements; how fast it goes doesn't change where it ends.
 */
enum Reversible {
    HYDROGEN_AND_IODINE("iodide", "hydrogen and iodine", 54.5, 698.6, -12_100, 0.064, 700, 167_000,
            new Range(380, 500, 425), new Range(10, 100, 50), 700,
            Reaction.called("Hydrogen and iodine").takes(1, HYDROGEN).takes(1, IODINE).gives(2, HYDROGEN_IODIDE)),
    IRON_AND_THIOCYANATE("thiocyanate", "iron(III) and thiocyanate", 138, 298.15, -6700, 127, 298.15, 54_000,
            new Range(5, 60, 25), new Range(0.5, 5, 1), 4700,
            Reaction.called("Iron(III) and thiocyanate").takes(1, IRON_III).takes(1, THIOCYANATE)
                    .gives(1, IRON_THIOCYANATE)),
    NITROGEN_AND_HYDROGEN("ammonia", "nitrogen and hydrogen", 0.5, 673.15, -94_000, 0.08, 673.15, 100_000,
            new Range(350, 550, 400), new Range(5, 50, 20), 0,
            Reaction.called("Nitrogen and hydrogen").takes(1, NITROGEN).takes(3, HYDROGEN).gives(2, AMMONIA)),
    LIME("lime", "calcium carbonate", 101_325 / 8.314462618 / 1171 / 1000, 1171, 158_000, 1.7e-4, 1171, 200_000,
            new Range(750, 1000, 900), new Range(20, 100, 50), 0,
            Reaction.called("Lime burning").takes(1, CALCIUM_CARBONATE).gives(1, CALCIUM_OXIDE).gives(1,
                    CARBON_DIOXIDE)),
    ACID_AND_ALCOHOL("ester", "ethanoic acid and ethanol", 4, 298.15, -3200, 8e-4, 298.15, 60_000,
            new Range(20, 100, 60), new Range(1, 10, 2), 0,
            Reaction.called("Acid and alcohol").takes(1, ETHANOIC_ACID).takes(1, ETHANOL).gives(1, ETHYL_ETHANOATE)
                    .gives(1, WATER_DISSOLVED));

    /** A range and where it begins: temperatures in °C, volumes in L. */
    record Range(double least, double most, double first) {
    }

    static final double GAS_CONSTANT = 8.314462618;
    /** Litres in a cubic metre. */
    private static final double LITRES = 1000;

    final String id;
    final String inWords;
    final Range temperatures;
    final Range volumes;
    /** Molar absorption coefficient of what is coloured, in L/(mol cm); 0 where nothing is. */
    final double absorbing;
    final Reaction reaction;
    private final double k;
    private final double kAt;
    private final double energy;
    private final double rate;
    private final double rateAt;
    private final double activation;

    Reversible(String id, String inWords, double k, double kAt, double energy, double rate, double rateAt,
            double activation, Range temperatures, Range volumes, double absorbing, Reaction reaction) {
        this.id = id;
        this.inWords = inWords;
        this.k = k;
        this.kAt = kAt;
        this.energy = energy;
        this.rate = rate;
        this.rateAt = rateAt;
        this.activation = activation;
        this.temperatures = temperatures;
        this.volumes = volumes;
        this.absorbing = absorbing;
        this.reaction = reaction.balanced();
    }

    /** Its substances, what it takes first. */
    List<Reaction.Term> terms() {
        return reaction.terms();
    }

    /** Whether a substance counts in Q and in the rates: a pure solid doesn't. */
    static boolean counts(Reaction.Term term) {
        return term.substance().phase() != Substance.Phase.SOLID;
    }

    /** Sum of the numbers of what counts on one side: 1 for what is given, −1 for what is taken. */
    int order(int side) {
        int sum = 0;
        for (Reaction.Term term : terms()) {
            sum += counts(term) && side * term.count() > 0 ? Math.abs(term.count()) : 0;
        }
        return sum;
    }

    /** By how many moles of what counts it gives more than it takes. */
    int growth() {
        return order(1) - order(-1);
    }

    /** K_c in powers of mol/m³ at a temperature in K. */
    double constant(double temperature) {
        double here = k * Math.exp(-energy / GAS_CONSTANT * (1 / temperature - 1 / kAt));
        return here * Math.pow(LITRES, growth());
    }

    /** Rate constant forwards, in powers of mol/m³ and s, at a temperature in K. */
    double forward(double temperature) {
        double here = rate * Math.exp(-activation / GAS_CONSTANT * (1 / temperature - 1 / rateAt));
        return here * Math.pow(LITRES, 1 - order(-1));
    }

    /** The place of the substance that is coloured; −1 where none is. */
    int coloured() {
        return this == HYDROGEN_AND_IODINE ? 1 : this == IRON_AND_THIOCYANATE ? 2 : -1;
    }

    /** Way of the light through the vessel, in m: iodine vapour is too dark for a whole centimetre. */
    double path() {
        return this == HYDROGEN_AND_IODINE ? 0.001 : 0.01;
    }

    /** The same in words. */
    String pathInWords() {
        return this == HYDROGEN_AND_IODINE ? "1 mm" : "1 cm";
    }

    /** Absorbance of a concentration in mol/m³, by the law of Beer and Lambert; nothing where nothing is coloured. */
    double absorbance(double concentration) {
        // L/(mol cm) is a tenth of a m²/mol.
        return 0.1 * absorbing * concentration * path();
    }

    /** The unit of K_c. */
    String unit() {
        switch (growth()) {
            case 0:
                return "";
            case 1:
                return "mol/L";
            case -1:
                return "L/mol";
            default:
                return "L²/mol²";
        }
    }
}
