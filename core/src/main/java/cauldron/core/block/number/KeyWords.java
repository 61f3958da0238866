package cauldron.core.block.number;

import cauldron.core.apparatus.Manifest;
import cauldron.core.block.Neighbours;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.marking.AnswerKey;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is right, in words for a teacher: where the truth comes from, how near is near enough, and which slips are
 * known.
 */
public final class KeyWords {

    private KeyWords() {
    }

    /** A key of a sheet that was read without faults: what is right, then the slips. */
    public static List<String> of(AnswerKey key, Neighbours all) {
        List<String> lines = new ArrayList<>(right(key, all));
        lines.addAll(slips(key, all));
        return lines;
    }

    /** What is right and how near is near enough. */
    public static List<String> right(AnswerKey key, Neighbours all) {
        List<String> lines = new ArrayList<>();
        lines.add("Right: " + truth(key, all) + ", " + nearness(key));
        if (key.figures() > 0) {
            lines.add("Figures asked for: " + key.figures());
        }
        return lines;
    }

    /** The slips that are known, each with what is said to it. */
    public static List<String> slips(AnswerKey key, Neighbours all) {
        return key.slips().stream().map(slip -> "Slip, " + slip(slip, key, all) + ": " + slip.hint()).toList();
    }

    /** What a known slip comes to: what else the same trial came to, a value, or so many times what is right. */
    public static String slip(AnswerKey.Slip slip, AnswerKey key, Neighbours all) {
        if (!slip.outcome().isEmpty()) {
            return "what “" + manifest(key.came(), all).outcome(slip.outcome()).name() + "” came to";
        }
        return key.own() == null && !Double.isNaN(key.value()) ? print(slip.factor() * key.value(), key.unit().symbol())
                : Numbers.printShort(slip.factor()) + " times what is right";
    }

    private static Manifest manifest(AnswerKey.Came asked, Neighbours all) {
        return Inventory.get(all.block(asked.bench(), BenchBlock.class).plan().apparatus()).manifest();
    }

    private static String nearness(AnswerKey key) {
        List<String> parts = new ArrayList<>();
        if (key.tolerance() > 0) {
            parts.add(Numbers.printShort(100 * key.tolerance()) + " %");
        }
        if (key.within() > 0) {
            parts.add(print(key.within(), key.unit().symbol()));
        }
        return "within " + String.join(" or ", parts);
    }

    private static String truth(AnswerKey key, Neighbours all) {
        if (key.following() != null) {
            String title = all.block(key.following().table(), TableBlock.class).title();
            return "what follows from the student's table “" + title + "” by " + key.following().formula();
        }
        if (key.came() != null) {
            return came(key.came(), all);
        }
        return key.own() == null ? print(key.value(), key.unit().symbol()) : own(key.own(), all);
    }

    private static String came(AnswerKey.Came asked, Neighbours all) {
        Manifest m = manifest(asked, all);
        String which = switch (asked.which()) {
            case GREATEST -> "the greatest";
            case LEAST -> "the least";
            case LAST -> "the last";
        };
        String among = asked.within().isEmpty() ? "" : " with “" + m.outcome(asked.within()).name() + "” of "
                + print(asked.atMost(), m.outcome(asked.within()).unit()) + " at most";
        return which + " “" + m.outcome(asked.outcome()).name() + "” of the student's trials" + among;
    }

    private static String own(AnswerKey.Own own, Neighbours all) {
        FilmPlan plan = all.block(own.films(), FilmsBlock.class).plan();
        String name = Inventory.get(plan.apparatus()).manifest().setting(own.setting()).name();
        String of = plan.inWords(Map.of(own.choice(), own.option()));
        List<Double> range = plan.range(own.choice(), own.option(), own.setting());
        String unit = plan.unit(own.setting());
        String value = range.get(0).equals(range.get(1)) ? print(range.get(0), unit)
                : Numbers.printShort(range.get(0)) + " to " + print(range.get(1), unit) + ", each student's own";
        return "“" + name + "”" + (of.isEmpty() ? "" : " of " + of) + ", " + value;
    }

    private static String print(double value, String unit) {
        return (Numbers.printShort(value) + " " + unit).strip();
    }
}
