package cauldron.core.apparatus.crashrig;

import cauldron.core.Stateful;

/**
 * Something that is pressed together, gives way and gives little back: a front, a belt, a bag. While it is pressed
 * further than ever before its force follows its {@link LoadingCurve}; let go, the force falls along a steeper straight
 * line, and what is left of the compression stays (O. R. Walton and R. L. Braun, J. Rheol. 30 (1986) 949; for a curve of
 * a slope and a plateau this is the elastic and perfectly plastic body). It only pushes.
 *
 * <p>Which of the three rules – untouched, on the curve, on the line – and which piece of the curve
 * changes at instants that are watched for by {@link #up} and {@link #down}; within a step it never does, not even beyond
 * the end of a piece, so that the law in each is smooth.
 */
final class Member implements Stateful {

    private static final int UNTOUCHED = 0;
    private static final int ON_CURVE = 1;
    private static final int ON_LINE = 2;
    /** Nearer to a joint of the curve than this, in metres, it has passed it. */
    private static final double NEAR = 1e-12;
    /** So far beyond where it turned back, in metres, it gives way anew. */
    private static final double CLEAR = 1e-10;

    private final LoadingCurve curve;
    private final double steep;
    private int phase = UNTOUCHED;
    /** The furthest it has been pressed on its curve, where it isn't on it now. */
    private double furthest;
    /** The piece of the curve that counts. */
    private int piece;

    /**
     * A member.
     *
     * @param steep slope of the line in N/m, no less than any of the curve's
     */
    Member(LoadingCurve curve, double steep) {
        this.curve = curve;
        this.steep = steep;
    }

    /** How far it has ever been pressed on its curve, in metres. */
    double pressed(double c) {
        return phase == ON_CURVE ? c : furthest;
    }

    /** The piece of its curve that counts. */
    int piece() {
        return piece;
    }

    /** The compression that stays when it is let go, in metres. */
    double lasting(double c) {
        double pressed = pressed(c);
        return pressed - curve.force(pressed, piece) / steep;
    }

    /** Its force at a compression, in newtons. */
    double force(double c) {
        switch (phase) {
            case ON_CURVE:
                return curve.force(c, piece);
            case ON_LINE:
                return steep * (c - lasting(c));
            default:
                return 0;
        }
    }

    /** What it would give back, in joules. */
    double elastic(double c) {
        double f = force(c);
        return 0.5 * f * f / steep;
    }

    /** What it has turned into heat, in joules. */
    double heat(double c) {
        double pressed = pressed(c);
        double f = curve.force(pressed, piece);
        return curve.work(pressed, piece) - 0.5 * f * f / steep;
    }

    /** Whether it is pressed. */
    boolean isTouched() {
        return phase != UNTOUCHED;
    }

    /** Whether it gives way for good. */
    boolean isOnCurve() {
        return phase == ON_CURVE;
    }

    /** Rises through 0 where it is touched, comes upon its curve, or passes a joint of it. */
    double up(double c) {
        switch (phase) {
            case ON_CURVE:
                return c - curve.end(piece);
            case ON_LINE:
                // The line meets the curve where it left it. There it stands still for an instant, so that rounding
                // alone would have it come and go for ever.
                return c - furthest - CLEAR;
            default:
                return c - lasting(c);
        }
    }

    /** Rises through 0 where it turns back from its curve, or isn't touched any more. */
    double down(double c, double rate) {
        switch (phase) {
            case ON_CURVE:
                return -rate;
            case ON_LINE:
                return lasting(c) - c;
            default:
                return -1;
        }
    }

    /** What {@link #up} watches for has happened. */
    void rises(double c) {
        if (phase == UNTOUCHED && curve.force(furthest, piece) > 0) {
            phase = ON_LINE;
        } else {
            phase = ON_CURVE;
            piece = curve.piece(c + NEAR);
        }
    }

    /** What {@link #down} watches for has happened. */
    void falls(double c) {
        if (phase == ON_CURVE) {
            furthest = c;
            phase = c > 0 ? ON_LINE : UNTOUCHED;
        } else {
            phase = UNTOUCHED;
        }
    }

    @Override
    public int size() {
        return 3;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = phase;
        out[at + 1] = furthest;
        out[at + 2] = piece;
    }

    @Override
    public void restore(double[] in, int at) {
        phase = (int) in[at];
        furthest = in[at + 1];
        piece = (int) in[at + 2];
    }
}
