package cauldron.core.apparatus.reflextimer;

import cauldron.core.RandomSource;
import cauldron.core.analysis.Statistics;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Distribution;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import java.util.function.DoubleUnaryOperator;

/**
 * A set of cues and a person's answers to them: simple reaction times, one kind of cue and one kind of answer (R. D. Luce,
 * Response Times, Oxford 1986, ch. 2). Nothing of the person is modelled; the experiment says when a cue is due, and what
 * the instants at which it was shown and answered come to.
 *
 * <ul>
 * <li>Waits are drawn evenly between the shortest and the longest, from the run's seed, so that a set can be looked at
 *     again; a set is never given twice with the same seed.
 * <li>A time counts from the instant at which the cue was really shown, which is told as an act: a display draws it up to a
 *     picture later than it was due, a horn sounds later still.
 * <li>An answer while no cue has been shown, or within 0.100 s of it (World Athletics, Technical Rules, 16.6: nobody's nerves
 *     are quicker), is a false start: it is counted apart, and the wait begins anew.
 * <li>A cue that isn't answered within 2 s is missed, and spent.
 * </ul>
 */
final class ReflexTimerExperiment extends Experiment {

    static final double TOO_SOON = 0.1;
    static final double GIVEN_UP = 2;
    private static final int WAITS = 512;
    private static final double WIDEST = 3.2;
    private static final double ABOVE_SEA = 0.1;

    private enum Phase { IDLE, WAITING, DUE, SHOWN, OVER }

    private final ReflexTimer d;
    private final double[] waits = new double[WAITS];
    private final double[] places = new double[WAITS];
    private final Register now = register(0);
    private final Register phase = register(Phase.IDLE.ordinal());
    /** When the phase ends by itself. */
    private final Register next = register(Double.POSITIVE_INFINITY);
    private final Register wait = register(0);
    private final Register shownAt = register(Double.NaN);
    private final Register falseStarts = register(0);
    private final Register missed = register(0);
    private final Register over = register(Double.POSITIVE_INFINITY);
    private final AnswerTimes times = remember(new AnswerTimes());

    ReflexTimerExperiment(ReflexTimer d, Settings s, int seed) {
        super(d, s);
        this.d = d;
        RandomSource waiting = RandomSource.named(seed, "waits");
        RandomSource placing = RandomSource.named(seed, "places");
        boolean anywhere = s.value(d.where) == ReflexTimer.Where.ANYWHERE;
        for (int i = 0; i < WAITS; i++) {
            waits[i] = waiting.between(s.si(d.shortest), s.si(d.longest));
            places[i] = anywhere ? placing.between(-WIDEST, WIDEST) : 0;
        }
    }

    private Phase phase() {
        return Phase.values()[(int) phase.get()];
    }

    private boolean isDue() {
        return phase() == Phase.DUE || phase() == Phase.SHOWN;
    }

    @Override
    public double time() {
        return now.get();
    }

    @Override
    public boolean isOver() {
        return now.get() >= over.get();
    }

    @Override
    public void advanceTo(double time, EventSink sink) {
        while (next.get() <= Math.min(time, over.get())) {
            double at = next.get();
            if (phase() == Phase.WAITING) {
                phase.set(Phase.DUE.ordinal());
                next.set(at + GIVEN_UP);
                sink.event(d.given, at);
            } else {
                missed.add(1);
                sink.event(d.notAnswered, at);
                goOn(at);
            }
        }
        now.set(Math.min(time, over.get()));
    }

    private void goOn(double at) {
        if (times.count() + missed.get() >= settings().count(d.events)) {
            end(at);
        } else {
            waitFrom(at);
        }
    }

    private void end(double at) {
        phase.set(Phase.OVER.ordinal());
        next.set(Double.POSITIVE_INFINITY);
        over.set(at);
    }

    private void waitFrom(double at) {
        phase.set(Phase.WAITING.ordinal());
        wait.add(1);
        next.set(at + waits[which()]);
    }

    private int which() {
        return (int) wait.get() % WAITS;
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        if (act == d.begin) {
            waitFrom(now.get());
        } else if (act == d.shown) {
            phase.set(Phase.SHOWN.ordinal());
            shownAt.set(now.get());
        } else if (act == d.stop) {
            end(now.get());
        } else {
            answered(sink);
        }
    }

    private void answered(EventSink sink) {
        double took = now.get() - shownAt.get();
        if (phase() != Phase.SHOWN || took < TOO_SOON) {
            falseStarts.add(1);
            sink.event(d.tooSoon, now.get());
            waitFrom(now.get());
            return;
        }
        times.add(took);
        sink.event(d.answered, now.get());
        goOn(now.get());
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        throw impossible();
    }

    @Override
    public void read(Readings out) {
        Statistics s = times.statistics();
        out.put(d.number, times.count());
        out.put(d.last, times.last());
        out.put(d.mean, s.mean());
        out.put(d.deviation, s.sd());
        out.put(d.falseStarts, falseStarts.get());
        out.put(d.missed, missed.get());
    }

    @Override
    public void scene(Scene out) {
        ReflexTimer.Cue cue = settings().value(d.cue);
        out.put(d.lamp, places[which()], ABOVE_SEA);
        out.put(d.lampColour, settings().value(d.colour).ordinal());
        out.put(d.done, times.count() + missed.get());
        out.put(d.all, settings().count(d.events));
        out.put(d.lit, isDue() && cue.seen);
        out.put(d.horn, isDue() && cue.heard);
        out.put(d.begun, phase() != Phase.IDLE);
        out.put(d.counting, phase() != Phase.IDLE && phase() != Phase.OVER);
        out.put(d.due, phase() == Phase.DUE);
    }

    @Override
    public void outcomes(Outcomes out) {
        if (phase() != Phase.OVER) {
            return;
        }
        Statistics s = times.statistics();
        out.put(d.answers, times.count());
        out.put(d.meanTime, s.mean());
        out.put(d.spread, s.sd());
        out.put(d.median, s.median());
        out.put(d.fastest, s.min());
        out.put(d.early, falseStarts.get());
        out.put(d.lost, missed.get());
    }

    /** All times so far; beside them the normal curve of their mean and standard deviation, once they scatter. */
    @Override
    public Population population(Distribution distribution, int which) {
        Statistics s = times.statistics();
        DoubleUnaryOperator normal = s.sd() > 0 ? t -> Math.exp(-0.5 * (t - s.mean()) * (t - s.mean()) / (s.sd() * s.sd()))
                / (s.sd() * Math.sqrt(2 * Math.PI)) : null;
        return new Population(times.all(), times.count(), normal, new double[] {s.mean() - s.sd(), s.mean(), s.mean() + s.sd()},
                Double.NaN);
    }

    @Override
    protected void restored() {
        // All there is to it is remembered.
    }
}
