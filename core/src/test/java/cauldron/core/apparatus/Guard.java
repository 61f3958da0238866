package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Holds an apparatus against a slow and simple reference over settings drawn by chance, the ends of their ranges among
 * them. Sixty recipes are drawn in a build; {@code -Dcauldron.guard=2000} draws more of them, and
 * {@code -Dcauldron.guard.seed=7} others. What was worst is printed; what is too much is told with its recipe.
 */
public final class Guard {

    private static final int RECIPES = Integer.getInteger("cauldron.guard", 60);
    private static final int SEED = Integer.getInteger("cauldron.guard.seed", 2026);
    private static final int TRIES = 400;

    /** What is done with one recipe. */
    public interface Holding {
        /** Holds the apparatus under these settings against the reference. */
        void hold(Settings settings, int seed);
    }

    private final Apparatus apparatus;
    private final Map<String, Double> worst = new LinkedHashMap<>();
    private Settings now;

    public Guard(Apparatus apparatus) {
        this.apparatus = apparatus;
    }

    /** Goes through all recipes. */
    public void over(Holding holding) {
        RandomSource chance = RandomSource.named(SEED, apparatus.manifest().id());
        for (int i = 0; i < RECIPES; i++) {
            now = drawn(apparatus, chance);
            try {
                holding.hold(now, i);
            } catch (RuntimeException e) {
                throw new AssertionError("recipe " + i + " of seed " + SEED + ": " + now.toTree(), e);
            }
        }
        tell();
    }

    /** Holds one recipe, which is named. */
    public void with(Holding holding, Object... settings) {
        now = Settings.of(apparatus.manifest(), Tree.of(settings));
        holding.hold(now, 0);
    }

    private void tell() {
        StringBuilder all = new StringBuilder("guard " + apparatus.manifest().id() + ", " + RECIPES + " recipes of seed " + SEED
                + ", worst in parts of what is allowed:");
        worst.forEach((what, off) -> all.append(' ').append(what).append(String.format(" %.1e;", off)));
        System.out.println(all);
    }

    /** A value may be off by so much; NaN only where the reference has none either. */
    public void holds(String what, double is, double should, double allowed) {
        if (Double.isNaN(is) && Double.isNaN(should)) {
            return;
        }
        double off = Math.abs(is - should) / allowed;
        worst.merge(what, off, Math::max);
        assertThat(off).as("%s is %s, should be %s, in %s (seed %d)", what, is, should, now.toTree(), SEED)
                .isLessThanOrEqualTo(1);
    }

    /** When an event came first; NaN where it never did. */
    public static double first(Run run, Event event) {
        double[] events = run.events();
        for (int i = 0; i < events.length; i += 2) {
            if (events[i] == event.index()) {
                return events[i + 1];
            }
        }
        return Double.NaN;
    }

    /** Settings drawn by chance: often an end of a range or what a setting begins with. */
    public static Settings drawn(Apparatus apparatus, RandomSource chance) {
        SettingException last = null;
        for (int i = 0; i < TRIES; i++) {
            Map<String, Object> some = new LinkedHashMap<>();
            apparatus.manifest().settings().forEach(s -> some.put(s.id(), drawn(s, chance)));
            try {
                return Settings.of(apparatus.manifest(), some);
            } catch (SettingException e) {
                // Two that don't go together: drawn anew.
                last = e;
            }
        }
        throw last;
    }

    private static Object drawn(Setting setting, RandomSource chance) {
        if (setting instanceof Amount a) {
            switch (chance.below(7)) {
                case 0:
                    return a.min();
                case 1:
                    return a.max();
                case 2:
                    return a.initial();
                default:
                    return Math.min(a.max(), a.min() + a.step() * Math.rint(chance.unit() * (a.max() - a.min()) / a.step()));
            }
        }
        if (setting instanceof Choice<?> c) {
            List<?> options = Tree.maps(c.toTree(), "options");
            return ((Map<?, ?>) options.get(chance.below(options.size()))).get("id");
        }
        return Strains.any(setting, chance);
    }
}
