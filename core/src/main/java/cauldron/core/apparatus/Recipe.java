package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * All it takes to have a trial again: replayed anywhere, it gives the same numbers.
 *
 * @param settings values as {@link Settings} takes them
 * @param seed     chance, where the model has any
 * @param actions  what was done while it ran, in order of time
 */
public record Recipe(String apparatus, int modelVersion, Map<String, Object> settings, int seed,
                     List<Timed> actions) {

    /** An action and its time in model seconds. */
    public record Timed(double time, Action action) {
    }

    /**
     * The same without what was changed at its very end. Nothing tells of such a change whether it was meant for this run
     * or for the next one, and nothing that ran came under it.
     *
     * @param until how far it was run
     */
    public Recipe ranUntil(double until) {
        int n = actions.size();
        while (n > 0 && actions.get(n - 1).action() instanceof Action.Change && actions.get(n - 1).time() >= until) {
            n--;
        }
        return new Recipe(apparatus, modelVersion, settings, seed, actions.subList(0, n));
    }

    /** The settings in the end: those it began with, as changed since. */
    public Map<String, Object> settingsInTheEnd() {
        Map<String, Object> values = new LinkedHashMap<>(settings);
        for (Timed timed : actions) {
            if (timed.action() instanceof Action.Change change) {
                values.put(change.setting(), change.value());
            }
        }
        return values;
    }

    /** The same of another version, for {@link Apparatus#migrate}. */
    public Recipe ofVersion(int version) {
        return new Recipe(apparatus, version, settings, seed, actions);
    }

    /** The same of another version in which a setting has another name, for {@link Apparatus#migrate}. */
    public Recipe renamed(int version, String before, String now) {
        Map<String, Object> values = new LinkedHashMap<>();
        settings.forEach((id, value) -> values.put(id.equals(before) ? now : id, value));
        List<Timed> done = new ArrayList<>();
        for (Timed timed : actions) {
            Action action = timed.action();
            done.add(action instanceof Action.Change change && change.setting().equals(before)
                    ? new Timed(timed.time(), new Action.Change(now, change.value())) : timed);
        }
        return new Recipe(apparatus, version, values, seed, done);
    }

    /** All of it as plain data. */
    public Map<String, Object> toTree() {
        List<Object> list = new ArrayList<>();
        for (Timed timed : actions) {
            list.add(Tree.of("time", timed.time(), "action", timed.action().toTree()));
        }
        return Tree.of("apparatus", apparatus, "modelVersion", (double) modelVersion, "settings", settings, "seed",
                (double) seed, "actions", list);
    }

    /** Reads a recipe from its tree. Values are checked when it is run. */
    public static Recipe fromTree(Map<String, Object> tree) {
        List<Timed> actions = new ArrayList<>();
        for (Map<String, Object> item : Tree.maps(tree, "actions")) {
            actions.add(new Timed(Tree.number(item, "time"), Action.fromTree(Tree.map(item, "action"))));
        }
        return new Recipe(Tree.text(tree, "apparatus"), (int) Tree.number(tree, "modelVersion"),
                Tree.map(tree, "settings"), (int) Tree.number(tree, "seed", 0), actions);
    }
}
