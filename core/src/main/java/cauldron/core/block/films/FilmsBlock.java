package cauldron.core.block.films;

import static cauldron.core.form.Kinds.ANY;
import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.map;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.List;
import java.util.Map;

/**
 * Recordings to ask for.
 *
 * @param title what it is called where a lab has several
 * @param distinctTrials how many different ones are asked for
 */
public record FilmsBlock(String id, String title, FilmPlan plan, int distinctTrials) implements Block {

    @Override
    public String lack(Written written) {
        int have = written.recordings(id);
        return have >= distinctTrials ? null : have + " of " + distinctTrials + " different recordings made";
    }

    @Override
    public String counted(Written written) {
        return written.recordings(id) + " of " + distinctTrials;
    }

    @Override
    public String type() {
        return "films";
    }

    /** Positions marked in one view of a film. */
    public record Markers(List<Marker> markers) {
    }

    /** A position marked on one frame, in picture elements. */
    public record Marker(double frame, double x, double y) {
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<FilmsBlock> {

        private final Field<FilmsBlock, String> title = field("title", text(60), FilmsBlock::title).otherwise("")
                .says("What it is called where a lab has several.");
        private final Field<FilmsBlock, String> apparatus = field("apparatus", text(60), (FilmsBlock b) -> b.plan().apparatus());
        private final Field<FilmsBlock, List<String>> views = field("views", list(text(60), 4),
                (FilmsBlock b) -> b.plan().views()).says("What is filmed, in step.");
        private final Field<FilmsBlock, Double> rate = field("rate", number(0.001, 1e9), (FilmsBlock b) -> b.plan().rate())
                .hidden().says("Frames a second.");
        private final Field<FilmsBlock, Double> seconds = field("seconds", number(1e-12, 1e6),
                (FilmsBlock b) -> b.plan().seconds()).hidden().says("Length in model seconds.");
        private final Field<FilmsBlock, Map<String, Object>> fixed = field("fixed", map(ANY), (FilmsBlock b) -> b.plan().fixed())
                .otherwise(Map.of()).hidden()
                        .says("Settings of all recordings: a value, or a range from which each student has one of their own.");
        private final Field<FilmsBlock, List<FilmPlan.Choice>> choices = field("choices", list(new ChoiceForm(), 20),
                (FilmsBlock b) -> b.plan().choices()).otherwise(List.of()).says("What the student may choose by name.");
        private final Field<FilmsBlock, List<FilmPlan.Cue>> acts = field("acts", list(new CueForm(), 20),
                (FilmsBlock b) -> b.plan().acts()).otherwise(List.of()).hidden()
                .says("Acts, each done at a time drawn between two, so that time zero isn't frame zero.");
        private final Field<FilmsBlock, List<String>> instruments = field("instruments", list(text(60), 40),
                (FilmsBlock b) -> b.plan().instruments()).otherwise(List.of()).given(b -> b.plan().tray())
                .says("What lies on the tray; without it, all that make sense.");
        private final Field<FilmsBlock, Integer> distinct = field("distinctTrials", whole(0, 1000), FilmsBlock::distinctTrials)
                .otherwise(0).says("How many different recordings are asked for.");
        /** Positions marked in a film, by the trial and the view. */
        public final Slot<Markers> markers = slot("markers", 1, MarkersForm::new);

        /** The kind. */
        public Kind() {
            super("films", "Films", "Recordings to ask for, made by the server.");
        }

        @Override
        protected FilmsBlock make(Filled f) {
            return new FilmsBlock(f.get(id), f.get(title), new FilmPlan(f.get(apparatus), f.get(views), f.get(rate), f.get(seconds), f.get(fixed),
                    f.get(choices), f.get(acts), f.get(instruments)), f.get(distinct));
        }

        @Override
        public void checkAmong(FilmsBlock block, Neighbours all, Where at) {
            block.plan().check(at);
        }
    }

    private static final class ChoiceForm extends Form<FilmPlan.Choice> {
        private final Field<FilmPlan.Choice, String> id = field("id", text(60), FilmPlan.Choice::id);
        private final Field<FilmPlan.Choice, String> name = field("name", text(200), FilmPlan.Choice::name);
        private final Field<FilmPlan.Choice, List<FilmPlan.Option>> options = field("options", list(new OptionForm(), 60),
                FilmPlan.Choice::options);

        ChoiceForm() {
            super("FilmChoice", "Something to choose, such as the cord.");
        }

        @Override
        protected FilmPlan.Choice make(Filled f) {
            return new FilmPlan.Choice(f.get(id), f.get(name), f.get(options));
        }
    }

    private static final class OptionForm extends Form<FilmPlan.Option> {
        private final Field<FilmPlan.Option, String> id = field("id", text(60), FilmPlan.Option::id);
        private final Field<FilmPlan.Option, String> name = field("name", text(200), FilmPlan.Option::name);
        private final Field<FilmPlan.Option, Map<String, Object>> set = field("set", map(ANY), FilmPlan.Option::set)
                .otherwise(Map.of()).hidden()
                        .says("Settings it stands for: a value, or a range from which each student has one of their own.");

        private final Field<FilmPlan.Option, Boolean> demonstration = field("demonstration", FLAG,
                FilmPlan.Option::demonstration).otherwise(false)
                .says("Kept for the teacher's own demonstration: no student can choose it.");

        OptionForm() {
            super("FilmOption", "One that can be chosen.");
        }

        @Override
        protected FilmPlan.Option make(Filled f) {
            return new FilmPlan.Option(f.get(id), f.get(name), f.get(demonstration), f.get(set));
        }
    }

    private static final class CueForm extends Form<FilmPlan.Cue> {
        private final Field<FilmPlan.Cue, String> act = field("act", text(60), FilmPlan.Cue::act);
        private final Field<FilmPlan.Cue, Double> from = field("from", number(0, 1e6), FilmPlan.Cue::from);
        private final Field<FilmPlan.Cue, Double> to = field("to", number(0, 1e6), FilmPlan.Cue::to);

        CueForm() {
            super("Cue", "An act and between which times it is done.");
        }

        @Override
        protected FilmPlan.Cue make(Filled f) {
            return new FilmPlan.Cue(f.get(act), f.get(from), f.get(to));
        }
    }

    private static final class MarkersForm extends Form<Markers> {
        private final Field<Markers, List<Marker>> markers = field("markers", list(new MarkerForm(), 20_000), Markers::markers)
                .otherwise(List.of());

        MarkersForm() {
            super("Markers", "Positions marked in a film.");
        }

        @Override
        protected Markers make(Filled f) {
            return new Markers(f.get(markers));
        }
    }

    private static final class MarkerForm extends Form<Marker> {
        private final Field<Marker, Double> frame = field("frame", number(), Marker::frame);
        private final Field<Marker, Double> x = field("x", number(), Marker::x);
        private final Field<Marker, Double> y = field("y", number(), Marker::y);

        MarkerForm() {
            super("Marker", "A position marked on one frame.");
        }

        @Override
        protected Marker make(Filled f) {
            return new Marker(f.get(frame), f.get(x), f.get(y));
        }
    }
}
