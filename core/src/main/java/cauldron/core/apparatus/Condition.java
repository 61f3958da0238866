package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.List;

/**
 * While what something is offered: a choice that stands on one of its options, a switch that is on, or a flag of the
 * scene that is up or down.
 *
 * @param what   what decides
 * @param wanted the payloads of options of which one is chosen, or a truth value
 */
record Condition(Declared what, List<?> wanted) {

    static Condition of(Declared what, Object... wanted) {
        return new Condition(what, List.of(wanted));
    }

    /** As pages get it: {@code place=own}, {@code cue=lamp|both}, {@code hole=true}, {@code thread.on=1}; empty for no condition. */
    static String text(Condition condition) {
        if (condition == null) {
            return "";
        }
        List<String> wanted = new ArrayList<>();
        for (Object one : condition.wanted) {
            if (condition.what instanceof Choice<?> choice) {
                wanted.add(choice.idOf(one));
            } else if (condition.what instanceof Flag) {
                wanted.add(Boolean.TRUE.equals(one) ? "1" : "0");
            } else {
                wanted.add(String.valueOf(one));
            }
        }
        return condition.what.id() + "=" + String.join("|", wanted);
    }

    void check(Declared where, Manifest all, Faults faults) {
        faults.known(where, what, what instanceof Flag ? all.scene() : all.settings());
        if (what instanceof Choice<?> choice
                && (wanted.isEmpty() || wanted.stream().anyMatch(one -> choice.idOf(one) == null))) {
            faults.add(where, "depends on an option that " + what + " doesn't have");
        }
    }

    /** Whether settings are as it is wanted. */
    boolean holds(Settings now) {
        return wanted.contains(what instanceof Choice<?> choice ? now.value(choice) : (Object) now.on((Switch) what));
    }

    /** Whether a flag stands in the scene as it is wanted to. */
    boolean holds(Scene scene) {
        return wanted.contains(scene.isUp((Flag) what));
    }
}
