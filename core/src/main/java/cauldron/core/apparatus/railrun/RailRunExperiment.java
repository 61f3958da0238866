package cauldron.core.apparatus.railrun;

import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Profile;
import cauldron.core.apparatus.ProfileLines;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;

/**
 * A wagon, taken as a point, that slides on a smooth rail: with φ the slope and κ the curvature at its place
 * <pre>m v' = −m g sin φ − μ |N| sgn v,   N = m (g cos φ + κ v²)</pre>
 * (H. Goldstein, Classical Mechanics, §1.3; Coulomb's friction with one coefficient, moving or not). The rail only
 * pushes: where N would turn negative the wagon leaves it and flies without air. Where it meets the rail again from the
 * side on which wagons run, it keeps the part of its velocity along the rail; the energy of the rest becomes thermal. On
 * the ground it comes to rest. At both ends stand buffers that give back all they take; where a slope brings it back to one
 * at less than 3 cm/s it stays there, and what it had left becomes thermal, since its bounces would go on without end. A
 * hand lifts it along the rail without friction, and lets go from rest.
 */
final class RailRunExperiment extends OdeExperiment {

    /** A step is about this part of a piece of the rail. */
    private static final double PART = 0.004;
    private static final double FLIGHT_STEP = 0.005;
    private static final int ON_RAIL = 0;
    private static final int IN_FLIGHT = 1;
    private static final int AT_REST = 2;
    private static final int ON_GROUND = 3;
    /** Slower than this, in m/s, bounces off a buffer are over: it would come up less than a twentieth of a millimetre. */
    private static final double BARELY = 0.03;
    private static final double FLAT = 1e-12;
    /** Nearer than this it is at a joint, or the rail is level. */
    private static final double NEAR = 1e-6;

    private final RailRun d;
    private final int u = variable("place on the rail, in its parameter");
    private final int v = variable("velocity along the rail, m/s");
    private final int x = variable("across in flight, m");
    private final int y = variable("height in flight, m");
    private final int vx = variable("velocity across in flight, m/s");
    private final int vy = variable("velocity upwards in flight, m/s");
    private final int heat = variable("thermal energy, J");
    private final int distance = variable("distance travelled, m");
    private final Register phase = register(ON_RAIL);
    /** The piece of the rail whose law rules; at a joint it is changed, not looked up. */
    private final Register piece = register(0);
    private final Register direction = register(1);
    private final Register lands = register(Double.POSITIVE_INFINITY);
    private final Register landsAt = register(Double.NaN);
    private final Register byHand = register(0);
    /** Energy that landings turned into heat. */
    private final Register landingLoss = register(0);
    private final Register startEnergy = register(0);
    private final Rail rail;
    private double mass;
    private double mu;
    private double gravity;
    private double level;

    RailRunExperiment(RailRun declared, Settings settings) {
        super(declared, settings);
        d = declared;
        rail = d.rail(settings);
        when("joint", (t, s) -> joint(s)).crosses(0).only(this::onRail).then((rising, t, s, sink) -> pass(s));
        when("left end", u).fallsTo(0).only(this::onRail).then((rising, t, s, sink) -> bump(0, t, s, sink));
        when("right end", u).risesTo(rail.size()).only(this::onRail)
                .then((rising, t, s, sink) -> bump(rail.size(), t, s, sink));
        // Where it comes down upon a stretch that doesn't bear it, it is off again at once.
        when("rail left", (t, s) -> onRail() ? normal(s) : 1).fallsTo(0).then((rising, t, s, sink) -> leave(t, s, sink));
        // Forwards or backwards: a buffer turns both, and is no turning point.
        when("turning point", (t, s) -> s[v] * direction.get()).fallsTo(0).only(this::onRail)
                .then((rising, t, s, sink) -> turn(t, s, sink));
        when("level stretch", (t, s) -> at(s)[3]).crosses(0).only(this::onRail)
                .then((rising, t, s, sink) -> level(t, s, sink));
        when("reference level", (t, s) -> height(s) - level).crosses(0).then((rising, t, s, sink) ->
                sink.event(d.levelPassed, t));
        when("top of the flight", vy).fallsTo(0).only(this::inFlight).then((rising, t, s, sink) ->
                sink.event(d.highest, t));
        when("landing", (t, s) -> lands.get() - t).fallsTo(0).only(this::inFlight)
                .then((rising, t, s, sink) -> land(t, s, sink));
        apply(settings);
        double from = rail.from(settings.si(d.start));
        piece.set(rail.pieceOf(from));
        double[] at = rail.at(from).clone();
        startEnergy.set(mass * gravity * at[1]);
        double[] first = {from, 0, at[0], at[1], 0, 0, 0, 0};
        // The first step is worked out as it begins, so which way it goes, or that it doesn't, is settled before.
        setOff(first);
        begin(first);
    }

    @Override
    protected void apply(Settings s) {
        mass = s.si(d.mass);
        mu = s.si(d.friction);
        gravity = d.gravity.of(s);
        level = s.si(d.level);
    }

    private boolean onRail() {
        return phase.get() == ON_RAIL && !inHand();
    }

    private boolean inFlight() {
        return phase.get() == IN_FLIGHT && !inHand();
    }

    private double[] at(double[] s) {
        return rail.at((int) piece.get(), s[u]);
    }

    private double height(double[] s) {
        return phase.get() == ON_RAIL || phase.get() == AT_REST ? at(s)[1] : s[y];
    }

    /** Changes its sign at every joint between pieces, but not at the ends. */
    private double joint(double[] s) {
        return Math.sin(Math.PI * Math.max(0.5, Math.min(rail.size() - 0.5, s[u])));
    }

    /** Over a joint the next piece rules; from a flight it may come down anywhere. */
    private void pass(double[] s) {
        double joint = Math.rint(s[u]);
        double next = Math.abs(s[u] - joint) < NEAR ? joint - (s[v] < 0 ? 1 : 0) : rail.pieceOf(s[u]);
        piece.set(Math.max(0, Math.min(rail.size() - 1, next)));
    }

    /** Over a valley or a crest, not where a flight begins or ends on a slope. */
    private void level(double t, double[] s, EventSink sink) {
        double[] p = at(s);
        if (onRail() && Math.abs(p[3]) < NEAR * Rail.stretch(p)) {
            sink.event(Rail.curvature(p) * p[2] > 0 ? d.lowest : d.highest, t);
        }
    }

    /** The normal force on each kilogram, in N/kg; negative where the rail would have to pull. */
    private double normal(double[] s) {
        double[] p = at(s);
        return gravity * p[2] / Rail.stretch(p) + Rail.curvature(p) * s[v] * s[v];
    }

    /** The weight's part along the rail on each kilogram, in N/kg. */
    private double tangential(double[] s) {
        double[] p = at(s);
        return -gravity * p[3] / Rail.stretch(p);
    }

    @Override
    protected void law(double t, double[] s, double[] ds) {
        if (onRail()) {
            double normal = normal(s);
            double stretch = Rail.stretch(at(s));
            double rub = mu * Math.abs(normal);
            ds[u] = s[v] / stretch;
            ds[v] = tangential(s) - rub * direction.get();
            ds[heat] = mass * rub * s[v] * direction.get();
            ds[distance] = s[v] * direction.get();
        } else if (inFlight()) {
            ds[x] = s[vx];
            ds[y] = s[vy];
            ds[vy] = -gravity;
            ds[distance] = Math.hypot(s[vx], s[vy]);
        }
    }

    @Override
    protected double step(double[] s) {
        if (!onRail()) {
            return FLIGHT_STEP;
        }
        double stretch = Rail.stretch(at(s));
        return PART * stretch / Math.sqrt(s[v] * s[v] + PART * gravity * stretch);
    }

    /** From rest: downhill, or not at all. */
    private void setOff(double[] s) {
        double tangential = tangential(s);
        s[v] = 0;
        boolean held = Math.abs(tangential) <= Math.max(FLAT, mu * Math.abs(normal(s)));
        boolean buffered = tangential < 0 ? s[u] <= 0 : s[u] >= rail.size();
        phase.set(held || buffered ? AT_REST : ON_RAIL);
        direction.set(tangential < 0 ? -1 : 1);
    }

    private void turn(double t, double[] s, EventSink sink) {
        sink.event(d.highest, t);
        setOff(s);
        if (phase.get() == AT_REST) {
            sink.event(d.rest, t);
        }
    }

    /** Where it would come off a buffer slower than {@link #BARELY} and be back at once, it stays there. */
    private void bump(double end, double t, double[] s, EventSink sink) {
        s[u] = end;
        s[v] = -s[v];
        direction.set(-direction.get());
        sink.event(d.bumped, t);
        if (Math.abs(s[v]) < BARELY && tangential(s) * direction.get() < 0) {
            double left = 0.5 * mass * s[v] * s[v];
            s[heat] += left;
            landingLoss.add(left);
            setOff(s);
            if (phase.get() == AT_REST) {
                sink.event(d.rest, t);
            }
        }
    }

    private void leave(double t, double[] s, EventSink sink) {
        double[] p = at(s);
        double stretch = Rail.stretch(p);
        s[x] = p[0];
        s[y] = p[1];
        s[vx] = s[v] * p[2] / stretch;
        s[vy] = s[v] * p[3] / stretch;
        Flight flight = new Flight(s[x], s[y], s[vx], s[vy], gravity).over(rail);
        lands.set(t + flight.time());
        landsAt.set(flight.parameter());
        phase.set(IN_FLIGHT);
        sink.event(d.left, t);
    }

    private void land(double t, double[] s, EventSink sink) {
        double before = 0.5 * (s[vx] * s[vx] + s[vy] * s[vy]) + gravity * s[y];
        double after;
        if (Double.isNaN(landsAt.get())) {
            phase.set(ON_GROUND);
            s[y] = 0;
            s[vx] = 0;
            s[vy] = 0;
            after = 0;
        } else {
            s[u] = landsAt.get();
            piece.set(rail.pieceOf(s[u]));
            double[] p = at(s);
            s[v] = (s[vx] * p[2] + s[vy] * p[3]) / Rail.stretch(p);
            direction.set(s[v] < 0 ? -1 : 1);
            phase.set(ON_RAIL);
            after = 0.5 * s[v] * s[v] + gravity * p[1];
        }
        s[heat] += mass * (before - after);
        landingLoss.add(mass * (before - after));
        sink.event(d.landed, t);
        if (phase.get() == ON_GROUND) {
            sink.event(d.rest, t);
        }
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        super.changed(setting, before, sink);
        if (phase.get() == AT_REST && !inHand()) {
            setOff(state());
        }
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        if (handle != d.inHand) {
            throw new IllegalArgumentException("The rail is bent before the run: restart, then pull at its points");
        }
        double[] s = state();
        double[] p = phase.get() == IN_FLIGHT || phase.get() == ON_GROUND ? rail.at(rail.nearest(s[x], s[y])) : at(s);
        carry(s, rail.nearest(p[0], p[1]));
    }

    @Override
    protected void moved(Handle handle, double toX, double toY, EventSink sink) {
        carry(state(), rail.nearest(toX, toY));
    }

    /** The hand brings it to a place on the rail, at rest; what energy it gains or loses is the hand's work. */
    private void carry(double[] s, double to) {
        double before = mechanical(s);
        s[u] = to;
        s[v] = 0;
        piece.set(rail.pieceOf(to));
        phase.set(AT_REST);
        byHand.add(mechanical(s) - before);
    }

    @Override
    protected void letGo(Handle handle, EventSink sink) {
        setOff(state());
    }

    private double mechanical(double[] s) {
        double v2 = phase.get() == IN_FLIGHT ? s[vx] * s[vx] + s[vy] * s[vy] : phase.get() == ON_RAIL ? s[v] * s[v] : 0;
        return mass * (0.5 * v2 + gravity * height(s));
    }

    @Override
    public void read(Readings out) {
        double[] s = state();
        boolean flies = phase.get() == IN_FLIGHT;
        boolean rails = phase.get() == ON_RAIL || phase.get() == AT_REST;
        double speed = flies ? Math.hypot(s[vx], s[vy]) : Math.abs(phase.get() == ON_RAIL ? s[v] : 0);
        double normal = rails ? mass * normal(s) : phase.get() == ON_GROUND ? mass * gravity : 0;
        double height = height(s);
        double kinetic = 0.5 * mass * speed * speed;
        double potential = mass * gravity * (height - level);
        out.put(d.speed, speed);
        out.put(d.height, height - level);
        out.put(d.across, rails ? at(s)[0] : s[x]);
        out.put(d.distance, s[distance]);
        out.put(d.weight, mass * gravity);
        out.put(d.normal, normal);
        out.put(d.frictionForce, Math.abs(friction(s)));
        out.put(d.tangential, onRail() ? tangential(s) + friction(s) / mass : 0);
        d.account.put(out, kinetic, potential, s[heat]);
        out.put(d.byGravity, startEnergy.get() - mass * gravity * height);
        // It pushes across the way and so does no work, but for the blow of a landing.
        out.put(d.byNormal, landingLoss.isOn() ? -landingLoss.get() : 0);
        out.put(d.byFriction, landingLoss.get() - s[heat]);
        out.put(d.byHand, byHand.get());
    }

    /** Friction along the rail, forwards positive, in newtons; at rest it holds against the slope. */
    private double friction(double[] s) {
        if (phase.get() == AT_REST) {
            double most = mass * mu * Math.abs(normal(s));
            return inHand() ? 0 : Math.max(-most, Math.min(most, -mass * tangential(s)));
        }
        return onRail() ? -mass * mu * Math.abs(normal(s)) * direction.get() : 0;
    }

    @Override
    public void outcomes(Outcomes out) {
        if (phase.get() >= AT_REST && !inHand()) {
            out.put(d.travelled, state()[distance]);
            out.put(d.heat, state()[heat]);
        }
    }

    @Override
    public void profile(Profile profile, ProfileLines out) {
        double[] s = state();
        double now = mechanical(s) - mass * gravity * level;
        double[] outline = rail.outline();
        double length = 0;
        double[] along = new double[outline.length / 2];
        for (int i = 1; i < along.length; i++) {
            length += Math.hypot(outline[2 * i] - outline[2 * i - 2], outline[2 * i + 1] - outline[2 * i - 1]);
            along[i] = length;
        }
        out.line("kinetic and potential energy together");
        out.point(0, now);
        out.point(length, now);
        out.line("potential energy");
        for (int i = 0; i < along.length; i++) {
            out.point(along[i], mass * gravity * (outline[2 * i + 1] - level));
        }
        if (phase.get() == ON_RAIL || phase.get() == AT_REST) {
            out.mark(rail.length(s[u]), mass * gravity * (at(s)[1] - level));
        }
    }

    @Override
    public void scene(Scene out) {
        double[] s = state();
        boolean rails = phase.get() == ON_RAIL || phase.get() == AT_REST;
        double[] p = at(s);
        double stretch = Rail.stretch(p);
        double tx = p[2] / stretch;
        double ty = p[3] / stretch;
        out.put(d.car, rails ? p[0] : s[x], rails ? p[1] : s[y]);
        out.put(d.carRadius, 0.35);
        out.put(d.tilt, rails ? Math.atan2(ty, tx) : phase.get() == IN_FLIGHT ? Math.atan2(ty, tx) : 0);
        out.put(d.levelAt, level);
        out.put(d.levelGrip, RailRun.LEVEL_GRIP, level);
        out.put(d.ground, 0);
        out.put(d.flying, phase.get() == IN_FLIGHT);
        out.put(d.held, inHand());
        out.put(d.rail, rail.outline());
        double normal = rails && !inHand() ? mass * normal(s) : phase.get() == ON_GROUND ? mass * gravity : 0;
        double friction = friction(s);
        out.put(d.weightArrow, 0, -mass * gravity);
        out.put(d.normalArrow, rails ? -normal * ty : 0, rails ? normal * tx : normal);
        out.put(d.frictionArrow, friction * tx, friction * ty);
        d.pointsOf(out, settings());
        EnergyBand.draw(d, out, rail, mass * gravity, mechanical(s), s[heat]);
    }
}
