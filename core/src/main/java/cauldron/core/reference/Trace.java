package cauldron.core.reference;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.inventory.Inventory;
import java.util.Arrays;

/** A trial had again, to be asked what it showed when. */
final class Trace {

    /** Steps of one replay: a recording of eight minutes, or sixteen hours of two tanks. */
    private static final double MOST_STEPS = 60_000;

    /** Part of a sample's interval within which two moments are one. */
    static final double SAME_MOMENT = 1e-6;

    private final Trial trial;
    private final Run run;

    /**
     * Replays a trial.
     *
     * @throws IllegalArgumentException in words, where it can't be had again
     */
    Trace(Trial trial) {
        this.trial = trial;
        Manifest manifest = Inventory.get(trial.recipe().apparatus()).manifest();
        if (!(trial.until() >= 0 && trial.until() / manifest.interval() <= MOST_STEPS)) {
            throw new IllegalArgumentException("this trial is too long to be had again here");
        }
        run = Inventory.replay(trial.recipe(), trial.until());
    }

    Trial trial() {
        return trial;
    }

    Manifest manifest() {
        return run.manifest();
    }

    /** The run at a moment, in model seconds. */
    Run at(double time) {
        run.seek(Math.max(0, Math.min(trial.until(), time)));
        return run;
    }

    /** Whether a setting was changed at a moment: what was read then may have been read before or after. */
    boolean isChangedAt(double time) {
        return trial.recipe().actions().stream().anyMatch(t -> t.action() instanceof Action.Change
                && Math.abs(t.time() - time) <= SAME_MOMENT * manifest().interval());
    }

    /** The run once it is over. */
    Run atEnd() {
        return at(trial.until());
    }

    /** When an event came, in order. */
    double[] times(Event kind) {
        double[] all = run.events();
        double[] times = new double[all.length / 2];
        int n = 0;
        for (int i = 0; i < all.length; i += 2) {
            if (all[i] == kind.index() && all[i + 1] <= trial.until()) {
                times[n++] = all[i + 1];
            }
        }
        return Arrays.copyOf(times, n);
    }

    /** When an act was done, or an event came, first; NaN where it never was. */
    double first(String actOrEvent) {
        for (Act act : manifest().acts()) {
            if (act.id().equals(actOrEvent)) {
                for (Recipe.Timed timed : trial.recipe().actions()) {
                    if (timed.action() instanceof Action.Perform done && done.act().equals(actOrEvent)) {
                        return timed.time();
                    }
                }
                return Double.NaN;
            }
        }
        double[] times = times(manifest().event(actOrEvent));
        return times.length == 0 ? Double.NaN : times[0];
    }

    /** Where a place is at a moment, in metres: x, y; NaN for the one that a mark across the picture has not. */
    double[] place(String id, double time) {
        Run then = at(time);
        return new double[] {coordinate(then, id + ".x"), coordinate(then, id + ".y")};
    }

    private static double coordinate(Run then, String field) {
        return then.manifest().scene().stream().filter(f -> f.id().equals(field)).mapToDouble(f -> then.scene().of(f))
                .findFirst().orElse(Double.NaN);
    }

    /** A length of the scene at a moment, in metres. */
    double length(String id, double time) {
        return at(time).scene().of(manifest().sceneField(id));
    }

    /** Whether an apparatus has a place, or a mark across its picture; throws in words where it hasn't. */
    static void checkPlace(Manifest manifest, String id) {
        if (manifest.scene().stream().noneMatch(f -> f.id().equals(id + ".x") || f.id().equals(id + ".y"))) {
            throw new IllegalArgumentException(manifest.name() + " has no place “" + id + "”");
        }
    }

    /** A place in picture elements of a view, as instruments are laid. */
    double[] picture(double[] metres, String view) {
        Frame frame = run.frame(manifest().view(view.isEmpty() ? trial.view() : view));
        double scale = Film.scale(frame);
        return new double[] {(metres[0] - frame.left()) * scale, (frame.bottom() + frame.height() - metres[1]) * scale};
    }

    /** Picture elements of a metre in a view. */
    double scale(String view) {
        return Film.scale(run.frame(manifest().view(view.isEmpty() ? trial.view() : view)));
    }
}
