package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.instrument.stopwatch.Stopwatch;
import org.junit.jupiter.api.Test;

/** What an experiment of differential equations may be besides: stiff, gathering on its way, and over by itself. */
class EndAndStiffTest {

    /** A pointer that is drawn after a swinging mark a hundred thousand times faster than that swings: y' = −λ (y − cos t). */
    static final class Pointer extends Apparatus {

        final Amount lambda = amount("lambda", "λ", "Quickness", "1/s").within(1, 1e6).first(1e5).live();
        final Amount until = amount("until", "t_e", "Over after", "s").within(1, 100).first(10);
        final Channel y = channel("y", "y", "Pointer", "").typically(-1, 1);
        final Event across = event("across", "across the middle");
        final Event over = event("over", "end of the run");
        final Outcome swept = outcome("swept", "S", "Way swept over", "");
        final View front = view("front", "Front");
        final Place tip = place("tip").filmed();

        Pointer() {
            super("pointer", 1, "Pointer");
            about("A pointer follows a mark.", "stiffness");
            tray(Stopwatch.toHundredths());
        }

        @Override
        public Frame frame(View view, Settings settings) {
            return new Frame(-1, -1, 2, 2);
        }

        @Override
        public Experiment prepare(Settings settings, int seed) {
            return new Drawn(this, settings);
        }
    }

    private static final class Drawn extends OdeExperiment {

        private final Pointer d;
        private final int y = variable("pointer");
        private final Register last = register(1);
        private final Register swept = register(0);
        private double lambda;

        Drawn(Pointer d, Settings s) {
            super(d, s);
            this.d = d;
            when("middle", y).crosses(0).then((rising, t, state, sink) -> sink.event(d.across, t));
            when("end", (t, state) -> t - s.si(d.until)).risesTo(0).then((rising, t, state, sink) -> {
                sink.event(d.over, t);
                end(t);
            });
            apply(s);
            begin(1);
        }

        @Override
        protected boolean isStiff() {
            return true;
        }

        @Override
        protected void apply(Settings s) {
            lambda = s.si(d.lambda);
        }

        @Override
        protected void law(double t, double[] state, double[] dy) {
            dy[y] = -lambda * (state[y] - Math.cos(t)) - Math.sin(t);
        }

        @Override
        protected double step(double[] state) {
            return 0.05;
        }

        @Override
        protected void stepped(double t, double[] state) {
            swept.add(Math.abs(state[y] - last.get()));
            last.set(state[y]);
        }

        @Override
        public void read(Readings out) {
            out.put(d.y, state()[y]);
        }

        @Override
        public void scene(Scene out) {
            out.put(d.tip, state()[y], 0);
        }

        @Override
        public void outcomes(Outcomes out) {
            if (isOver()) {
                out.put(d.swept, swept.get());
            }
        }
    }

    private static final Pointer POINTER = new Pointer();

    private static Run run(Object... settings) {
        return new Run(POINTER, Settings.of(POINTER.manifest(), Tree.of(settings)), 1);
    }

    @Test
    void aStiffLawIsFollowedInStepsOfWhatIsWatched() {
        Run run = run();
        for (double t : new double[] {0.013, 1.7, 3.2, 9.99}) {
            run.seek(t);
            assertThat(run.read(POINTER.y)).as("at %s s", t).isCloseTo(Math.cos(t), within(2e-9));
        }
    }

    @Test
    void eventsInAStiffLawAreFoundExactly() {
        Run run = run();
        assertThat(run.advance(5, new StopAt.Happening(POINTER.across, 2))).isTrue();
        assertThat(run.time()).isCloseTo(1.5 * Math.PI, within(1e-9));
    }

    @Test
    void howOftenItIsAskedMakesNoDifference() {
        Run at = run();
        at.seek(7.77);
        Run often = run();
        for (int i = 1; i < 777; i++) {
            often.seek(i * 0.01);
        }
        often.seek(3);
        often.seek(7.77);
        assertThat(often.read(POINTER.y)).isEqualTo(at.read(POINTER.y));
    }

    @Test
    void itEndsExactlyAndTimeGoesNoFurther() {
        Run run = run("until", 4.321);
        assertThat(run.outcome(POINTER.swept)).isNaN();
        assertThat(run.advance(1000, null)).isFalse();
        assertThat(run.time()).isCloseTo(4.321, within(1e-12));
        assertThat(run.isOver()).isTrue();
        assertThat(run.count(POINTER.over, -1, 100)).isEqualTo(1);
        // From 1 down to −1 and up again: a grid of 0.05 s sees the turn to about a thousandth.
        assertThat(run.outcome(POINTER.swept)).isCloseTo(2 + Math.cos(4.321) + 1, within(2e-3));
        double swept = run.outcome(POINTER.swept);
        assertThatThrownBy(() -> run.act(new Action.Change("lambda", 5.0))).hasMessageContaining("over");
        run.seek(2);
        run.seek(50);
        assertThat(run.outcome(POINTER.swept)).as("gathered anew on the way").isEqualTo(swept);
    }

    @Test
    void actingBeforeTheEndOpensItAgain() {
        Run run = run("until", 4.0);
        run.seek(100);
        run.seek(2);
        run.act(new Action.Change("lambda", 200.0));
        assertThat(run.head()).isEqualTo(2);
        assertThat(run.isOver()).isFalse();
        run.seek(100);
        assertThat(run.time()).isCloseTo(4, within(1e-12));
        Run again = Run.replay(POINTER, run.recipe(), 100);
        assertThat(again.read(POINTER.y)).isEqualTo(run.read(POINTER.y));
    }

    @Test
    void lookingForWhatNeverComesEndsWithTheRun() {
        Run run = run("until", 3.0);
        assertThat(run.advance(1e6, new StopAt.Crossing(POINTER.y, 5))).isFalse();
        assertThat(run.time()).isCloseTo(3, within(1e-12));
        assertThat(run.back(new StopAt.Happening(POINTER.across, 1))).isTrue();
        assertThat(run.time()).isCloseTo(Math.PI / 2, within(1e-9));
    }
}
