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
    private final List<Integer> eventKinds = new ArrayList<>();
    private final List<Double> eventTimes = new ArrayList<>();
    private final Checkpoints checkpoints = new Checkpoints(MOST_CHECKPOINT_VALUES);
    /** How many actions have been done at the moment shown. */
    private int done;
    private double[][] samples;
    private final double[][] paths;
    private final int[][] pathFields;
    private final double[] sceneNow;
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
        this.sceneNow = new double[manifest.scene().size()];
        this.pathFields = manifest.handles().stream().map(h -> new int[] {manifest.sceneField(h.xField()),
            manifest.sceneField(h.yField())}).toArray(int[][]::new);
        keepSnapshot();
        sample();
    }

    /** Replays a recipe from its beginning to a time. */
    public static Run replay(Recipe recipe, double until) {
        Apparatus apparatus = Inventory.get(recipe.apparatus());
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

    public double read(int channel) {
        return experiment.read(channel);
    }

    public void scene(double[] out) {
        experiment.scene(out);
    }

    /** Fills in the crowd now: x, y in metres and kind of each; answers how many. */
    public int crowd(double[] out) {
        return experiment.crowd(out);
    }

    public int crowdSize() {
        return experiment.crowdSize();
    }

    /** The values of a distribution now, for one of its populations. */
    public Population population(int distribution, int which) {
        return experiment.population(distribution, which);
    }

    /** What the view shows with the settings that rule now: left, bottom, width, height in metres. */
    public double[] frame(String view) {
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
        } else if (stop instanceof StopAt.Event) {
            StopAt.Event event = (StopAt.Event) stop;
            // In stretches: a long way may be allowed, and what is met is often near.
            while (experiment.time() < to) {
                forward(Math.min(to, experiment.time() + STRETCH * manifest.interval()));
                double at = nthAfter(from, event.kind(), event.count());
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
        } else if (stop instanceof StopAt.Event) {
            StopAt.Event event = (StopAt.Event) stop;
            int left = event.count();
            for (int i = eventKinds.size() - 1; i >= 0; i--) {
                if (eventKinds.get(i) == event.kind() && eventTimes.get(i) < now && --left == 0) {
                    seek(eventTimes.get(i));
                    return true;
                }
            }
            return false;
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
    public int count(int kind, double from, double to) {
        int n = 0;
        for (int i = 0; i < eventKinds.size(); i++) {
            n += eventKinds.get(i) == kind && eventTimes.get(i) > from && eventTimes.get(i) <= to ? 1 : 0;
        }
        return n;
    }

    /** Does something now. What had been recorded after now is dropped. */
    public void act(Action action) {
        double now = experiment.time();
        if (action instanceof Action.Change) {
            Action.Change change = (Action.Change) action;
            manifest.setting(change.setting()).check(change.value());
        }
        List<Integer> brought = new ArrayList<>();
        experiment.act(action, (kind, time) -> brought.add(kind));
        dropAfter(now);
        for (int kind : brought) {
            eventKinds.add(kind);
            eventTimes.add(now);
        }
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
    public double[] samples(int channel) {
        return samples[channel];
    }

    /**
     * Where a part that can be moved by hand was at each sample: x and y in metres, one after the other;
     * {@link #sampleCount} pairs of them count.
     *
     * @param handle place in {@link Manifest#handles}
     */
    public double[] path(int handle) {
        return paths[handle];
    }

    public int sampleCount() {
        return sampleCount;
    }

    /** Kind and time of every event so far: {@code kind0, time0, kind1, time1, …}. */
    public double[] events() {
        double[] out = new double[2 * eventKinds.size()];
        for (int i = 0; i < eventKinds.size(); i++) {
            out[2 * i] = eventKinds.get(i);
            out[2 * i + 1] = eventTimes.get(i);
        }
        return out;
    }

    private void forward(double target) {
        double interval = manifest.interval();
        // Within what is recorded the actions of the past are done again as they come, several at one time too.
        while (done < actions.size() && actions.get(done).time() <= target) {
            experiment.advanceTo(actions.get(done).time(), this::note);
            experiment.act(actions.get(done).action(), this::note);
            done++;
        }
        while (sampleCount * interval <= target) {
            experiment.advanceTo(Math.max(experiment.time(), sampleCount * interval), this::note);
            sample();
            if (checkpoints.isDue(sampleCount)) {
                keepSnapshot();
            }
        }
        experiment.advanceTo(target, this::note);
        head = Math.max(head, target);
    }

    private void note(int kind, double time) {
        int last = eventTimes.size() - 1;
        // Going over the past again meets the same events again.
        if (time > head || last < 0 || time > eventTimes.get(last)) {
            eventKinds.add(kind);
            eventTimes.add(time);
        }
    }

    private double nthAfter(double from, int kind, int n) {
        int left = n;
        for (int i = 0; i < eventKinds.size(); i++) {
            if (eventKinds.get(i) == kind && eventTimes.get(i) > from && --left == 0) {
                return eventTimes.get(i);
            }
        }
        return Double.POSITIVE_INFINITY;
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
            samples[i][sampleCount] = experiment.read(i);
        }
        experiment.scene(sceneNow);
        for (int i = 0; i < paths.length; i++) {
            paths[i][2 * sampleCount] = sceneNow[pathFields[i][0]];
            paths[i][2 * sampleCount + 1] = sceneNow[pathFields[i][1]];
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
        done = from.actions();
    }

    private void dropAfter(double now) {
        head = now;
        sampleCount = Math.min(sampleCount, (int) Math.floor(now / manifest.interval() + 1e-9) + 1);
        while (!eventTimes.isEmpty() && eventTimes.get(eventTimes.size() - 1) > now) {
            eventTimes.remove(eventTimes.size() - 1);
            eventKinds.remove(eventKinds.size() - 1);
        }
        while (!actions.isEmpty() && actions.get(actions.size() - 1).time() > now) {
            actions.remove(actions.size() - 1);
        }
        checkpoints.dropAfter(now);
    }
}
