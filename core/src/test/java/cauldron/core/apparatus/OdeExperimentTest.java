package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Events of a law that a child can solve: a point on a line at 1 m/s, with a step of a second. */
class OdeExperimentTest {

    /** What has to be declared of it. */
    private static final class Walk extends Apparatus {
        final Channel place = channel("place", "x", "Place", "m").typically(0, 10);
        final Event passed = event("passed", "passed");
        final Event other = event("other", "other");
        final View side = view("side", "Side");
        final Place at = place("at");

        Walk() {
            super("walk", 1, "Walk");
            about("A point walks along a line.", "motion");
        }

        @Override
        public Experiment prepare(Settings settings, int seed) {
            throw new UnsupportedOperationException();
        }

        @Override
        public Frame frame(View view, Settings settings) {
            return new Frame(0, 0, 1, 1);
        }
    }

    private abstract static class Walking extends OdeExperiment {
        final Walk d;
        final int x = variable("place, m");

        Walking(Walk d) {
            super(d, Settings.of(d.manifest(), Map.of()));
            this.d = d;
        }

        @Override
        protected void law(double t, double[] y, double[] dy) {
            dy[x] = 1;
        }

        @Override
        protected double step(double[] y) {
            return 1;
        }

        @Override
        protected void apply(Settings settings) {
        }

        @Override
        public void read(Readings out) {
            out.put(d.place, state()[x]);
        }

        @Override
        public void scene(Scene out) {
            out.put(d.at, state()[x], 0);
        }
    }

    private static final Walk WALK = new Walk();

    private static List<String> events(OdeExperiment walk, double until) {
        List<String> all = new ArrayList<>();
        walk.advanceTo(until, (event, time) -> all.add(event.id() + " " + Math.round(time * 1e6) / 1e6));
        return all;
    }

    /** Each mark puts the next a little further on, all within one step. */
    @Test
    void marksThatMoveOnAreAllMetHoweverCloseTheyStand() {
        Walking walk = new Walking(WALK) {
            {
                Register next = register(0.25);
                when("mark", (t, y) -> y[x] - next.get()).risesTo(0).then((rising, t, y, sink) -> {
                    sink.event(d.passed, t);
                    next.set(next.get() + 0.01);
                });
                begin(0);
            }
        };
        List<String> all = events(walk, 0.4);
        assertThat(all).hasSize(15).startsWith("passed 0.25", "passed 0.26").endsWith("passed 0.39");
    }

    @Test
    void twoAtOneInstantBothHappen() {
        Walking walk = new Walking(WALK) {
            {
                when("one", x).risesTo(0.5).then((rising, t, y, sink) -> sink.event(d.passed, t));
                when("other", (t, y) -> 2 * y[x] - 1).risesTo(0).then((rising, t, y, sink) -> sink.event(d.other, t));
                begin(0);
            }
        };
        assertThat(events(walk, 3)).containsExactlyInAnyOrder("passed 0.5", "other 0.5");
    }

    /** The other mark stands a billionth of a metre further: it is met for itself, where what happens there can be seen. */
    @Test
    void twoAHairApartHappenEachAtItsPlace() {
        List<Double> places = new ArrayList<>();
        Walking walk = new Walking(WALK) {
            {
                when("one", x).risesTo(0.5).then((rising, t, y, sink) -> places.add(y[x]));
                when("other", x).risesTo(0.5 + 1e-9).then((rising, t, y, sink) -> places.add(y[x]));
                begin(0);
            }
        };
        events(walk, 3);
        assertThat(places).hasSize(2);
        assertThat(places.get(1)).isCloseTo(0.5 + 1e-9, within(1e-12));
    }

    /** What happens puts another function on its other side: that happens too, at the same instant, and once. */
    @Test
    void whatAnEventBringsAboutHappensWithIt() {
        Walking walk = new Walking(WALK) {
            {
                when("jump", x).risesTo(0.5).then((rising, t, y, sink) -> {
                    y[x] = 7;
                    sink.event(d.passed, t);
                });
                when("far", x).risesTo(6).then((rising, t, y, sink) -> sink.event(d.other, t));
                begin(0);
            }
        };
        assertThat(events(walk, 3)).containsExactly("passed 0.5", "other 0.5");
        assertThat(walk.state()[0]).isCloseTo(9.5, within(1e-12));
    }

    /** A function that begins to be watched on its other side hasn't changed its sign. */
    @Test
    void whatIsWatchedAnewHasNotPassed() {
        Walking walk = new Walking(WALK) {
            {
                Register on = register(0);
                when("switch", x).risesTo(0.5).then((rising, t, y, sink) -> {
                    on.set(1);
                    sink.event(d.passed, t);
                });
                when("past", x).risesTo(0.2).only(on::isOn).then((rising, t, y, sink) -> sink.event(d.other, t));
                when("still to come", x).risesTo(1.2).only(on::isOn).then((rising, t, y, sink) -> sink.event(d.other, t));
                begin(0);
            }
        };
        assertThat(events(walk, 3)).containsExactly("passed 0.5", "other 1.2");
    }

    @Test
    void whatBeginsBeyondHappensAtTheBeginningWhereThatIsSaid() {
        Walking walk = new Walking(WALK) {
            {
                when("already", x).risesTo(-1).orFromTheStart().then((rising, t, y, sink) -> sink.event(d.passed, t));
                when("silently", x).risesTo(-1).then((rising, t, y, sink) -> sink.event(d.other, t));
                begin(0);
            }
        };
        double[] first = walk.snapshot();
        assertThat(events(walk, 2)).containsExactly("passed 0.0");
        walk.restore(first);
        assertThat(events(walk, 2)).containsExactly("passed 0.0");
    }

    /** Two that put each other back for ever end the instant all the same. */
    @Test
    void anInstantHasAnEnd() {
        Walking walk = new Walking(WALK) {
            {
                Register side = register(-1);
                when("one", (t, y) -> y[x] < 0.5 ? -1 : side.get()).crosses(0).then((rising, t, y, sink) -> side.set(-side.get()));
                when("other", (t, y) -> side.get()).crosses(0).then((rising, t, y, sink) -> side.set(-side.get()));
                when("half", x).risesTo(0.5).then((rising, t, y, sink) -> side.set(1));
                begin(0);
            }
        };
        events(walk, 3);
        assertThat(walk.time()).isEqualTo(3);
    }
}
