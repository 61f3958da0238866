package cauldron.core.apparatus.gas;

import cauldron.core.Chance;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.SettingsInForce;
import cauldron.core.instrument.AveragingGauge;

/**
 * The gas cylinder at work: {@link HardSphereGas} with a piston, heat, a partition and a hole.
 *
 * <p>Pressure is the momentum given to all walls for each area and time, averaged over the gauge's last
 * stretch; temperature is two thirds of the mean kinetic energy over Boltzmann's constant. What has
 * escaped flies on in a vacuum and counts no more.
 */
final class GasCylinderExperiment implements Experiment {

    private static final double NANO = 1e-9;
    private static final double PICO = 1e-12;
    private static final double TICK = 1e-12;
    private static final int LONGEST_AVERAGE = 1000;
    /** Collisions with walls, collisions of pairs, momentum for each area, momentum of the piston: what the gauges follow. */
    private static final int TOTALS = 4;
    private static final int HEAD = 10;
    /** How far beside the wall a molecule has to be drawn no more. */
    private static final double OUT_OF_SIGHT = -30e-9;

    private static final int TAG_PAIR = 0;
    private static final int TAG_WALL = 1;
    private static final int ESCAPE = 2;
    private static final int PISTON_HALTS = 3;

    private final SettingsInForce inForce;
    private final Molecules molecules;
    private final Piston piston;
    private final HeatExchange heat;
    private final HardSphereGas gas;
    private final AveragingGauge gauge = new AveragingGauge(TICK, LONGEST_AVERAGE, TOTALS);
    private final Relay relay = new Relay();
    private final GasCensus census;
    private double time;
    private boolean partitionIn;
    private boolean handOn;
    private double target;

    GasCylinderExperiment(Manifest manifest, Settings settings, int seed) {
        inForce = new SettingsInForce(manifest, settings);
        Gas one = Gas.get(settings.choice("gas1"));
        Gas two = Gas.get(settings.choice("gas2"));
        molecules = new Molecules(new double[] {one.mass(), two.mass()},
                new double[] {one.diameter() / 2, two.diameter() / 2});
        target = settings.amount("length") * NANO;
        piston = new Piston(target, GasCylinder.SHORTEST, GasCylinder.LONGEST);
        heat = new HeatExchange(Chance.named(seed, "molecules"));
        gas = new HardSphereGas(molecules, piston, heat, GasCylinder.HEIGHT, GasCylinder.DEPTH, GasCylinder.LONGEST);
        partitionIn = settings.on("partition");
        double middle = 0.5 * target;
        gas.insert(0, count(settings, 0), settings.amount("temperature"), 0, partitionIn ? middle : target, heat.chance);
        gas.insert(1, count(settings, 1), settings.amount("temperature"), partitionIn ? middle : 0, target, heat.chance);
        census = new GasCensus(molecules);
        census.scaleTo(settings.amount("temperature"));
        if (partitionIn) {
            gas.setPartition(middle);
        }
        putInForce(settings, "");
        gas.lookAround(0);
    }

    private static int count(Settings settings, int kind) {
        return (int) settings.amount(kind == 0 ? "count1" : "count2");
    }

    private void putInForce(Settings s, String changed) {
        HeatExchange.Mode mode = s.choice("heat").equals("held") ? HeatExchange.Mode.HELD
                : s.choice("heat").equals("heater") ? HeatExchange.Mode.HEATER : HeatExchange.Mode.INSULATED;
        heat.set(time, mode, s.amount("power") * 1e-9, s.amount("temperature"));
        gas.setHole(s.on("hole") ? s.amount("slot") * NANO : 0);
        String p = s.choice("piston");
        if (p.equals("loaded")) {
            if (!changed.equals("hand")) {
                piston.load(time, s.amount("load") * 1000 * GasCylinder.HEIGHT * GasCylinder.DEPTH);
            }
        } else if (changed.equals("piston") || p.equals("hand") && (changed.equals("length") || changed.equals("hand"))) {
            target = changed.equals("length") ? s.amount("length") * NANO : changed.equals("piston") ? piston.at(time) : target;
            piston.drive(time, target, s.amount("hand"));
        }
        gas.pistonChanged();
    }

    @Override
    public Settings settings() {
        return inForce.now();
    }

    @Override
    public double time() {
        return time;
    }

    @Override
    public void advanceTo(double to, EventSink sink) {
        relay.sink = sink;
        while (gauge.next() <= to) {
            gas.advanceTo(gauge.next(), relay);
            gauge.tell(gas.wallHits, gas.pairHits, gas.impulse, gas.pistonImpulse);
        }
        gas.advanceTo(to, relay);
        time = to;
    }

    @Override
    public void act(Action action, EventSink sink) {
        if (action instanceof Action.Change) {
            change((Action.Change) action);
        } else if (action instanceof Action.Grab) {
            if (!inForce.now().choice("piston").equals("hand")) {
                throw new IllegalArgumentException("The piston can't be moved now: under Piston choose “moved by hand”");
            }
            handOn = true;
        } else if (action instanceof Action.Move && handOn) {
            target = ((Action.Move) action).x();
            piston.drive(time, target, inForce.now().amount("hand"));
            gas.pistonChanged();
        } else if (action instanceof Action.LetGo && handOn) {
            handOn = false;
        } else if (action instanceof Action.Perform && ((Action.Perform) action).act().equals("take-out")) {
            if (!partitionIn) {
                throw new IllegalArgumentException("The partition is out already");
            }
            partitionIn = false;
            gas.setPartition(Double.NaN);
        } else {
            throw new IllegalArgumentException("The gas cylinder can't do that now");
        }
        census.forget();
    }

    private void change(Action.Change change) {
        Settings before = inForce.now();
        if (change.setting().equals("length") && !before.choice("piston").equals("hand")) {
            throw new IllegalArgumentException("Length of the cylinder: under Piston choose “moved by hand” first");
        }
        Settings now = inForce.change(change);
        for (int kind = 0; kind < 2; kind++) {
            int more = count(now, kind) - count(before, kind);
            if (more > 0) {
                double middle = gas.partition();
                double end = piston.at(time);
                gas.insert(kind, more, now.amount("temperature"), partitionIn && kind == 1 ? middle : 0,
                        partitionIn && kind == 0 ? middle : end, heat.chance);
            }
            for (int k = 0; k > more; k--) {
                int i = census.oneOf(kind, heat.chance);
                if (i >= 0) {
                    molecules.remove(i);
                }
            }
        }
        // Once for all that were taken: looking round costs as much as a whole frame.
        gas.lookAround(time);
        putInForce(now, change.setting());
    }

    @Override
    public double read(int channel) {
        census.take(time, 0.5 * (partitionIn ? 2 * gas.partition() : piston.at(time)));
        double averaging = inForce.now().amount("averaging") * PICO;
        int tag = census.tag();
        switch (channel) {
            case 0:
                return gauge.rate(2, gas.impulse, time, averaging);
            case 1:
                return census.temperature();
            case 2:
                return gas.volume(time);
            case 3:
            case 4:
                return census.inside[channel - 3];
            case 5:
            case 6:
                return census.meanSpeed(channel - 5);
            case 7:
            case 8:
                return census.meanEnergy(channel - 7);
            case 9:
                return gauge.rate(1, gas.pairHits, time, averaging);
            case 10:
                return gauge.rate(0, gas.wallHits, time, averaging);
            case 11:
                return census.energy();
            case 12:
                return heat.given;
            case 13:
                return gas.work;
            case 14:
            case 15:
                return census.left[channel - 14];
            case 16:
            case 17:
                return census.escaped[channel - 16];
            case 18:
                return tag < 0 ? Double.NaN : Math.sqrt(molecules.speedSquared(tag));
            case 19:
                return tag < 0 ? Double.NaN : molecules.xAt(tag, time);
            case 20:
                return tag < 0 ? Double.NaN : molecules.yAt(tag, time);
            case 21:
                return gauge.rate(3, gas.pistonImpulse, time, averaging);
            default:
                return heat.refused;
        }
    }

    @Override
    public void scene(double[] out) {
        int tag = census.tag();
        Settings s = inForce.now();
        boolean heater = s.choice("heat").equals("heater");
        out[0] = 0;
        out[1] = 0;
        out[2] = GasCylinder.HEIGHT;
        out[3] = piston.at(time);
        out[4] = 0.5 * GasCylinder.HEIGHT;
        out[5] = 5e-9;
        out[6] = piston.isLoaded() || !piston.isMoving() ? piston.at(time) : target;
        out[7] = partitionIn ? gas.partition() : 0;
        out[8] = partitionIn ? 1 : 0;
        out[9] = s.on("hole") ? 0.5 * s.amount("slot") * NANO : 0;
        out[10] = heater && s.amount("power") > 0 ? 1 : 0;
        out[11] = heater && s.amount("power") < 0 ? 1 : 0;
        out[12] = s.choice("heat").equals("held") ? 1 : 0;
        out[13] = piston.isLoaded() ? 1 : 0;
        out[14] = molecules.radius[0];
        out[15] = molecules.radius[1];
        out[16] = tag < 0 ? OUT_OF_SIGHT : molecules.xAt(tag, time);
        out[17] = tag < 0 ? 0 : molecules.yAt(tag, time);
        out[18] = GasCylinder.LONGEST;
        out[19] = s.choice("piston").equals("hand") ? 1 : 0;
    }

    @Override
    public int crowdSize() {
        return molecules.count;
    }

    @Override
    public int crowd(double[] out) {
        int n = 0;
        for (int i = 0; i < molecules.count; i++) {
            double x = molecules.xAt(i, time);
            if (x > OUT_OF_SIGHT) {
                out[3 * n] = x;
                out[3 * n + 1] = molecules.yAt(i, time);
                out[3 * n + 2] = molecules.kind[i];
                n++;
            }
        }
        return n;
    }

    @Override
    public Population population(int distribution, int which) {
        return census.population(distribution == 1, which);
    }

    @Override
    public double[] snapshot() {
        int gaugeAt = HEAD + Piston.SNAPSHOT + HeatExchange.SNAPSHOT;
        int moleculesAt = gaugeAt + gauge.snapshotSize();
        double[] out = new double[moleculesAt + molecules.snapshotSize()];
        double[] head = {time, inForce.mark(), partitionIn ? gas.partition() : Double.NaN, target, gas.impulse,
            gas.pairHits, gas.wallHits, gas.work, handOn ? 1 : 0, gas.pistonImpulse};
        System.arraycopy(head, 0, out, 0, HEAD);
        piston.snapshot(out, HEAD);
        heat.snapshot(out, HEAD + Piston.SNAPSHOT);
        gauge.snapshot(out, gaugeAt);
        molecules.snapshot(out, moleculesAt);
        return out;
    }

    @Override
    public void restore(double[] in) {
        int gaugeAt = HEAD + Piston.SNAPSHOT + HeatExchange.SNAPSHOT;
        time = in[0];
        Settings s = inForce.restore(in[1]);
        partitionIn = !Double.isNaN(in[2]);
        target = in[3];
        gas.impulse = in[4];
        gas.pairHits = in[5];
        gas.wallHits = in[6];
        gas.work = in[7];
        handOn = in[8] != 0;
        gas.pistonImpulse = in[9];
        piston.restore(in, HEAD);
        heat.restore(in, HEAD + Piston.SNAPSHOT);
        gauge.restore(in, gaugeAt);
        molecules.restore(in, gaugeAt + gauge.snapshotSize());
        gas.setHole(s.on("hole") ? s.amount("slot") * NANO : 0);
        census.forget();
        gas.restored(time, in[2]);
    }

    /** Passes on what people may want to hear of. */
    private final class Relay implements HardSphereGas.Watcher {

        private EventSink sink;

        @Override
        public void pair(int i, int j, double at) {
            if (i == census.tag() || j == census.tag()) {
                sink.event(TAG_PAIR, at);
            }
        }

        @Override
        public void wall(int i, double at) {
            if (i == census.tag()) {
                sink.event(TAG_WALL, at);
            }
        }

        @Override
        public void escaped(int i, double at) {
            sink.event(ESCAPE, at);
        }

        @Override
        public void pistonEnded(double at) {
            sink.event(PISTON_HALTS, at);
        }
    }
}
