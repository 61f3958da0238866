package cauldron.core.block.films;

import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.instrument.Instrument;
import cauldron.core.inventory.Inventory;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What recordings would be like for students who don't exist: their personal values, and what in them makes a question
 * unanswerable, such as a thing longer than any ruler on the tray, two choices whose values can't be told apart, or too
 * few swings to count.
 */
public final class MadeUp {

    /** How many students are made up. */
    public static final int STUDENTS = 5;
    /** Their seeds: any will do, and they stay the same so that a teacher finds the same students again. */
    private static final int FIRST_SEED = 101;
    /** Values nearer to each other than this share of themselves aren't told apart by measuring. */
    private static final double ALIKE = 0.01;
    /** Fewer of what comes again and again are hard to time. */
    private static final int FEW = 4;
    private static final int MOST_RUNS = 24;
    /** Steps of all runs together: some twenty recordings of a minute. */
    private static final double MOST_STEPS = 200_000;
    private static final Unit METRE = Units.parse("m");

    /** A personal value: of which setting of which option, and how large for one student. */
    public record Value(String what, double value, String unit) {
    }

    /** What one made-up student would have. */
    public record Student(int seed, List<Value> values) {
    }

    private final FilmPlan plan;
    private final Manifest manifest;
    private final Set<String> warnings = new LinkedHashSet<>();

    private MadeUp(FilmPlan plan) {
        this.plan = plan;
        this.manifest = Inventory.get(plan.apparatus()).manifest();
    }

    /** Five students and their values. */
    public static List<Student> students(FilmsBlock block) {
        MadeUp all = new MadeUp(block.plan());
        List<Student> students = new ArrayList<>();
        for (int i = 0; i < STUDENTS; i++) {
            students.add(new Student(seed(i), all.values(seed(i))));
        }
        return students;
    }

    /** The seed of one of them. */
    public static int seed(int student) {
        return FIRST_SEED + student;
    }

    /** What is wrong with the ranges, in words; it takes as long as some recordings take to make. */
    public static List<String> warnings(FilmsBlock block) {
        MadeUp all = new MadeUp(block.plan());
        for (int i = 0; i < STUDENTS; i++) {
            all.lookAtRulers(seed(i));
            all.lookAtNeighbours(seed(i));
        }
        all.lookAtEvents();
        return List.copyOf(all.warnings);
    }

    private List<Value> values(int seed) {
        List<Value> values = new ArrayList<>();
        plan.fixed().forEach((id, written) -> add(values, "", "", "", id, written, seed));
        for (FilmPlan.Choice choice : plan.choices()) {
            for (FilmPlan.Option option : choice.options()) {
                String of = choice.name() + " " + option.name() + ": ";
                option.set().forEach((id, written) -> add(values, of, choice.id(), option.id(), id, written, seed));
            }
        }
        return values;
    }

    private void add(List<Value> values, String of, String choice, String option, String setting, Object written,
            int seed) {
        if (written instanceof Map) {
            values.add(new Value(of + manifest.setting(setting).name(), plan.value(choice, option, setting, seed),
                    plan.unit(setting)));
        }
    }

    private void lookAtRulers(int seed) {
        double longest = 0;
        for (String id : plan.tray()) {
            Instrument one = manifest.instrument(id);
            if (!one.unit().isEmpty() && Units.parse(one.unit()).sameKind(METRE)) {
                longest = Math.max(longest, Units.parse(one.unit()).toSi(one.span()));
            }
        }
        for (Value v : values(seed)) {
            Unit unit = Units.parse(v.unit());
            if (longest > 0 && unit.sameKind(METRE) && unit.toSi(v.value()) > longest) {
                warnings.add(v.what() + " is up to " + print(v) + " long: longer than anything on the tray measures ("
                        + Numbers.printShort(longest) + " m)");
            }
        }
    }

    private void lookAtNeighbours(int seed) {
        for (FilmPlan.Choice choice : plan.choices()) {
            Map<String, List<Double>> seen = new LinkedHashMap<>();
            Map<String, List<String>> names = new LinkedHashMap<>();
            for (FilmPlan.Option option : choice.options()) {
                option.set().forEach((setting, written) -> {
                    if (written instanceof Map) {
                        double value = plan.value(choice.id(), option.id(), setting, seed);
                        List<Double> before = seen.computeIfAbsent(setting, s -> new ArrayList<>());
                        List<String> of = names.computeIfAbsent(setting, s -> new ArrayList<>());
                        for (int i = 0; i < before.size(); i++) {
                            if (areAlike(before.get(i), value)) {
                                warnings.add(choice.name() + " " + of.get(i) + " and " + option.name()
                                        + " can be so alike for a student that nobody can tell them apart: "
                                        + manifest.setting(setting).name());
                            }
                        }
                        before.add(value);
                        of.add(option.name());
                    }
                });
            }
        }
    }

    private static boolean areAlike(double x, double y) {
        return Math.abs(x - y) < ALIKE * Math.max(Math.abs(x), Math.abs(y));
    }

    /** Counts what comes again and again in recordings in which one choice after the other is made. */
    private void lookAtEvents() {
        Map<String, Integer> most = new LinkedHashMap<>();
        Map<String, String> few = new LinkedHashMap<>();
        List<Map<String, Object>> all = recordings();
        double runs = Math.min(MOST_RUNS, MOST_STEPS * manifest.interval() / plan.seconds());
        for (int i = 0; i < Math.min(runs, all.size()); i++) {
            Recipe recipe = plan.recipe(all.get(i), seed(i % STUDENTS), 1);
            Run run = Inventory.replay(recipe, plan.seconds());
            for (Event event : manifest.events()) {
                int count = run.count(event, 0, plan.seconds());
                most.merge(event.name(), count, Math::max);
                if (count < FEW) {
                    few.putIfAbsent(event.name(), "Only " + (count == 1 ? "once" : count + " times") + " “" + event.name() + "” within the "
                            + Numbers.printShort(plan.seconds()) + " s"
                            + (plan.choices().isEmpty() ? "" : " with " + plan.inWords(all.get(i))));
                }
            }
        }
        few.forEach((event, words) -> {
            // What comes once by its nature, like a landing, isn't too few.
            if (most.get(event) >= FEW - 1) {
                warnings.add(words);
            }
        });
    }

    /** The first of each choice, and from there every other one by itself. */
    private List<Map<String, Object>> recordings() {
        Map<String, Object> first = new LinkedHashMap<>();
        plan.choices().forEach(c -> first.put(c.id(), c.options().get(0).id()));
        List<Map<String, Object>> all = new ArrayList<>();
        all.add(first);
        for (FilmPlan.Choice choice : plan.choices()) {
            for (FilmPlan.Option option : choice.options()) {
                Map<String, Object> other = new LinkedHashMap<>(first);
                other.put(choice.id(), option.id());
                if (!other.equals(first)) {
                    all.add(other);
                }
            }
        }
        return all;
    }

    private static String print(Value v) {
        return Numbers.print(v.value(), 3) + " " + v.unit();
    }
}
