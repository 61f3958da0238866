package cauldron.core.apparatus;

/**
 * How an apparatus looks in a list of many: a run like any other, so what is shown there is what the apparatus does,
 * through a frame of its own where the first view's would show too much or too little.
 */
public final class Portrait extends Staging<Portrait> {

    private Frame frame;

    Portrait(Apparatus of) {
        super(of);
    }

    @Override
    Portrait self() {
        return this;
    }

    /** Seen through a frame of its own. */
    public Portrait through(double left, double bottom, double width, double height) {
        frame = new Frame(left, bottom, width, height);
        return this;
    }

    /** What of it is seen. */
    public Frame frame() {
        return frame != null ? frame : of().frame(of().manifest().views().get(0), settings());
    }
}
