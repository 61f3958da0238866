package cauldron.core.apparatus.railrun;

/** A smooth stretch of a rail, from 0 to 1 of its own parameter; a little beyond both ends it goes on alike. */
interface Piece {

    /**
     * The point at q, with derivatives by q.
     *
     * @param out x, y, x', y', x'', y'', in metres
     */
    void at(double q, double[] out);

    /** A straight stretch. */
    static Piece line(double x0, double y0, double x1, double y1) {
        return (q, out) -> {
            out[0] = x0 + q * (x1 - x0);
            out[1] = y0 + q * (y1 - y0);
            out[2] = x1 - x0;
            out[3] = y1 - y0;
            out[4] = 0;
            out[5] = 0;
        };
    }

    /** A stretch of a circle, from one angle to another, in radians. */
    static Piece arc(double centreX, double centreY, double radius, double from, double to) {
        double turn = to - from;
        return (q, out) -> {
            double c = radius * Math.cos(from + q * turn);
            double s = radius * Math.sin(from + q * turn);
            out[0] = centreX + c;
            out[1] = centreY + s;
            out[2] = -s * turn;
            out[3] = c * turn;
            out[4] = -c * turn * turn;
            out[5] = -s * turn * turn;
        };
    }

    /** A cubic: {@code a + b q + c q² + d q³} for x, then for y. */
    static Piece cubic(double[] x, double[] y) {
        return (q, out) -> {
            out[0] = x[0] + q * (x[1] + q * (x[2] + q * x[3]));
            out[1] = y[0] + q * (y[1] + q * (y[2] + q * y[3]));
            out[2] = x[1] + q * (2 * x[2] + q * 3 * x[3]);
            out[3] = y[1] + q * (2 * y[2] + q * 3 * y[3]);
            out[4] = 2 * x[2] + q * 6 * x[3];
            out[5] = 2 * y[2] + q * 6 * y[3];
        };
    }
}
