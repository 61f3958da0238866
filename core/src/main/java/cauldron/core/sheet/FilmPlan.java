package cauldron.core.sheet;

import cauldron.core.Chance;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Inventory;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What recordings a lab offers: choices by name, and behind each name settings that the student is to
 * find out. A hidden value may be a range; then every student has a personal one, drawn once.
 *
 * <p>Tree: {@code apparatus, view, rate, seconds, fixed: {setting: value}, choices: [{id, name, options:
 * [{id, name, set: {setting: value | {from, to}}}]}], start: {act, from, to}}. With {@code start} the act
 * is done at a time drawn between two for each trial, so that time zero isn't frame zero.
 */
public record FilmPlan(String apparatus, String view, double rate, double seconds, Map<String, Object> fixed,
                       List<Choice> choices, String startAct, double startFrom, double startTo) {

    /** Something to choose, such as the cord. */
    public record Choice(String id, String name, List<Option> options) {
    }

    /** One that can be chosen, and the settings it stands for. */
    public record Option(String id, String name, Map<String, Object> set) {
    }

    private static final double MAX_FRAMES = 7201;

    static FilmPlan fromTree(Map<String, Object> tree, String place) {
        List<Choice> choices = new ArrayList<>();
        for (Map<String, Object> c : Tree.maps(tree, "choices")) {
            List<Option> options = new ArrayList<>();
            for (Map<String, Object> o : Tree.maps(c, "options")) {
                options.add(new Option(Tree.text(o, "id"), Tree.text(o, "name"), Tree.map(o, "set")));
            }
            choices.add(new Choice(Tree.text(c, "id"), Tree.text(c, "name"), options));
        }
        Map<String, Object> start = Tree.map(tree, "start");
        FilmPlan plan = new FilmPlan(Tree.text(tree, "apparatus"), Tree.text(tree, "view"), Tree.number(tree, "rate"),
                Tree.number(tree, "seconds"), Tree.map(tree, "fixed"), choices, Tree.text(start, "act", ""),
                Tree.number(start, "from", 0), Tree.number(start, "to", 0));
        plan.check(place);
        return plan;
    }

    private void check(String place) {
        Manifest manifest;
        try {
            manifest = Inventory.get(apparatus).manifest();
            Settings.of(manifest, fixed);
        } catch (IllegalArgumentException e) {
            throw new SheetException(place, e.getMessage());
        }
        if (!(rate > 0 && seconds > 0 && rate * seconds < MAX_FRAMES)) {
            throw new SheetException(place, "a recording has 1 to 7200 frames");
        }
        if (manifest.views().stream().noneMatch(v -> v.id().equals(view))) {
            throw new SheetException(place, manifest.name() + " has no view “" + view + "”");
        }
        if (!startAct.isEmpty() && manifest.acts().stream().noneMatch(a -> a.id().equals(startAct))) {
            throw new SheetException(place, manifest.name() + " can't “" + startAct + "”");
        }
        for (Choice choice : choices) {
            for (Option option : choice.options()) {
                for (Map.Entry<String, Object> entry : option.set().entrySet()) {
                    String where = place + ", " + choice.name() + " " + option.name();
                    try {
                        Setting setting = manifest.setting(entry.getKey());
                        for (Object value : ends(entry.getValue())) {
                            setting.check(value);
                        }
                    } catch (IllegalArgumentException e) {
                        throw new SheetException(where, e.getMessage());
                    }
                }
            }
        }
    }

    @SuppressWarnings("unchecked")
    private static List<Object> ends(Object value) {
        if (value instanceof Map) {
            Map<String, Object> range = (Map<String, Object>) value;
            return List.of(Tree.number(range, "from"), Tree.number(range, "to"));
        }
        return List.of(value);
    }

    /**
     * The recipe behind a choice.
     *
     * @param chosen   option id for each choice id
     * @param personal the student's own seed: the same for all their trials
     * @param trial    the trial's number: draws the moment of the start
     * @throws IllegalArgumentException if a choice is missing or not offered
     */
    public Recipe recipe(Map<String, Object> chosen, int personal, int trial) {
        Apparatus type = Inventory.get(apparatus);
        Map<String, Object> settings = new LinkedHashMap<>(fixed);
        for (Choice choice : choices) {
            Option option = option(choice, chosen.get(choice.id()));
            for (Map.Entry<String, Object> entry : option.set().entrySet()) {
                settings.put(entry.getKey(), draw(entry.getValue(), personal,
                        choice.id() + "/" + option.id() + "/" + entry.getKey()));
            }
        }
        List<Recipe.Timed> actions = new ArrayList<>();
        if (!startAct.isEmpty()) {
            double at = Chance.named(personal, "start/" + trial).between(startFrom, startTo);
            actions.add(new Recipe.Timed(at, new Action.Perform(startAct)));
        }
        return new Recipe(apparatus, type.manifest().modelVersion(), Settings.of(type.manifest(), settings).toTree(),
                personal, actions);
    }

    private static Option option(Choice choice, Object id) {
        for (Option option : choice.options()) {
            if (option.id().equals(id)) {
                return option;
            }
        }
        throw new IllegalArgumentException(choice.name() + ": choose one of "
                + String.join(", ", choice.options().stream().map(Option::name).toList()));
    }

    @SuppressWarnings("unchecked")
    private static Object draw(Object value, int personal, String purpose) {
        if (value instanceof Map) {
            Map<String, Object> range = (Map<String, Object>) value;
            return Chance.named(personal, purpose).between(Tree.number(range, "from"), Tree.number(range, "to"));
        }
        return value;
    }

    /** The names to choose from, and nothing of what they stand for. */
    Map<String, Object> forStudent() {
        List<Object> list = new ArrayList<>();
        for (Choice choice : choices) {
            List<Object> options = new ArrayList<>();
            for (Option option : choice.options()) {
                options.add(Tree.of("id", option.id(), "name", option.name()));
            }
            list.add(Tree.of("id", choice.id(), "name", choice.name(), "options", options));
        }
        return Tree.of("apparatus", apparatus, "view", view, "choices", list);
    }
}
