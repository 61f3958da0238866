package cauldron.core.apparatus.equilibriumflask;

import cauldron.core.RandomSource;
import java.util.Arrays;

/**
 * How often a reaction goes each way in a span in which it goes too often to be followed particle by particle. A
 * reaction of one step has one unknown, how far it has gone, which is a chain of births and deaths:
 * <ul>
 * <li>while it is far from rest, or the span is short, the chain is followed step by step (D. T. Gillespie, J. Phys.
 * Chem. 81, 2340 (1977)), without a thought of who meets whom;
 * <li>near rest, where the span is more than {@value #LONG} times as long as what the chain remembers, where it will be
 * is drawn from its stationary distribution, {@code π(x + 1)/π(x) = a_f(x)/a_b(x + 1)} (N. G. van Kampen, Stochastic
 * Processes in Physics and Chemistry, VI.3). What is forgotten then is less than a part in e²⁰. How often it went
 * there and back meanwhile is drawn about its mean, as a Poisson distribution of so many is.
 * </ul>
 */
final class Turmoil {

    /** So many times what the chain remembers, in its own time. */
    static final double LONG = 20;
    /** Nearer than so many standard deviations to the most likely place it is near rest. */
    private static final double NEAR = 3;
    /** Places less likely than this part of the likeliest one are left out. */
    private static final double UNLIKELY = 1e-18;

    private final int[] numbers;
    private final double grain;
    private final RandomSource chance;
    private final int[] now;
    private double forwards;
    private double backwards;
    private long followed;
    /** The stationary distribution: from which place on, and how likely each is, the likeliest being 1. */
    private int least;
    private double[] likely = {};
    private double sum;
    private double mean;
    private double deviation;

    Turmoil(int[] numbers, double grain, RandomSource chance) {
        this.numbers = numbers;
        this.grain = grain;
        this.chance = chance;
        now = new int[numbers.length];
    }

    /** How often it went forwards in the last span. */
    double forwards() {
        return forwards;
    }

    double backwards() {
        return backwards;
    }

    /** How many steps were followed one by one since the beginning, for what it costs. */
    long followed() {
        return followed;
    }

    /** Draws how often it goes each way in so many seconds, from so many particles of each on. */
    void over(double seconds, int[] counts, Kinetics kinetics) {
        forwards = 0;
        backwards = 0;
        System.arraycopy(counts, 0, now, 0, now.length);
        double left = seconds;
        double memory = Double.NaN;
        while (true) {
            double ahead = kinetics.propensity(true, now, grain);
            double back = kinetics.propensity(false, now, grain);
            if (ahead + back == 0) {
                return;
            }
            if (Double.isNaN(memory)) {
                distribute(kinetics);
                memory = memory(kinetics);
            }
            double at = forwards - backwards;
            if (left > LONG * memory && Math.abs(at - mean) <= NEAR * deviation + 1) {
                rest(left, kinetics);
                return;
            }
            left -= chance.exponential() / (ahead + back);
            if (left < 0) {
                return;
            }
            followed++;
            go(chance.unit() * (ahead + back) < ahead ? 1 : -1);
        }
    }

    private void go(int way) {
        forwards += way > 0 ? 1 : 0;
        backwards += way > 0 ? 0 : 1;
        move(way);
    }

    private void move(int way) {
        for (int i = 0; i < now.length; i++) {
            now[i] += way * numbers[i];
        }
    }

    /** Works out how likely each place is in the end, counted from where it is now. */
    private void distribute(Kinetics kinetics) {
        double[] up = oneWay(1, kinetics);
        double[] down = oneWay(-1, kinetics);
        likely = new double[up.length + down.length + 1];
        least = -down.length;
        likely[down.length] = 1;
        for (int i = 0; i < up.length; i++) {
            likely[down.length + 1 + i] = up[i];
        }
        for (int i = 0; i < down.length; i++) {
            likely[down.length - 1 - i] = down[i];
        }
        double most = 0;
        for (double one : likely) {
            most = Math.max(most, one);
        }
        sum = 0;
        double first = 0;
        for (int i = 0; i < likely.length; i++) {
            likely[i] = likely[i] < UNLIKELY * most ? 0 : likely[i] / most;
            sum += likely[i];
            first += likely[i] * (least + i);
        }
        mean = first / sum;
        double second = 0;
        for (int i = 0; i < likely.length; i++) {
            second += likely[i] * (least + i - mean) * (least + i - mean);
        }
        deviation = Math.sqrt(second / sum);
    }

    /** How likely the places one way are beside the place it is at, the nearest first. */
    private double[] oneWay(int way, Kinetics kinetics) {
        double[] found = new double[64];
        int n = 0;
        int gone = 0;
        double value = 1;
        double most = 1;
        while (true) {
            double there = kinetics.propensity(way > 0, now, grain);
            if (there == 0) {
                break;
            }
            move(way);
            gone++;
            double back = kinetics.propensity(way < 0, now, grain);
            if (back == 0) {
                break;
            }
            value = value * there / back;
            most = Math.max(most, value);
            if (value < UNLIKELY * most) {
                break;
            }
            if (n == found.length) {
                found = Arrays.copyOf(found, 2 * n);
            }
            found[n++] = value;
        }
        move(-way * gone);
        return Arrays.copyOf(found, n);
    }

    /** How long, in seconds, it remembers where it was: variance over the mean of both rates, at rest. */
    private double memory(Kinetics kinetics) {
        double rate = meanRate(true, kinetics);
        return rate == 0 ? Double.POSITIVE_INFINITY : Math.max(deviation * deviation, 1) / rate;
    }

    /** How often a second it goes one way at rest, in the mean over all places. */
    private double meanRate(boolean forward, Kinetics kinetics) {
        double weighted = 0;
        int here = 0;
        for (int i = 0; i < likely.length; i++) {
            if (likely[i] > 0) {
                move(least + i - here);
                here = least + i;
                weighted += likely[i] * kinetics.propensity(forward, now, grain);
            }
        }
        move(-here);
        return weighted / sum;
    }

    /** Where it is in the end, drawn; and how often it went there and back on the way. */
    private void rest(double seconds, Kinetics kinetics) {
        double so = forwards - backwards;
        move((int) -so);
        double ways = meanRate(true, kinetics) * seconds;
        move((int) so);
        double left = chance.unit() * sum;
        int which = 0;
        while (which < likely.length - 1 && left >= likely[which]) {
            left -= likely[which++];
        }
        double change = least + which - so;
        double back = Math.max(Math.max(0, -change), Math.rint(ways + Math.sqrt(ways) * chance.exactNormal()));
        move((int) change);
        forwards += back + change;
        backwards += back;
    }
}
