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

    private Substances() {
    }
}
