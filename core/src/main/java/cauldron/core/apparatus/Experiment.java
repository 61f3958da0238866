package cauldron.core.apparatus;

import cauldron.core.Stateful;
import cauldron.core.drawing.Drawing;
import java.util.ArrayList;
import java.util.List;

/**
 * One apparatus at work. It starts at time 0 and knows nothing of displays: how often and in which
 * pieces it is advanced must not change its numbers. A {@link Run} drives it, keeps its history and
 * takes it back in time through snapshots.
 *
 * <p>What a subclass must remember it keeps in registers and other {@link Stateful} parts that it names here once;
 * snapshots are laid out from them.
 */
public abstract class Experiment {

    /** Told of each event, with its exact time. */
    public interface EventSink {
        /**
         * Takes note of an event.
         *
         * @param time model seconds
         */
        void event(Event event, double time);
    }

    private static final int NOTHING = -1;

    private final Manifest manifest;
    private final SettingsInForce inForce;
    private final List<Stateful> parts = new ArrayList<>();
    /** Place of the handle that is held. */
    private final Register held;

    /** An experiment of an apparatus under its first settings. */
    protected Experiment(Apparatus apparatus, Settings settings) {
        manifest = apparatus.manifest();
        inForce = remember(new SettingsInForce(settings));
        held = register(NOTHING);
    }

    /** A number to remember, and what it is at first. */
    protected final Register register(double first) {
        return remember(new Register(first));
    }

    /** Something to remember. */
    protected final <S extends Stateful> S remember(S part) {
        parts.add(part);
        return part;
    }

    /** The settings that rule now: those it was made from, as changed since. */
    public final Settings settings() {
        return inForce.now();
    }

    /** Present time in seconds. */
    public abstract double time();

    /**
     * Goes on to a time not before the present, or to its end if that comes first, telling of every event on the way.
     *
     * @param time model seconds
     */
    public abstract void advanceTo(double time, EventSink sink);

    /** Whether it is over: it has come to its end by itself, and time goes no further. */
    public boolean isOver() {
        return false;
    }

    /** Fills in the value of every channel now. */
    public abstract void read(Readings out);

    /** Fills in the scene now. */
    public abstract void scene(Scene out);

    /** Fills in the outcomes that stand by now; those left out don't yet. */
    public void outcomes(Outcomes out) {
        // Most runs have none.
    }

    /** Fills in the lines of a profile now. */
    public void profile(Profile profile, ProfileLines out) {
        throw new IllegalArgumentException("There is no profile here");
    }

    /** It now as a labelled drawing, which can be saved and lent to an answer; null for an apparatus that has none. */
    public Drawing drawing() {
        return null;
    }

    /**
     * In which time a channel can rise and fall again, in seconds; a condition to stop at is looked for this finely.
     * Infinite: no more finely than samples are taken.
     */
    public double resolution() {
        return Double.POSITIVE_INFINITY;
    }

    /**
     * Fills in the bodies of a crowd now, for a drawing: x, y in metres and kind, one after the other.
     *
     * @return how many there are; 0 for an apparatus without a crowd
     */
    public int crowd(double[] out) {
        return 0;
    }

    /** The most bodies that {@link #crowd} may give. */
    public int crowdSize() {
        return 0;
    }

    /**
     * Values of a distribution now, for one of its populations.
     *
     * @param which place of the population
     */
    public Population population(Distribution distribution, int which) {
        throw new IllegalArgumentException("There is no distribution here");
    }

    /**
     * Does something to it now, and tells of what that brings about at once. What is unknown or impossible is refused
     * with {@link IllegalArgumentException}, and leaves everything as it was.
     */
    public void act(Action action, EventSink sink) {
        if (isOver()) {
            throw new IllegalArgumentException("The run is over: restart, or go back to before its end");
        }
        if (action instanceof Action.Change change) {
            change(change, sink);
        } else if (action instanceof Action.Grab grab) {
            Handle handle = manifest.handle(grab.handle());
            grabbed(handle, sink);
            held.set(handle.index());
        } else if (action instanceof Action.Move move) {
            moved(handleInHand(), move.x(), move.y(), sink);
        } else if (action instanceof Action.LetGo) {
            Handle handle = handleInHand();
            held.set(NOTHING);
            letGo(handle, sink);
        } else {
            perform((Action.Perform) action, sink);
        }
    }

    private void change(Action.Change change, EventSink sink) {
        Setting setting = manifest.setting(change.setting());
        if (!setting.isLive()) {
            throw new IllegalArgumentException(setting.name() + " can't change while it runs");
        }
        Settings before = settings();
        Settings now = before.with(setting, change.value());
        mayChange(setting, before);
        inForce.change(now);
        changed(setting, before, sink);
    }

    private void perform(Action.Perform action, EventSink sink) {
        Act act = manifest.act(action.act());
        Settings with = act.read(action.with(), settings());
        Scene scene = new Scene(manifest);
        scene(scene);
        if (!act.isPossible(scene)) {
            throw new IllegalArgumentException("“" + act.name() + "” can't be done now");
        }
        performed(act, with, sink);
    }

    private Handle handleInHand() {
        if (held.get() == NOTHING) {
            throw impossible();
        }
        return manifest.handles().get((int) held.get());
    }

    /** What to throw where something can't be done now. */
    protected final IllegalArgumentException impossible() {
        return new IllegalArgumentException("The " + manifest.name().toLowerCase() + " can't do that now");
    }

    /** Whether a hand holds something. */
    protected final boolean inHand() {
        return held.get() != NOTHING;
    }

    /** Puts something into the hand, as at the beginning of a run. */
    protected final void hold(Handle handle) {
        held.set(handle.index());
    }

    /** Lets the hand let go of what it holds. */
    protected final void release() {
        held.set(NOTHING);
    }

    /** Refuses a change that makes no sense now, by throwing {@link IllegalArgumentException}. */
    protected void mayChange(Setting setting, Settings before) {
        // Most changes always make sense.
    }

    /** A setting has changed; {@link #settings} has its new value. */
    protected abstract void changed(Setting setting, Settings before, EventSink sink);

    /** A hand takes hold of something; refuses by throwing {@link IllegalArgumentException}. */
    protected void grabbed(Handle handle, EventSink sink) {
        throw impossible();
    }

    /** The hand moves what it holds to a place in metres. */
    protected void moved(Handle handle, double x, double y, EventSink sink) {
        throw impossible();
    }

    /** The hand has let go. */
    protected void letGo(Handle handle, EventSink sink) {
        // Whatever it was held by, it is free now.
    }

    /**
     * One of its acts is done, which is possible now.
     *
     * @param with what it is done with: its arguments
     */
    protected void performed(Act act, Settings with, EventSink sink) {
        throw impossible();
    }

    /** The whole state now, enough to {@link #restore} it exactly. */
    public final double[] snapshot() {
        int size = 0;
        for (Stateful part : parts) {
            size += part.size();
        }
        double[] out = new double[size];
        int at = 0;
        for (Stateful part : parts) {
            part.save(out, at);
            at += part.size();
        }
        return out;
    }

    /** Returns to a state that {@link #snapshot} gave. */
    public final void restore(double[] snapshot) {
        int at = 0;
        for (Stateful part : parts) {
            part.restore(snapshot, at);
            at += part.size();
        }
        restored();
    }

    /** Everything remembered is as it was in a snapshot; what follows from it has to be worked out again. */
    protected abstract void restored();
}
