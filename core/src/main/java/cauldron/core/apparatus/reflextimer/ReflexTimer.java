package cauldron.core.apparatus.reflextimer;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Distribution;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;

/** The watch-keeper's test: its declaration; what counts as an answer is in {@link ReflexTimerExperiment}. */
public final class ReflexTimer extends Apparatus {

    static final int MOST_EVENTS = 40;
    private static final double HORN = 523;
    private static final double INTERVAL = 0.05;
    private static final double LEFT = -4.2;
    private static final double BOTTOM = -1.5;
    private static final double WIDTH = 8.4;
    private static final double HEIGHT = 4.4;
    private static final double TYPICAL = 600;
    private static final double SCALE = 1.8;
    private static final String ANSWERING = "how you answer, as you say it";

    /** What is to be answered. */
    enum Cue {
        LAMP(true, false), HORN(false, true), BOTH(true, true);

        final boolean seen;
        final boolean heard;

        Cue(boolean seen, boolean heard) {
            this.seen = seen;
            this.heard = heard;
        }
    }

    /** The lamp's colour. */
    enum Colour { WHITE, RED, GREEN }

    /** Where the lamp is. */
    enum Where { AHEAD, ANYWHERE }

    /** What the person says of how they answer; it changes nothing in the experiment, and is kept with the set. */
    enum Limb { WRITING, OTHER, FOOT }

    /** What the person says of what they do meanwhile; it changes nothing, either. */
    enum Meanwhile { NOTHING, COUNTING, TALKING }

    final Choice<Cue> cue = choice("cue", "Answer to", Cue.class).option("lamp", "a lamp", Cue.LAMP)
            .option("horn", "a horn", Cue.HORN).option("both", "lamp and horn together", Cue.BOTH)
            .note("Who can't see the lamp answers the horn, who can't hear the horn the lamp.");
    final Choice<Colour> colour = choice("colour", "Colour of the lamp", Colour.class).option("white", "white", Colour.WHITE)
            .option("red", "red", Colour.RED).option("green", "green", Colour.GREEN).when(cue, Cue.LAMP, Cue.BOTH);
    final Choice<Where> where = choice("where", "Place of the lamp", Where.class).option("ahead", "straight ahead", Where.AHEAD)
            .option("anywhere", "anywhere on the horizon", Where.ANYWHERE).when(cue, Cue.LAMP, Cue.BOTH);
    final Amount events = count("events", "n", "How many times").within(5, MOST_EVENTS).first(10);
    final Amount longest = amount("longest", "w_2", "Longest wait", "s").within(1, 10).step(0.5).first(4);
    final Amount shortest = amount("shortest", "w_1", "Shortest wait", "s").within(1, 10).step(0.5).first(1.5)
            .noMoreThan(longest).note("Each wait is drawn by chance between the two.");
    final Choice<Limb> limb = choice("limb", "Answered with", Limb.class)
            .option("writing", "the hand I write with", Limb.WRITING).option("other", "the other hand", Limb.OTHER)
            .option("foot", "a foot", Limb.FOOT).in(ANSWERING);
    final Choice<Meanwhile> meanwhile = choice("meanwhile", "Meanwhile", Meanwhile.class)
            .option("nothing", "nothing else", Meanwhile.NOTHING).option("counting", "counting backwards", Meanwhile.COUNTING)
            .option("talking", "talking with somebody", Meanwhile.TALKING).in(ANSWERING);

    final Channel number = channel("number", "N", "Answers so far", "").typically(0, 20).decimals(0);
    final Channel last = channel("last", "t_r", "Reaction time, the last one", "ms").typically(0, 600).decimals(0);
    final Channel mean = channel("mean", "t_mean", "Mean so far", "ms").typically(0, 600).decimals(1);
    final Channel deviation = channel("deviation", "s", "Standard deviation so far", "ms").typically(0, 200).decimals(1);
    final Channel falseStarts = channel("false-starts", "N_f", "False starts", "").typically(0, 10).decimals(0);
    final Channel missed = channel("missed", "N_m", "Missed", "").typically(0, 10).decimals(0);

    final Distribution times = distribution("times", "t_r", "Reaction time", "ms").upTo(TYPICAL).decimals(0).of(cue)
            .marks("mean − s", "mean", "mean + s").endingAt(SCALE, 1).inBins(20).counting("answers", "all").overTrials();

    final Event answered = event("answered", "answer").told();
    final Event given = event("given", "cue");
    final Event tooSoon = event("too-soon", "false start").told();
    final Event notAnswered = event("not-answered", "missed").told();

    final Outcome answers = outcome("answers", "N", "Answers", "").decimals(0);
    final Outcome meanTime = outcome("mean-time", "t_mean", "Mean reaction time", "ms").decimals(1);
    final Outcome spread = outcome("spread", "s", "Standard deviation", "ms").decimals(1);
    final Outcome median = outcome("median", "t_med", "Median", "ms").decimals(1).aside();
    final Outcome fastest = outcome("fastest", "t_min", "Fastest answer", "ms").decimals(0).aside();
    final Outcome early = outcome("early", "N_f", "False starts", "").decimals(0);
    final Outcome lost = outcome("lost", "N_m", "Missed", "").decimals(0).aside();

    final View watch = view("watch", "From the watch room");
    final Place lamp = place("lamp");
    final SceneNumber lampColour = number("lamp.colour");
    final SceneNumber done = number("done");
    final SceneNumber all = number("all");
    final Flag lit = flag("lit");
    final Flag horn = flag("horn").sounding(HORN);
    final Flag begun = flag("begun");
    final Flag counting = flag("counting");
    final Flag due = flag("due");

    final Act begin = act("begin", "Begin").unless(begun).leads();
    final Act answer = act("answer", "Answer").when(counting).answers();
    final Act shown = act("shown", "Cue shown").when(due).whenShown(lit, horn);
    final Act stop = act("stop", "Break off").when(counting).breaksOff();

    /** Reflex timer. */
    public ReflexTimer() {
        super("reflex-timer", 1, "Reflex timer");
        about("How long you take to answer a lamp or a horn, how much that scatters, and what changes it.",
                "scatter of measurements", "mean and standard deviation", "reaction time");
        time(INTERVAL, 1, "s");
        personsTime(counting);
        slips("An answer before the cue was counted as a fast one.", "The standard deviation was read as a mistake that was made.",
                "Too few answers: one slow one changes the mean a lot.",
                "A sound's way through the device was taken for slower nerves.");
        portrait().with(longest, 2.0).with(shortest, 2.0).with(colour, "white").doing(begin, 0).at(3)
                .through(-1.6, -1.1, 3.2, 2.7);
        setUp("lamp", "Ten answers to a lamp", "One volunteer, everybody watches the histogram grow. Press Begin, then any key at each"
                + " lamp. Ask after three answers what the mean will be after ten, and whether the spread is a mistake.")
                .reading(number, last, mean, deviation, falseStarts).at(0);
        setUp("distracted", "Counting backwards", "The same volunteer counts backwards from 200 in sevens, aloud. Afterwards open Trials,"
                + " Over all: two boxes side by side, and whether the means differ by more than chance.")
                .with(meanwhile, "counting").reading(number, last, mean, deviation, falseStarts).at(0);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new ReflexTimerExperiment(this, settings, seed);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(LEFT, BOTTOM, WIDTH, HEIGHT);
    }
}
