package cauldron.core.marking;

import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;

/**
 * What a question would say to answers as students give them: right, rounded, without a unit, in a unit of something
 * else, off by a power of ten, with the other sign, upside down, and at the edge of what is near enough.
 */
public final class TypicalAnswers {

    /** Where the right value is the student's own and not known yet, this is taken for it. */
    public static final double ASSUMED = 4.2;
    private static final int MOST = 10;
    private static final int FIGURES = 4;
    private static final double BEYOND = 1.5;

    /** An answer, why it is typical, and what the question says. */
    public record Answered(String why, String number, String unit, AnswerCheck.Result result) {
    }

    private TypicalAnswers() {
    }

    /** At most ten of them. */
    public static List<Answered> to(AnswerKey asked) {
        AnswerKey key = Double.isNaN(asked.value()) ? asked.with(ASSUMED) : asked;
        double right = key.value();
        String unit = key.unit().symbol();
        List<Answered> all = new ArrayList<>();
        add(all, key, "right", right, FIGURES, unit);
        add(all, key, "right, with two figures", right, 2, unit);
        for (AnswerKey.Slip slip : key.slips()) {
            if (!Double.isNaN(slip.factor())) {
                add(all, key, "a slip you named", slip.factor() * right, FIGURES, unit);
                break;
            }
        }
        if (!unit.isEmpty()) {
            add(all, key, "without a unit", right, FIGURES, "");
            Unit other = Units.parse(key.unit().sameKind(Units.parse("s")) ? "m" : "s");
            add(all, key, "in a unit of something else", right, FIGURES, other.symbol());
        }
        double edge = Math.max(key.tolerance() * Math.abs(right), key.within());
        if (edge > 0) {
            add(all, key, "just not near enough", right + BEYOND * edge, FIGURES, unit);
        }
        if (right != 0) {
            add(all, key, "ten times too large", 10 * right, FIGURES, unit);
            add(all, key, "a thousandth of it", right / 1000, FIGURES, unit);
            add(all, key, "with the other sign", -right, FIGURES, unit);
            add(all, key, "upside down", 1 / right, FIGURES, unit);
        }
        return all.subList(0, Math.min(MOST, all.size()));
    }

    private static void add(List<Answered> all, AnswerKey key, String why, double value, int figures, String unit) {
        String typed = Numbers.print(value, figures);
        all.add(new Answered(why, typed, unit, AnswerCheck.check(typed, unit, key)));
    }
}
