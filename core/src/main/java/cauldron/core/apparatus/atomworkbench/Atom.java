package cauldron.core.apparatus.atomworkbench;

import cauldron.core.chemistry.Decay;
import cauldron.core.chemistry.Nuclide;
import cauldron.core.chemistry.Nuclides;
import cauldron.core.chemistry.Shells;
import java.util.List;

/** An atom or ion as it stands on the workbench. */
record Atom(int protons, int neutrons, int electrons) {

    /** Mass of an electron in u (CODATA 2018). */
    private static final double ELECTRON = 5.48579909065e-4;

    /** What kind of thing it is by its charge. */
    enum Kind {
        NEUTRAL("a neutral atom"), POSITIVE("a positive ion"), NEGATIVE("a negative ion"), BARE("a bare nucleus, a "
                + "positive ion");

        final String inWords;

        Kind(String inWords) {
            this.inWords = inWords;
        }
    }

    /** Whether it lasts. */
    enum Lasting {
        STABLE("stable"), KNOWN("not stable"), NOT_KNOWN("not stable, half-life not in the table"),
        NONE("no such nuclide is known");

        final String inWords;

        Lasting(String inWords) {
            this.inWords = inWords;
        }
    }

    int massNumber() {
        return protons + neutrons;
    }

    /** Charge in elementary charges. */
    int charge() {
        return protons - electrons;
    }

    /** Its nuclide; null where none is known. */
    Nuclide nuclide() {
        return Nuclides.of(protons, neutrons);
    }

    /**
     * Mass in u: that of the neutral atom, less or more electrons; binding of electrons is left out. NaN if not known.
     */
    double mass() {
        return nuclide() == null ? Double.NaN : nuclide().mass() - charge() * ELECTRON;
    }

    int[] shells() {
        return Shells.of(protons, electrons);
    }

    Kind kind() {
        return electrons == 0 ? Kind.BARE : charge() == 0 ? Kind.NEUTRAL : charge() > 0 ? Kind.POSITIVE : Kind.NEGATIVE;
    }

    Lasting lasting() {
        Nuclide nuclide = nuclide();
        return nuclide == null ? Lasting.NONE : nuclide.isStable() ? Lasting.STABLE
                : Double.isNaN(nuclide.halfLife()) ? Lasting.NOT_KNOWN : Lasting.KNOWN;
    }

    List<Decay> decays() {
        return nuclide() == null ? List.of() : Nuclides.decays(nuclide());
    }

    boolean isStable() {
        return lasting() == Lasting.STABLE;
    }
}
