package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/**
 * Something a person does to a running apparatus, at a time. The path of a hand is part of the recipe.
 */
public sealed interface Action permits Action.Change, Action.Grab, Action.Move, Action.LetGo, Action.Perform {

    Map<String, Object> toTree();

    /** What was done, for people: an act with what it was done with, or the name of what was changed or moved. */
    default String inWords(Manifest manifest, Settings now) {
        if (this instanceof Perform) {
            Perform perform = (Perform) this;
            return manifest.act(perform.act()).inWords(perform.with(), now);
        }
        return this instanceof Change ? manifest.setting(((Change) this).setting()).name()
                : this instanceof Grab ? manifest.handle(((Grab) this).handle()).name() : "";
    }

    /** A setting changed while running; value as {@link Setting} keeps it. */
    record Change(String setting, Object value) implements Action {
        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "change", "setting", setting, "value", value);
        }
    }

    /** A handle taken hold of. */
    record Grab(String handle) implements Action {
        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "grab", "handle", handle);
        }
    }

    /** The held handle moved to a place in the view, in metres. */
    record Move(double x, double y) implements Action {
        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "move", "x", x, "y", y);
        }
    }

    /** The held handle let go. */
    record LetGo() implements Action {
        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "letGo");
        }
    }

    /**
     * One of the apparatus's own acts.
     *
     * @param with what it is done with, by the ids of its arguments; what isn't named is as it is at first
     */
    record Perform(String act, Map<String, Object> with) implements Action {

        /** One without arguments. */
        public Perform(String act) {
            this(act, Map.of());
        }

        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "perform", "act", act, "with", with.isEmpty() ? null : with);
        }
    }

    /** Reads an action from its tree. */
    static Action fromTree(Map<String, Object> tree) {
        String type = Tree.text(tree, "type");
        switch (type) {
            case "change":
                return new Change(Tree.text(tree, "setting"), tree.get("value"));
            case "grab":
                return new Grab(Tree.text(tree, "handle"));
            case "move":
                return new Move(Tree.number(tree, "x"), Tree.number(tree, "y"));
            case "letGo":
                return new LetGo();
            case "perform":
                return new Perform(Tree.text(tree, "act"), Tree.map(tree, "with"));
            default:
                throw new IllegalArgumentException("type: no action “" + type + "”");
        }
    }
}
