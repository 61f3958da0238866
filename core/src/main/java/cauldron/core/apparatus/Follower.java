package cauldron.core.apparatus;

import java.util.List;

/**
 * A run that goes after another one, of which it is told now and then what was done in it and how far it has come. What
 * is new it makes up in stretches as short as its caller has time for, so that nothing it is told takes long at once.
 *
 * <p>A run depends on its recipe alone, so once it is there it shows what the other one shows, to the last digit.
 */
public final class Follower {

    private final Apparatus apparatus;
    private Recipe recipe;
    private double time;
    private Run run;
    /** How many of the recipe's actions it has done. */
    private int done;

    /** One of an apparatus, with nothing to follow yet. */
    public Follower(Apparatus apparatus) {
        this.apparatus = apparatus;
    }

    /**
     * Tells how the other one stands.
     *
     * @param made its recipe
     * @param at   the moment it shows, in model seconds
     * @throws IllegalArgumentException where that can't be followed here, telling why
     */
    public void told(Recipe made, double at) {
        Recipe next = apparatus.now(made);
        boolean same = run != null && recipe.seed() == next.seed() && recipe.settings().equals(next.settings())
                && done <= next.actions().size()
                && recipe.actions().subList(0, done).equals(next.actions().subList(0, done));
        if (!same) {
            run = new Run(apparatus, Settings.of(apparatus.manifest(), next.settings()), next.seed());
            done = 0;
        }
        recipe = next;
        time = at;
    }

    /** Tells that nothing else was done, and which moment it shows now. */
    public void towards(double at) {
        time = at;
    }

    /** The run as far as it has come; another one where the other one began anew. Null before it is told anything. */
    public Run run() {
        return run;
    }

    /**
     * Goes on towards the other one.
     *
     * @param most at most so many model seconds
     * @return whether it is there
     * @throws IllegalArgumentException where what was done in the other one can't be done here, telling why
     */
    public boolean goOn(double most) {
        List<Recipe.Timed> actions = recipe.actions();
        boolean acts = done < actions.size() && isDone(actions.get(done).time());
        double goal = acts ? actions.get(done).time() : time;
        if (goal - run.time() > most && !run.isOver()) {
            run.seek(run.time() + most);
            return false;
        }
        run.seek(goal);
        if (acts) {
            run.act(actions.get(done).action());
            done++;
            return false;
        }
        return true;
    }

    /** Whether an action of a time is done at the moment that is followed; a step's is done on the way to the next. */
    private boolean isDone(double at) {
        return apparatus.manifest().clock() == Clock.STEPS ? at < time : at <= time;
    }
}
