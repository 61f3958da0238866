package cauldron.core.apparatus;

/** A yes or no of the scene. */
public final class Flag extends SceneField {

    private double hertz;

    Flag(Declaration owner, String id) {
        super(owner, id, Kind.FLAG);
    }

    /** While it is up and a person's time counts, a tone of so many hertz is heard. */
    public Flag sounding(double frequency) {
        stillOpen();
        hertz = frequency;
        return this;
    }

    /** A camera sees it. */
    public Flag filmed() {
        setFilmed();
        return this;
    }

    @Override
    double hertz() {
        return hertz;
    }
}
