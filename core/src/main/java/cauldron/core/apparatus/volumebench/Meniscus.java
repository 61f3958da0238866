package cauldron.core.apparatus.volumebench;

import cauldron.core.matter.Liquid;

/**
 * The curved surface of a liquid in a round upright tube, wetting its wall at the contact angle θ: the axisymmetric
 * Young–Laplace equation, by arc length s from the lowest point,
 * {@code dr/ds = cos ψ, dz/ds = sin ψ, dψ/ds = 2b + z/ℓ² − sin ψ / r},
 * with b the curvature at the lowest point and ℓ = √(γ/ρg) the capillary length (P.-G. de Gennes, F. Brochard-Wyart,
 * D. Quéré, Capillarity and Wetting Phenomena, Springer 2004, ch. 2). The slope at the wall, ψ = 90° − θ, must be
 * reached at the tube's radius, which fixes b. Air's density is left out.
 *
 * <p>In wide tubes b is so small that it has to be sought by its logarithm.
 */
final class Meniscus {

    /** Places across the tube at which {@link #height} is known. */
    private static final int PLACES = 64;
    private static final int STEPS = 600;
    private static final double SMALL = 1e-5;
    private static final double ROOM_TEMPERATURE = 20;
    private static final double G = 9.81;

    private final double radius;
    private final double[] height = new double[PLACES + 1];
    private final double volume;
    private final double curvature;

    /**
     * A surface.
     *
     * @param radius    of the tube in m, no more than thirty capillary lengths
     * @param angle     contact angle in rad, below a right angle
     * @param capillary capillary length in m
     */
    Meniscus(double radius, double angle, double capillary) {
        this.radius = radius;
        double slope = Math.PI / 2 - angle;
        double low = Math.log(1e-200 / radius);
        double high = Math.log(2 / radius);
        for (int i = 0; i < 70; i++) {
            double middle = (low + high) / 2;
            if (reach(Math.exp(middle), slope, capillary, null) > radius) {
                low = middle;
            } else {
                high = middle;
            }
        }
        curvature = Math.exp((low + high) / 2);
        volume = reach(curvature, slope, capillary, height);
    }

    /** Water at room temperature in glass. */
    static Meniscus ofWaterIn(double radius) {
        return new Meniscus(radius, Liquid.WATER.contactAngle, waterLength());
    }

    /** Capillary length of water at room temperature, in m. */
    static double waterLength() {
        return Math.sqrt(Liquid.WATER.surfaceTension(ROOM_TEMPERATURE) / (Liquid.WATER.density(ROOM_TEMPERATURE) * G));
    }

    /**
     * Follows the surface out to where it has the slope of the wall, by ln ψ: far from the wall of a wide tube it
     * rises as an exponential.
     *
     * @param out where heights across the tube are put; or null
     * @return the radius at which it is that steep; with {@code out}, the volume above the lowest point
     */
    private double reach(double b, double slope, double capillary, double[] out) {
        // From the axis on, where it is nearly flat, a modified Bessel function stands for it.
        double start = slope * SMALL;
        double r = startRadius(b, start, capillary);
        double z = 2 * b * capillary * capillary * (besselI0(r / capillary) - 1);
        double psi = Math.log(start);
        int next = 0;
        double sum = 0;
        while (out != null && next <= PLACES && next * radius / PLACES <= r) {
            double at = next * radius / PLACES;
            out[next++] = 2 * b * capillary * capillary * (besselI0(at / capillary) - 1);
        }
        if (out != null) {
            double x = r / capillary;
            sum = 2 * b * capillary * capillary * Math.PI * r * r * (2 * besselI1(x) / x - 1);
        }
        double step = (Math.log(slope) - psi) / STEPS;
        double[] k1 = new double[2];
        double[] k2 = new double[2];
        double[] k3 = new double[2];
        double[] k4 = new double[2];
        for (int i = 0; i < STEPS; i++) {
            turn(r, z, psi, b, capillary, k1);
            turn(r + step / 2 * k1[0], z + step / 2 * k1[1], psi + step / 2, b, capillary, k2);
            turn(r + step / 2 * k2[0], z + step / 2 * k2[1], psi + step / 2, b, capillary, k3);
            turn(r + step * k3[0], z + step * k3[1], psi + step, b, capillary, k4);
            double r1 = r + step / 6 * (k1[0] + 2 * k2[0] + 2 * k3[0] + k4[0]);
            double z1 = z + step / 6 * (k1[1] + 2 * k2[1] + 2 * k3[1] + k4[1]);
            if (out != null) {
                // Simpson's rule over the step, with r and z in its middle from the cubic through its ends.
                double rm = (r + r1) / 2 + step / 8 * (k1[0] - k4[0]);
                double zm = (z + z1) / 2 + step / 8 * (k1[1] - k4[1]);
                sum += Math.PI * step / 3 * (r * z * k1[0] + 2 * rm * zm * (k2[0] + k3[0]) + r1 * z1 * k4[0]);
                while (next <= PLACES && (next * radius / PLACES <= r1 || i == STEPS - 1)) {
                    double share = r1 == r ? 1 : Math.min(1, (next * radius / PLACES - r) / (r1 - r));
                    out[next++] = z + share * (z1 - z);
                }
            }
            r = r1;
            z = z1;
            psi += step;
        }
        return out == null ? r : sum;
    }

    /** Where the small slope stands that the closed form z = 2 b ℓ² (I₀(r/ℓ) − 1) still gives: b ℓ 2 I₁(r/ℓ) = ψ. */
    private static double startRadius(double b, double psi, double capillary) {
        double low = 0;
        double high = 40 * capillary;
        for (int i = 0; i < 80; i++) {
            double middle = (low + high) / 2;
            if (2 * b * capillary * besselI1(middle / capillary) < Math.tan(psi)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static void turn(double r, double z, double logPsi, double b, double capillary, double[] out) {
        double psi = Math.exp(logPsi);
        double curvature = 2 * b + z / (capillary * capillary) - Math.sin(psi) / r;
        out[0] = psi * Math.cos(psi) / curvature;
        out[1] = psi * Math.sin(psi) / curvature;
    }

    private static double besselI0(double x) {
        double sum = 1;
        double term = 1;
        for (int k = 1; k < 200 && term > 1e-17 * sum; k++) {
            term *= x * x / (4.0 * k * k);
            sum += term;
        }
        return sum;
    }

    private static double besselI1(double x) {
        double term = x / 2;
        double sum = term;
        for (int k = 1; k < 200 && term > 1e-17 * sum; k++) {
            term *= x * x / (4.0 * k * (k + 1));
            sum += term;
        }
        return sum;
    }

    /** Height above the lowest point in m, at a distance from the axis in m. */
    double height(double r) {
        double at = Math.min(1, Math.abs(r) / radius) * PLACES;
        int before = Math.min(PLACES - 1, (int) at);
        return height[before] + (at - before) * (height[before + 1] - height[before]);
    }

    /** How much higher it stands at the wall than in the middle, in m. */
    double rise() {
        return height[PLACES];
    }

    /** Curvature at the lowest point, in 1/m: half the pressure just below it, under that of the air, over γ. */
    double curvature() {
        return curvature;
    }

    /** Liquid above the lowest point, in m³. */
    double volume() {
        return volume;
    }
}
