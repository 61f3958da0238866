package cauldron.core.reference;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;
import static cauldron.core.form.Kinds.word;

import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.reference.Reference.Shows;

/** How a reference is declared. */
final class ReferenceForm extends Form<Reference> {

    private static final double USUAL_DIVISIONS = 2;
    private static final int MOST_REPEATS = 1000;

    private final Field<Reference, String> column = field("column", text(60), Reference::column)
            .says("The id of the column.");
    private final Field<Reference, String> shows = field("shows", word("option", "setting", "channel", "outcome",
            "distance",
            "pointer", "travel", "time", "repeats"), (Reference r) -> r.shows().word())
                    .says("In which way the apparatus shows it: the name of what was chosen, a setting, a "
                            + "channel at the moment of the reading, an outcome, the distance of two places, a "
                            + "pointer from its scale's zero, how far a place has come, the time since a moment, "
                            + "or that of so many repeats.");
    private final Field<Reference, String> of = field("of", text(60), Reference::of).otherwise("")
            .says("The choice, setting, channel, outcome, place or repeated event; a time needs none.");
    private final Field<Reference, String> to = field("to", text(60), Reference::to).otherwise("")
            .says("The other place of a distance, or the pointer.");
    private final Field<Reference, String> per = field("per", text(60), Reference::per).otherwise("")
            .says("The length in the picture that stands for one SI unit of a pointer's scale.");
    private final Field<Reference, String> since = field("since", text(60), Reference::since).otherwise("")
            .says("The act or event from which a time or a way is counted; without it, the stopwatch's zero.");
    private final Field<Reference, Integer> times = field("times", whole(1, MOST_REPEATS), Reference::times)
            .otherwise(1)
            .says("How many repeats are timed.");
    private final Field<Reference, Integer> every = field("every", whole(1, 100), Reference::every).otherwise(1)
            .says("How many of its events one repeat has: a swing passes its lowest point twice.");
    private final Field<Reference, Double> divisions = field("divisions", number(0.1, 1000), Reference::divisions)
            .otherwise(USUAL_DIVISIONS).says("How many divisions of the scale a reading may be off.");
    private final Field<Reference, Double> percent = field("percent", number(0, 50), Reference::percent).otherwise(0.0)
            .says("How far it may be off in per cent; the wider of both counts.");

    ReferenceForm() {
        super("Reference", "What a column's values are held against: where the apparatus shows what stands in it.");
    }

    @Override
    protected Reference make(Filled f) {
        return new Reference(f.get(column), Shows.valueOf(f.get(shows).toUpperCase()), f.get(of), f.get(to), f.get(per),
                f.get(since),
                f.get(times), f.get(every), f.get(divisions), f.get(percent));
    }

    @Override
    protected void check(Reference r, Where at) {
        if (r.of().isEmpty() && r.shows() != Shows.TIME) {
            at.in("of").fault("is missing");
        }
        boolean two = r.shows() == Shows.DISTANCE || r.shows() == Shows.POINTER;
        if (r.to().isEmpty() == two) {
            at.in("to").fault(two ? "is missing" : "only a distance and a pointer have another place");
        }
        if (r.per().isEmpty() == (r.shows() == Shows.POINTER)) {
            at.in("per").fault(r.per().isEmpty() ? "is missing" : "only a pointer has a scale of its own");
        }
    }
}
