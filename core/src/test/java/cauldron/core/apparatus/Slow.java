package cauldron.core.apparatus;

/** Tiny fixed steps of the classical fourth-order Runge–Kutta method, for references in tests only. */
final class Slow {

    interface Law {
        void at(double[] y, double[] dy);
    }

    private Slow() {
    }

    /** One step; the state is changed in place. */
    static void step(Law law, double h, double[] y) {
        int n = y.length;
        double[][] k = new double[4][n];
        double[] at = new double[n];
        double[] part = {0, 0.5, 0.5, 1};
        for (int stage = 0; stage < 4; stage++) {
            for (int i = 0; i < n; i++) {
                at[i] = y[i] + (stage == 0 ? 0 : part[stage] * h * k[stage - 1][i]);
            }
            law.at(at, k[stage]);
        }
        for (int i = 0; i < n; i++) {
            y[i] += h / 6 * (k[0][i] + 2 * k[1][i] + 2 * k[2][i] + k[3][i]);
        }
    }

    /** When a straight line from one value to the next, a step later, passes zero. */
    static double when(double time, double h, double before, double after) {
        return time + h * before / (before - after);
    }
}
