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
    /** I2. */
    public static final Substance IODINE = Substance.gas("iodine", "I2");
    /** HI. */
    public static final Substance HYDROGEN_IODIDE = Substance.gas("hydrogen iodide", "HI");
    /** Fe^3+. */
    public static final Substance IRON_III = Substance.dissolved("iron(III)", "Fe^3+");
    /** SCN^-. */
    public static final Substance THIOCYANATE = Substance.dissolved("thiocyanate", "SCN^-");
    /** FeSCN^2+. */
    public static final Substance IRON_THIOCYANATE = Substance.dissolved("iron(III) thiocyanate", "FeSCN^2+");
    /** NH3. */
    public static final Substance AMMONIA = Substance.gas("ammonia", "NH3");
    /** CaO. */
    public static final Substance CALCIUM_OXIDE = Substance.solid("calcium oxide", "CaO");
    /** CH3COOH. */
    public static final Substance ETHANOIC_ACID = Substance.dissolved("ethanoic acid", "CH3COOH");
    /** C2H5OH. */
    public static final Substance ETHANOL = Substance.dissolved("ethanol", "C2H5OH");
    /** CH3COOC2H5. */
    public static final Substance ETHYL_ETHANOATE = Substance.dissolved("ethyl ethanoate", "CH3COOC2H5");
    /** H2O. */
    public static final Substance WATER_DISSOLVED = Substance.dissolved("water", "H2O");

    private Substances() {
    }
}
