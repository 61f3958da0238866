package cauldron.core.apparatus.crashrig;

/**
 * The force with which something answers while it is pressed further than ever before: straight pieces from 0, the last
 * of which goes on for ever. It never falls.
 */
final class LoadingCurve {

    /** Where each piece begins, in metres, and the force there, in newtons. */
    private final double[] at;
    private final double[] force;
    /** Work done up to there, in joules. */
    private final double[] work;
    /** Slope of each piece, in N/m. */
    private final double[] slope;

    /**
     * A curve of pieces.
     *
     * @param pieces length in metres and slope in N/m of each by turns; the last one's length doesn't count
     */
    LoadingCurve(double... pieces) {
        int n = pieces.length / 2;
        at = new double[n];
        force = new double[n];
        work = new double[n];
        slope = new double[n];
        for (int i = 0; i < n; i++) {
            slope[i] = pieces[2 * i + 1];
            if (i > 0) {
                double length = pieces[2 * i - 2];
                at[i] = at[i - 1] + length;
                force[i] = force[i - 1] + slope[i - 1] * length;
                work[i] = work[i - 1] + length * 0.5 * (force[i - 1] + force[i]);
            }
        }
    }

    /** Which piece counts at a compression. */
    int piece(double c) {
        int i = at.length - 1;
        while (i > 0 && c < at[i]) {
            i--;
        }
        return i;
    }

    /** The force at a compression, in newtons, by one of the pieces, as if that went on for ever. */
    double force(double c, int i) {
        return force[i] + slope[i] * (c - at[i]);
    }

    /** The work it takes to press it so far, in joules, by one of the pieces. */
    double work(double c, int i) {
        double further = c - at[i];
        return work[i] + further * (force[i] + 0.5 * slope[i] * further);
    }

    /** Where a piece ends; as good as infinite for the last. */
    double end(int i) {
        return i + 1 < at.length ? at[i + 1] : Double.MAX_VALUE;
    }
}
