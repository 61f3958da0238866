package cauldron.core.apparatus.reactionbalance;

import static cauldron.core.chemistry.Substances.CALCIUM_CARBONATE;
import static cauldron.core.chemistry.Substances.CALCIUM_CHLORIDE;
import static cauldron.core.chemistry.Substances.CARBON_DIOXIDE;
import static cauldron.core.chemistry.Substances.CITRIC_ACID;
import static cauldron.core.chemistry.Substances.HYDROCHLORIC_ACID;
import static cauldron.core.chemistry.Substances.HYDROGEN_PEROXIDE;
import static cauldron.core.chemistry.Substances.IRON;
import static cauldron.core.chemistry.Substances.MAGNETITE;
import static cauldron.core.chemistry.Substances.OXYGEN;
import static cauldron.core.chemistry.Substances.SODIUM_CARBONATE;
import static cauldron.core.chemistry.Substances.SODIUM_CHLORIDE;
import static cauldron.core.chemistry.Substances.SODIUM_CITRATE;
import static cauldron.core.chemistry.Substances.SODIUM_HYDROGENCARBONATE;
import static cauldron.core.chemistry.Substances.WATER;

import cauldron.core.chemistry.Reaction;

/** What is brought together in the dish. */
enum Mixing {
    CARBONATE("carbonate", "marble chips and acid", 40, "the marble", "the acid",
            Reaction.called("Marble in acid").takes(1, CALCIUM_CARBONATE).takes(2, HYDROCHLORIC_ACID)
                    .gives(1, CALCIUM_CHLORIDE).gives(1, CARBON_DIOXIDE).gives(1, WATER)),
    WOOL("wool", "steel wool, lit", Double.NaN, "the wool", "the oxygen",
            Reaction.called("Burning of iron").takes(3, IRON).takes(2, OXYGEN).gives(1, MAGNETITE)),
    TABLET("tablet", "fizzing tablet in water", 20, "the hydrogencarbonate", "the citric acid",
            Reaction.called("Fizzing tablet").takes(3, SODIUM_HYDROGENCARBONATE).takes(1, CITRIC_ACID)
                    .gives(1, SODIUM_CITRATE).gives(3, CARBON_DIOXIDE).gives(3, WATER)),
    FOAM("foam", "foam for fires", 8, "the peroxide", "",
            Reaction.called("Decay of hydrogen peroxide").takes(2, HYDROGEN_PEROXIDE).gives(2, WATER).gives(1, OXYGEN)),
    PRECIPITATE("precipitate", "two clear solutions", 1.5, "the calcium chloride", "the sodium carbonate",
            Reaction.called("Precipitation of lime").takes(1, CALCIUM_CHLORIDE).takes(1, SODIUM_CARBONATE)
                    .gives(1, CALCIUM_CARBONATE).gives(2, SODIUM_CHLORIDE));

    final String id;
    final String inWords;
    /** Time constant in which it comes to its end, in s. */
    final double seconds;
    final String first;
    final String second;
    final Reaction reaction;
    private final int[] gives = new int[Gas.KINDS];

    Mixing(String id, String inWords, double seconds, String first, String second, Reaction reaction) {
        this.id = id;
        this.inWords = inWords;
        this.seconds = seconds;
        this.first = first;
        this.second = second;
        this.reaction = reaction.balanced();
        for (Reaction.Term term : reaction.terms()) {
            int gas = Gas.place(term.substance());
            if (gas >= 0) {
                gives[gas] = term.count();
            }
        }
    }

    /** Molar mass in kg/mol of one of the substances it takes. */
    double molarMass(int which) {
        return reaction.taken().get(which).substance().molarMass();
    }

    /** How many times it gives one of the gases; negative where it takes it. */
    int gives(int gas) {
        return gives[gas];
    }
}
