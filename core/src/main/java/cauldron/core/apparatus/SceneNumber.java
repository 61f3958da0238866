package cauldron.core.apparatus;

/** A number of the scene that is neither a place nor a length: how many there are, which one, an angle in radians. */
public final class SceneNumber extends SceneField {

    SceneNumber(Declaration owner, String id) {
        super(owner, id, Kind.NUMBER);
    }

    /** A camera sees it. */
    public SceneNumber filmed() {
        setFilmed();
        return this;
    }
}
