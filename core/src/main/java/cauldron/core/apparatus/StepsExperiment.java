package cauldron.core.apparatus;

/**
 * An experiment without time: nothing happens but what is done to it, and its moments are counted by that. What it is
 * made of stands in registers, so going back and forward is exact.
 */
public abstract class StepsExperiment extends Experiment {

    private final Register step = register(0);

    /** An experiment of an apparatus under its first settings. */
    protected StepsExperiment(Apparatus apparatus, Settings settings) {
        super(apparatus, settings);
    }

    /** How many things have been done. */
    @Override
    public final double time() {
        return step.get();
    }

    @Override
    public final void advanceTo(double time, EventSink sink) {
        step.set(time);
    }

    @Override
    protected void restored() {
        // All that it is stands in what it remembers.
    }
}
