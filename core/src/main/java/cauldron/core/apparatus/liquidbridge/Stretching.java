package cauldron.core.apparatus.liquidbridge;

import java.util.ArrayList;
import java.util.List;

/**
 * All bridges of a volume from a first gap to the widest: the family is followed by its own arc (H. B. Keller,
 * Numerical solution of bifurcation and nonlinear eigenvalue problems, 1977), so that it can be followed around the
 * widest gap. There the bridge loses its stability against changes that keep the volume (J. H. Maddocks, Arch. Ration.
 * Mech. Anal. 99, 301 (1987)): beyond it there is none at rest nearby, and it parts. Lengths in R.
 */
final class Stretching {

    private static final int FROM_CYLINDER = 12;
    private static final double FIRST = 0.02;
    private static final double LONGEST = 0.08;
    private static final double SHORTEST = 1e-5;
    /** Cosine of the sharpest turn between two steps. */
    private static final double STRAIGHT = 0.96;
    private static final int SECTIONS = 40;
    /** Places on the arc nearer than this, in R, make one widest bridge. */
    private static final double ALIKE = 1.0 / 1024;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    /** Nearer to the widest gap than this a bridge can't be told from the widest. */
    private static final double AT_THE_END = 1e-8;

    private final Meridian law;
    private final double volume;
    private final List<BridgeShape> family = new ArrayList<>();

    /**
     * @param bond   Bond number
     * @param volume in R³
     * @param gap    first gap in R
     */
    Stretching(double bond, double volume, double gap) {
        this.volume = volume;
        BridgeShape first = new BridgeShape(Math.PI / 2, 1, gap);
        // From a cylinder without weight to this volume and weight by small steps.
        for (int i = 1; i <= FROM_CYLINDER; i++) {
            double share = i / (double) FROM_CYLINDER;
            double held = Math.PI * gap + share * (volume - Math.PI * gap);
            first = known(first.atItsGap(new Meridian(share * bond), held));
        }
        law = new Meridian(bond);
        family.add(first);
        follow();
    }

    private static BridgeShape known(BridgeShape shape) {
        if (shape == null) {
            throw new IllegalStateException("No bridge of this volume stands between the faces");
        }
        return shape;
    }

    private void follow() {
        BridgeShape before = family.get(0);
        BridgeShape now = known(new BridgeShape(before.angle(), before.pressure(), before.gap() + FIRST)
                .atItsGap(law, volume));
        double step = FIRST;
        double lastStep = FIRST;
        while (true) {
            family.add(now);
            double[] direction = now.from(before);
            BridgeShape next = onwards(now, direction, step);
            while (next == null && step > SHORTEST) {
                step /= 2;
                next = onwards(now, direction, step);
            }
            if (next == null) {
                return;
            }
            if (next.gap() <= now.gap()) {
                BridgeShape widest = widest(before, direction, lastStep + step);
                if (widest.gap() > now.gap()) {
                    family.add(widest);
                }
                return;
            }
            lastStep = step;
            step = Math.min(LONGEST, 1.5 * step);
            before = now;
            now = next;
        }
    }

    /** The next shape along the arc; null where it turns too sharply for so long a step. */
    private BridgeShape onwards(BridgeShape now, double[] direction, double step) {
        BridgeShape next = now.along(law, volume, direction, step);
        if (next == null) {
            return null;
        }
        double[] then = next.from(now);
        double alike = direction[0] * then[0] + direction[1] * then[1] + direction[2] * then[2];
        return alike < STRAIGHT ? null : next;
    }

    /** The widest gap lies within two steps from the shape before; a golden section along the arc finds it. */
    private BridgeShape widest(BridgeShape before, double[] direction, double reach) {
        double low = 0;
        double high = reach;
        double a = high - GOLDEN * (high - low);
        double b = low + GOLDEN * (high - low);
        double gapA = gap(before, direction, a);
        double gapB = gap(before, direction, b);
        for (int i = 0; i < SECTIONS; i++) {
            if (gapA < gapB) {
                low = a;
                a = b;
                gapA = gapB;
                b = low + GOLDEN * (high - low);
                gapB = gap(before, direction, b);
            } else {
                high = b;
                b = a;
                gapB = gapA;
                a = high - GOLDEN * (high - low);
                gapA = gap(before, direction, a);
            }
        }
        // The gap is flat there, so a coarse place costs a millionth of it and is the same on every machine.
        return known(before.along(law, volume, direction, Math.rint((low + high) / 2 / ALIKE) * ALIKE));
    }

    private double gap(BridgeShape now, double[] direction, double length) {
        BridgeShape there = now.along(law, volume, direction, length);
        return there == null ? 0 : there.gap();
    }

    /** The last bridge before it parts. */
    BridgeShape widest() {
        return family.get(family.size() - 1);
    }

    /** The bridge at a gap from the first to the widest. */
    BridgeShape at(double gap) {
        BridgeShape last = widest();
        if (gap >= last.gap() - AT_THE_END) {
            return last;
        }
        int i = 0;
        while (i < family.size() - 2 && family.get(i + 1).gap() <= gap) {
            i++;
        }
        BridgeShape a = family.get(i);
        BridgeShape b = family.get(i + 1);
        double share = (gap - a.gap()) / (b.gap() - a.gap());
        if (b == last) {
            // Angle and pressure go as the root of what is left to the widest gap.
            share = 1 - Math.sqrt(Math.max(0, 1 - share));
        }
        BridgeShape guess = new BridgeShape(a.angle() + share * (b.angle() - a.angle()),
                a.pressure() + share * (b.pressure() - a.pressure()), gap);
        BridgeShape found = guess.atItsGap(law, volume);
        return found == null ? guess : found;
    }

    Meridian law() {
        return law;
    }
}
