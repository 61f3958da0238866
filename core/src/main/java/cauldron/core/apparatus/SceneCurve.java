package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** A line of the scene through many points, such as a rail or a way. */
public final class SceneCurve extends Declared {

    SceneCurve(Declaration owner, String id) {
        super(owner, id, id);
    }

    @Override
    String sort() {
        return "curve";
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id());
    }
}
