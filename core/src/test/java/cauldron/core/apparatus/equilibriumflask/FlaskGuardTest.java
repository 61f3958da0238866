package cauldron.core.apparatus.equilibriumflask;

import cauldron.core.apparatus.Guard;
import cauldron.core.apparatus.Run;
import org.junit.jupiter.api.Test;

/** The flask's rate equations against mass action written down once more, in explicit steps short enough for it. */
class FlaskGuardTest {

    private static final EquilibriumFlask FLASK = new EquilibriumFlask();
    private static final double UNTIL = 200;
    private static final int MOST_STEPS = 400_000;

    @Test
    void whateverIsPutInComesTogetherAsMassActionSays() {
        Guard guard = new Guard(FLASK);
        guard.over((s, i) -> {
            Reversible of = s.value(FLASK.reaction);
            Vessel vessel = FLASK.of(of);
            int n = of.terms().size();
            double[] put = new double[n];
            for (int k = 0; k < n; k++) {
                put[k] = s.si(vessel.matter.get(k).put);
            }
            double volume = s.si(vessel.volume);
            double temperature = s.si(vessel.temperature);
            double forward = of.forward(temperature) * (s.on(FLASK.catalyst) ? 8 : 1);
            double back = forward / of.constant(temperature);
            double extent = 0;
            double time = 0;
            double settled = Double.NaN;
            int steps = 0;
            double[] rates = rates(of, put, 0, volume, forward, back);
            // What begins at rest, or can't react at all, has nothing to come to.
            boolean begins = rates[0] + rates[1] > 0 && unlike(rates) > 0.005;
            while (time < UNTIL && steps < MOST_STEPS) {
                rates = rates(of, put, extent, volume, forward, back);
                double stiff = stiffness(of, put, extent, volume, forward, back);
                double h = Math.min(Math.min(0.02, UNTIL - time), 0.05 / Math.max(1e-9, stiff));
                double half = extent + 0.5 * h * volume * net(of, put, extent, rates);
                double[] there = rates(of, put, half, volume, forward, back);
                double next = extent + h * volume * net(of, put, extent, there);
                next = Math.max(least(of, put), Math.min(most(of, put), next));
                double[] after = rates(of, put, next, volume, forward, back);
                if (begins && Double.isNaN(settled) && unlike(rates) > 0.005 && unlike(after) <= 0.005) {
                    settled = time + h * (unlike(rates) - 0.005) / (unlike(rates) - unlike(after));
                }
                extent = next;
                time += h;
                steps++;
            }
            if (steps >= MOST_STEPS) {
                return;
            }
            Run run = new Run(FLASK, s, 1);
            run.seek(time);
            for (int k = 0; k < n; k++) {
                guard.holds("amount", run.read(vessel.matter.get(k).amount), put[k] + of.terms().get(k).count() * extent,
                        2e-3 * Math.max(1e-5, put[0] + put[1]));
            }
            if (!Double.isNaN(settled) && settled < 0.95 * UNTIL) {
                guard.holds("rates equal", Guard.first(run, FLASK.settled), settled, 0.01 * settled + 0.02);
            }
        });
    }

    private static double[] rates(Reversible of, double[] put, double extent, double volume, double forward, double back) {
        double f = forward;
        double b = back;
        for (int k = 0; k < put.length; k++) {
            int nu = of.terms().get(k).count();
            if (!Reversible.counts(of.terms().get(k))) {
                continue;
            }
            double c = Math.max(0, put[k] + nu * extent) / volume;
            f *= nu < 0 ? Math.pow(c, -nu) : 1;
            b *= nu > 0 ? Math.pow(c, nu) : 1;
        }
        return new double[] {f, b};
    }

    private static double unlike(double[] rates) {
        return rates[0] + rates[1] > 0 ? Math.abs(rates[0] - rates[1]) / (rates[0] + rates[1]) : 0;
    }

    /** Nothing goes a way for which a solid is missing. */
    private static double net(Reversible of, double[] put, double extent, double[] rates) {
        double net = rates[0] - rates[1];
        for (int k = 0; k < put.length; k++) {
            int nu = of.terms().get(k).count();
            boolean gone = !Reversible.counts(of.terms().get(k)) && put[k] + nu * extent <= 1e-12;
            net = gone && nu * net < 0 ? 0 : net;
        }
        return net;
    }

    private static double stiffness(Reversible of, double[] put, double extent, double volume, double forward, double back) {
        double d = 1e-7 * Math.max(1e-6, most(of, put) - least(of, put));
        double[] up = rates(of, put, extent + d, volume, forward, back);
        double[] down = rates(of, put, extent - d, volume, forward, back);
        return volume * (Math.abs(up[0] - down[0]) + Math.abs(up[1] - down[1])) / (2 * d);
    }

    private static double least(Reversible of, double[] put) {
        double x = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < put.length; k++) {
            int nu = of.terms().get(k).count();
            x = nu > 0 ? Math.max(x, -put[k] / nu) : x;
        }
        return x;
    }

    private static double most(Reversible of, double[] put) {
        double x = Double.POSITIVE_INFINITY;
        for (int k = 0; k < put.length; k++) {
            int nu = of.terms().get(k).count();
            x = nu < 0 ? Math.min(x, -put[k] / nu) : x;
        }
        return x;
    }
}
