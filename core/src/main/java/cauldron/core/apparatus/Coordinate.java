package cauldron.core.apparatus;

/** A coordinate or a length of the scene, in metres. */
public final class Coordinate extends SceneField {

    Coordinate(Declaration owner, String id, Kind kind) {
        super(owner, id, kind);
    }

    /** A camera sees it. */
    public Coordinate filmed() {
        setFilmed();
        return this;
    }
}
