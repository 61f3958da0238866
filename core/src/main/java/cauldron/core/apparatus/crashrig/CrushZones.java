package cauldron.core.apparatus.crashrig;

import java.util.ArrayList;
import java.util.List;

/**
 * What gives way between two masses that meet, in a row: fronts, cabins, and at last what is left of either. All carry
 * the same force; the weakest yields first, and those that are as weak as each other share the way.
 *
 * <p>Each sled is elastic with {@link #STIFFNESS} until something yields (a coefficient of restitution of about 0.15 at
 * 50 km/h, as barrier tests find it: R. M. Brach, Mechanical Impact Dynamics, 1991, ch. 3), then perfectly plastic.
 */
final class CrushZones {

    /** The zones in their order. */
    static final int FRONT = 0;
    static final int CABIN = 1;
    static final int FRONT_2 = 2;
    static final int CABIN_2 = 3;
    /** Of a whole sled, in N/m. */
    static final double STIFFNESS = 1e7;
    /** What is left when all that was meant to yield is used up, in newtons; it yields without end. */
    static final double SOLID = 5e6;

    private final double[] strengths;
    private final double stiffness;
    private final LoadingCurve curve;
    /** Where each piece of the curve begins, in metres. */
    private final double[] at;
    /** By piece and zone: how far it has given way where the piece begins,
            and how much of each further metre is its own. */
    private final double[][] before;
    private final double[][] share;

    /**
     * Zones in a row.
     *
     * @param sleds how many they belong to
     * @param zones strength in newtons and length in metres of each by turns
     */
    CrushZones(int sleds, double... zones) {
        int count = zones.length / 2;
        stiffness = STIFFNESS / sleds;
        strengths = new double[count];
        double[] left = new double[count];
        for (int i = 0; i < count; i++) {
            strengths[i] = zones[2 * i];
            left[i] = zones[2 * i + 1];
        }
        List<double[]> pieces = new ArrayList<>();
        List<double[]> shares = new ArrayList<>();
        double reached = 0;
        for (double weakest = weakest(left); weakest < SOLID; weakest = weakest(left)) {
            if (weakest > reached) {
                pieces.add(new double[] {(weakest - reached) / stiffness, stiffness});
                shares.add(new double[count]);
                reached = weakest;
            }
            double[] yielding = yielding(left, weakest);
            double each = Double.POSITIVE_INFINITY;
            for (int i = 0; i < count; i++) {
                each = yielding[i] > 0 ? Math.min(each, left[i]) : each;
            }
            double length = 0;
            for (int i = 0; i < count; i++) {
                left[i] -= yielding[i] > 0 ? each : 0;
                length += yielding[i] > 0 ? each : 0;
            }
            pieces.add(new double[] {length, 0});
            shares.add(yielding);
        }
        pieces.add(new double[] {(SOLID - reached) / stiffness, stiffness});
        shares.add(new double[count]);
        pieces.add(new double[] {1, 0});
        shares.add(new double[count]);
        share = shares.toArray(new double[0][]);
        before = new double[share.length][count];
        at = new double[share.length];
        double[] flat = new double[2 * at.length];
        for (int k = 0; k < at.length; k++) {
            flat[2 * k] = pieces.get(k)[0];
            flat[2 * k + 1] = pieces.get(k)[1];
            for (int i = 0; i < count && k + 1 < at.length; i++) {
                before[k + 1][i] = before[k][i] + share[k][i] * flat[2 * k];
            }
            if (k + 1 < at.length) {
                at[k + 1] = at[k] + flat[2 * k];
            }
        }
        curve = new LoadingCurve(flat);
    }

    /** The least strength of what can still give way. */
    private double weakest(double[] left) {
        double weakest = SOLID;
        for (int i = 0; i < left.length; i++) {
            weakest = left[i] > 0 ? Math.min(weakest, strengths[i]) : weakest;
        }
        return weakest;
    }

    /** The part of the way that each of them takes. */
    private double[] yielding(double[] left, double weakest) {
        double[] yielding = new double[left.length];
        int sharing = 0;
        for (int i = 0; i < left.length; i++) {
            sharing += left[i] > 0 && strengths[i] == weakest ? 1 : 0;
        }
        for (int i = 0; i < left.length; i++) {
            yielding[i] = left[i] > 0 && strengths[i] == weakest ? 1.0 / sharing : 0;
        }
        return yielding;
    }

    /** All of them as one. */
    Member member() {
        return new Member(curve, stiffness);
    }

    /** How far a zone has given way for good, in metres, where all as one are pressed by c. */
    double crush(int which, Member all, double c) {
        int piece = all.piece();
        return before[piece][which] + share[piece][which] * (all.pressed(c) - at[piece]);
    }

    /** How much of each further metre a zone gives way, now. */
    double share(int which, Member all) {
        return all.isOnCurve() ? share[all.piece()][which] : 0;
    }

    /** The work that a zone has taken for good, in joules. */
    double work(int which, Member all, double c) {
        return strengths[which] * crush(which, all, c);
    }

    /** The work that went into what is left when all zones are used up, in joules. */
    double workBeyond(Member all, double c) {
        int last = at.length - 1;
        return all.piece() == last ? SOLID * (all.pressed(c) - at[last]) : 0;
    }
}
