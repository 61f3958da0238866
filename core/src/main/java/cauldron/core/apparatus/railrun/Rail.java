package cauldron.core.apparatus.railrun;

import java.util.ArrayList;
import java.util.List;

/**
 * A rail: pieces one after the other, each from one whole number of the parameter to the next. Through points it is the
 * natural cubic spline over chord lengths, so slope and curvature have no jumps (C. de Boor, A Practical Guide to
 * Splines, ch. IV).
 */
final class Rail {

    private static final int LOOKS = 64;

    private final List<Piece> pieces = new ArrayList<>();
    private final double[] point = new double[6];
    private double[] outline;

    /** A rail through points, x and y by turns, in metres. */
    static Rail through(double... xy) {
        int n = xy.length / 2;
        double[] chord = new double[n - 1];
        for (int i = 0; i < n - 1; i++) {
            chord[i] = Math.hypot(xy[2 * i + 2] - xy[2 * i], xy[2 * i + 3] - xy[2 * i + 1]);
        }
        double[] bendX = bends(xy, 0, chord);
        double[] bendY = bends(xy, 1, chord);
        Rail rail = new Rail();
        for (int i = 0; i < n - 1; i++) {
            rail.pieces.add(Piece.cubic(cubic(xy, 0, i, chord[i], bendX), cubic(xy, 1, i, chord[i], bendY)));
        }
        return rail;
    }

    /** Second derivatives by chord length at the points: a tridiagonal system, 0 at both ends. */
    private static double[] bends(double[] xy, int which, double[] chord) {
        int n = chord.length + 1;
        double[] diagonal = new double[n];
        double[] right = new double[n];
        double[] bend = new double[n];
        for (int i = 1; i < n - 1; i++) {
            double lower = i > 1 ? chord[i - 1] / diagonal[i - 1] : 0;
            double slope = (xy[2 * i + 2 + which] - xy[2 * i + which]) / chord[i]
                    - (xy[2 * i + which] - xy[2 * i - 2 + which]) / chord[i - 1];
            diagonal[i] = 2 * (chord[i - 1] + chord[i]) - (i > 1 ? lower * chord[i - 1] : 0);
            right[i] = 6 * slope - (i > 1 ? lower * right[i - 1] : 0);
        }
        for (int i = n - 2; i >= 1; i--) {
            bend[i] = (right[i] - (i < n - 2 ? chord[i] * bend[i + 1] : 0)) / diagonal[i];
        }
        return bend;
    }

    private static double[] cubic(double[] xy, int which, int i, double h, double[] bend) {
        double a = xy[2 * i + which];
        double b = xy[2 * i + 2 + which] - a - h * h * (2 * bend[i] + bend[i + 1]) / 6;
        return new double[] {a, b, h * h * bend[i] / 2, h * h * (bend[i + 1] - bend[i]) / 6};
    }

    /** A rail made of pieces that join; built by {@link Track}. */
    static Rail of(List<Piece> pieces) {
        Rail rail = new Rail();
        rail.pieces.addAll(pieces);
        return rail;
    }

    /** How many pieces: the largest value of the parameter. */
    int size() {
        return pieces.size();
    }

    /** The piece that holds a parameter. */
    int pieceOf(double u) {
        return (int) Math.max(0, Math.min(size() - 1, Math.floor(u)));
    }

    /** The point at u on the continuation of a piece: x, y and their first two derivatives; the same array every time. */
    double[] at(int piece, double u) {
        pieces.get(piece).at(u - piece, point);
        return point;
    }

    /** The same on the piece that holds u. */
    double[] at(double u) {
        return at(pieceOf(u), u);
    }

    /** Metres of rail for one of the parameter. */
    static double stretch(double[] p) {
        return Math.hypot(p[2], p[3]);
    }

    /** Curvature, to the left positive, in 1/m. */
    static double curvature(double[] p) {
        double stretch = stretch(p);
        return (p[2] * p[5] - p[3] * p[4]) / (stretch * stretch * stretch);
    }

    /** The first parameter from the left at which it has come down to a height; 0 where it is never so high. */
    double from(double height) {
        double before = at(0)[1];
        if (before <= height) {
            return 0;
        }
        for (int i = 1; i <= size() * LOOKS; i++) {
            double u = (double) i / LOOKS;
            double y = at(u)[1];
            if (y <= height) {
                return root(u - 1.0 / LOOKS, u, height);
            }
            if (y > before) {
                return lowestBefore(u);
            }
            before = y;
        }
        return size();
    }

    private double root(double low, double high, double height) {
        double a = low;
        double b = high;
        for (int i = 0; i < 60; i++) {
            double middle = 0.5 * (a + b);
            if (at(middle)[1] > height) {
                a = middle;
            } else {
                b = middle;
            }
        }
        return b;
    }

    /** It turns up before it comes so low: there. */
    private double lowestBefore(double u) {
        return Math.max(0, u - 1.0 / LOOKS);
    }

    /** The parameter of the point nearest to a place. */
    double nearest(double x, double y) {
        double best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= size() * LOOKS; i++) {
            double u = (double) i / LOOKS;
            double[] p = at(u);
            double d = Math.hypot(p[0] - x, p[1] - y);
            if (d < least) {
                least = d;
                best = u;
            }
        }
        double step = 1.0 / LOOKS;
        for (int i = 0; i < 40; i++) {
            step *= 0.6;
            for (int sign = -1; sign <= 1; sign += 2) {
                double u = Math.max(0, Math.min(size(), best + sign * step));
                double[] p = at(u);
                double d = Math.hypot(p[0] - x, p[1] - y);
                if (d < least) {
                    least = d;
                    best = u;
                }
            }
        }
        return best;
    }

    /** Its length from the left end to u, in metres, by Simpson's rule. */
    double length(double u) {
        double sum = 0;
        for (int piece = 0; piece < size() && piece < u; piece++) {
            double end = Math.min(1, u - piece);
            int n = 32;
            for (int i = 0; i <= n; i++) {
                double weight = i == 0 || i == n ? 1 : i % 2 == 1 ? 4 : 2;
                sum += weight * stretch(at(piece, piece + end * i / n)) * end / (3 * n);
            }
        }
        return sum;
    }

    /** The lowest height it comes to, in metres. */
    double lowest() {
        double low = Double.POSITIVE_INFINITY;
        for (int i = 1; i < outline().length; i += 2) {
            low = Math.min(low, outline()[i]);
        }
        return low;
    }

    /** Points along it: x and y by turns; the same array every time. */
    double[] outline() {
        if (outline == null) {
            int per = 24;
            double[] all = new double[2 * (size() * per + 1)];
            for (int i = 0; i <= size() * per; i++) {
                double[] p = at((double) i / per);
                all[2 * i] = p[0];
                all[2 * i + 1] = p[1];
            }
            outline = all;
        }
        return outline;
    }
}
