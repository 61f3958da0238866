package cauldron.core.apparatus.equilibriumflask;

import cauldron.core.RandomSource;
import cauldron.core.Stateful;
import cauldron.core.chemistry.Reaction;
import java.util.List;

/**
 * Particles of a reaction in an exact stochastic simulation, by the direct method (D. T. Gillespie, J. Phys. Chem. 81,
 * 2340 (1977)): when the next one reacts is drawn from an exponential distribution, which way from the propensities.
 * The vessel is well mixed, so who meets is drawn among all; the nearest of some drawn ones is taken, so that it looks
 * like a meeting. Places are in shares of the vessel and say nothing more; each particle goes straight between its
 * walls.
 *
 * <p>Where both directions are fast, thousands of reactions fall into an instant that nobody could follow. Then only
 * the numbers are followed ({@link Turmoil}), as exactly as before, and of what happened no more is shown than can be
 * seen: the change in all, and a few meetings.
 */
final class Particles implements Stateful {

    static final int MOST = 2400;
    /** So many reactions last are kept, for rings around their places. */
    private static final int RINGS = 16;
    private static final int DRAWN = 8;
    /** More reactions than this between two points of the grid aren't followed one by one. */
    private static final int FOLLOWED = 60;
    /** So many meetings each way are shown of those that aren't. */
    private static final int SHOWN = 4;
    /** Speeds in vessel's lengths a second. */
    private static final double SPEED = 0.012;
    private static final int FIELDS = 6;
    private static final int X = 0;
    private static final int Y = 1;
    private static final int VX = 2;
    private static final int VY = 3;
    private static final int SINCE = 4;
    private static final int KIND = 5;

    private final int[] numbers;
    private final double grain;
    private final RandomSource chance;
    private final double[] all = new double[MOST * FIELDS];
    private final double[] rings = new double[RINGS * 4];
    private final int[] counts;
    private int many;
    private double time;
    private double next = Double.NaN;
    /** How often it went each way; more than an int holds, in a long run. */
    private double forwards;
    private double backwards;
    private int lastRing;
    private final Turmoil turmoil;

    /** @param grain the amount in mol that a particle stands for */
    Particles(List<Reaction.Term> terms, double grain, RandomSource chance) {
        numbers = terms.stream().mapToInt(Reaction.Term::count).toArray();
        this.grain = grain;
        this.chance = chance;
        counts = new int[terms.size()];
        turmoil = new Turmoil(numbers, grain, chance);
        for (int i = 0; i < RINGS; i++) {
            rings[4 * i + 2] = Double.NEGATIVE_INFINITY;
        }
    }

    /** How many there are of each. */
    int[] counts() {
        return counts;
    }

    /** How often it went forwards, and back. */
    double went(boolean forward) {
        return forward ? forwards : backwards;
    }

    /** Puts some in, or takes some out where the number is negative, as far as they are there. */
    void put(int kind, int number) {
        for (int i = 0; i < number && many < MOST; i++) {
            born(kind, chance.unit(), chance.unit());
        }
        for (int i = 0; i < -number && counts[kind] > 0; i++) {
            die(anyOf(kind));
        }
        next = Double.NaN;
    }

    /** What rules from now on has changed: when the next one reacts is drawn anew. */
    void changed() {
        next = Double.NaN;
    }

    /** Goes on to a time. */
    void to(double until, Kinetics kinetics) {
        while (true) {
            double ahead = kinetics.propensity(true, counts, grain);
            double back = kinetics.propensity(false, counts, grain);
            if ((ahead + back) * (until - time) > FOLLOWED) {
                leap(until, kinetics);
                return;
            }
            if (Double.isNaN(next)) {
                next = ahead + back > 0 ? time + chance.exponential() / (ahead + back) : Double.POSITIVE_INFINITY;
            }
            if (next > until) {
                time = until;
                return;
            }
            time = next;
            react(chance.unit() * (ahead + back) < ahead);
            next = Double.NaN;
        }
    }

    private void leap(double until, Kinetics kinetics) {
        turmoil.over(until - time, counts, kinetics);
        time = until;
        next = Double.NaN;
        double ahead = turmoil.forwards();
        double back = turmoil.backwards();
        int change = (int) (ahead - back);
        for (int i = 0; i < Math.abs(change); i++) {
            react(change > 0);
        }
        for (int i = 0; i < SHOWN && i < Math.min(ahead, back); i++) {
            boolean first = kinetics.propensity(true, counts, grain) > 0;
            react(first);
            react(!first);
        }
        forwards += ahead - Math.max(0, change) - shown(ahead, back);
        backwards += back - Math.max(0, -change) - shown(ahead, back);
    }

    private static double shown(double ahead, double back) {
        return Math.min(SHOWN, Math.min(ahead, back));
    }

    private void react(boolean forward) {
        double x = Double.NaN;
        double y = Double.NaN;
        for (int kind = 0; kind < numbers.length; kind++) {
            int count = numbers[kind];
            if (count < 0 != forward) {
                continue;
            }
            for (int i = 0; i < Math.abs(count); i++) {
                int who = Double.isNaN(x) ? anyOf(kind) : nearOf(kind, x, y);
                x = Double.isNaN(x) ? place(who, X) : (x + place(who, X)) / 2;
                y = Double.isNaN(y) ? place(who, Y) : (y + place(who, Y)) / 2;
                die(who);
            }
        }
        for (int kind = 0; kind < numbers.length; kind++) {
            int count = numbers[kind];
            for (int i = 0; count > 0 == forward && i < Math.abs(count); i++) {
                born(kind, x, y);
            }
        }
        int ring = lastRing;
        lastRing = (lastRing + 1) % RINGS;
        rings[4 * ring] = x;
        rings[4 * ring + 1] = y;
        rings[4 * ring + 2] = time;
        rings[4 * ring + 3] = forward ? 1 : 0;
        forwards += forward ? 1 : 0;
        backwards += forward ? 0 : 1;
    }

    private void born(int kind, double x, double y) {
        double angle = 2 * Math.PI * chance.unit();
        int at = FIELDS * many++;
        all[at + X] = x;
        all[at + Y] = y;
        all[at + VX] = SPEED * Math.cos(angle);
        all[at + VY] = SPEED * Math.sin(angle);
        all[at + SINCE] = time;
        all[at + KIND] = kind;
        counts[kind]++;
    }

    private void die(int who) {
        counts[(int) all[FIELDS * who + KIND]]--;
        many--;
        System.arraycopy(all, FIELDS * many, all, FIELDS * who, FIELDS);
    }

    /** One of a kind, each as likely as any other. */
    private int anyOf(int kind) {
        int which = chance.below(counts[kind]);
        for (int i = 0; i < many; i++) {
            if (all[FIELDS * i + KIND] == kind && which-- == 0) {
                return i;
            }
        }
        throw new IllegalStateException("There is none of that kind");
    }

    private int nearOf(int kind, double x, double y) {
        int best = anyOf(kind);
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < DRAWN; i++) {
            int who = chance.below(many);
            double away = Math.hypot(place(who, X) - x, place(who, Y) - y);
            if (all[FIELDS * who + KIND] == kind && away < least) {
                least = away;
                best = who;
            }
        }
        return best;
    }

    /** Where one is along an axis now: it goes to and fro between two walls. */
    private double place(int who, int axis) {
        return place(who, axis, time);
    }

    private double place(int who, int axis, double when) {
        int at = FIELDS * who;
        double way = all[at + axis] + all[at + VX + axis] * (when - all[at + SINCE]);
        double folded = Math.abs(way) % 2;
        return folded > 1 ? 2 - folded : folded;
    }

    /** How many there are in all. */
    int many() {
        return many;
    }

    /** What kind one is of. */
    int kind(int who) {
        return (int) all[FIELDS * who + KIND];
    }

    /** Where one is at a time, in shares of the vessel: along, or up. */
    double at(int who, boolean up, double when) {
        return place(who, up ? Y : X, when);
    }

    /** Tells of reactions not longer ago than a span. */
    interface Rings {
        void ring(double x, double y, boolean forward);
    }

    /** Tells of reactions since a time. */
    void since(double when, Rings told) {
        for (int i = 0; i < RINGS; i++) {
            if (rings[4 * i + 2] >= when) {
                told.ring(rings[4 * i], rings[4 * i + 1], rings[4 * i + 3] == 1);
            }
        }
    }

    @Override
    public int size() {
        return 6 + counts.length + rings.length + FIELDS * many;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = many;
        out[at + 1] = time;
        out[at + 2] = next;
        out[at + 3] = forwards;
        out[at + 4] = backwards;
        out[at + 5] = lastRing;
        int to = at + 6;
        for (int count : counts) {
            out[to++] = count;
        }
        System.arraycopy(rings, 0, out, to, rings.length);
        System.arraycopy(all, 0, out, to + rings.length, FIELDS * many);
    }

    @Override
    public void restore(double[] in, int at) {
        many = (int) in[at];
        time = in[at + 1];
        next = in[at + 2];
        forwards = in[at + 3];
        backwards = in[at + 4];
        lastRing = (int) in[at + 5];
        int from = at + 6;
        for (int i = 0; i < counts.length; i++) {
            counts[i] = (int) in[from++];
        }
        System.arraycopy(in, from, rings, 0, rings.length);
        System.arraycopy(in, from + rings.length, all, 0, FIELDS * many);
    }
}
