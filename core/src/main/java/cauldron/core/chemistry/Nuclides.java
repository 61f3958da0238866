package cauldron.core.chemistry;

import java.util.ArrayList;
import java.util.List;

/**
 * The nuclides up to krypton, Z = 36, from {@link NuclideTable}, and what follows from their masses.
 *
 * <p>A way of decay is open if the mass before is greater than that of all that comes out (K. Heyde, Basic Ideas and
 * Concepts in Nuclear Physics, ch. 3 to 5), by atomic masses, with which the electrons come out right: only a positron
 * needs two electron masses more. A nucleus from which a neutron, a proton or two of them can come off does that,
 * within 10⁻²⁰ s; then α (up to krypton that is beryllium-8); then β either way, and both where both are open. How
 * often each happens can't be told from masses, and is left out. One that lives for over 10¹⁹ years turns by two β at
 * once (R. Saakyan, Annu. Rev. Nucl. Part. Sci. 63, 503 (2013)): a single one is not open to it, or, for calcium-48,
 * would have to change the spin by so much that it was never seen. Masses of nuclides far from the stable ones are
 * estimates.
 */
public final class Nuclides {

    /** The greatest atomic number there is a table for. */
    public static final int HEAVIEST = 36;
    private static final double NEUTRON = 1.00866491588;
    private static final double ELECTRON = 5.48579909e-4;
    private static final double PER_CENT = 0.01;
    /** Half-life in s, 10¹⁹ years, beyond which it is two β at once. */
    private static final double TWO_AT_ONCE = 1e19 * 365.25 * 86_400;
    /** Masses of rubidium-84 and on in u, into which krypton turns (G. Audi, A. H. Wapstra, AME2003). */
    private static final double[] RUBIDIUM = {83.914385, 84.911789738, 85.91116742, 86.909180527, 87.91131559,
            88.912278,
        89.914802, 90.916537, 91.919729, 92.922042, 93.926405, 94.929303, 95.93427, 96.93735, 97.94179, 98.94538,
                99.94987,
        100.9532};
    private static final int RUBIDIUM_FROM = 84;
    private static final List<List<Nuclide>> ALL = read();
    private static final double HYDROGEN = of(1, 0).mass();
    private static final double HELIUM = of(2, 2).mass();

    private Nuclides() {
    }

    private static List<List<Nuclide>> read() {
        List<List<Nuclide>> all = new ArrayList<>();
        List<Nuclide> isotopes = new ArrayList<>();
        int number = 0;
        double mass = Double.NaN;
        double share = 0;
        double life = Double.NaN;
        for (String word : (NuclideTable.TEXT + " :").trim().split("\\s+")) {
            boolean last = word.endsWith(":");
            char kind = word.charAt(0);
            if (kind == 'a') {
                share = plain(word.substring(1)) * PER_CENT;
            } else if (kind == 't') {
                life = plain(word.substring(1));
            } else if (!last && number == 0) {
                number = Integer.parseInt(word);
            } else if (!last) {
                mass = plain(word);
            }
            if (number > 0 && (last || word.endsWith(";"))) {
                int z = all.size() + 1;
                boolean stable = share > 0 && Double.isNaN(life);
                isotopes.add(new Nuclide(z, number - z, mass, share, stable ? Double.POSITIVE_INFINITY : life));
                number = 0;
                share = 0;
                life = Double.NaN;
            }
            if (last && !isotopes.isEmpty()) {
                all.add(List.copyOf(isotopes));
                isotopes.clear();
            }
        }
        return List.copyOf(all);
    }

    private static double plain(String word) {
        return Double.parseDouble(word.endsWith(";") ? word.substring(0, word.length() - 1) : word);
    }

    /** The nuclides of an element that the table has, from the lightest on; none beyond {@link #HEAVIEST}. */
    public static List<Nuclide> of(int protons) {
        return protons < 1 || protons > ALL.size() ? List.of() : ALL.get(protons - 1);
    }

    /** One of them; null where the table has none. */
    public static Nuclide of(int protons, int neutrons) {
        List<Nuclide> isotopes = of(protons);
        int at = isotopes.isEmpty() ? -1 : neutrons - isotopes.get(0).neutrons();
        return at >= 0 && at < isotopes.size() && isotopes.get(at).neutrons() == neutrons ? isotopes.get(at) : null;
    }

    /** Mean mass of an element's atoms as they are found in nature, in u: its relative atomic mass. */
    public static double meanMass(int protons) {
        double sum = 0;
        double shares = 0;
        for (Nuclide nuclide : of(protons)) {
            sum += nuclide.abundance() * nuclide.mass();
            shares += nuclide.abundance();
        }
        return sum / shares;
    }

    /** The ways in which one decays; none for a stable one. */
    public static List<Decay> decays(Nuclide nuclide) {
        if (nuclide.isStable()) {
            return List.of();
        }
        if (nuclide.halfLife() > TWO_AT_ONCE && released(nuclide, -2, 2, 0) > 0) {
            return List.of(Decay.TWO_BETA_MINUS);
        }
        List<Decay> ways = new ArrayList<>();
        take(ways, Decay.NEUTRON, released(nuclide, 0, 1, NEUTRON));
        take(ways, Decay.PROTON, released(nuclide, 1, 0, HYDROGEN));
        if (ways.isEmpty()) {
            take(ways, Decay.TWO_NEUTRONS, released(nuclide, 0, 2, 2 * NEUTRON));
            take(ways, Decay.TWO_PROTONS, released(nuclide, 2, 0, 2 * HYDROGEN));
        }
        if (ways.isEmpty()) {
            take(ways, Decay.ALPHA, released(nuclide, 2, 2, HELIUM));
        }
        if (ways.isEmpty()) {
            take(ways, Decay.BETA_MINUS, released(nuclide, -1, 1, 0));
            double captured = released(nuclide, 1, -1, 0);
            take(ways, captured > 2 * ELECTRON ? Decay.BETA_PLUS : Decay.CAPTURE, captured);
        }
        return ways;
    }

    private static void take(List<Decay> ways, Decay way, double released) {
        if (released > 0) {
            ways.add(way);
        }
    }

    /**
     * Mass set free, in u, where what is left has so many protons and neutrons less; NaN where that isn't in the table.
     */
    static double released(Nuclide from, int protons, int neutrons, double off) {
        return from.mass() - massOf(from.protons() - protons, from.neutrons() - neutrons) - off;
    }

    private static double massOf(int protons, int neutrons) {
        int heavy = protons + neutrons - RUBIDIUM_FROM;
        if (protons == HEAVIEST + 1) {
            return heavy < 0 || heavy >= RUBIDIUM.length ? Double.NaN : RUBIDIUM[heavy];
        }
        Nuclide known = of(protons, neutrons);
        return known == null ? Double.NaN : known.mass();
    }
}
