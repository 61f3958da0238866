package cauldron.core.sheet;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.block.Block;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.List;

/**
 * What the points of a lab are for.
 *
 * @param completeness how much of them is for having done everything, in per cent; the rest is for what is right
 * @param spotCheck    questions that stand for all when it is looked at what is right; empty: all are looked at
 */
public record Scheme(int completeness, List<String> spotCheck) {

    /** All points are for what is right, wherever it is asked. */
    public static final Scheme USUAL = new Scheme(0, List.of());
    private static final int MOST = 60;

    /** Whether it is looked at what is right there: where a spot check stands for all, only at its questions. */
    public boolean looksAt(Block block) {
        return block.points() > 0 && completeness < 100 && (spotCheck.isEmpty() || spotCheck.contains(block.id()));
    }

    /** Notes questions that the sheet doesn't have, or that bring nothing. */
    void check(Sheet sheet, Where at) {
        for (String id : spotCheck) {
            Block block = sheet.block(id);
            if (block == null) {
                at.fault("spotCheck: there is no block “" + id + "”");
            } else if (block.points() == 0) {
                at.fault("spotCheck: “" + id + "” brings no points");
            }
        }
    }

    /** How one is declared. */
    static final class Declared extends Form<Scheme> {
        private final Field<Scheme, Integer> completeness = field("completeness", whole(0, 100), Scheme::completeness)
                .otherwise(0).says("How much of the points is for having done everything, in per cent.");
        private final Field<Scheme, List<String>> spotCheck = field("spotCheck", list(text(60), MOST),
                Scheme::spotCheck)
                .otherwise(List.of()).hidden().says("Where some questions are ticked, only these are looked at for what is right, and they stand for all.");

        Declared() {
            super("Scheme", "What the points of a lab are for.");
        }

        @Override
        protected Scheme make(Filled f) {
            return new Scheme(f.get(completeness), f.get(spotCheck));
        }
    }
}
