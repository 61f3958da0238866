package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.List;

/**
 * Settings that were changed where a run stands still at its end. They rule at once, so that they are seen; but until the
 * run goes on nothing tells whether they are meant for it or for the next one, so they can be told apart from what ran,
 * and taken back. Of several changes of one setting the last counts.
 */
final class ChangesAtEnd {

    private final Run run;
    /** Before the first of them; null where there is none. */
    private Checkpoints.Checkpoint before;
    private Settings settings;
    private int events;

    ChangesAtEnd(Run run) {
        this.run = run;
    }

    /** How many there are. */
    int count() {
        boolean here = before != null && before.time() == run.head() && run.time() == run.head()
                && run.isAllDone();
        return here ? run.actionsDone() - before.actions() : 0;
    }

    /** The settings that ruled before them. */
    Settings settingsBefore() {
        return settings;
    }

    /** What else is done makes them part of this run. */
    void settle() {
        before = null;
    }

    /** One more; or the last anew where a setting was changed here already. A refused one leaves everything as it was. */
    void change(Action.Change change) {
        List<Action> so = count() > 0 ? run.doneFrom(before.actions()) : List.of();
        List<Action> anew = new ArrayList<>(so);
        anew.removeIf(other -> ((Action.Change) other).setting().equals(change.setting()));
        if (anew.size() == so.size()) {
            one(change);
            return;
        }
        takeBack();
        anew.add(change);
        try {
            anew.forEach(this::one);
        } catch (IllegalArgumentException e) {
            takeBack();
            so.forEach(this::one);
            throw e;
        }
    }

    private void one(Action change) {
        if (count() > 0) {
            run.actAt(change);
            return;
        }
        Checkpoints.Checkpoint here = run.checkpoint();
        Settings now = run.settingsNow();
        int soFar = run.eventsSoFar();
        run.actAt(change);
        before = here;
        settings = now;
        events = soFar;
    }

    /** Everything is as it was before the first of them. */
    void takeBack() {
        if (count() > 0) {
            run.backTo(before, events);
            before = null;
        }
    }
}
