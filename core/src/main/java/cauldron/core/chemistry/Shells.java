package cauldron.core.chemistry;

/**
 * Electrons of an atom by shells, K to N, in the ground state. Neutral atoms up to krypton fill 1s 2s 2p 3s 3p 4s 3d
 * 4p, but for chromium and copper, which have one electron in 4s (NIST Atomic Spectra Database, ground levels). What a
 * positive ion lacks, it lacks in its outermost shell first: iron(II) has 2, 8, 14. What a negative ion has more, it
 * has where the elements after it have it.
 */
public final class Shells {

    /** How many there are up to krypton. */
    public static final int MANY = 4;
    private static final int[] SHELL = {0, 1, 1, 2, 2, 3, 2, 3};
    private static final int[] ROOM = {2, 2, 6, 2, 6, 2, 10, 6};
    private static final int CHROMIUM = 24;
    private static final int COPPER = 29;

    private Shells() {
    }

    /**
     * How many electrons each shell has.
     *
     * @param protons   of the nucleus, up to 36
     * @param electrons up to 36
     */
    public static int[] of(int protons, int electrons) {
        int[] count = filled(Math.max(protons, electrons));
        int off = Math.max(0, protons - electrons);
        for (int shell = MANY - 1; shell >= 0; shell--) {
            int taken = Math.min(off, count[shell]);
            count[shell] -= taken;
            off -= taken;
        }
        return count;
    }

    /** Shells of a neutral atom. */
    private static int[] filled(int number) {
        int[] count = new int[MANY];
        int left = number;
        for (int i = 0; i < SHELL.length; i++) {
            int here = Math.min(left, ROOM[i]);
            count[SHELL[i]] += here;
            left -= here;
        }
        if (number == CHROMIUM || number == COPPER) {
            count[MANY - 1]--;
            count[MANY - 2]++;
        }
        return count;
    }
}
