package cauldron.core.apparatus.liquidbridge;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.matter.Liquid;

/**
 * A drop between two equal round faces of radius R on one upright axis, drawn apart so slowly that it is at rest in
 * every shape it has: an outline by the Young–Laplace law with gravity ({@link Meridian}) that holds the volume. It
 * goes through the family of these shapes ({@link Stretching}) up to the widest gap and parts there.
 *
 * <p>Then the neck thins, at the slower of two known ways: {@code r = 0.7 (σ τ²/ρ)^⅓} against inertia (R. F. Day, E. J.
 * Hinch and J. R. Lister, Phys. Rev. Lett. 80, 704 (1998)), {@code r = 0.0709 σ τ/μ} against viscosity (D. T.
 * Papageorgiou, Phys. Fluids 7, 1529 (1995)), τ the time that is left. Meanwhile r² goes from the last shape to the two
 * drops it leaves, in the same measure everywhere, which keeps the volume; how it really swings then isn't told. What
 * lay over the neck stays on the upper stud, the rest on the lower one; small drops between are left out.
 *
 * <p>Assumptions: pure liquids without evaporation; faces of clean glass, which all of them wet, with sharp rims cut
 * back beneath, so that the liquid is held at the rims. That needs an angle between liquid and face greater than its
 * contact angle; so it is for all liquids and volumes here, up to the widest gap.
 */
final class LiquidBridgeExperiment extends Experiment {

    static final double GRAVITY = 9.81;
    /** How far the screw goes, in m. */
    static final double FURTHEST = 0.009;
    /** Lead of the screw in m a turn. */
    private static final double LEAD = 5e-4;
    private static final double AGAINST_INERTIA = 0.7;
    private static final double AGAINST_VISCOSITY = 0.0709;
    /** How long a run goes on after the parting, in s. */
    private static final double AFTER = 1.5;
    private static final int POINTS = 40;
    private static final double GRIP = 0.0015;
    private static final double ZERO = 273.15;

    private final LiquidBridge d;
    private final Register now = register(0);
    /** When and from which gap in m the screw began to go where it goes now. */
    private final Register since = register(0);
    private final Register from;
    private final Register target;
    /** How fast the screw draws, in m/s. */
    private final Register rate;
    private final Register lostAt = register(Double.NaN);
    private final double tension;
    private final double density;
    private final double viscosity;
    private final double held;
    private final Stretching stretching;
    private final double widest;
    private final Outline last;
    private final LoneDrop standing;
    private final LoneDrop hanging;
    /** How long the neck takes to thin to nothing, in s. */
    private final double thins;
    private Outline seen;
    private double seenAt;

    LiquidBridgeExperiment(LiquidBridge declared, Settings settings) {
        super(declared, settings);
        d = declared;
        Liquid liquid = settings.value(d.liquid);
        double celsius = settings.si(d.temperature) - ZERO;
        tension = liquid.surfaceTension(celsius);
        density = liquid.density(celsius);
        viscosity = liquid.viscosity(celsius);
        held = settings.si(d.volume);
        from = register(settings.si(d.start));
        target = register(settings.si(d.start));
        rate = register(settings.si(d.draw));
        double r = LiquidBridge.FACE;
        double bond = density * GRAVITY * r * r / tension;
        double volume = held / (r * r * r);
        stretching = new Stretching(bond, volume, settings.si(d.start) / r);
        widest = stretching.widest().gap() * r;
        last = new Outline(stretching, stretching.widest());
        standing = new LoneDrop(bond, last.below());
        hanging = new LoneDrop(-bond, volume - last.below());
        double neck = last.neck() * r;
        thins = Math.max(Math.sqrt(density * Math.pow(neck / AGAINST_INERTIA, 3) / tension),
                viscosity * neck / (AGAINST_VISCOSITY * tension));
    }

    @Override
    public double time() {
        return now.get();
    }

    /** Gap in m at a time at which the screw goes as it goes now. */
    private double gapAt(double time) {
        double way = rate.get() * (time - since.get());
        double ahead = target.get() - from.get();
        return from.get() + (ahead > 0 ? Math.min(way, ahead) : Math.max(-way, ahead));
    }

    private boolean isLost() {
        return !Double.isNaN(lostAt.get());
    }

    private double partedAt() {
        return lostAt.get() + thins;
    }

    private boolean isParted() {
        return isLost() && now.get() >= partedAt();
    }

    @Override
    public boolean isOver() {
        return isLost() && now.get() >= partedAt() + AFTER;
    }

    @Override
    public void advanceTo(double time, EventSink sink) {
        double before = now.get();
        if (!isLost() && gapAt(time) >= widest) {
            lostAt.set(Math.max(before, since.get() + (widest - from.get()) / rate.get()));
            sink.event(d.letsGo, lostAt.get());
        }
        if (isLost() && before < partedAt() && time >= partedAt()) {
            sink.event(d.parted, partedAt());
        }
        now.set(isLost() ? Math.min(time, partedAt() + AFTER) : time);
    }

    private void go(double to) {
        if (isLost()) {
            throw new IllegalArgumentException("The drop has parted: restart, or go back to before that");
        }
        from.set(gapAt(now.get()));
        since.set(now.get());
        target.set(Math.max(settings().si(d.start), Math.min(FURTHEST, to)));
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        go(act == d.turn ? FURTHEST : gapAt(now.get()));
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        go(gapAt(now.get()));
    }

    @Override
    protected void moved(Handle handle, double x, double y, EventSink sink) {
        if (!isLost()) {
            go(y);
        }
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        from.set(gapAt(now.get()));
        since.set(now.get());
        rate.set(settings().si(d.draw));
    }

    @Override
    protected void restored() {
        // Everything else follows from settings that can't change while it runs.
    }

    private boolean isTurning() {
        return gapAt(now.get()) != target.get();
    }

    /** How far the thinning has come: 0 at the widest gap, 1 when the neck is gone. */
    private double thinned() {
        double left = partedAt() - now.get();
        double neck = Math.min(AGAINST_INERTIA * Math.cbrt(tension * left * left / density),
                AGAINST_VISCOSITY * tension * left / viscosity);
        double share = neck / (last.neck() * LiquidBridge.FACE);
        return 1 - share * share;
    }

    private double neck() {
        if (isParted()) {
            return 0;
        }
        double radius = isLost() ? last.neck() * Math.sqrt(1 - thinned()) : shape().neck();
        return 2 * radius * LiquidBridge.FACE;
    }

    private Outline shape() {
        double gap = gapAt(now.get()) / LiquidBridge.FACE;
        // Both halves, the neck and the readings ask for it at one instant.
        if (seen == null || seenAt != gap) {
            seen = new Outline(stretching, stretching.at(gap));
            seenAt = gap;
        }
        return seen;
    }

    @Override
    public void read(Readings out) {
        double r = LiquidBridge.FACE;
        out.put(d.gap, gapAt(now.get()));
        out.put(d.neck, neck());
        if (isLost()) {
            double above = held - last.below() * r * r * r;
            out.put(d.pull, density * GRAVITY * above);
            out.put(d.pressure, tension / r * (isParted() ? standing.pressure() : last.shape().pressure()));
            out.put(d.above, above);
        } else {
            Outline shape = shape();
            out.put(d.pull, tension * r * shape.pull());
            out.put(d.pressure, tension / r * shape.shape().pressure());
            out.put(d.above, held - shape.below() * r * r * r);
        }
    }

    @Override
    public void outcomes(Outcomes out) {
        if (isLost()) {
            double r = LiquidBridge.FACE;
            out.put(d.widest, widest);
            out.put(d.lastNeck, 2 * last.neck() * r);
            if (isParted()) {
                out.put(d.leftAbove, held - last.below() * r * r * r);
                out.put(d.thinning, thins);
            }
        }
    }

    @Override
    public void scene(Scene out) {
        double gap = gapAt(now.get());
        out.put(d.lowerFace, 0, 0);
        out.put(d.upperFace, 0, gap);
        out.put(d.faceRadius, LiquidBridge.FACE);
        out.put(d.lowerOutline, around(true));
        out.put(d.upperOutline, around(false));
        out.put(d.turned, 2 * Math.PI * gap / LEAD);
        out.put(d.whole, !isParted());
        out.put(d.ready, !isLost() && !isTurning() && gap < FURTHEST);
        out.put(d.turning, !isLost() && isTurning());
        out.put(d.grip, GRIP);
    }

    /** The right outline of one half, from its face to its end: radius and height in m by turns. */
    private double[] half(boolean lower) {
        double r = LiquidBridge.FACE;
        double gap = gapAt(now.get()) / r;
        LoneDrop drop = lower ? standing : hanging;
        Outline shape = isLost() ? last : shape();
        double whole = shape.shape().gap();
        double stretch = gap / whole;
        double reach = isParted() ? drop.height() : stretch * (lower ? shape.neckAt() : whole - shape.neckAt());
        double share = isLost() && !isParted() ? thinned() : 0;
        double[] out = new double[2 * (POINTS + 1)];
        for (int i = 0; i <= POINTS; i++) {
            // Closer together by the end, where a drop is round.
            double way = reach * Math.sin(Math.PI / 2 * i / POINTS);
            double radius;
            if (isParted()) {
                radius = drop.radiusAt(way);
            } else {
                double kept = shape.radiusAt(lower ? way / stretch : whole - way / stretch);
                double left = share == 0 ? 0 : drop.radiusAt(way);
                radius = Math.sqrt((1 - share) * kept * kept / stretch + share * left * left);
            }
            out[2 * i] = r * radius;
            out[2 * i + 1] = r * (lower ? way : gap - way);
        }
        return out;
    }

    /** All around one half: up its right side and down its left, or the other way round above. */
    private double[] around(boolean lower) {
        double[] right = half(lower);
        double[] out = new double[2 * right.length];
        for (int i = 0; i < right.length; i += 2) {
            out[i] = right[i];
            out[i + 1] = right[i + 1];
            out[out.length - 2 - i] = -right[i];
            out[out.length - 1 - i] = right[i + 1];
        }
        return out;
    }

    @Override
    public void profile(Profile profile, ProfileLines out) {
        for (boolean lower : new boolean[] {true, false}) {
            out.line(lower ? "from the lower face" : "from the upper face");
            double[] points = half(lower);
            for (int i = 0; i < points.length; i += 2) {
                out.point(points[i + 1], points[i]);
            }
        }
    }
}
