package cauldron.core.apparatus.swiftshot;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;

/**
 * A float of mass m, driven through a level tube of cross-section A by air that expands adiabatically from a reservoir
 * of volume V₀ (E. Fermi, Thermodynamics, ch. II), against the air outside; then free, slowed by quadratic drag:
 * <pre>
 * m x'' = A (p − p_a),  p = p₁ (V₀/(V₀ + A ξ))^γ          ξ the way of its back end from the breech
 * m v'  = −½ ρ C_d A |v| v + m g                            once its back end has left the muzzle
 * </pre>
 * The speed at the muzzle so follows from the energy integral ½ m v₀² = p₁V₀/(γ−1) [1 − (V₀/(V₀ + AL))^(γ−1)] − p_a A
 * L, and from there, were it not for its weight, x = ln(1 + β v₀ t)/β with β = ρ C_d A/2m.
 *
 * <p>Assumptions: the air behind it has one pressure throughout (at 230 m/s, two thirds of the speed of sound, the
 * pressure at its base is really some tenth lower), nothing leaks past it, no friction in the tube, no push after the
 * muzzle. C_d = 0.47 as for a sphere between Reynolds numbers of 10³ and 2 × 10⁵ (H. Schlichting, Boundary-Layer
 * Theory, ch. I); at the fastest shots the drag crisis and compression work against each other and are both left out.
 * It doesn't spin.
 */
final class SwiftShotExperiment extends OdeExperiment {

    static final double GRAVITY = 9.81;
    static final double AREA = Math.PI * SwiftShot.RADIUS * SwiftShot.RADIUS;
    /** Volume of the reservoir in m³. */
    static final double RESERVOIR = 4e-4;
    static final double OUTSIDE = 101_325;
    static final double GAMMA = 1.4;
    static final double DRAG_COEFFICIENT = 0.47;
    /** Dry air at 20 °C, in kg/m³. */
    static final double DENSITY = 1.204;
    private static final double STEP = 2e-5;
    private static final double POSTS_APART = 0.2;
    /** How near the tube's end it is taken hold of, in m. */
    private static final double GRIP = 0.04;
    private static final int READY = 0;
    private static final int IN_TUBE = 1;
    private static final int FREE = 2;
    private static final int CAUGHT = 3;

    private final SwiftShot d;
    private final double gravity;
    private final int x = variable("middle of the float from the muzzle, m");
    private final int y = variable("height over the tube's axis, m");
    private final int vx = variable("speed along, m/s");
    private final int vy = variable("speed upwards, m/s");
    private final int work = variable("work of the air in the tube, J");
    private final int heat = variable("lost to the air, J");
    private final Register phase = register(READY);
    private final Register openedAt = register(Double.NaN);
    private final Register clearAt = register(Double.NaN);
    private final Register muzzleSpeed = register(Double.NaN);
    private final Register netAt = register(Double.NaN);
    private final Register netSpeed = register(Double.NaN);
    private final double m;
    private final double length;
    private final double charged;

    /** @param gravity in m/s²; none in proofs against the closed form only */
    SwiftShotExperiment(SwiftShot declared, Settings settings, double gravity) {
        super(declared, settings);
        d = declared;
        this.gravity = gravity;
        m = settings.si(declared.mass);
        length = settings.si(declared.barrel);
        charged = settings.si(declared.pressure) + OUTSIDE;
        when("muzzle", x).risesTo(SwiftShot.RADIUS).then((rising, t, state, sink) -> {
            state[x] = SwiftShot.RADIUS;
            phase.set(FREE);
            clearAt.set(t);
            muzzleSpeed.set(state[vx]);
            sink.event(d.clear, t);
        });
        when("net", x).risesTo(SwiftShot.NET - SwiftShot.RADIUS).then((rising, t, state, sink) -> {
            netAt.set(t);
            netSpeed.set(Math.hypot(state[vx], state[vy]));
            state[heat] += 0.5 * m * netSpeed.get() * netSpeed.get();
            state[vx] = 0;
            state[vy] = 0;
            phase.set(CAUGHT);
            sink.event(d.caught, t);
            end(t);
        });
        begin(SwiftShot.RADIUS - length, 0, 0, 0, 0, 0);
    }

    @Override
    protected void apply(Settings settings) {
        // Nothing changes while it flies.
    }

    /** Pressure behind it in Pa, over the air's; none while the valve is shut, and once it has left the tube. */
    private double push(double at) {
        if (phase.get() != IN_TUBE) {
            return 0;
        }
        double way = at - SwiftShot.RADIUS + length;
        return charged * Math.pow(RESERVOIR / (RESERVOIR + AREA * way), GAMMA) - OUTSIDE;
    }

    private static double drag() {
        return 0.5 * DENSITY * DRAG_COEFFICIENT * AREA;
    }

    @Override
    protected void law(double t, double[] state, double[] dy) {
        if (phase.get() == IN_TUBE) {
            double force = AREA * push(state[x]);
            dy[x] = state[vx];
            dy[vx] = force / m;
            dy[work] = force * state[vx];
        } else if (phase.get() == FREE) {
            double speed = Math.hypot(state[vx], state[vy]);
            dy[x] = state[vx];
            dy[y] = state[vy];
            dy[vx] = -drag() * speed * state[vx] / m;
            dy[vy] = -drag() * speed * state[vy] / m - gravity;
            dy[heat] = drag() * speed * speed * speed;
        }
    }

    @Override
    protected double step(double[] state) {
        return STEP;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        phase.set(IN_TUBE);
        openedAt.set(time());
        sink.event(d.opened, time());
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("Restart to change the tube");
    }

    @Override
    public void read(Readings out) {
        double[] now = state();
        double speed = Math.hypot(now[vx], now[vy]);
        out.put(d.position, now[x] + SwiftShot.RADIUS);
        out.put(d.speed, speed);
        double along = phase.get() == FREE ? -drag() * speed * now[vx] / m : 0;
        out.put(d.acceleration, phase.get() == IN_TUBE ? AREA * push(now[x]) / m : along);
        out.put(d.behind, push(now[x]));
        out.put(d.kinetic, 0.5 * m * speed * speed);
        out.put(d.potential, m * gravity * now[y]);
        out.put(d.thermal, now[heat]);
        out.put(d.total, now[work]);
    }

    @Override
    public void outcomes(Outcomes out) {
        if (!Double.isNaN(clearAt.get())) {
            out.put(d.muzzleSpeed, muzzleSpeed.get());
            out.put(d.inTube, clearAt.get() - openedAt.get());
        }
        if (!Double.isNaN(netAt.get())) {
            out.put(d.alongBoard, netAt.get() - clearAt.get());
            out.put(d.slowed, muzzleSpeed.get() - netSpeed.get());
        }
    }

    @Override
    public void scene(Scene out) {
        double[] now = state();
        out.put(d.shot, now[x], now[y]);
        out.put(d.radius, SwiftShot.RADIUS);
        out.put(d.breech, -length, 0);
        out.put(d.grip, GRIP);
        out.put(d.mouth, 0, 0);
        out.put(d.net, SwiftShot.NET);
        out.put(d.apart, POSTS_APART);
        out.put(d.open, phase.get() != READY);
        out.put(d.ready, phase.get() == READY);
    }
}
