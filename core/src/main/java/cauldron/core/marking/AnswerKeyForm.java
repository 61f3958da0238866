package cauldron.core.marking;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.marking.AnswerKey.Came;
import cauldron.core.marking.AnswerKey.Following;
import cauldron.core.marking.AnswerKey.Own;
import cauldron.core.marking.AnswerKey.Slip;
import cauldron.core.marking.AnswerKey.Which;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.List;

/**
 * How a key is declared: a tolerance in per cent, an absolute one in the key's unit, or both, of which the wider counts; a
 * fixed value, a student's own, or one that follows from the student's table.
 */
public final class AnswerKeyForm extends Form<AnswerKey> {

    private static final double MOST_PERCENT = 50;

    private final Field<AnswerKey, Double> value = field("value", number(),
            (AnswerKey k) -> Double.isNaN(k.value()) ? null : (Double) k.value()).optional().says("The true number, in the unit.");
    private final Field<AnswerKey, Own> own = field("own", new OwnForm(), AnswerKey::own).optional()
            .says("Where the student's own truth is found.");
    private final Field<AnswerKey, Following> following = field("following", new FollowingForm(), AnswerKey::following).optional()
            .says("How it follows from the student's own table.");
    private final Field<AnswerKey, Came> came = field("came", new CameForm(), AnswerKey::came).optional()
            .says("What the student's own trials came to.");
    private final Field<AnswerKey, String> unit = field("unit", text(60), (AnswerKey k) -> k.unit().symbol());
    private final Field<AnswerKey, Double> percent = field("tolerancePercent", number(0, MOST_PERCENT),
            (AnswerKey k) -> 100 * k.tolerance()).otherwise(0.0);
    private final Field<AnswerKey, Double> within = field("tolerance", number(0, Double.MAX_VALUE), AnswerKey::within).otherwise(0.0)
            .says("In the key's unit.");
    private final Field<AnswerKey, Integer> figures = field("figures", whole(0, 9), AnswerKey::figures).otherwise(0)
            .says("Significant figures asked for; 0: none.");
    private final Field<AnswerKey, List<String>> also = field("alsoIn", list(text(60), 10),
            (AnswerKey k) -> k.also().stream().map(Unit::symbol).toList()).otherwise(List.of())
            .says("Units of another kind in which the same number is right; an empty one for none.");
    private final Field<AnswerKey, List<Slip>> slips = field("slips", list(new SlipForm(), 40), AnswerKey::slips)
            .otherwise(List.of());

    /** The form. */
    public AnswerKeyForm() {
        super("Key", "What is right, and which slips are known. It never leaves the server.");
    }

    /**
     * Reads a key alone.
     *
     * @throws IllegalArgumentException naming what is wrong
     */
    public static AnswerKey read(Object tree) {
        Where at = Where.strict();
        AnswerKey key = new AnswerKeyForm().read(tree, at);
        if (key == null) {
            throw new IllegalArgumentException(at.faults().get(0).text());
        }
        return key;
    }

    @Override
    protected AnswerKey make(Filled f) {
        Unit read = Units.parse(f.get(unit));
        boolean known = f.get(own) == null && f.get(following) == null && f.get(came) == null;
        if (known && f.get(value) == null) {
            throw new IllegalArgumentException("“value” is missing");
        }
        return new AnswerKey(known ? f.get(value) : Double.NaN, f.get(own), f.get(following), f.get(came), read,
                f.get(percent) / 100, f.get(within), f.get(figures),
                f.get(also).stream().map(Units::parse).toList(), f.get(slips));
    }

    @Override
    protected void check(AnswerKey key, Where at) {
        if (key.tolerance() == 0 && key.within() == 0) {
            at.fault(key.value() == 0 ? "tolerance: of a value of 0 no part can be asked. Give tolerance in its unit"
                    : "tolerancePercent or tolerance: one of them is needed");
        } else if (key.value() == 0 && key.within() == 0) {
            at.fault("tolerance: of a value of 0 no part can be asked. Give tolerance in its unit");
        }
        if (key.came() == null && key.slips().stream().anyMatch(s -> !s.outcome().isEmpty())) {
            at.fault("slips: an outcome can be a slip only where the key is what a trial came to");
        }
        if (key.unit().offset() != 0 && key.tolerance() > 0) {
            at.fault("tolerancePercent: a part of a temperature in °C has no meaning, because its zero"
                    + " is not nothing. Give tolerance in °C instead");
        }
    }

    private static final class OwnForm extends Form<Own> {
        private final Field<Own, String> films = field("films", text(60), Own::films).says("The id of the recordings.");
        private final Field<Own, String> choice = field("choice", text(60), Own::choice).otherwise("");
        private final Field<Own, String> option = field("option", text(60), Own::option).otherwise("");
        private final Field<Own, String> setting = field("setting", text(60), Own::setting);

        OwnForm() {
            super("Own", "A personal value of recordings: a setting, as one option of a choice sets it for the student.");
        }

        @Override
        protected Own make(Filled f) {
            return new Own(f.get(films), f.get(choice), f.get(option), f.get(setting));
        }
    }

    private static final class FollowingForm extends Form<Following> {
        private final Field<Following, String> table = field("table", text(60), Following::table);
        private final Field<Following, String> formula = field("formula", text(2000), Following::formula)
                .says("Over the columns' symbols, with one value for all rows.");

        FollowingForm() {
            super("Following", "What follows from the student's own table.");
        }

        @Override
        protected Following make(Filled f) {
            return new Following(f.get(table), f.get(formula));
        }
    }

    private static final class CameForm extends Form<Came> {
        private final Field<Came, String> bench = field("bench", text(60), Came::bench).says("The id of the bench.");
        private final Field<Came, String> outcome = field("outcome", text(60), Came::outcome);
        private final Field<Came, Boolean> least = field("least", FLAG, (Came c) -> c.which() == Which.LEAST).otherwise(false)
                .says("The least of all trials; without it, the greatest.");
        private final Field<Came, Boolean> last = field("last", FLAG, (Came c) -> c.which() == Which.LAST).otherwise(false)
                .says("The last trial, whatever it came to.");
        private final Field<Came, String> within = field("within", text(60), Came::within).otherwise("")
                .says("Another outcome: only trials count in which it is no more than atMost.");
        private final Field<Came, Double> atMost = field("atMost", number(), Came::atMost).otherwise(0.0)
                .says("In that outcome's own unit.");

        CameForm() {
            super("Came", "What the student's own trials on a bench came to.");
        }

        @Override
        protected Came make(Filled f) {
            return new Came(f.get(bench), f.get(outcome),
                    f.get(last) ? Which.LAST : f.get(least) ? Which.LEAST : Which.GREATEST, f.get(within), f.get(atMost));
        }
    }

    private static final class SlipForm extends Form<Slip> {
        private final Field<Slip, Double> factor = field("factor", number(),
                (Slip s) -> s.outcome().isEmpty() ? (Double) s.factor() : null).optional()
                .says("An answer so many times the truth shows this slip.");
        private final Field<Slip, String> outcome = field("outcome", text(60), Slip::outcome).otherwise("")
                .says("An answer that is this outcome of the same trial shows this slip.");
        private final Field<Slip, String> hint = field("hint", text(2000), Slip::hint);

        SlipForm() {
            super("Slip", "A known slip, with a hint.");
        }

        @Override
        protected Slip make(Filled f) {
            if (f.get(outcome).isEmpty() == (f.get(factor) == null)) {
                throw new IllegalArgumentException("factor or outcome: one of them says what the slip comes to");
            }
            return new Slip(f.get(factor) == null ? Double.NaN : f.get(factor), f.get(outcome), f.get(hint));
        }
    }
}
