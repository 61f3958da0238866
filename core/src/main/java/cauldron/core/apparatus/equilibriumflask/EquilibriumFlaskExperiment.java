package cauldron.core.apparatus.equilibriumflask;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.chemistry.Reaction;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/**
 * A reversible reaction of extent ξ in a closed vessel of one temperature and volume: {@code n_i = n_i0 + ν_i ξ}, so
 * every atom is kept exactly, and {@code dξ/dt = V (r_f − r_b)} by mass action ({@link Kinetics}). It comes to rest
 * where {@code Π c^ν = K(T)} (P. Atkins and J. de Paula, Physical Chemistry, ch. 7 and 22). Beside it the same
 * constants rule some hundreds of particles one by one ({@link Particles}).
 *
 * <p>Assumptions: ideal gases and ideal solutions, well mixed; K and rates by van 't Hoff and Arrhenius with one energy
 * and one activation energy over the range; one step each way; a solid's surface is as good as any other, so its amount
 * doesn't count while there is some; the vessel's temperature is held.
 */
final class EquilibriumFlaskExperiment extends OdeExperiment {

    private static final double STEP = 0.5;
    private static final double FASTER = 8;
    private static final double EQUAL = 0.005;
    private static final double GRIP = 0.03;
    /** In m³, mol and K. */
    private static final double MILLI = 1e-3;
    /** A ring is seen for so long, in s. */
    private static final double SEEN = 6;
    private static final int RING = 8;
    private static final int RINGS = 16;
    /** Q is shown up to so many times K. */
    private static final double FAR = 1e6;
    private static final double PILE = 0.006;
    private static final int IN_A_ROW = 40;

    private final EquilibriumFlask d;
    private final Reversible of;
    private final Vessel vessel;
    private final int extent = variable("extent, mol");
    private final List<Register> put = new ArrayList<>();
    private final List<Register> atRest = new ArrayList<>();
    private final Register disturbed = register(0);
    private final Register restedAt = register(Double.NaN);
    /** 1 where that way is barred because a solid it takes is used up. */
    private final Register forwardBarred = register(0);
    private final Register backBarred = register(0);
    private final Particles particles;
    private final double grain;
    private Kinetics kinetics;
    private double volume;

    EquilibriumFlaskExperiment(EquilibriumFlask declared, Settings settings, int seed) {
        super(declared, settings);
        d = declared;
        of = settings.value(d.reaction);
        vessel = d.of(of);
        grain = settings.value(d.grain) * (of == Reversible.IRON_AND_THIOCYANATE ? MILLI : 1);
        RandomSource chance = remember(RandomSource.named(seed, "equilibrium flask"));
        particles = remember(new Particles(of.terms(), grain, chance));
        for (int i = 0; i < of.terms().size(); i++) {
            put.add(register(settings.si(vessel.matter.get(i).put)));
            atRest.add(register(0));
        }
        apply(settings);
        for (int i = 0; i < of.terms().size(); i++) {
            particles.put(i, inParticles(put.get(i).get()));
        }
        when("rates equal", (t, y) -> unlike(y)).fallsTo(EQUAL).then((rising, t, y, sink) -> {
            restedAt.set(t);
            double[] moles = moles(y);
            for (int i = 0; i < moles.length; i++) {
                atRest.get(i).set(moles[i]);
            }
            sink.event(d.settled, t);
        });
        for (int i = 0; i < of.terms().size(); i++) {
            if (!Reversible.counts(of.terms().get(i))) {
                int which = i;
                when("solid used up", (t, y) -> amount(which, y)).fallsTo(0).then((rising, t, y, sink) -> {
                    y[extent] = -put.get(which).get() / of.terms().get(which).count();
                    bar(y);
                    sink.event(d.usedUp, t);
                });
            }
        }
        bar(new double[] {0});
        begin(0);
    }

    /** Bars the ways for which a solid is missing. A law that broke off there by itself couldn't be stepped across. */
    private void bar(double[] y) {
        double[] moles = moles(y);
        forwardBarred.set(kinetics.canGo(true, moles) ? 0 : 1);
        backBarred.set(kinetics.canGo(false, moles) ? 0 : 1);
    }

    private int inParticles(double moles) {
        return (int) Math.round(moles / grain);
    }

    private double amount(int which, double[] y) {
        return put.get(which).get() + of.terms().get(which).count() * y[extent];
    }

    private double[] moles(double[] y) {
        double[] all = new double[of.terms().size()];
        for (int i = 0; i < all.length; i++) {
            all[i] = amount(i, y);
        }
        return all;
    }

    /** How unlike both rates are: 0 where they are equal, 1 where only one goes. */
    private double unlike(double[] y) {
        double[] moles = moles(y);
        double ahead = kinetics.rate(true, moles);
        double back = kinetics.rate(false, moles);
        return ahead + back > 0 ? Math.abs(ahead - back) / (ahead + back) : 0;
    }

    @Override
    protected void apply(Settings settings) {
        volume = settings.si(vessel.volume);
        kinetics = new Kinetics(of, settings.si(vessel.temperature), volume, settings.on(d.catalyst) ? FASTER : 1);
    }

    @Override
    protected boolean isStiff() {
        return true;
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        double net = kinetics.net(moles(y));
        boolean barred = net > 0 ? forwardBarred.get() == 1 : backBarred.get() == 1;
        dy[extent] = barred ? 0 : net;
    }

    @Override
    protected double step(double[] y) {
        return STEP;
    }

    @Override
    protected void stepped(double t, double[] y) {
        particles.to(t, kinetics);
        bar(y);
    }

    @Override
    public void act(Action action, EventSink sink) {
        if (action instanceof Action.Change change) {
            for (int i = 0; i < put.size(); i++) {
                Matter matter = vessel.matter.get(i);
                if (matter.put.id().equals(change.setting())) {
                    enough(i, settings().with(matter.put, change.value()).si(matter.put));
                }
            }
        }
        super.act(action, sink);
    }

    private void enough(int which, double wanted) {
        double there = amount(which, state());
        if (there + wanted - put.get(which).get() < 0) {
            Matter matter = vessel.matter.get(which);
            throw new IllegalArgumentException("So much " + of.terms().get(which).substance().called()
                    + " can't be taken out: " + Numbers.print(there / grain * settings().value(d.grain), 3) + " "
                    + matter.put.unit() + " of it are there");
        }
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        particles.to(time(), kinetics);
        apply(settings());
        particles.changed();
        for (int i = 0; i < put.size(); i++) {
            double wanted = settings().si(vessel.matter.get(i).put);
            particles.put(i, inParticles(wanted) - inParticles(put.get(i).get()));
            put.get(i).set(wanted);
        }
        bar(state());
        disturbed.set(time());
        restedAt.set(Double.NaN);
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("While it runs the volume is changed in the settings");
    }

    @Override
    public void read(Readings out) {
        double[] moles = moles(state());
        for (int i = 0; i < moles.length; i++) {
            Matter matter = vessel.matter.get(i);
            out.put(matter.amount, moles[i]);
            out.put(matter.counted, particles.counts()[i] * grain);
            if (matter.concentration != null) {
                out.put(matter.concentration, moles[i] / volume);
            }
        }
        double constant = kinetics.constant();
        out.put(vessel.constant, constant);
        out.put(vessel.quotient, Math.min(FAR * constant, quotient(moles)));
        out.put(d.forward, kinetics.canGo(true, moles) ? kinetics.rate(true, moles) : 0);
        out.put(d.back, kinetics.canGo(false, moles) ? kinetics.rate(false, moles) : 0);
        out.put(d.wentForward, particles.went(true));
        out.put(d.wentBack, particles.went(false));
        if (vessel.absorbance != null) {
            out.put(vessel.absorbance, absorbance(moles));
        }
    }

    private double quotient(double[] moles) {
        double q = kinetics.quotient(moles);
        return Double.isNaN(q) ? 0 : q;
    }

    private double absorbance(double[] moles) {
        return of.coloured() < 0 ? 0 : of.absorbance(Math.max(0, moles[of.coloured()]) / volume);
    }

    @Override
    public void outcomes(Outcomes out) {
        if (Double.isNaN(restedAt.get())) {
            return;
        }
        out.put(d.settledAfter, restedAt.get() - disturbed.get());
        for (int i = 0; i < atRest.size(); i++) {
            out.put(vessel.matter.get(i).settled, atRest.get(i).get());
        }
    }

    @Override
    public void scene(Scene out) {
        double[] moles = moles(state());
        out.put(d.floor, 0, 0);
        out.put(d.lid, EquilibriumFlask.WIDE / 2, EquilibriumFlask.height(of, volume));
        out.put(d.wide, EquilibriumFlask.WIDE);
        out.put(d.which, of.ordinal());
        out.put(d.clear, 100 * Math.pow(10, -absorbance(moles)));
        out.put(d.went, particles.went(true));
        out.put(d.returned, particles.went(false));
        out.put(d.catalysed, settings().on(d.catalyst));
        out.put(d.grip, GRIP);
    }

    @Override
    public int crowdSize() {
        return Particles.MOST + RINGS;
    }

    @Override
    public int crowd(double[] out) {
        double tall = EquilibriumFlask.height(of, volume);
        int many = particles.many();
        int lying = 0;
        for (int i = 0; i < many; i++) {
            Reaction.Term term = of.terms().get(particles.kind(i));
            boolean free = Reversible.counts(term);
            double x = particles.at(i, false, time());
            out[3 * i] = EquilibriumFlask.WIDE * (free ? x : (lying % IN_A_ROW + 0.5) / IN_A_ROW);
            out[3 * i + 1] = free ? tall * particles.at(i, true, time()) : PILE * (lying / IN_A_ROW + 0.5);
            out[3 * i + 2] = particles.kind(i);
            lying += free ? 0 : 1;
        }
        int[] at = {many};
        particles.since(time() - SEEN, (x, y, forward) -> {
            out[3 * at[0]] = EquilibriumFlask.WIDE * x;
            out[3 * at[0] + 1] = tall * y;
            out[3 * at[0] + 2] = RING + (forward ? 1 : 0);
            at[0]++;
        });
        return at[0];
    }
}
