package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** A line of the scene through many points, such as a rail or a way. */
public final class SceneCurve extends Declared {

    private Layer layer;
    private boolean filmed;

    SceneCurve(Declaration owner, String id) {
        super(owner, id, id);
    }

    @Override
    String sort() {
        return "curve";
    }

    /** Only a layer shows it. */
    public SceneCurve on(Layer shown) {
        stillOpen();
        layer = shown;
        return this;
    }

    /** A camera sees it, too. */
    public SceneCurve filmed() {
        stillOpen();
        filmed = true;
        return this;
    }

    /** Whether a camera sees it. */
    boolean isFilmed() {
        return filmed;
    }

    /** Whether it is seen without any layer. */
    public boolean isAlwaysShown() {
        return layer == null;
    }

    void check(Manifest all, Faults faults) {
        if (layer != null) {
            faults.known(this, layer, all.layers());
            if (filmed) {
                faults.add(this, "is only shown by a layer, which no camera sees");
            }
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "layer", layer == null ? "" : layer.id());
    }
}
