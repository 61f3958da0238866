package cauldron.core.inventory;

import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.ServiceLoader;

/**
 * Every apparatus there is, in the order of the list {@code META-INF/services/cauldron.core.apparatus.Apparatus}, which is
 * where a new one adds its line. All of them are closed here, so a fault in a declaration is told at once.
 */
public final class Inventory {

    private static final List<Apparatus> ALL = gather(ServiceLoader.load(Apparatus.class));

    private Inventory() {
    }

    /** Closes every apparatus; no two may have the same id. */
    static List<Apparatus> gather(Iterable<Apparatus> found) {
        List<Apparatus> all = new ArrayList<>();
        for (Apparatus apparatus : found) {
            String id = apparatus.manifest().id();
            if (all.stream().anyMatch(a -> a.manifest().id().equals(id))) {
                throw new IllegalStateException("There are two apparatus “" + id + "”");
            }
            all.add(apparatus);
        }
        return List.copyOf(all);
    }

    /** All of them. */
    public static List<Apparatus> all() {
        return ALL;
    }

    /** The apparatus of that id; refuses one it doesn't have. */
    public static Apparatus get(String id) {
        for (Apparatus apparatus : ALL) {
            if (apparatus.manifest().id().equals(id)) {
                return apparatus;
            }
        }
        throw new IllegalArgumentException("There is no apparatus “" + id + "”");
    }

    /** Replays a recipe from its beginning to a time. */
    public static Run replay(Recipe recipe, double until) {
        return Run.replay(get(recipe.apparatus()), recipe, until);
    }

    /**
     * Films a recipe from its beginning.
     *
     * @param view    id of a view
     * @param rate    frames per second
     * @param seconds length of the film
     */
    public static Film shoot(Recipe recipe, String view, double rate, double seconds) {
        Apparatus apparatus = get(recipe.apparatus());
        return Film.shoot(apparatus, recipe, apparatus.manifest().view(view), rate, seconds);
    }
}
