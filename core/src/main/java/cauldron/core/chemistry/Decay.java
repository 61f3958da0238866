package cauldron.core.chemistry;

/** Ways in which a nucleus turns into another one. */
public enum Decay {
    /** A neutron leaves it. */
    NEUTRON("a neutron leaves"),
    /** Two neutrons leave it together. */
    TWO_NEUTRONS("two neutrons leave"),
    /** A proton leaves it. */
    PROTON("a proton leaves"),
    /** Two protons leave it together. */
    TWO_PROTONS("two protons leave"),
    /** A helium nucleus leaves it. */
    ALPHA("α: a helium nucleus leaves"),
    /** A neutron turns into a proton, an electron leaves. */
    BETA_MINUS("β⁻: a neutron turns into a proton"),
    /** Two neutrons turn into protons at once, two electrons leave. */
    TWO_BETA_MINUS("2β⁻: two neutrons turn into protons at once"),
    /** A proton turns into a neutron, a positron leaves or an electron of the shells is caught. */
    BETA_PLUS("β⁺ or electron capture: a proton turns into a neutron"),
    /** A proton turns into a neutron by an electron of the shells; a positron would take more energy than there is. */
    CAPTURE("electron capture: a proton turns into a neutron");

    /** How it is told. */
    public final String inWords;

    Decay(String inWords) {
        this.inWords = inWords;
    }
}
