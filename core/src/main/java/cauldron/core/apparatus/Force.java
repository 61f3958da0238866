package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/**
 * A force on a body, drawn as an arrow over any apparatus: where it acts, and its components in newtons, rightwards and
 * upwards, which stand in the scene.
 */
public final class Force extends Declared {

    private final String symbol;
    private final Place at;
    private final SceneNumber right;
    private final SceneNumber up;

    Force(Declaration owner, String id, String symbol, String name, Place at, SceneNumber right, SceneNumber up) {
        super(owner, id, name);
        this.symbol = symbol;
        this.at = at;
        this.right = right;
        this.up = up;
    }

    @Override
    String sort() {
        return "force";
    }

    /** Its component rightwards. */
    SceneNumber right() {
        return right;
    }

    /** Its component upwards. */
    SceneNumber up() {
        return up;
    }

    void check(Manifest all, Faults faults) {
        faults.known(this, at == null ? null : at.x(), all.scene());
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "symbol", symbol, "name", name(), "xField", at.x().id(), "yField", at.y().id(),
                "rightField", right.id(), "upField", up.id());
    }
}
