package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * Something shown over the apparatus on request, such as force arrows; no camera sees it. The scene draws it, unless it
 * is a trail.
 */
public final class Layer extends Declared {

    private List<Channel> trail = List.of();
    private String note = "";

    Layer(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "layer";
    }

    /** It is the path so far of a point whose coordinates are two channels. */
    public Layer trail(Channel x, Channel y) {
        stillOpen();
        trail = Arrays.asList(x, y);
        return this;
    }

    /** What has to be said beside the picture while it is shown, because it isn't drawn to scale then. */
    public Layer note(String words) {
        stillOpen();
        note = words;
        return this;
    }

    void check(Manifest all, Faults faults) {
        trail.forEach(c -> faults.known(this, c, all.channels()));
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name(), "trail", trail.stream().map(Declared::id).toList(), "note", note);
    }
}
