package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.apparatus.Follower;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** A run that goes after another one, as the browser holds it. */
public final class FollowerDoor {

    private final Follower follower;
    private Run shown;
    private RunDoor door;

    FollowerDoor(Follower follower) {
        this.follower = follower;
    }

    /** Tells how the other one stands; answers {@code {error}} where that can't be followed here. */
    @JSExport
    public JSObject told(JSObject recipe, double time) {
        return Trees.guarded(() -> {
            follower.told(Recipe.fromTree(Trees.mapFromJs(recipe)), time);
            return Tree.of();
        });
    }

    /** Tells which moment the other one shows now, when nothing else was done. */
    @JSExport
    public void towards(double time) {
        follower.towards(time);
    }

    /** Goes on by at most so many model seconds; answers {@code {there}} or {@code {error}}. */
    @JSExport
    public JSObject goOn(double most) {
        return Trees.guarded(() -> Tree.of("there", follower.goOn(most)));
    }

    /** The run; another one where the other one began anew. */
    @JSExport
    public RunDoor run() {
        if (shown != follower.run()) {
            shown = follower.run();
            door = new RunDoor(shown);
        }
        return door;
    }
}
