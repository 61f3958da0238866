package cauldron.core;

/**
 * RandomSource from a seed: xoshiro128++ (D. Blackman, S. Vigna, ACM Trans. Math. Softw. 47 (2021) 36), in
 * 32-bit arithmetic because 64-bit is slow in the browser. The same seed gives the same numbers, to the
 * bit, everywhere.
 */
public final class RandomSource implements Stateful {

    private int a;
    private int b;
    private int c;
    private int d;

    public RandomSource(int seed) {
        int z = seed;
        int[] s = new int[4];
        for (int i = 0; i < 4; i++) {
            // Murmur3's finalizer over a Weyl sequence spreads neighbouring seeds apart.
            z += 0x9e3779b9;
            int x = z;
            x = (x ^ (x >>> 16)) * 0x85ebca6b;
            x = (x ^ (x >>> 13)) * 0xc2b2ae35;
            s[i] = x ^ (x >>> 16);
        }
        a = s[0];
        b = s[1];
        c = s[2];
        d = s[3];
    }

    /** RandomSource for one named purpose, so that using it for one thing leaves the others as they were. */
    public static RandomSource named(int seed, String purpose) {
        int hash = seed;
        for (int i = 0; i < purpose.length(); i++) {
            hash = (hash ^ purpose.charAt(i)) * 0x01000193;
        }
        return new RandomSource(hash);
    }

    private int next() {
        int sum = a + d;
        int result = ((sum << 7) | (sum >>> 25)) + a;
        int t = b << 9;
        c ^= a;
        d ^= b;
        b ^= c;
        a ^= d;
        c ^= t;
        d = (d << 11) | (d >>> 21);
        return result;
    }

    /** Evenly from 0 (with) to 1 (without), in steps of 2⁻³¹. */
    public double unit() {
        return (next() & 0x7fffffff) * 0x1p-31;
    }

    /** Evenly between two values. */
    public double between(double from, double to) {
        return from + (to - from) * unit();
    }

    /** One of 0 … n − 1. */
    public int below(int n) {
        return (int) (unit() * n);
    }

    /**
     * From the exponential distribution of mean 1, by comparisons and additions alone (J. von Neumann,
     * Various techniques used in connection with random digits, 1951): the same bits everywhere, which a
     * logarithm would not give.
     */
    public double exponential() {
        for (int whole = 0;; whole++) {
            double first = unit();
            double last = first;
            boolean odd = true;
            for (double u = unit(); u < last; u = unit()) {
                last = u;
                odd = !odd;
            }
            if (odd) {
                return whole + first;
            }
        }
    }

    /** From the normal distribution of mean 0 and standard deviation 1, the same bits everywhere. */
    public double exactNormal() {
        double size = exponential();
        while (2 * exponential() < (size - 1) * (size - 1)) {
            size = exponential();
        }
        return unit() < 0.5 ? -size : size;
    }

    @Override
    public int size() {
        return 4;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = a;
        out[at + 1] = b;
        out[at + 2] = c;
        out[at + 3] = d;
    }

    @Override
    public void restore(double[] from, int at) {
        a = (int) from[at];
        b = (int) from[at + 1];
        c = (int) from[at + 2];
        d = (int) from[at + 3];
    }

    /** From the normal distribution of mean 0 and standard deviation 1 (Box and Muller). */
    public double normal() {
        double r = Math.sqrt(-2 * Math.log(1 - unit()));
        return r * Math.cos(2 * Math.PI * unit());
    }
}
