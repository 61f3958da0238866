package cauldron.core.apparatus.atomworkbench;

import cauldron.core.chemistry.Nuclide;
import cauldron.core.chemistry.Nuclides;
import java.util.Arrays;
import java.util.function.Predicate;

/** What may be asked to be built; every atom that is as asked counts. */
enum Challenge {
    CARBON("carbon", "A stable, neutral atom with six protons",
            a -> a.protons() == 6 && a.charge() == 0 && a.isStable()),
    TWICE_NEGATIVE("twice-negative", "A doubly charged negative ion with 18 neutrons",
            a -> a.charge() == -2 && a.neutrons() == 18),
    LIKE_NEON("like-neon", "A triply charged positive ion with the shells of neon",
            a -> a.charge() == 3 && Arrays.equals(a.shells(), new int[] {2, 8, 0, 0})),
    SISTER("sister", "The other stable isotope of chlorine, not the one with 35 nucleons",
            a -> a.protons() == 17 && a.isStable() && a.massNumber() != 35),
    NO_NEUTRON("no-neutron", "A stable nucleus without a neutron", a -> a.neutrons() == 0 && a.isStable()),
    ARGON_CATION("argon-cation", "A positive ion with as many electrons as an argon atom",
            a -> a.charge() > 0 && a.electrons() == 18),
    FORTY("forty", "A neutral atom of 40 nucleons, with more neutrons than protons",
            a -> a.massNumber() == 40 && a.charge() == 0 && a.neutrons() > a.protons()),
    OLD("old", "A light atom, below neon, that isn't stable and yet lives for over a thousand years",
            a -> a.protons() < 10 && !a.isStable() && a.nuclide().halfLife() > 1000 * 3.156e7),
    TO_NITROGEN("to-nitrogen", "A nucleus that turns into nitrogen-14 by one decay", Challenge::becomesNitrogen14),
    COMMONEST("commonest", "The commonest isotope of the element with the relative atomic mass 24.3",
            a -> a.protons() == 12 && a.neutrons() == 12),
    HEAVY_ION("heavy-ion", "An ion that is charged once and has over 80 nucleons in a stable nucleus",
            a -> Math.abs(a.charge()) == 1 && a.massNumber() > 80 && a.isStable()),
    HALF_EMPTY("half-empty", "A neutral atom with four electrons in its outermost shell",
            a -> a.charge() == 0 && outermost(a.shells()) == 4);

    /** Never changes: recipes are kept with it. */
    final String id;
    /** What is asked for. */
    final String inWords;
    private final Predicate<Atom> asked;

    Challenge(String id, String inWords, Predicate<Atom> asked) {
        this.id = id;
        this.inWords = inWords;
        this.asked = asked;
    }

    /** Whether an atom is as asked; none is whose nuclide isn't known. */
    boolean isMetBy(Atom atom) {
        return atom.nuclide() != null && asked.test(atom);
    }

    private static boolean becomesNitrogen14(Atom atom) {
        Nuclide from = atom.nuclide();
        return from.massNumber() == 14 && Math.abs(from.protons() - 7) == 1 && !Nuclides.decays(from).isEmpty()
                && from.mass() > Nuclides.of(7, 7).mass();
    }

    private static int outermost(int[] shells) {
        for (int i = shells.length - 1; i >= 0; i--) {
            if (shells[i] > 0) {
                return shells[i];
            }
        }
        return 0;
    }
}
