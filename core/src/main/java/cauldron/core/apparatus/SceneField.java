package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.List;
import java.util.Map;

/** One number of the scene: a coordinate or length in metres, a plain number, or a flag. */
public abstract sealed class SceneField extends Declared permits Coordinate, Flag, SceneNumber {

    /** What a field stands for, and so how a film turns it into picture coordinates. */
    public enum Kind { X, Y, LENGTH, NUMBER, FLAG }

    private final Kind kind;
    private boolean filmed;

    SceneField(Declaration owner, String id, Kind kind) {
        super(owner, id, id);
        this.kind = kind;
    }

    @Override
    final String sort() {
        return "scene field";
    }

    /** What it stands for. */
    public final Kind kind() {
        return kind;
    }

    /** Whether a camera would see it. */
    public final boolean isFilmed() {
        return filmed;
    }

    /** The tone that a person hears while it is up, in Hz; 0 for none. */
    double hertz() {
        return 0;
    }

    /** What it can stand for, where it is the place of a word; else empty. */
    List<String> words() {
        return List.of();
    }

    final void setFilmed() {
        stillOpen();
        filmed = true;
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "kind", kind.name().toLowerCase(), "filmed", filmed, "hertz", hertz(), "words", words());
    }
}
