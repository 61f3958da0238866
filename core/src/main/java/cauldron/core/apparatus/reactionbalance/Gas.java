package cauldron.core.apparatus.reactionbalance;

import cauldron.core.chemistry.Substance;
import cauldron.core.chemistry.Substances;

/** The gases in the vessel, and what is let into it at first, in shares of the amount. */
enum Gas {
    /** Dry air: U.S. Standard Atmosphere 1976, carbon dioxide as in 2020; what is left is counted as nitrogen. */
    AIR("air", "air", 0.78085, 0.20946, 0.00041, 0.00928),
    OXYGEN("oxygen", "oxygen", 0, 1, 0, 0),
    CARBON_DIOXIDE("carbon-dioxide", "carbon dioxide", 0, 0, 1, 0),
    ARGON("argon", "argon", 0, 0, 0, 1);

    /** Places of the gases of which all these consist. */
    static final int N2 = 0;
    static final int O2 = 1;
    static final int CO2 = 2;
    static final int AR = 3;
    static final int KINDS = 4;
    private static final Substance[] OF = {Substances.NITROGEN, Substances.OXYGEN, Substances.CARBON_DIOXIDE,
        Substances.ARGON};

    final String id;
    final String inWords;
    private final double[] shares;

    Gas(String id, String inWords, double... shares) {
        this.id = id;
        this.inWords = inWords;
        this.shares = shares;
    }

    /** Share of one of the gases, of the amount. */
    double share(int which) {
        return shares[which];
    }

    /** Molar mass of one of the gases, in kg/mol. */
    static double molarMass(int which) {
        return OF[which].molarMass();
    }

    /** Place of a substance among the gases, or -1. */
    static int place(Substance substance) {
        for (int i = 0; i < KINDS; i++) {
            if (OF[i].equals(substance)) {
                return i;
            }
        }
        return -1;
    }

    /** Mass of a mole, in kg. */
    double molarMass() {
        double sum = 0;
        for (int i = 0; i < KINDS; i++) {
            sum += shares[i] * molarMass(i);
        }
        return sum;
    }
}
