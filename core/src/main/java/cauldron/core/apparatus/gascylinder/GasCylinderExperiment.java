package cauldron.core.apparatus.gascylinder;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Distribution;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.gascylinder.GasCylinder.Hold;
import cauldron.core.apparatus.gascylinder.HeatExchange.Mode;
import cauldron.core.instrument.gauge.AveragingGauge;

/**
 * The gas cylinder at work: {@link HardSphereGas} with a piston, heat, a partition and a hole.
 *
 * <p>Pressure is the momentum given to all walls for each area and time, averaged over the gauge's last
 * stretch; temperature is two thirds of the mean kinetic energy over Boltzmann's constant. What has
 * escaped flies on in a vacuum and counts no more.
 */
final class GasCylinderExperiment extends Experiment {

    private static final double TICK = 1e-12;
    private static final int LONGEST_AVERAGE = 1000;
    /** What the gauges follow. */
    private static final int WALL_HITS = 0;
    private static final int PAIR_HITS = 1;
    private static final int IMPULSE = 2;
    private static final int PISTON_IMPULSE = 3;
    private static final int TOTALS = 4;
    /** How far beside the wall a molecule has to be drawn no more. */
    private static final double OUT_OF_SIGHT = -30e-9;
    private static final double GRIP = 5e-9;

    private final GasCylinder d;
    private final Register time = register(0);
    private final Register target = register(0);
    private final Piston piston;
    private final HeatExchange heat;
    private final Molecules molecules;
    private final HardSphereGas gas;
    private final AveragingGauge gauge = remember(new AveragingGauge(TICK, LONGEST_AVERAGE, TOTALS));
    private final Relay relay = new Relay();
    private final GasCensus census;

    GasCylinderExperiment(GasCylinder declared, Settings settings, int seed) {
        super(declared, settings);
        d = declared;
        Gas one = settings.value(d.gas1);
        Gas two = settings.value(d.gas2);
        double length = settings.si(d.length);
        target.set(length);
        molecules = remember(new Molecules(new double[] {one.mass(), two.mass()},
                new double[] {one.diameter() / 2, two.diameter() / 2}));
        piston = remember(new Piston(length, GasCylinder.SHORTEST, GasCylinder.LONGEST));
        heat = remember(new HeatExchange(RandomSource.named(seed, "molecules")));
        gas = remember(new HardSphereGas(molecules, piston, heat, GasCylinder.HEIGHT, GasCylinder.DEPTH,
                GasCylinder.LONGEST));
        boolean parted = settings.on(d.partition);
        double middle = 0.5 * length;
        double kelvin = settings.si(d.temperature);
        gas.insert(0, settings.count(d.count1), kelvin, 0, parted ? middle : length, heat.chance);
        gas.insert(1, settings.count(d.count2), kelvin, parted ? middle : 0, length, heat.chance);
        census = new GasCensus(molecules, register(-1));
        census.scaleTo(kelvin);
        if (parted) {
            gas.setPartition(middle);
        }
        putInForce(settings, null);
        gas.lookAround(0);
    }

    private boolean partitionIn() {
        return !Double.isNaN(gas.partition());
    }

    private void putInForce(Settings s, Setting changed) {
        heat.set(time(), s.value(d.walls), s.si(d.power), s.si(d.temperature));
        openHole(s);
        Hold hold = s.value(d.piston);
        if (hold == Hold.LOAD) {
            if (changed != d.handSpeed) {
                piston.load(time(), s.si(d.load) * GasCylinder.HEIGHT * GasCylinder.DEPTH);
            }
        } else if (changed == d.piston || hold == Hold.HAND && (changed == d.length || changed == d.handSpeed)) {
            if (changed != d.handSpeed) {
                target.set(changed == d.length ? s.si(d.length) : piston.at(time()));
            }
            piston.drive(time(), target.get(), s.si(d.handSpeed));
        }
        gas.pistonChanged();
    }

    private void openHole(Settings s) {
        gas.setHole(s.on(d.hole) ? s.si(d.slot) : 0);
    }

    @Override
    public double time() {
        return time.get();
    }

    @Override
    public void advanceTo(double to, EventSink sink) {
        relay.sink = sink;
        while (gauge.next() <= to) {
            gas.advanceTo(gauge.next(), relay);
            gauge.tell(gas.wallHits, gas.pairHits, gas.impulse, gas.pistonImpulse);
        }
        gas.advanceTo(to, relay);
        time.set(to);
    }

    @Override
    public void act(Action action, EventSink sink) {
        super.act(action, sink);
        census.forget();
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        if (settings().value(d.piston) != Hold.HAND) {
            throw new IllegalArgumentException("The piston can't be moved now: under Piston choose “moved by hand”");
        }
    }

    @Override
    protected void moved(Handle handle, double x, double y, EventSink sink) {
        target.set(x);
        piston.drive(time(), x, settings().si(d.handSpeed));
        gas.pistonChanged();
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        if (act == d.takeOut) {
            gas.setPartition(Double.NaN);
            return;
        }
        int which = act == d.another ? census.next()
                : census.nearest(with.si(d.pointedX), with.si(d.pointedY), time());
        if (which < 0) {
            throw new IllegalArgumentException("There is no molecule in the cylinder");
        }
        census.pick(which);
    }

    @Override
    protected void mayChange(Setting setting, Settings before) {
        if (setting == d.length && before.value(d.piston) != Hold.HAND) {
            throw new IllegalArgumentException("Length of the cylinder: under Piston choose “moved by hand” first");
        }
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        Settings now = settings();
        for (int kind = 0; kind < 2; kind++) {
            int more = count(now, kind) - count(before, kind);
            if (more > 0) {
                double middle = gas.partition();
                gas.insert(kind, more, now.si(d.temperature), partitionIn() && kind == 1 ? middle : 0,
                        partitionIn() && kind == 0 ? middle : piston.at(time()), heat.chance);
            }
            for (int k = 0; k > more; k--) {
                int i = census.oneOf(kind, heat.chance);
                if (i >= 0) {
                    molecules.remove(i);
                    census.removed(i);
                }
            }
        }
        // Once for all that were taken: looking round costs as much as a whole frame.
        gas.lookAround(time());
        putInForce(now, setting);
    }

    private int count(Settings settings, int kind) {
        return settings.count(kind == 0 ? d.count1 : d.count2);
    }

    @Override
    public void read(Readings out) {
        double now = time();
        census.take(now, 0.5 * (partitionIn() ? 2 * gas.partition() : piston.at(now)));
        double averaging = settings().si(d.averaging);
        out.put(d.pressure, gauge.rate(IMPULSE, gas.impulse, now, averaging));
        out.put(d.kelvin, census.temperature());
        out.put(d.volume, gas.volume(now));
        out.put(d.inside1, census.inside[0]);
        out.put(d.inside2, census.inside[1]);
        out.put(d.speed1, census.meanSpeed(0));
        out.put(d.speed2, census.meanSpeed(1));
        out.put(d.energy1, census.meanEnergy(0));
        out.put(d.energy2, census.meanEnergy(1));
        out.put(d.left1, census.left[0]);
        out.put(d.left2, census.left[1]);
        out.put(d.escaped1, census.escaped[0]);
        out.put(d.escaped2, census.escaped[1]);
        out.put(d.pairRate, gauge.rate(PAIR_HITS, gas.pairHits, now, averaging));
        out.put(d.wallRate, gauge.rate(WALL_HITS, gas.wallHits, now, averaging));
        out.put(d.inner, census.energy());
        out.put(d.heatGiven, heat.given);
        out.put(d.work, gas.work);
        int tag = census.tag();
        out.put(d.tagSpeed, tag < 0 ? Double.NaN : Math.sqrt(molecules.speedSquared(tag)));
        out.put(d.tagX, tag < 0 ? Double.NaN : molecules.xAt(tag, now));
        out.put(d.tagY, tag < 0 ? Double.NaN : molecules.yAt(tag, now));
        out.put(d.pistonForce, gauge.rate(PISTON_IMPULSE, gas.pistonImpulse, now, averaging));
        out.put(d.notTaken, heat.refused);
    }

    @Override
    public void scene(Scene out) {
        double now = time();
        Settings s = settings();
        boolean heater = s.value(d.walls) == Mode.HEATER;
        out.put(d.leftWall, 0);
        out.put(d.bottom, 0);
        out.put(d.top, GasCylinder.HEIGHT);
        out.put(d.rod, piston.at(now), 0.5 * GasCylinder.HEIGHT);
        out.put(d.grip, GRIP);
        out.put(d.target, piston.isLoaded() || !piston.isMoving() ? piston.at(now) : target.get());
        out.put(d.partitionAt, partitionIn() ? gas.partition() : 0);
        out.put(d.partitionOn, partitionIn());
        out.put(d.holeHalf, s.on(d.hole) ? 0.5 * s.si(d.slot) : 0);
        out.put(d.heaterOn, heater && s.si(d.power) > 0);
        out.put(d.coolerOn, heater && s.si(d.power) < 0);
        out.put(d.heldOn, s.value(d.walls) == Mode.HELD);
        out.put(d.loadedOn, piston.isLoaded());
        out.put(d.radius1, molecules.radius[0]);
        out.put(d.radius2, molecules.radius[1]);
        int tag = census.tag();
        out.put(d.tag, tag < 0 ? OUT_OF_SIGHT : molecules.xAt(tag, now), tag < 0 ? 0 : molecules.yAt(tag, now));
        out.put(d.longest, GasCylinder.LONGEST);
        out.put(d.handOn, s.value(d.piston) == Hold.HAND);
    }

    @Override
    public int crowdSize() {
        return molecules.count;
    }

    @Override
    public int crowd(double[] out) {
        int n = 0;
        for (int i = 0; i < molecules.count; i++) {
            double x = molecules.xAt(i, time());
            if (x > OUT_OF_SIGHT) {
                out[3 * n] = x;
                out[3 * n + 1] = molecules.yAt(i, time());
                out[3 * n + 2] = molecules.kind[i];
                n++;
            }
        }
        return n;
    }

    @Override
    public Population population(Distribution distribution, int which) {
        return census.population(distribution == d.energies, which);
    }

    @Override
    protected void restored() {
        openHole(settings());
        census.forget();
        gas.lookAround(time());
    }

    /** Passes on what people may want to hear of. */
    private final class Relay implements HardSphereGas.Watcher {

        private EventSink sink;

        @Override
        public void pair(int i, int j, double at) {
            if (i == census.tag() || j == census.tag()) {
                sink.event(d.tagMeetsAnother, at);
            }
        }

        @Override
        public void wall(int i, double at) {
            if (i == census.tag()) {
                sink.event(d.tagMeetsWall, at);
            }
        }

        @Override
        public void escaped(int i, double at) {
            sink.event(d.escape, at);
        }

        @Override
        public void pistonEnded(double at) {
            sink.event(d.pistonHalts, at);
        }
    }
}
