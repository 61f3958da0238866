package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** Something that can be done to an apparatus besides moving and setting. */
public final class Act extends Declared {

    private Condition possibleWhen;
    private boolean leads;

    Act(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "act";
    }

    /** Possible only while a flag of the scene is up. */
    public Act when(Flag flag) {
        stillOpen();
        possibleWhen = new Condition(flag, true);
        return this;
    }

    /** Possible only while a flag of the scene is down. */
    public Act unless(Flag flag) {
        stillOpen();
        possibleWhen = new Condition(flag, false);
        return this;
    }

    /** While it is possible it is what to do next, as nothing moves before; a bench puts it first. */
    public Act leads() {
        stillOpen();
        leads = true;
        return this;
    }

    /** Whether it can be done. */
    boolean isPossible(Scene scene) {
        return possibleWhen == null || possibleWhen.holds(scene);
    }

    void check(Manifest all, Faults faults) {
        if (possibleWhen != null) {
            possibleWhen.check(this, all, faults);
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name(), "shownWhen", Condition.text(possibleWhen), "leads", leads);
    }
}
