package cauldron.core.apparatus.gascylinder;

import java.util.Arrays;

/**
 * Finds the soonest of many times as they change: a tournament whose every match is won by the earlier
 * time, so that a change replays only the matches on its way to the final.
 */
final class EventQueue {

    private final int size;
    private final double[] times;
    private final int[] winners;

    /** A tournament of {@code n} entrants, all at infinity. */
    EventQueue(int n) {
        int leaves = 2;
        while (leaves < n) {
            leaves *= 2;
        }
        size = leaves;
        times = new double[size];
        Arrays.fill(times, Double.POSITIVE_INFINITY);
        winners = new int[size];
        for (int p = size - 1; p >= 1; p--) {
            winners[p] = 2 * p >= size ? 2 * p - size : winners[2 * p];
        }
    }

    void set(int entrant, double time) {
        times[entrant] = time;
        int p = (entrant + size) >> 1;
        int rival = entrant ^ 1;
        int winner = times[rival] < time || times[rival] == time && rival < entrant ? rival : entrant;
        winners[p] = winner;
        while (p > 1) {
            int other = winners[p ^ 1];
            double a = times[winner];
            double b = times[other];
            winner = b < a || b == a && other < winner ? other : winner;
            p >>= 1;
            winners[p] = winner;
        }
    }

    double time(int entrant) {
        return times[entrant];
    }

    /** Who is next. */
    int first() {
        return winners[1];
    }
}
