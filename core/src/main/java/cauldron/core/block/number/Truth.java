package cauldron.core.block.number;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Outcome;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Written;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.marking.AnswerKey;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What is right for one student: fixed, hidden in the student's own recordings, or following from the student's table. */
final class Truth {

    private Truth() {
    }

    /**
     * What is right as far as it is known without the student's table.
     *
     * @param personal the student's own seed
     * @throws IllegalArgumentException where it can never be known
     */
    static AnswerKey of(NumberBlock question, Neighbours all, int personal) {
        AnswerKey key = question.key();
        AnswerKey.Own own = key.own();
        if (key.following() != null) {
            return following(key, all, Map.of("rows", List.of()));
        }
        if (key.came() != null) {
            return came(key, all, null);
        }
        if (own == null) {
            return key;
        }
        FilmsBlock films = all.block(own.films(), FilmsBlock.class);
        if (films == null) {
            throw new IllegalArgumentException("there are no recordings “" + own.films() + "”");
        }
        FilmPlan plan = films.plan();
        Unit unit = Units.parse(plan.unit(own.setting()));
        if (!unit.sameKind(key.unit())) {
            throw new IllegalArgumentException("“" + own.setting() + "” is in " + unit.symbol() + ", not in "
                    + key.unit().symbol());
        }
        double value = plan.value(own.choice(), own.option(), own.setting(), personal);
        return key.with(unit.toSi(value) / key.unit().factor());
    }

    /**
     * What the student's own trials came to; a value that isn't a number where none counts yet.
     *
     * @param written the student's notebook, or null where there is none yet
     * @throws IllegalArgumentException where it can never give such a quantity
     */
    static AnswerKey came(AnswerKey key, Neighbours all, Written written) {
        AnswerKey.Came asked = key.came();
        BenchBlock bench = all.block(asked.bench(), BenchBlock.class);
        if (bench == null) {
            throw new IllegalArgumentException("there is no bench “" + asked.bench() + "”");
        }
        Manifest m = Inventory.get(bench.plan().apparatus()).manifest();
        Outcome outcome = m.outcome(asked.outcome());
        Unit unit = Units.parse(outcome.unit());
        if (!unit.sameKind(key.unit())) {
            throw new IllegalArgumentException("“" + asked.outcome() + "” is in " + unit.symbol() + ", not in "
                    + key.unit().symbol());
        }
        if (!asked.within().isEmpty()) {
            m.outcome(asked.within());
        }
        for (AnswerKey.Slip slip : key.slips()) {
            if (!slip.outcome().isEmpty() && !m.outcome(slip.outcome()).unit().equals(outcome.unit())) {
                throw new IllegalArgumentException("the slip “" + slip.outcome() + "” is in another unit than “"
                        + asked.outcome() + "”");
            }
        }
        Map<String, Object> meant = null;
        for (Map<String, Object> came : written == null ? List.<Map<String, Object>>of() : bench.outcomes(written)) {
            boolean counts = asked.within().isEmpty()
                    || came.get(asked.within()) instanceof Number limit && limit.doubleValue() <= asked.atMost();
            if (counts && came.get(asked.outcome()) instanceof Number told
                    && (meant == null || isMeant(asked, told.doubleValue(), number(meant, asked.outcome())))) {
                meant = came;
            }
        }
        double best = meant == null ? Double.NaN : number(meant, asked.outcome());
        List<AnswerKey.Slip> slips = new ArrayList<>();
        for (AnswerKey.Slip slip : key.slips()) {
            slips.add(slip.outcome().isEmpty() ? slip : new AnswerKey.Slip(meant == null ? Double.NaN
                    : number(meant, slip.outcome()) / best, slip.outcome(), slip.hint()));
        }
        return key.with(slips).with(unit.toSi(best) / key.unit().factor());
    }

    private static boolean isMeant(AnswerKey.Came asked, double value, double before) {
        return asked.which() == AnswerKey.Which.LAST || (asked.which() == AnswerKey.Which.LEAST ? value < before : value > before);
    }

    private static double number(Map<String, Object> came, String outcome) {
        return came.get(outcome) instanceof Number told ? told.doubleValue() : Double.NaN;
    }

    /**
     * What follows from a table; a value that isn't a number where the table doesn't give one yet.
     *
     * @param student the table's tree, or one without columns: those of the sheet
     * @throws IllegalArgumentException where it can never give such a quantity
     */
    static AnswerKey following(AnswerKey key, Neighbours all, Map<String, Object> student) {
        TableBlock block = all.block(key.following().table(), TableBlock.class);
        if (block == null) {
            throw new IllegalArgumentException("there is no table “" + key.following().table() + "”");
        }
        Map<String, Object> tree = student.containsKey("columns") ? student
                : Tree.of("columns", block.columns(), "rows", Tree.maps(student, "rows"));
        DataTable.Column found = DataTable.whole(tree, key.following().formula());
        if (found.trouble() != null) {
            throw new IllegalArgumentException(found.trouble());
        }
        if (!found.unit().sameKind(key.unit())) {
            throw new IllegalArgumentException("“" + key.following().formula() + "” gives " + found.unit().symbol() + ", not "
                    + key.unit().symbol());
        }
        for (double value : found.values()) {
            if (!Double.isNaN(value) && !Double.isInfinite(value)) {
                return key.with(found.unit().toSi(value) / key.unit().factor());
            }
        }
        return key.with(Double.NaN);
    }
}
