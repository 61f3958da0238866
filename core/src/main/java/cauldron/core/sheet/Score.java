package cauldron.core.sheet;

import cauldron.core.block.Block;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * What a work brings, as its lab's {@link Scheme} says: so much for having done everything, the rest for what is right,
 * where chosen questions may stand for all.
 *
 * @param points  all together, to a tenth
 * @param done    what is done of what the lab asks for
 * @param asked   how much it asks for
 * @param forDone what that brings, to a tenth; 0 where nothing is for completeness
 * @param waiting whether something that counts waits for a teacher's mark
 */
public record Score(double points, int done, int asked, double forDone, boolean waiting) {

    /**
     * Adds up.
     *
     * @param got what each question brought: a mark where there is one, else its best try; those that brought nothing
     *            may be left out
     * @param marked whether a question has a teacher's mark
     */
    public static Score of(Progress progress, Map<String, Double> got, Predicate<String> marked) {
        Sheet sheet = progress.sheet();
        Scheme scheme = sheet.scheme();
        Progress empty = new Progress(sheet, Map.of(), Map.of());
        List<Block> counted = new ArrayList<>();
        int asked = 0;
        int done = 0;
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (empty.lack(block) != null) {
                    asked++;
                    done += progress.lack(block) == null ? 1 : 0;
                }
                if (scheme.looksAt(block)) {
                    counted.add(block);
                }
            }
        }
        double possible = counted.stream().mapToDouble(Block::points).sum();
        double right = counted.stream().mapToDouble(b -> got.getOrDefault(b.id(), 0.0)).sum();
        double all = sheet.points();
        double share = scheme.completeness() / 100.0;
        double forDone = asked == 0 ? share * all : share * all * done / asked;
        // Where everything that can bring points is looked at, they are added up as they are.
        double forRight = possible == 0 ? 0 : (1 - share) * all * right / possible;
        boolean waiting = counted.stream().anyMatch(b -> b.isMarkedByHand() && !marked.test(b.id()));
        return new Score(tenth(forDone + forRight), done, asked, tenth(forDone), waiting);
    }

    private static double tenth(double points) {
        // Half a tenth counts up, however its binary digits fell.
        return Math.rint(Math.floor(points * 10 + 0.5 + 1e-9)) / 10;
    }
}
