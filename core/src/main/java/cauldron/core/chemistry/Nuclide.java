package cauldron.core.chemistry;

/**
 * A kind of atom, by its protons and neutrons.
 *
 * @param protons   atomic number Z
 * @param neutrons  N
 * @param mass      of the neutral atom, in u
 * @param abundance share of the element's atoms in nature, 0 to 1; 0 for one that isn't found there
 * @param halfLife  in s; infinite for a stable one, NaN where it isn't known here
 */
public record Nuclide(int protons, int neutrons, double mass, double abundance, double halfLife) {

    /** How long it lives, in steps of which a chart can be read. */
    public enum Life { STABLE, AGES, YEARS, DAYS, MINUTES, SHORT, UNKNOWN }

    private static final double YEAR = 365.25 * 86_400;
    private static final double AGE = 1e8 * YEAR;
    private static final double DAY = 86_400;
    private static final double MINUTE = 60;

    /** Mass number A. */
    public int massNumber() {
        return protons + neutrons;
    }

    /** Whether no decay of it was ever taken into the table. */
    public boolean isStable() {
        return Double.isInfinite(halfLife);
    }

    /** The step of the chart it belongs to: from 100 million years, a year, a day, a minute on. */
    public Life life() {
        if (isStable()) {
            return Life.STABLE;
        }
        if (Double.isNaN(halfLife)) {
            return Life.UNKNOWN;
        }
        return halfLife >= AGE ? Life.AGES : halfLife >= YEAR ? Life.YEARS : halfLife >= DAY ? Life.DAYS
                : halfLife >= MINUTE ? Life.MINUTES : Life.SHORT;
    }
}
