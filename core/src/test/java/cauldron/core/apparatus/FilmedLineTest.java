package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.instrument.stopwatch.Stopwatch;
import org.junit.jupiter.api.Test;

/** Lines of the scene in a film. */
class FilmedLineTest {

    /** A thread of which more is paid out every second. */
    static class Thread extends Apparatus {

        final Amount points = amount("points", "n", "Points a second", "1/s").within(1, 500).first(3).live();
        final Channel long_ = channel("long", "l", "Length", "m").typically(0, 1);
        final View front = view("front", "Front");
        final Place end = place("end").filmed();
        final Layer shown = layer("shown", "Its way");
        final SceneCurve line = curve("line").filmed();
        final SceneCurve unseen = curve("unseen");

        Thread() {
            super("thread", 1, "Thread");
            about("A thread is paid out.", "length");
            tray(Stopwatch.toHundredths());
        }

        @Override
        public Frame frame(View view, Settings settings) {
            return new Frame(0, 0, 1, 0.5);
        }

        @Override
        public Experiment prepare(Settings s, int seed) {
            return new Experiment(this, s) {
                private double now;

                @Override
                public double time() {
                    return now;
                }

                @Override
                public void advanceTo(double time, EventSink sink) {
                    now = time;
                }

                @Override
                public void read(Readings out) {
                    out.put(long_, now);
                }

                @Override
                public void scene(Scene out) {
                    int n = (int) Math.round(now * s.si(points));
                    double[] xy = new double[2 * n];
                    for (int i = 0; i < n; i++) {
                        xy[2 * i] = i / 1000.0;
                        xy[2 * i + 1] = 0.25;
                    }
                    out.put(line, xy);
                    out.put(unseen, xy);
                    out.put(end, 0.5, 0.5);
                }

                @Override
                protected void changed(Setting setting, Settings before, EventSink sink) {
                    // It is asked for the setting each time.
                }

                @Override
                protected void restored() {
                    // Nothing follows.
                }
            };
        }
    }

    private static Film film(double points, double seconds) {
        Thread thread = new Thread();
        Recipe recipe = new Run(thread, Settings.of(thread.manifest(), Tree.of("points", points)), 1).recipe();
        return Film.shoot(thread, recipe, thread.front, 1, seconds);
    }

    private static int at(Film film, int frame, String field) {
        int i = film.moving().indexOf(field);
        return i < 0 ? ((Double) film.still().get(field)).intValue() : film.body()[frame * film.moving().size() + i];
    }

    @Test
    void eachFrameHasThePointsOfItsMoment() {
        Film film = film(3, 2);
        assertThat(film.header().get("lines")).isEqualTo(Tree.of("line", 6.0));
        assertThat(at(film, 0, "line:0.x")).isEqualTo(FilmedLine.NOTHING);
        assertThat(at(film, 1, "line:2.x")).isEqualTo(2 * Film.FINENESS);
        assertThat(at(film, 1, "line:3.x")).isEqualTo(FilmedLine.NOTHING);
        assertThat(at(film, 2, "line:5.x")).isEqualTo(5 * Film.FINENESS);
        assertThat(at(film, 2, "line:5.y")).isEqualTo(250 * Film.FINENESS);
        assertThat(film.moving()).noneMatch(id -> id.startsWith("unseen"));
    }

    @Test
    void aLongLineIsThinnedWithItsEndsKept() {
        Film film = film(500, 1);
        assertThat(film.lines()).isEqualTo(Tree.of("line", (double) FilmedLine.MOST_POINTS));
        assertThat(at(film, 1, "line:0.x")).isZero();
        assertThat(at(film, 1, "line:119.x")).isEqualTo(499 * Film.FINENESS);
    }

    @Test
    void whatOnlyALayerShowsIsNotFilmed() {
        class Wrong extends Thread {
            final SceneCurve way = curve("way").on(shown).filmed();
        }
        assertThatThrownBy(() -> new Wrong().manifest()).isInstanceOf(DeclarationException.class)
                .hasMessageContaining("no camera sees");
        assertThat(new Thread().manifest().curves()).hasSize(2);
    }
}
