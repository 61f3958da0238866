package cauldron.core.apparatus;

/** A yes or no of the scene. */
public final class Flag extends SceneField {

    Flag(Declaration owner, String id) {
        super(owner, id, Kind.FLAG);
    }

    /** A camera sees it. */
    public Flag filmed() {
        setFilmed();
        return this;
    }
}
