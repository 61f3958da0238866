package cauldron.core.analysis;

/**
 * First derivatives of a column's values with respect to what they come from, for the chain rule. Where a
 * value depends on nothing, {@code null} stands for the partials.
 */
interface Partials {

    /**
     * Derivatives of f(a, b), row by row: ∂f/∂a · a' + ∂f/∂b · b'.
     *
     * @param ka ∂f/∂a in each row
     * @param b  partials of the second argument, or null
     * @param kb ∂f/∂b in each row; ignored where b is null
     */
    Partials chain(double[] ka, Partials b, double[] kb);

    /** Derivatives of sums over rows: row i becomes Σ weight(i, j) · row j. */
    Partials gather(Weights weights);

    /** Which rows a row's value comes from. */
    interface Weights {
        /** Hands on each row j that row i needs, with its weight. */
        void of(int i, Term term);
    }

    /** Takes one term of a sum. */
    interface Term {
        void add(int j, double weight);
    }
}
