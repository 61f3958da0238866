package cauldron.core.apparatus.crashrig;

import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.crashrig.CrashRig.Met;

/**
 * A sled with a test figure of two masses on one line: chest and head on a neck that is a spring and a damper. Between
 * the bodies stand {@link Member members}, each of which answers in its own way:
 * <pre>m₁ v₁' = −F + ΣR,   m_c v_c' = −R_c + N,   m_h v_h' = −R_h − N,   m₂ v₂' = F</pre>
 * with F of the {@link CrushZones fronts and cabins}, R of belt, airbag, wheel, dash and seat on the figure, N of the
 * neck (lumped-mass models as in M. Huang, Vehicle Crash Mechanics, 2002, ch. 4 and 5).
 *
 * <p>Assumptions: all on one straight line; fronts without mass; no friction; the figure is held in its seat until first
 * contact. Wheel, dash and airbag sit at the cabin's front wall and come in with it; what they do on the figure as
 * they come is taken from the work on the cabin. Chest and head weigh 73.2 and 4.54 kg, as those of a 50th-percentile
 * male test figure do together (49 CFR 572 E). The wheel's column gives way at 11.1 kN (UN Regulation 12), the dash at
 * 80 g of the head (UN Regulation 21); the head restraint has 20 kN/m, between what its frame must and its cushion may
 * have (49 CFR 571.202a); the neck's 5 kN/m and half of critical damping are of the order of a rubber neck's. Belt and
 * bag give half and an eighth back. A front of 500 kN bends by 5 cm before it yields, and gives 12.5 kJ back: the sled
 * itself leaves the block at some 5 m/s, and the belt throws the chest back in it, in all faster than it came. The run
 * ends 300 ms after first contact.
 */
final class CrashRigExperiment extends OdeExperiment {

    static final double CHEST = 73.2;
    static final double HEAD = 4.54;
    private static final double NECK = 5000;
    private static final double NECK_DAMPING = 150;
    /** The run ends so long after first contact, in seconds. */
    private static final double AFTER = 0.3;
    private static final double STEP = 5e-4;
    private static final double FINE_STEP = 2e-4;
    private static final double NEAR = 1e-9;

    /** Where a member is, in the state. */
    private interface Pressed {
        double by(double[] s);
    }

    private final CrashRig d;
    private final int x1 = variable("place of the sled's undamaged front, m");
    private final int v1 = variable("velocity of the sled, m/s");
    private final int x2 = variable("place of the second sled's undamaged front, m");
    private final int v2 = variable("velocity of the second sled, m/s");
    private final int xc = variable("the chest's way from its place in the sled before contact, along with it, m");
    private final int vc = variable("velocity of the chest, m/s");
    private final int xh = variable("the same of the head, m");
    private final int vh = variable("velocity of the head, m/s");
    private final int neckHeat = variable("energy that the neck's damper took, J");
    private final int driven = variable("work of wheel, dash and bag on the figure as the cabin comes in, J");
    private final int impulse = variable("momentum given to the block, N s");
    private final int shaken = variable("integral of the magnitude of the head's acceleration, m/s");
    private final Design design;
    private final CrushZones zones;
    private final Member crushed;
    private final Restraints held;
    private final Section section;
    private final HeadInjury injury = new HeadInjury();
    private final ChestClip clip = new ChestClip();
    /** When first contact was; NaN before it. */
    private final Register contact = register(Double.NaN);
    private final Register chestMet = register(0);
    private final Register headMet = register(0);
    private final Register noted = register(0);
    private final Register noRoom = register(0);
    private final Register hardest = register(0);
    private final boolean two;
    private final double mass;
    private final double mass2;
    private final double delay;
    private final double startSpeed;
    private final double braked;

    CrashRigExperiment(CrashRig declared, Settings s) {
        super(declared, s);
        d = declared;
        design = new Design(d, s);
        mass = design.mass();
        two = s.value(d.met) == Met.SLED;
        mass2 = s.si(d.secondMass);
        double[] own = {s.si(d.front), design.length, s.si(d.cabin), Design.ROOM};
        zones = two ? new CrushZones(2, own[0], own[1], own[2], own[3], s.si(d.secondFront), s.si(d.secondLength),
                s.si(d.secondCabin), Design.ROOM) : new CrushZones(1, own);
        crushed = remember(zones.member());
        held = remember(new Restraints(d, s));
        section = new Section(d, design, zones, crushed, held, two ? s.si(d.secondLength) : 0);
        remember(injury.integrals);
        remember(clip.values);
        delay = s.si(d.delay);
        Approach way = new Approach(d, s);
        startSpeed = way.speed;
        braked = 0.5 * (mass + CHEST + HEAD) * (way.wanted * way.wanted - way.speed * way.speed);
        watch(s.on(d.belt));
        begin(way.from, way.speed, 0, -way.against, way.from, way.speed, way.from, way.speed, 0, 0, 0, 0);
    }

    private void watch(boolean belted) {
        member("front", crushed, s -> s[x1] - s[x2], s -> s[v1] - s[v2], this::met, d.greatest, d.parted);
        if (belted) {
            member("belt", held.belt, s -> held.byBelt(chest(s)), s -> s[vc] - s[v1], (again, t, s, sink) -> {
                sink.event(again ? d.paysOut : d.beltTight, t);
                atLeast(chestMet, 1);
            }, null, null);
        }
        member("seat", held.seat, s -> held.bySeat(chest(s)), s -> s[v1] - s[vc], (again, t, s, sink) ->
                sink.event(d.seatStruck, t), null, null);
        member("head restraint", held.rest, s -> held.byRest(head(s)), s -> s[v1] - s[vh], null, null, null);
        member("wheel", held.wheel, s -> held.byWheel(chest(s), intrusion(s)), this::chestRate, (again, t, s, sink) ->
                struck(chestMet, 3, again ? null : d.wheelStruck, t, sink), null, null);
        member("dash", held.dash, s -> held.byDash(head(s), intrusion(s)), this::headRate, (again, t, s, sink) ->
                struck(headMet, 2, again ? null : d.dashStruck, t, sink), null, null);
        when("airbag full", (t, s) -> held.waitsForBag() && !Double.isNaN(contact.get()) ? t - contact.get() - delay : -1)
                .risesTo(0).then((rising, t, s, sink) -> {
                    held.fill(chest(s), head(s), intrusion(s));
                    sink.event(d.bagFull, t);
                });
        member("airbag, chest", held.bagChest, s -> held.byChestBag(chest(s), intrusion(s)), this::chestRate,
                (again, t, s, sink) -> struck(chestMet, 2, again ? null : d.chestInBag, t, sink), null, null);
        member("airbag, head", held.bagHead, s -> held.byHeadBag(head(s), intrusion(s)), this::headRate,
                (again, t, s, sink) -> struck(headMet, 1, again ? null : d.headInBag, t, sink), null, null);
        when("no room", (t, s) -> intrusion(s) - Restraints.TO_WHEEL).risesTo(0).then((rising, t, s, sink) -> {
            noRoom.set(true);
            sink.event(d.noRoom, t);
        });
        when("end", (t, s) -> t - (Double.isNaN(contact.get()) ? waiting(s) : contact.get() + AFTER)).risesTo(0)
                .then((rising, t, s, sink) -> {
                    if (Double.isNaN(contact.get())) {
                        sink.event(d.stopped, t);
                    }
                    sink.event(d.over, t);
                    end(t);
                });
    }

    /** How long to wait for a contact that may never be. */
    private double waiting(double[] s) {
        return s[v1] - s[v2] > 0 ? 1e3 : Approach.BEFORE;
    }

    private interface Touched {
        void happens(boolean again, double t, double[] s, EventSink sink);
    }

    private void member(String name, Member member, Pressed by, Pressed rate, Touched touched, Event back, Event free) {
        when(name + " pressed", (t, s) -> member.up(by.by(s))).risesTo(0).then((rising, t, s, sink) -> {
            boolean again = member.isTouched();
            boolean line = again && !member.isOnCurve();
            member.rises(by.by(s));
            if (touched != null && !line) {
                touched.happens(again, t, s, sink);
            }
        });
        when(name + " let go", (t, s) -> member.down(by.by(s), rate.by(s))).risesTo(0).then((rising, t, s, sink) -> {
            Event event = member.isOnCurve() ? back : free;
            member.falls(by.by(s));
            if (event != null) {
                sink.event(event, t);
            }
        });
    }

    private static void atLeast(Register register, double value) {
        register.set(Math.max(register.get(), value));
    }

    private void struck(Register what, int how, Event event, double t, EventSink sink) {
        atLeast(what, how);
        if (event != null) {
            sink.event(event, t);
        }
    }

    /** The front is touched, or the next of its zones begins to yield. */
    private void met(boolean again, double t, double[] s, EventSink sink) {
        if (Double.isNaN(contact.get())) {
            contact.set(t);
            sink.event(d.contact, t);
        }
        if (noted.get() < 1 && zones.crush(CrushZones.FRONT, crushed, s[x1] - s[x2]) >= design.length - NEAR) {
            noted.set(1);
            sink.event(d.usedUp, t);
        }
        if (noted.get() < 2 && comingIn(s) > 0) {
            noted.set(2);
            sink.event(d.cabinYields, t);
        }
    }

    /** How far the chest has come forward in the sled. */
    private double chest(double[] s) {
        return s[xc] - s[x1];
    }

    private double head(double[] s) {
        return s[xh] - s[x1];
    }

    /** How fast the chest comes nearer to the wheel. */
    private double chestRate(double[] s) {
        return s[vc] - s[v1] + comingIn(s);
    }

    private double headRate(double[] s) {
        return s[vh] - s[v1] + comingIn(s);
    }

    private double intrusion(double[] s) {
        return zones.crush(CrushZones.CABIN, crushed, s[x1] - s[x2]);
    }

    /** How fast the cabin's front wall comes in, in m/s. */
    private double comingIn(double[] s) {
        return zones.share(CrushZones.CABIN, crushed) * (s[v1] - s[v2]);
    }

    private double neck(double[] s) {
        return NECK * (s[xh] - s[xc]) + NECK_DAMPING * (s[vh] - s[vc]);
    }

    private double onChest(double[] s) {
        return held.onChest(chest(s), intrusion(s));
    }

    private double onHead(double[] s) {
        return held.onHead(head(s), intrusion(s));
    }

    @Override
    protected void law(double t, double[] s, double[] ds) {
        double front = crushed.force(s[x1] - s[x2]);
        double in = intrusion(s);
        double chest = held.onChest(chest(s), in);
        double head = held.onHead(head(s), in);
        double neck = neck(s);
        ds[x1] = s[v1];
        ds[x2] = s[v2];
        ds[xc] = s[vc];
        ds[xh] = s[vh];
        ds[v1] = (-front - chest - head) / mass;
        ds[v2] = two ? front / mass2 : 0;
        ds[vc] = (chest + neck) / CHEST;
        ds[vh] = (head - neck) / HEAD;
        double apart = s[vh] - s[vc];
        ds[neckHeat] = NECK_DAMPING * apart * apart;
        double coming = comingIn(s);
        ds[driven] = coming == 0 ? 0 : (held.aheadOfChest(chest(s), in) + held.aheadOfHead(head(s), in)) * coming;
        ds[impulse] = two ? 0 : front;
        ds[shaken] = Math.abs(ds[vh]);
    }

    @Override
    protected double step(double[] s) {
        return held.isHard() ? FINE_STEP : STEP;
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("The sled is built before the run: restart, then pull at its front wall");
    }

    @Override
    protected void apply(Settings settings) {
        // Nothing changes while it runs.
    }

    @Override
    protected void stepped(double t, double[] s) {
        injury.at(t, s[shaken]);
        clip.at(t, Math.abs(onChest(s) + neck(s)) / CHEST);
        atLeast(hardest, (crushed.force(s[x1] - s[x2]) + onChest(s) + onHead(s)) / mass);
    }

    @Override
    public void read(Readings out) {
        double[] s = state();
        double c = s[x1] - s[x2];
        double front = crushed.force(c);
        double chest = onChest(s);
        double head = onHead(s);
        double in = intrusion(s);
        out.put(d.since, Double.isNaN(contact.get()) ? Double.NaN : time() - contact.get());
        out.put(d.velocity, s[v1]);
        out.put(d.acceleration, (-front - chest - head) / mass);
        out.put(d.force, front);
        out.put(d.crush, zones.crush(CrushZones.FRONT, crushed, c) + front / CrushZones.STIFFNESS);
        out.put(d.intrusion, in);
        out.put(d.chestVelocity, s[vc]);
        out.put(d.chestAcceleration, (chest + neck(s)) / CHEST);
        out.put(d.chestForward, chest(s));
        out.put(d.beltForce, held.belt.force(held.byBelt(chest(s))));
        out.put(d.bagForce, held.bagChest.force(held.byChestBag(chest(s), in)));
        out.put(d.wheelForce, held.wheel.force(held.byWheel(chest(s), in)));
        out.put(d.headVelocity, s[vh]);
        out.put(d.headAcceleration, (head - neck(s)) / HEAD);
        out.put(d.headForward, head(s));
        out.put(d.headBagForce, held.bagHead.force(held.byHeadBag(head(s), in)));
        out.put(d.dashForce, held.dash.force(held.byDash(head(s), in)));
        out.put(d.secondVelocity, two ? s[v2] : Double.NaN);
        out.put(d.secondAcceleration, two ? front / mass2 : Double.NaN);
        out.put(d.secondCrush, two ? zones.crush(CrushZones.FRONT_2, crushed, c) + front / CrushZones.STIFFNESS : Double.NaN);
        out.put(d.secondIntrusion, two ? zones.crush(CrushZones.CABIN_2, crushed, c) : Double.NaN);
        energies(out, s);
        double figure = CHEST * s[vc] + HEAD * s[vh];
        double second = two ? mass2 * s[v2] : 0;
        out.put(d.ofSled, mass * s[v1]);
        out.put(d.ofFigure, figure);
        out.put(d.ofSecond, second);
        out.put(d.ofBlock, s[impulse]);
        out.put(d.together, mass * s[v1] + figure + second + s[impulse]);
    }

    private void energies(Readings out, double[] s) {
        double c = s[x1] - s[x2];
        double kinetic = 0.5 * (mass * s[v1] * s[v1] + CHEST * s[vc] * s[vc] + HEAD * s[vh] * s[vh]
                + (two ? mass2 * s[v2] * s[v2] : 0));
        double bend = s[xh] - s[xc];
        double in = intrusion(s);
        double elastic = crushed.elastic(c) + held.elastic(chest(s), head(s), in) + 0.5 * NECK * bend * bend;
        double byBelt = held.belt.heat(held.byBelt(chest(s)));
        double byBag = held.heatOfBag(chest(s), head(s), in);
        double inside = held.heatInside(chest(s), head(s), in) + s[neckHeat];
        double byFront = zones.work(CrushZones.FRONT, crushed, c);
        double byCabin = zones.work(CrushZones.CABIN, crushed, c) + zones.workBeyond(crushed, c) - s[driven];
        double bySecond = two ? zones.work(CrushZones.FRONT_2, crushed, c) + zones.work(CrushZones.CABIN_2, crushed, c) : 0;
        double thermal = byBelt + byBag + inside + byFront + byCabin + bySecond + braked;
        out.put(d.kinetic, kinetic);
        out.put(d.elastic, elastic);
        out.put(d.thermal, thermal);
        out.put(d.total, kinetic + elastic + thermal);
        out.put(d.byFront, byFront);
        out.put(d.byCabin, byCabin);
        out.put(d.bySecond, bySecond);
        out.put(d.byBelt, byBelt);
        out.put(d.byBag, byBag);
        out.put(d.byInside, inside);
        out.put(d.byBrake, braked);
    }

    @Override
    public void outcomes(Outcomes out) {
        out.put(d.mass, mass);
        out.put(d.cost, design.cost());
        if (!isOver()) {
            return;
        }
        double[] s = state();
        out.put(d.chestMet, chestMet.get());
        out.put(d.headMet, headMet.get());
        out.put(d.frontCrush, zones.crush(CrushZones.FRONT, crushed, s[x1] - s[x2]));
        out.put(d.pushedIn, intrusion(s));
        out.put(d.lost, startSpeed - s[v1]);
        out.put(d.hardest, hardest.get());
        out.put(d.hic, injury.value());
        out.put(d.clip, clip.value() / HeadInjury.G);
        out.put(d.headRisk, InjuryRisk.head(injury.value()));
        out.put(d.chestRisk, InjuryRisk.chest(clip.value()));
        out.put(d.survival, noRoom.isOn() ? 0 : InjuryRisk.survival(injury.value(), clip.value()));
    }

    @Override
    public void scene(Scene out) {
        double[] s = state();
        section.draw(out, s[x1], s[x2], chest(s), head(s));
        out.put(d.buckled, settings().on(d.belt));
        out.put(d.noRoomLeft, noRoom.isOn());
        out.put(d.crushArrow, -crushed.force(s[x1] - s[x2]), 0);
        out.put(d.onChest, onChest(s), 0);
        out.put(d.onHead, onHead(s), 0);
    }
}
