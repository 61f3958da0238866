package cauldron.core.apparatus;

/**
 * While what something is offered: a choice that stands on one of its options, a switch that is on, or a flag of the
 * scene that is up or down.
 *
 * @param what   what decides
 * @param wanted the option's payload, or a truth value
 */
record Condition(Declared what, Object wanted) {

    /** As pages get it: {@code place=own}, {@code hole=true}, {@code thread.on=1}; empty for no condition. */
    static String text(Condition condition) {
        if (condition == null) {
            return "";
        }
        String wanted;
        if (condition.what instanceof Choice<?> choice) {
            wanted = choice.idOf(condition.wanted);
        } else if (condition.what instanceof Flag) {
            wanted = Boolean.TRUE.equals(condition.wanted) ? "1" : "0";
        } else {
            wanted = String.valueOf(condition.wanted);
        }
        return condition.what.id() + "=" + wanted;
    }

    void check(Declared where, Manifest all, Faults faults) {
        faults.known(where, what, what instanceof Flag ? all.scene() : all.settings());
        if (what instanceof Choice<?> choice && choice.idOf(wanted) == null) {
            faults.add(where, "depends on an option that " + what + " doesn't have");
        }
    }

    /** Whether settings are as it is wanted. */
    boolean holds(Settings now) {
        return what instanceof Choice<?> choice ? wanted.equals(now.value(choice)) : wanted.equals(now.on((Switch) what));
    }

    /** Whether a flag stands in the scene as it is wanted to. */
    boolean holds(Scene scene) {
        return scene.isUp((Flag) what) == (Boolean) wanted;
    }
}
