package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.apparatus.Run;
import java.util.ArrayList;
import java.util.List;

/**
 * How made-up students work on one lab. Each reading is got as a real one is: the recipe is replayed, an
 * instrument is laid on the picture at a frame, and the scale is read with an error of about half a
 * division.
 */
abstract class DemoScript {

    /** Frames a second of the labs' recordings. */
    static final double RATE = 120;

    /** An answer to a question: a number with its unit, or places that were chosen, with the reason. */
    record Answer(String block, String number, String unit) {
    }

    /** The shipped lab it is for. */
    abstract String slug();

    /** A reason for each of the first choices of the prediction. */
    abstract List<String> predictions();

    /**
     * What is sketched before measuring, in shares of the axes; empty where the lab asks for none.
     *
     * @param choice the prediction that was chosen
     */
    List<Double> sketch(int choice, RandomSource chance) {
        return List.of();
    }

    /** Measures: all that is asked for, or only the beginning of it. */
    abstract void measure(DemoJournal journal, boolean all, RandomSource chance);

    /** Analyses, and answers the questions. */
    abstract List<Answer> analyse(DemoJournal journal);

    /** Explanations, from weak to strong in no order. */
    abstract List<String> explanations();

    /** What the teacher says to two, three and four points. */
    abstract List<String> comments();

    /** The times of an event in a run. */
    static List<Double> times(Run run, String event) {
        int kind = run.manifest().event(event).index();
        List<Double> times = new ArrayList<>();
        double[] events = run.events();
        for (int i = 0; i < events.length; i += 2) {
            if (events[i] == kind) {
                times.add(events[i + 1]);
            }
        }
        return times;
    }
}
