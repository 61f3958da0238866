package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * An experiment with its history. A run is recorded whole: every channel is sampled all the time, so one
 * can be shown that nobody asked for while it ran; and any moment can be gone back to, because snapshots
 * are kept along the way. Going back changes nothing; acting in the past drops what came after.
 */
public final class Run {

    /** The most numbers that all checkpoints together hold. */
    public static final int MOST_CHECKPOINT_VALUES = 6_000_000;
    private static final double SAME_INSTANT = 1e-9;
    /** Samples gone over at a time in looking for a condition. */
    private static final int STRETCH = 60;

    private final Apparatus apparatus;
    private final Manifest manifest;
    private final Settings settings;
    private final int seed;
    private final Experiment experiment;
    private final List<Recipe.Timed> actions = new ArrayList<>();
    private final EventLog events = new EventLog();
    private final Checkpoints checkpoints = new Checkpoints(MOST_CHECKPOINT_VALUES);
    /** How many actions have been done at the moment shown. */
    private int done;
    private double[][] samples;
    private final double[][] paths;
    private final Readings readings;
    private final Scene scene;
    /** Whether the readings are those of the moment shown. */
    private boolean readNow;
    /** Whether the scene is that of the moment shown. */
    private boolean sceneNow;
    private int sampleCount;
    private double head;
    /** Where a search starts again from, or null. */
    private Checkpoints.Checkpoint base;

    public Run(Apparatus apparatus, Settings settings, int seed) {
        this.apparatus = apparatus;
        this.manifest = apparatus.manifest();
        this.settings = settings;
        this.seed = seed;
        this.experiment = apparatus.prepare(settings, seed);
        this.samples = new double[manifest.channels().size()][256];
        this.paths = new double[manifest.handles().size()][512];
        this.readings = new Readings(manifest);
        this.scene = new Scene(manifest);
        keepSnapshot();
        sample();
    }

    /**
     * Replays a recipe of an apparatus from its beginning to a time.
     *
     * @throws OtherModelException if it was made with another version of the model, which gave other numbers
     */
    public static Run replay(Apparatus apparatus, Recipe made, double until) {
        Recipe recipe = apparatus.now(made);
        Run run = new Run(apparatus, Settings.of(apparatus.manifest(), recipe.settings()), recipe.seed());
        for (Recipe.Timed timed : recipe.actions()) {
            if (timed.time() > until) {
                break;
            }
            run.seek(timed.time());
            run.act(timed.action());
        }
        run.seek(until);
        return run;
    }

    public Manifest manifest() {
        return manifest;
    }

    public Settings settings() {
        return settings;
    }

    /** The settings that rule at the moment shown; in the past, those of then. */
    public Settings settingsNow() {
        return experiment.settings();
    }

    /** The moment that is shown. */
    public double time() {
        return experiment.time();
    }

    /** The end of what has been recorded. */
    public double head() {
        return head;
    }

    /** A channel's value at the moment shown, in SI; NaN where it has none yet. */
    public double read(Channel channel) {
        return readings().of(channel);
    }

    /** The values of all channels at the moment shown, in SI, in the manifest's order; the same array every time. */
    public double[] channels() {
        return readings().values();
    }

    private Readings readings() {
        if (!readNow) {
            experiment.read(readings);
            readNow = true;
        }
        return readings;
    }

    /** The scene at the moment shown; the same object every time. */
    public Scene scene() {
        if (!sceneNow) {
            experiment.scene(scene);
            sceneNow = true;
        }
        return scene;
    }

    /** The moment or the state has changed. */
    private void lookAnew() {
        readNow = false;
        sceneNow = false;
    }

    /** Fills in the crowd now: x, y in metres and kind of each; answers how many. */
    public int crowd(double[] out) {
        return experiment.crowd(out);
    }

    public int crowdSize() {
        return experiment.crowdSize();
    }

    /** The values of a distribution now, for one of its populations. */
    public Population population(Distribution distribution, int which) {
        return experiment.population(distribution, which);
    }

    /** What the view shows with the settings that rule now: left, bottom, width, height in metres. */
    public Frame frame(View view) {
        return apparatus.frame(view, experiment.settings());
    }

    /** Goes to any moment, computing on where it lies beyond the head. */
    public void seek(double time) {
        double target = Math.max(0, time);
        if (target < experiment.time()) {
            restoreBefore(target);
        }
        forward(target);
    }

    /**
     * Goes on by so many seconds, or to where it should stop, whichever is first.
     *
     * @param stop where to stop, or null
     * @return whether it stopped there
     */
    public boolean advance(double seconds, StopAt stop) {
        double from = experiment.time();
        double to = from + seconds;
        if (stop instanceof StopAt.Time) {
            double at = ((StopAt.Time) stop).time();
            if (at > from && at <= to) {
                forward(at);
                return true;
            }
        } else if (stop instanceof StopAt.Happening) {
            StopAt.Happening event = (StopAt.Happening) stop;
            // In stretches: a long way may be allowed, and what is met is often near.
            while (experiment.time() < to) {
                forward(Math.min(to, experiment.time() + STRETCH * manifest.interval()));
                double at = events.nthAfter(from, event.event(), event.count());
                if (at <= experiment.time()) {
                    seek(at);
                    return true;
                }
            }
            return false;
        } else if (stop instanceof StopAt.Crossing) {
            return toCrossing((StopAt.Crossing) stop, to);
        }
        forward(to);
        return false;
    }

    /**
     * Goes back to where a condition was last met before now.
     *
     * @return whether it ever was; if not, the moment stays as it is
     */
    public boolean back(StopAt stop) {
        double now = experiment.time();
        if (stop instanceof StopAt.Time) {
            double at = ((StopAt.Time) stop).time();
            if (at < now) {
                seek(at);
            }
            return at < now;
        } else if (stop instanceof StopAt.Happening) {
            StopAt.Happening event = (StopAt.Happening) stop;
            double at = events.nthBefore(now, event.event(), event.count());
            if (!Double.isNaN(at)) {
                seek(at);
            }
            return !Double.isNaN(at);
        }
        StopAt.Crossing crossing = (StopAt.Crossing) stop;
        // Stretch by stretch backwards, each forwards: what is gone back over has to be computed again.
        CrossingSearch search = new CrossingSearch(this);
        double stretch = STRETCH * manifest.interval();
        double clear = now - 1e-6 * manifest.interval();
        for (double to = now; to > 0; to -= stretch) {
            double from = Math.max(0, to - stretch);
            double last = Double.NaN;
            for (double at = search.first(crossing, from, Math.min(to, clear)); at < clear;
                    at = search.first(crossing, at, Math.min(to, clear))) {
                last = at;
            }
            if (!Double.isNaN(last)) {
                seek(last);
                return true;
            }
        }
        seek(now);
        return false;
    }

    /** How many events of a kind there are in (from, to]. */
    public int count(Event kind, double from, double to) {
        return events.count(kind, from, to);
    }

    /** Does something now. What had been recorded after now is dropped. */
    public void act(Action action) {
        double now = experiment.time();
        if (action instanceof Action.Change) {
            Action.Change change = (Action.Change) action;
            manifest.setting(change.setting()).check(change.value());
        }
        List<Event> brought = new ArrayList<>();
        experiment.act(action, (event, time) -> brought.add(event));
        lookAnew();
        dropAfter(now);
        brought.forEach(event -> events.add(event, now));
        actions.add(new Recipe.Timed(now, action));
        done = actions.size();
        keepSnapshot();
        // The sample at this very instant, if there is one, was taken before the action.
        if (Math.abs((sampleCount - 1) * manifest.interval() - now) < SAME_INSTANT * manifest.interval()) {
            sampleCount--;
            sample();
        }
    }

    public Recipe recipe() {
        return new Recipe(manifest.id(), manifest.modelVersion(), settings.toTree(), seed, List.copyOf(actions));
    }

    /** Samples of a channel from time 0 at the manifest's interval; {@link #sampleCount} of them count. */
    public double[] samples(Channel channel) {
        return samples[channel.index()];
    }

    /**
     * Where a part that can be moved by hand was at each sample: x and y in metres, one after the other;
     * {@link #sampleCount} pairs of them count.
     */
    public double[] path(Handle handle) {
        return paths[handle.index()];
    }

    public int sampleCount() {
        return sampleCount;
    }

    /** Which event (its place in the manifest) and when, of all so far: {@code place0, time0, place1, time1, …}. */
    public double[] events() {
        return events.toArray();
    }

    private void forward(double target) {
        double interval = manifest.interval();
        // Within what is recorded the actions of the past are done again as they come, several at one time too.
        while (done < actions.size() && actions.get(done).time() <= target) {
            goTo(actions.get(done).time());
            experiment.act(actions.get(done).action(), this::note);
            lookAnew();
            done++;
        }
        while (sampleCount * interval <= target) {
            goTo(Math.max(experiment.time(), sampleCount * interval));
            sample();
            if (checkpoints.isDue(sampleCount)) {
                keepSnapshot();
            }
        }
        goTo(target);
        head = Math.max(head, target);
    }

    private void goTo(double time) {
        experiment.advanceTo(time, this::note);
        lookAnew();
    }

    private void note(Event event, double time) {
        events.note(event, time, head);
    }

    private boolean toCrossing(StopAt.Crossing stop, double to) {
        double at = new CrossingSearch(this).first(stop, experiment.time(), to);
        if (Double.isNaN(at)) {
            forward(to);
            return false;
        }
        seek(at);
        return true;
    }

    /** The moment, its actions and state, to come back to while a crossing is looked for. */
    Checkpoints.Checkpoint checkpoint() {
        return new Checkpoints.Checkpoint(experiment.time(), done, experiment.snapshot());
    }

    /** Until it is told otherwise, the run goes back to here rather than to far before; null for nothing. */
    void comeBackTo(Checkpoints.Checkpoint place) {
        base = place;
    }

    /** How finely the experiment can turn, in seconds. */
    double resolution() {
        return experiment.resolution();
    }

    private void sample() {
        if (sampleCount == samples[0].length) {
            for (int i = 0; i < samples.length; i++) {
                samples[i] = Arrays.copyOf(samples[i], 2 * sampleCount);
            }
            for (int i = 0; i < paths.length; i++) {
                paths[i] = Arrays.copyOf(paths[i], 4 * sampleCount);
            }
        }
        for (int i = 0; i < samples.length; i++) {
            samples[i][sampleCount] = readings().values()[i];
        }
        for (int i = 0; i < paths.length; i++) {
            Place at = manifest.handles().get(i).at();
            paths[i][2 * sampleCount] = scene().of(at.x());
            paths[i][2 * sampleCount + 1] = scene().of(at.y());
        }
        sampleCount++;
    }

    private void keepSnapshot() {
        checkpoints.keep(experiment.time(), done, experiment.snapshot());
    }

    /** How many numbers the checkpoints hold. */
    public int checkpointValues() {
        return checkpoints.values();
    }

    private void restoreBefore(double time) {
        // While a crossing is narrowed down, from two looks ago rather than from far before.
        Checkpoints.Checkpoint from = base != null && base.time() <= time ? base : checkpoints.before(time);
        experiment.restore(from.state());
        lookAnew();
        done = from.actions();
    }

    private void dropAfter(double now) {
        head = now;
        sampleCount = Math.min(sampleCount, (int) Math.floor(now / manifest.interval() + 1e-9) + 1);
        events.dropAfter(now);
        while (!actions.isEmpty() && actions.get(actions.size() - 1).time() > now) {
            actions.remove(actions.size() - 1);
        }
        checkpoints.dropAfter(now);
    }
}
