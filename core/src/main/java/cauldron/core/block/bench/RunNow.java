package cauldron.core.block.bench;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Settings;
import cauldron.core.inventory.Inventory;
import java.util.Map;

/**
 * How a bench of a lab stands at a moment, so that somebody else can look on: not kept, only told.
 *
 * @param recipe what is on the bench, with all that was done in it so far
 * @param time   the moment shown, in model seconds
 * @param pace   how many model seconds go by in a second; 0 where it rests
 */
public record RunNow(Recipe recipe, double time, double pace) {

    /** More than any class waits for, in model seconds. */
    public static final double LATEST = 1e8;
    /** More than any display shows. */
    public static final double FASTEST = 1e8;

    /**
     * Reads one of a bench.
     *
     * @throws IllegalArgumentException where it isn't one, naming what is wrong and what is allowed
     */
    public static RunNow read(BenchBlock block, Map<String, Object> tree) {
        Recipe recipe = Recipe.fromTree(Tree.map(tree, "recipe"));
        if (!recipe.apparatus().equals(block.plan().apparatus())) {
            throw new IllegalArgumentException("recipe: of “" + recipe.apparatus() + "”, but on this bench stands “"
                    + block.plan().apparatus() + "”");
        }
        Apparatus apparatus = Inventory.get(recipe.apparatus());
        Settings.of(apparatus.manifest(), apparatus.now(recipe).settings());
        for (Recipe.Timed timed : recipe.actions()) {
            within("recipe.actions.time", timed.time(), LATEST);
        }
        return new RunNow(recipe, within("time", Tree.number(tree, "time"), LATEST),
                within("pace", Tree.number(tree, "pace"), FASTEST));
    }

    private static double within(String field, double value, double most) {
        if (!(value >= 0 && value <= most)) {
            throw new IllegalArgumentException(field + ": from 0 to " + (long) most + ", not " + value);
        }
        return value;
    }
}
