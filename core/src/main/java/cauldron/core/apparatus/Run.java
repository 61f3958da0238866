package cauldron.core.apparatus;

import cauldron.core.drawing.Drawing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * An experiment with its history. A run is recorded whole: every channel is sampled all the time, so one
 * can be shown that nobody asked for while it ran; and any moment can be gone back to, because snapshots
 * are kept along the way. Going back changes nothing; acting in the past drops what came after.
 */
public final class Run {

    /** The most numbers that all checkpoints together hold. */
    public static final int MOST_CHECKPOINT_VALUES = 6_000_000;
    /** The most that may be done in one run, so that its recipe can be kept; a hand in motion does sixty a second. */
    public static final int MOST_ACTIONS = 10_000;
    private static final double SAME_INSTANT = 1e-9;

    private final Apparatus apparatus;
    private final Manifest manifest;
    private final Settings settings;
    private final int seed;
    /** Whether its moments are counted by what was done. */
    private final boolean inSteps;
    private final Experiment experiment;
    private final List<Recipe.Timed> actions = new ArrayList<>();
    private final EventLog events = new EventLog();
    private final Checkpoints checkpoints = new Checkpoints(MOST_CHECKPOINT_VALUES);
    /** How many actions have been done at the moment shown. */
    private int done;
    private final Samples samples;
    private final Seen seen;
    private double head;
    /** What was changed at the end of the run, and may still be meant for the next one. */
    private final ChangesAtEnd changes = new ChangesAtEnd(this);
    /** Where a search starts again from, or null. */
    private Checkpoints.Checkpoint base;

    public Run(Apparatus apparatus, Settings settings, int seed) {
        this.apparatus = apparatus;
        this.manifest = apparatus.manifest();
        this.settings = settings;
        this.seed = seed;
        this.inSteps = manifest.clock() == Clock.STEPS;
        this.experiment = apparatus.prepare(settings, seed);
        this.samples = new Samples(manifest);
        this.seen = new Seen(manifest, experiment);
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

    public Apparatus apparatus() {
        return apparatus;
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

    /** Whether the moment shown is one at which the run came to its end by itself. */
    public boolean isOver() {
        return experiment.isOver();
    }

    /** A channel's value at the moment shown, in SI; NaN where it has none yet. */
    public double read(Channel channel) {
        return seen.readings().of(channel);
    }

    /** The values of all channels at the moment shown, in SI, in the manifest's order; the same array every time. */
    public double[] channels() {
        return seen.readings().values();
    }

    /** The scene at the moment shown; the same object every time. */
    public Scene scene() {
        return seen.scene();
    }

    /**
     * What dragging one of an act's things to a place in metres would mean now; null where it means nothing.
     *
     * @param otherwise arguments as they were chosen last
     */
    public Action.Perform meant(Act act, int which, double x, double y, Map<String, Object> otherwise) {
        return apparatus.meant(act, which, x, y, settingsNow(), scene(), otherwise);
    }

    /** Fills in the crowd now: x, y in metres and kind of each; answers how many. */
    public int crowd(double[] out) {
        return experiment.crowd(out);
    }

    public int crowdSize() {
        return experiment.crowdSize();
    }

    /** What it has come to by the moment shown, in SI, in the manifest's order; NaN where that isn't settled. */
    public double[] outcomes() {
        Outcomes out = new Outcomes(manifest);
        experiment.outcomes(out);
        return out.values();
    }

    /** What something has come to by the moment shown, in SI; NaN where that isn't settled. */
    public double outcome(Outcome outcome) {
        return outcomes()[outcome.index()];
    }

    /** The lines of a profile at the moment shown. */
    public ProfileLines profile(Profile profile) {
        ProfileLines lines = new ProfileLines();
        experiment.profile(profile, lines);
        return lines;
    }

    /** It at the moment shown as a labelled drawing; null where it has none. */
    public Drawing drawing() {
        return experiment.drawing();
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
        double target = reachable(time);
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
        return new Stopping(this, events).advance(seconds, stop);
    }

    /**
     * Goes back to where a condition was last met before now.
     *
     * @return whether it ever was; if not, the moment stays as it is
     */
    public boolean back(StopAt stop) {
        return new Stopping(this, events).back(stop);
    }

    /** The moment nearest to a time; among steps there is none beyond the last that was done. */
    double reachable(double time) {
        return !inSteps ? Math.max(0, time) : Math.max(0, Math.min(actions.size(), Math.rint(time)));
    }

    /** How many events of a kind there are in (from, to]. */
    public int count(Event kind, double from, double to) {
        return events.count(kind, from, to);
    }

    /**
     * Does something now. What had been recorded after now is dropped. Among steps it makes one more, or the last anew
     * where a setting is changed that was changed just before.
     */
    public void act(Action action) {
        if (inSteps && isChangedOnce(action)) {
            double before = experiment.time();
            seek(before - 1);
            try {
                actAt(action);
            } catch (IllegalArgumentException e) {
                seek(before);
                throw e;
            }
            return;
        }
        if (!inSteps && action instanceof Action.Change && head > 0) {
            changes.change((Action.Change) action);
            return;
        }
        actAt(action);
        changes.settle();
    }

    private boolean isChangedOnce(Action action) {
        if (done == 0 || !(action instanceof Action.Change)) {
            return false;
        }
        Action last = actions.get(done - 1).action();
        return last instanceof Action.Change
                && ((Action.Change) last).setting().equals(((Action.Change) action).setting());
    }

    void actAt(Action action) {
        if (done >= MOST_ACTIONS) {
            throw new IllegalArgumentException("A trial holds up to " + MOST_ACTIONS + " actions, and this one is full: restart");
        }
        double now = experiment.time();
        if (action instanceof Action.Change) {
            Action.Change change = (Action.Change) action;
            manifest.setting(change.setting()).check(change.value());
        }
        List<Event> brought = new ArrayList<>();
        experiment.act(action, (event, time) -> brought.add(event));
        seen.lookAnew();
        dropAfter(now);
        actions.add(new Recipe.Timed(now, action));
        done = actions.size();
        if (inSteps) {
            brought.forEach(event -> events.add(event, now + 1));
            goTo(now + 1);
            head = now + 1;
            keepSnapshot();
            sample();
            return;
        }
        brought.forEach(event -> events.add(event, now));
        keepSnapshot();
        sampleHere();
    }

    /** The sample at this very instant, if there is one, was taken before what was done. */
    private void sampleHere() {
        if (Math.abs((samples.count() - 1) * manifest.interval() - time()) < SAME_INSTANT * manifest.interval()) {
            samples.keep(samples.count() - 1);
            sample();
        }
    }

    public Recipe recipe() {
        return recipe(actions.size());
    }

    private Recipe recipe(int done) {
        return new Recipe(manifest.id(), manifest.modelVersion(), settings.toTree(), seed, List.copyOf(actions.subList(0, done)));
    }

    /**
     * How many settings were changed at the moment shown, the end of the run, after all else that was done there. Until it
     * goes on from there, nothing tells whether they are meant for this run or for the next one.
     */
    public int changesAtEnd() {
        return changes.count();
    }

    /** The recipe without what was changed at its end and hasn't had any effect since. */
    public Recipe recipeOfWhatRan() {
        return recipe(actions.size() - changes.count());
    }

    /** The settings that ruled before what was changed at the end. */
    public Settings settingsOfWhatRan() {
        return changes.count() > 0 ? changes.settingsBefore() : settingsNow();
    }

    /** Takes back what was changed at the end of the run. */
    public void takeBackChanges() {
        changes.takeBack();
    }

    /** The act that has to be done first before anything happens here; null where the run goes on by itself. */
    Act waitsFor() {
        if (time() < head) {
            return null;
        }
        return manifest.acts().stream().filter(a -> a.isLeading() && a.isPossible(scene())).findFirst().orElse(null);
    }

    /** What was done at one of the actions so far, in words, counted from 0. */
    public String actionInWords(int which) {
        return actions.get(which).action().inWords(manifest, settingsNow());
    }

    /** Whether nothing was done after the moment shown. */
    boolean isAllDone() {
        return done == actions.size();
    }

    /** How many actions have been done by the moment shown. */
    public int actionsDone() {
        return done;
    }

    /** The same run from its beginning, recorded as far as this one. */
    Run again() {
        return replay(apparatus, recipe(), head);
    }

    /** The same, without what was changed at its end and has had no effect on it. */
    Run againAsItRan() {
        return replay(apparatus, recipeOfWhatRan(), head);
    }

    /** Samples of a channel from time 0 at the manifest's interval; {@link #sampleCount} of them count. */
    public double[] samples(Channel channel) {
        return samples.of(channel);
    }

    /**
     * Where a part that can be moved by hand was at each sample: x and y in metres, one after the other;
     * {@link #sampleCount} pairs of them count.
     */
    public double[] path(Handle handle) {
        return samples.path(handle);
    }

    public int sampleCount() {
        return samples.count();
    }

    /** Which event (its place in the manifest) and when, of all so far: {@code place0, time0, place1, time1, …}. */
    public double[] events() {
        return events.toArray();
    }

    /** Computes on, or goes over what is recorded, to a moment not before the present. */
    void forward(double target) {
        double interval = manifest.interval();
        // Within what is recorded the actions of the past are done again as they come, several at one time too.
        while (done < actions.size() && isDone(actions.get(done), target)) {
            goTo(actions.get(done).time());
            experiment.act(actions.get(done).action(), this::note);
            seen.lookAnew();
            done++;
        }
        while (samples.count() * interval <= target) {
            if (!goTo(Math.max(experiment.time(), samples.count() * interval))) {
                break;
            }
            sample();
            if (checkpoints.isDue(samples.count())) {
                keepSnapshot();
            }
        }
        goTo(target);
        head = Math.max(head, experiment.time());
    }

    /** Whether an action has been done by a moment; a step's is done on the way to the next. */
    private boolean isDone(Recipe.Timed timed, double by) {
        return inSteps ? timed.time() < by : timed.time() <= by;
    }

    /** Whether it got there; it doesn't where it is over before. */
    private boolean goTo(double time) {
        experiment.advanceTo(time, this::note);
        seen.lookAnew();
        return experiment.time() >= time;
    }

    private void note(Event event, double time) {
        events.note(event, time, head);
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
        samples.take(seen.readings(), seen.scene());
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
        seen.lookAnew();
        done = from.actions();
    }

    /** Comes back to a moment at the end of the run before what was done there. */
    void backTo(Checkpoints.Checkpoint moment, int eventsThen) {
        actions.subList(moment.actions(), actions.size()).clear();
        checkpoints.dropBeyond(moment.actions());
        events.keep(eventsThen);
        experiment.restore(moment.state());
        seen.lookAnew();
        done = moment.actions();
        sampleHere();
    }

    /** What was done from one of the actions on. */
    List<Action> doneFrom(int which) {
        return actions.subList(which, actions.size()).stream().map(Recipe.Timed::action).toList();
    }

    int eventsSoFar() {
        return events.countTo(time());
    }

    private void dropAfter(double now) {
        head = now;
        samples.keep((int) Math.floor(now / manifest.interval() + 1e-9) + 1);
        events.dropAfter(now);
        while (!actions.isEmpty() && !isDone(actions.get(actions.size() - 1), now)) {
            actions.remove(actions.size() - 1);
        }
        checkpoints.dropAfter(now);
    }
}
