package cauldron.core.apparatus.reactionbalance;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.reactionbalance.ReactionBalance.Closed;

/**
 * A reaction of extent ξ in a dish, n_i moles of each gas in a jar of volume V around it, ν_i of which the reaction
 * gives (P. Atkins and J. de Paula, Physical Chemistry, ch. 6: dn_i = ν_i dξ). What the dish and the gas hold together
 * changes only by what goes out and comes in.
 * <ul>
 * <li>Open: the pressure stays the air's. What the reaction makes pushes out as much of the mixed gas; what it uses is
 * replaced by air. While something burns the draught renews the gas with a time constant of 10 s.
 * <li>Lid on: nothing goes out; {@code p = Σn R T/V}.
 * <li>Balloon: it fills once the pressure is 2 kPa over the air's, and stays there: {@code V_b = Σn R T/p − V}.
 * </ul>
 * A balance shows the mass on it less that of the air it displaces (the buoyancy of glass and weights is taken out when
 * it is adjusted): the outer one {@code m + Σn_i M_i − ρ_a (V + V_b)}, the inner one, within the jar's gas of density
 * ρ, {@code m_s − (ρ − ρ_a) V_s}. Each follows with a time constant of half a second and shows hundredths of a gram.
 *
 * <p>Marble, tablet, foam and precipitate come to their end exponentially, with a time constant of their own. Wool
 * burns at a rate that goes with the share of oxygen, until less than a twentieth of the gas is oxygen. All times are
 * such as are seen, not taken from measurements; where it ends depends on the amounts alone, by the limiting substance.
 *
 * <p>Assumptions: one temperature, 20 °C, throughout (warm gas would only matter for minutes); ideal gases, well mixed;
 * no water vapour; the liquids are saturated with the gas beforehand; nothing splashes.
 */
final class ReactionBalanceExperiment extends OdeExperiment {

    static final double GAS_CONSTANT = 8.314462618;
    static final double TEMPERATURE = 293.15;
    static final double OUTSIDE = 101_325;
    static final double RT = GAS_CONSTANT * TEMPERATURE;
    /** Volume of the jar's gas in m³. */
    static final double VOLUME = 2e-3;
    /** Over the air's pressure, in Pa. */
    static final double STRETCH = 2000;
    private static final double GRAVITY = 9.81;
    /** Jar, small balance and a lid or balloon; the dish alone; in kg. */
    private static final double JAR = 0.62;
    private static final double DISH = 0.045;
    private static final double DISH_VOLUME = 1.8e-5;
    private static final double SETTLING = 0.5;
    private static final double DRAUGHT = 10;
    /** Extent of burning in mol/s in plain air, and the share of oxygen at which it stops. */
    private static final double BURNING = 2e-4;
    private static final double TOO_LITTLE = 0.05;
    private static final double NEARLY = 0.999;
    private static final double HUNDREDTH = 1e-5;
    private static final double STEP = 0.05;
    private static final double GRIP = 0.03;
    /** Bubbles in the drawing begin again after so many seconds. */
    private static final double PHASES = 100;

    private final ReactionBalance d;
    private final Sample sample;
    private final int extent = variable("extent, mol");
    private final int[] in = new int[Gas.KINDS];
    private final int[] out = new int[Gas.KINDS];
    private final int wholeShown = variable("what the outer balance has come to, kg");
    private final int sampleShown = variable("what the inner balance has come to, kg");
    private final Register begun = register(0);
    private final Register burns = register(0);
    private final Register done = register(0);
    private final double[] first;
    private Closed closed;

    ReactionBalanceExperiment(ReactionBalance declared, Settings settings) {
        super(declared, settings);
        d = declared;
        sample = Sample.of(declared, settings);
        for (int i = 0; i < Gas.KINDS; i++) {
            in[i] = variable("mol of a gas in the jar");
        }
        for (int i = 0; i < Gas.KINDS; i++) {
            out[i] = variable("mol of a gas that went out");
        }
        // Wool burns to its end at once; the others come nearer and nearer to it.
        double end = sample.mixing() == Mixing.WOOL ? 1 : NEARLY;
        when("finished", (t, y) -> y[extent] / sample.furthest()).risesTo(end).then((rising, t, y, sink) -> {
            done.set(1);
            burns.set(0);
            sink.event(d.finished, t);
        });
        when("too little oxygen", (t, y) -> share(y, Gas.O2)).fallsTo(TOO_LITTLE).then((rising, t, y, sink) -> {
            if (burns.get() == 1) {
                burns.set(0);
                done.set(1);
                sink.event(d.goesOut, t);
            }
        });
        closed = settings.value(d.closed);
        first = new double[3 + 2 * Gas.KINDS];
        Gas gas = settings.value(d.gas);
        for (int i = 0; i < Gas.KINDS; i++) {
            first[in[i]] = OUTSIDE * VOLUME / RT * gas.share(i);
        }
        first[wholeShown] = wholeTrue(first);
        first[sampleShown] = sampleTrue(first);
        begin(first.clone());
    }

    @Override
    protected void apply(Settings settings) {
        closed = settings.value(d.closed);
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        apply(settings());
        // Whatever comes next, the jar stands open in between: what was under pressure, or in the balloon, goes out at
        // once, and what was drawn thin is filled up with air.
        double[] y = state();
        double over = total(y) - OUTSIDE * VOLUME / RT;
        double[] gone = new double[Gas.KINDS];
        for (int i = 0; i < Gas.KINDS; i++) {
            gone[i] = over * (over > 0 ? share(y, i) : Gas.AIR.share(i));
        }
        for (int i = 0; i < Gas.KINDS; i++) {
            y[out[i]] += gone[i];
            y[in[i]] -= gone[i];
        }
    }

    private double total(double[] y) {
        double sum = 0;
        for (int i = 0; i < Gas.KINDS; i++) {
            sum += y[in[i]];
        }
        return sum;
    }

    private double share(double[] y, int gas) {
        return y[in[gas]] / total(y);
    }

    private double balloon(double[] y) {
        return closed == Closed.BALLOON ? Math.max(0, total(y) * RT / (OUTSIDE + STRETCH) - VOLUME) : 0;
    }

    private static double density(Gas gas) {
        return OUTSIDE / RT * gas.molarMass();
    }

    private double gasMass(double[] y) {
        double sum = 0;
        for (int i = 0; i < Gas.KINDS; i++) {
            sum += y[in[i]] * Gas.molarMass(i);
        }
        return sum;
    }

    /** Mass in the dish, in kg: what came and went as gas is what the reaction gave and took. */
    private double inDish(double[] y) {
        double mass = sample.mass();
        for (int i = 0; i < Gas.KINDS; i++) {
            mass -= sample.mixing().gives(i) * y[extent] * Gas.molarMass(i);
        }
        return mass;
    }

    private double wholeTrue(double[] y) {
        return JAR + DISH + inDish(y) + gasMass(y) - density(Gas.AIR) * (VOLUME + balloon(y));
    }

    private double sampleTrue(double[] y) {
        double around = gasMass(y) / (VOLUME + balloon(y));
        return DISH + inDish(y) - (around - density(Gas.AIR)) * (DISH_VOLUME + sample.volume());
    }

    private double rate(double[] y) {
        if (begun.get() == 0 || sample.mixing() == Mixing.WOOL && burns.get() == 0) {
            return 0;
        }
        if (sample.mixing() == Mixing.WOOL) {
            return BURNING * share(y, Gas.O2) / Gas.AIR.share(Gas.O2);
        }
        return (sample.furthest() - y[extent]) / sample.mixing().seconds;
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        double rate = rate(y);
        dy[extent] = rate;
        double made = 0;
        for (int i = 0; i < Gas.KINDS; i++) {
            dy[in[i]] = sample.mixing().gives(i) * rate;
            made += dy[in[i]];
        }
        if (closed == Closed.OPEN) {
            double renewed = burns.get() == 1 ? total(y) / DRAUGHT : 0;
            for (int i = 0; i < Gas.KINDS; i++) {
                double gone = made * (made > 0 ? share(y, i) : Gas.AIR.share(i))
                        + renewed * (share(y, i) - Gas.AIR.share(i));
                dy[out[i]] = gone;
                dy[in[i]] -= gone;
            }
        }
        dy[wholeShown] = (wholeTrue(y) - y[wholeShown]) / SETTLING;
        dy[sampleShown] = (sampleTrue(y) - y[sampleShown]) / SETTLING;
    }

    @Override
    protected double step(double[] y) {
        return STEP;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        begun.set(1);
        boolean wool = act == d.light;
        boolean burning = wool && share(state(), Gas.O2) > TOO_LITTLE;
        burns.set(burning ? 1 : 0);
        done.set(wool && !burning ? 1 : 0);
        sink.event(d.begins, time());
        if (wool && !burning) {
            sink.event(d.goesOut, time());
        }
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("While it runs the jar is closed and opened in the settings");
    }

    private static double shown(double kg) {
        return Math.rint(kg / HUNDREDTH) * HUNDREDTH;
    }

    @Override
    public void read(Readings to) {
        double[] y = state();
        to.put(d.whole, shown(y[wholeShown]));
        to.put(d.sample, shown(y[sampleShown]));
        to.put(d.pressure, closed == Closed.OPEN ? OUTSIDE : total(y) * RT / (VOLUME + balloon(y)));
        to.put(d.oxygen, share(y, Gas.O2));
        to.put(d.dioxide, share(y, Gas.CO2));
        to.put(d.balloon, balloon(y));
        to.put(d.lift, density(Gas.AIR) * balloon(y) * GRAVITY);
        double gone = 0;
        double gained = 0;
        for (int i = 0; i < Gas.KINDS; i++) {
            gone += y[out[i]] * Gas.molarMass(i);
            gained += (y[in[i]] - first[in[i]]) * Gas.molarMass(i);
        }
        double dish = inDish(y) - sample.mass();
        to.put(d.inSample, dish);
        to.put(d.inGas, gained);
        to.put(d.outside, gone);
        to.put(d.altogether, dish + gained + gone);
    }

    @Override
    public void outcomes(Outcomes to) {
        if (done.get() == 0) {
            return;
        }
        double[] y = state();
        to.put(d.wholeChange, shown(y[wholeShown]) - shown(first[wholeShown]));
        to.put(d.sampleChange, shown(y[sampleShown]) - shown(first[sampleShown]));
        double made = 0;
        for (int i = 0; i < Gas.KINDS; i++) {
            made += Math.max(0, sample.mixing().gives(i)) * y[extent];
        }
        to.put(d.gasMade, made * RT / OUTSIDE);
        limits(to, y);
    }

    private void limits(Outcomes to, double[] y) {
        Mixing mixing = sample.mixing();
        if (mixing == Mixing.WOOL) {
            boolean usedUp = y[extent] >= NEARLY * sample.furthest();
            to.put(d.limit, d.limit.words().indexOf(y[extent] == 0 ? "nothing: it doesn't burn"
                    : usedUp ? mixing.first : mixing.second));
            to.put(d.left, usedUp ? 0 : sample.left(0, y[extent]));
            return;
        }
        int limiting = sample.limiting();
        to.put(d.limit, d.limit.words().indexOf(limiting == 0 ? mixing.first : mixing.second));
        to.put(d.left, sample.moles().length < 2 ? 0 : sample.left(1 - limiting, y[extent]));
    }

    @Override
    public void scene(Scene to) {
        double[] y = state();
        double progress = y[extent] / sample.furthest();
        double lively = sample.mixing() == Mixing.WOOL ? rate(y) / BURNING
                : rate(y) * sample.mixing().seconds / sample.furthest();
        to.put(d.base, 0, 0);
        to.put(d.lid, 0, closed == Closed.OPEN ? ReactionBalance.LIFTED : ReactionBalance.MOUTH);
        to.put(d.balloonRadius, Math.cbrt(0.75 / Math.PI * balloon(y)));
        double section = Math.PI * 0.025 * 0.025;
        to.put(d.level, sample.mixing() == Mixing.WOOL ? 0 : sample.volume() / section);
        to.put(d.foam, sample.mixing() == Mixing.FOAM ? 0.028 * Math.sqrt(progress) : 0);
        to.put(d.what, sample.mixing().ordinal());
        to.put(d.how, closed.ordinal());
        to.put(d.which, settings().value(d.gas).ordinal());
        to.put(d.progress, 100 * progress);
        to.put(d.lively, 10 * Math.min(1, lively));
        display(to, y[wholeShown], d.wholeGrams, d.wholeHundredths);
        display(to, y[sampleShown], d.sampleGrams, d.sampleHundredths);
        to.put(d.phase, time() % PHASES);
        to.put(d.together, begun.get() == 1);
        to.put(d.canTip, begun.get() == 0 && sample.mixing() != Mixing.WOOL);
        to.put(d.canLight, begun.get() == 0 && sample.mixing() == Mixing.WOOL);
        to.put(d.grip, GRIP);
    }

    private static void display(Scene to, double kg, SceneNumber grams,
            SceneNumber hundredths) {
        long all = Math.round(kg / HUNDREDTH);
        to.put(grams, all / 100);
        to.put(hundredths, all % 100);
    }
}
