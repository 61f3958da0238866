package cauldron.core.chemistry;

/** Substances that several apparatus have to do with. */
public final class Substances {

    /** H2. */
    public static final Substance HYDROGEN = Substance.gas("hydrogen", "H2");
    /** N2. */
    public static final Substance NITROGEN = Substance.gas("nitrogen", "N2");
    /** O2. */
    public static final Substance OXYGEN = Substance.gas("oxygen", "O2");
    /** Ar. */
    public static final Substance ARGON = Substance.gas("argon", "Ar");
    /** CO2. */
    public static final Substance CARBON_DIOXIDE = Substance.gas("carbon dioxide", "CO2");
    /** H2O. */
    public static final Substance WATER = Substance.liquid("water", "H2O");
    /** CaCO3. */
    public static final Substance CALCIUM_CARBONATE = Substance.solid("calcium carbonate", "CaCO3");
    /** HCl. */
    public static final Substance HYDROCHLORIC_ACID = Substance.dissolved("hydrochloric acid", "HCl");
    /** CaCl2. */
    public static final Substance CALCIUM_CHLORIDE = Substance.dissolved("calcium chloride", "CaCl2");
    /** Fe. */
    public static final Substance IRON = Substance.solid("iron", "Fe");
    /** Fe3O4. */
    public static final Substance MAGNETITE = Substance.solid("iron(II,III) oxide", "Fe3O4");
    /** NaHCO3. */
    public static final Substance SODIUM_HYDROGENCARBONATE = Substance.solid("sodium hydrogencarbonate", "NaHCO3");
    /** C6H8O7. */
    public static final Substance CITRIC_ACID = Substance.solid("citric acid", "C6H8O7");
    /** Na3C6H5O7. */
    public static final Substance SODIUM_CITRATE = Substance.dissolved("sodium citrate", "Na3C6H5O7");
    /** H2O2. */
    public static final Substance HYDROGEN_PEROXIDE = Substance.dissolved("hydrogen peroxide", "H2O2");
    /** Na2CO3. */
    public static final Substance SODIUM_CARBONATE = Substance.dissolved("sodium carbonate", "Na2CO3");
    /** NaCl. */
    public static final Substance SODIUM_CHLORIDE = Substance.dissolved("sodium chloride", "NaCl");

    private Substances() {
    }
}
