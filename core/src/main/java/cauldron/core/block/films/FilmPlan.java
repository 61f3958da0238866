package cauldron.core.block.films;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.form.Where;
import cauldron.core.instrument.Instrument;
import cauldron.core.inventory.Inventory;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What recordings a lab offers: choices by name, and behind each name settings that the student is to
 * find out. A hidden value may be a range; then every student has a personal one, drawn once.
 *
 * <p>Each act is done at a time drawn between two for each trial, so that time zero isn't frame zero.
 * Several views are filmed in step. Instruments are those on the tray; without them, all that make sense.
 */
public record FilmPlan(String apparatus, List<String> views, double rate, double seconds, Map<String, Object> fixed,
                       List<Choice> choices, List<Cue> acts, List<String> instruments) {

    /** An act of the apparatus and between which times it is done. */
    public record Cue(String act, double from, double to) {
    }

    /** Something to choose, such as the cord. */
    public record Choice(String id, String name, List<Option> options) {
    }

    /**
     * One that can be chosen, and the settings it stands for.
     *
     * @param demonstration whether it is kept for the teacher's own demonstration, so that no student hands in the
     *                      example
     */
    public record Option(String id, String name, boolean demonstration, Map<String, Object> set) {

        /** One that students may choose. */
        public Option(String id, String name, Map<String, Object> set) {
            this(id, name, false, set);
        }
    }

    private static final double MAX_FRAMES = 7201;

    /** Notes all that its apparatus can't do. */
    void check(Where at) {
        Manifest manifest;
        try {
            manifest = Inventory.get(apparatus).manifest();
        } catch (IllegalArgumentException e) {
            at.fault(e.getMessage());
            return;
        }
        checkSettings(manifest, fixed, at);
        instruments.forEach(id -> at.attempt(() -> {
            if (manifest.instrument(id).kind().hooked()) {
                throw new IllegalArgumentException("no camera sees what a " + manifest.instrument(id).name().toLowerCase() + " shows");
            }
        }));
        views.forEach(id -> at.attempt(() -> manifest.view(id)));
        if (!(rate * seconds < MAX_FRAMES)) {
            at.fault("a recording has 1 to 7200 frames");
        }
        if (views.isEmpty()) {
            at.fault("a recording needs at least one view");
        }
        for (Cue cue : acts) {
            at.attempt(() -> manifest.act(cue.act()));
            if (cue.to() < cue.from()) {
                at.fault("the act “" + cue.act() + "” needs times from 0 on, the later one last");
            }
        }
        for (Choice choice : choices) {
            if (choice.options().stream().allMatch(Option::demonstration)) {
                at.fault(choice.name() + ": " + (choice.options().isEmpty() ? "there is nothing to choose"
                        : "all of it is kept for demonstrating, nothing is left for students"));
            }
            for (Option option : choice.options()) {
                checkSettings(manifest, option.set(), at.in(choice.name() + " " + option.name()));
            }
        }
    }

    /** What of a choice is kept for the teacher's demonstration, by name; null where nothing is. */
    public String kept(Map<String, Object> chosen) {
        for (Choice choice : choices) {
            for (Option option : choice.options()) {
                if (option.demonstration() && option.id().equals(chosen.get(choice.id()))) {
                    return choice.name() + " " + option.name();
                }
            }
        }
        return null;
    }

    private static void checkSettings(Manifest manifest, Map<String, Object> some, Where at) {
        some.forEach((id, written) -> at.attempt(() -> ends(written).forEach(manifest.setting(id)::check)));
    }

    /** A written value with the lower ends of all that is drawn from a range, and with the upper ones. */
    private static List<Object> ends(Object value) {
        return List.of(drawn(value, "", (range, purpose) -> Tree.number(range, "from")),
                drawn(value, "", (range, purpose) -> Tree.number(range, "to")));
    }

    private interface Draw {
        double from(Map<String, Object> range, String purpose);
    }

    /** A written value with a number in the place of every range, also of those in a list of things. */
    @SuppressWarnings("unchecked")
    private static Object drawn(Object value, String purpose, Draw draw) {
        if (value instanceof List<?> things) {
            List<Object> all = new ArrayList<>();
            for (int i = 0; i < things.size(); i++) {
                String of = purpose + "/" + (i + 1) + "/";
                Map<String, Object> fields = new LinkedHashMap<>();
                ((Map<String, Object>) things.get(i)).forEach((id, field) -> fields.put(id, drawn(field, of + id, draw)));
                all.add(fields);
            }
            return all;
        }
        if (value instanceof Map) {
            return draw.from((Map<String, Object>) value, purpose);
        }
        return value;
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
        Map<String, Object> settings = new LinkedHashMap<>();
        for (Map.Entry<String, Object> entry : fixed.entrySet()) {
            settings.put(entry.getKey(), draw(entry.getValue(), personal, entry.getKey()));
        }
        for (Choice choice : choices) {
            Option option = option(choice, chosen.get(choice.id()));
            for (Map.Entry<String, Object> entry : option.set().entrySet()) {
                settings.put(entry.getKey(), draw(entry.getValue(), personal,
                        choice.id() + "/" + option.id() + "/" + entry.getKey()));
            }
        }
        List<Recipe.Timed> actions = new ArrayList<>();
        for (int i = 0; i < acts.size(); i++) {
            Cue cue = acts.get(i);
            double at = RandomSource.named(personal, "start/" + trial + (i == 0 ? "" : "/" + i)).between(cue.from(), cue.to());
            actions.add(new Recipe.Timed(at, new Action.Perform(cue.act())));
        }
        actions.sort(Comparator.comparingDouble(Recipe.Timed::time));
        return new Recipe(apparatus, type.manifest().modelVersion(), Settings.of(type.manifest(), settings).toTree(),
                personal, actions);
    }

    /**
     * A student's own value of a setting, in that setting's unit.
     *
     * @param choiceId the choice whose option sets it; empty for one that is the same in all recordings
     * @throws IllegalArgumentException if the recordings don't set it
     */
    public double value(String choiceId, String optionId, String setting, int personal) {
        Choice choice = choice(choiceId);
        String purpose = choice == null ? setting : choiceId + "/" + optionId + "/" + setting;
        return amount(setting, draw(written(choice, optionId, setting), personal, purpose));
    }

    /**
     * Between which two a student's own value of a setting lies, in that setting's unit; the same twice where all have
     * the same. As {@link #value} otherwise.
     */
    public List<Double> range(String choiceId, String optionId, String setting) {
        return ends(written(choice(choiceId), optionId, setting)).stream().map(end -> amount(setting, end)).toList();
    }

    private Object written(Choice choice, String optionId, String setting) {
        Object value = choice == null ? fixed.get(setting) : option(choice, optionId).set().get(setting);
        if (value == null) {
            throw new IllegalArgumentException("these recordings don't set “" + setting + "” there");
        }
        return value;
    }

    private double amount(String setting, Object value) {
        return ((Number) Inventory.get(apparatus).manifest().setting(setting).check(value)).doubleValue();
    }

    private Choice choice(String id) {
        return choices.stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    /** What is chosen, by the names that students read: Cord Tern, Bob 120 g. */
    public String inWords(Map<String, Object> chosen) {
        List<String> words = new ArrayList<>();
        for (Choice choice : choices) {
            choice.options().stream().filter(o -> o.id().equals(chosen.get(choice.id())))
                    .forEach(o -> words.add(choice.name() + " " + o.name()));
        }
        return String.join(", ", words);
    }

    /** The unit of a setting of its apparatus. */
    public String unit(String setting) {
        Setting s = Inventory.get(apparatus).manifest().setting(setting);
        if (s instanceof Amount amount) {
            return amount.unit();
        }
        throw new IllegalArgumentException("“" + setting + "” is no amount");
    }

    /** What may lie on the tray. */
    public List<String> tray() {
        return !instruments.isEmpty() ? instruments : Inventory.get(apparatus).manifest().instruments().stream()
                .filter(i -> !i.kind().hooked()).map(Instrument::id).toList();
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

    private static Object draw(Object value, int personal, String purpose) {
        return drawn(value, purpose, (range, of) ->
                RandomSource.named(personal, of).between(Tree.number(range, "from"), Tree.number(range, "to")));
    }
}
