package cauldron.core.bead;

import cauldron.core.apparatus.*;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.stopwatch.Stopwatch;

/**
 * A bead that slides without friction on a wire bent to the parabola y = a x²; it stands only in tests. By Lagrange
 * (H. Goldstein, Classical Mechanics, §1.6): {@code (1 + 4a²x²) x'' = −4a² x x'² − 2 g a x}.
 */
public class Bead extends Apparatus {

    final Amount bend = amount("bend", "a", "Bend of the wire", "1/m").within(0.2, 3).step(0.1).first(1).live();
    final Amount from = amount("from", "x_0", "Let go at", "cm").within(-50, 50).step(5).first(30);
    public final Gravity gravity = include(new Gravity());
    final Channel x = channel("x", "x", "Across", "cm").typically(-50, 50).decimals(1);
    final Channel speed = channel("speed", "v", "Speed along the wire", "m/s").typically(0, 3);
    final Event lowest = event("lowest", "lowest point");
    final View front = view("front", "Front view");
    final Place bead = place("bead").filmed();
    final Coordinate height = length("bend.height").filmed();

    public Bead() {
        super("bead", 1, "Bead on a wire");
        about("A bead slides on a bent wire.", "oscillation");
        tray(Ruler.twoMetres(), Stopwatch.toHundredths());
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(-0.6, -0.1, 1.2, 0.9);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new Sliding(settings);
    }

    private final class Sliding extends OdeExperiment {
        private final int at = variable("across, m");
        private final int v = variable("velocity across, m/s");
        private double a;
        private double g;

        Sliding(Settings s) {
            super(Bead.this, s);
            when("lowest point", at).crosses(0).then((rising, t, y, sink) -> sink.event(lowest, t));
            apply(s);
            begin(s.si(from), 0);
        }

        @Override
        protected void apply(Settings s) {
            a = s.si(bend);
            g = gravity.of(s);
        }

        @Override
        protected void law(double t, double[] y, double[] dy) {
            dy[at] = y[v];
            dy[v] = -2 * a * y[at] * (2 * a * y[v] * y[v] + g) / (1 + 4 * a * a * y[at] * y[at]);
        }

        @Override
        protected double step(double[] y) {
            return 0.01 / Math.sqrt(2 * g * a);
        }

        @Override
        public void read(Readings out) {
            out.put(x, state()[at]);
            out.put(speed, Math.abs(state()[v]) * Math.sqrt(1 + 4 * a * a * state()[at] * state()[at]));
        }

        @Override
        public void scene(Scene out) {
            out.put(bead, state()[at], a * state()[at] * state()[at]);
            out.put(height, 0.25 * a);
        }
    }
}
