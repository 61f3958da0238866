package cauldron.core.marking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How a question went in a class, counted over students, not over tries: who tries often doesn't weigh more.
 *
 * @param tried        how many students tried it
 * @param rightAtFirst how many were right at their first try
 * @param rightAtLast  how many were right at any
 * @param medianTries  tries of the middle student; the mean of the two middle ones where there are two; 0 where nobody
 *                     tried
 * @param slips        what was found of wrong tries and how many students met it, the most first; what is only a wrong
 *                     value says nothing and is left out
 */
public record HowItWent(int tried, int rightAtFirst, int rightAtLast, double medianTries, List<Slip> slips) {

    /** Slips that are told of a question. */
    private static final int MOST_SLIPS = 5;
    /** Who is fewer than so many tells nothing about a class. */
    private static final int FEWEST = 3;
    /** What at least so many were right at at once needs no words. */
    private static final double WENT_WELL = 0.8;
    private static final int MOST_WORDS = 80;

    /** One try: the verdict as it is kept, and what was said to it. */
    public record Found(String verdict, String said) {

        boolean right() {
            return verdict.equals("right");
        }
    }

    /** Something that several met. */
    public record Slip(String said, int students) {
    }

    /** Copies what it is given. */
    public HowItWent {
        slips = List.copyOf(slips);
    }

    /**
     * Counts.
     *
     * @param students the tries of each student, oldest first; who made none is left out
     */
    public static HowItWent of(List<List<Found>> students) {
        int first = 0;
        int last = 0;
        List<Double> counts = new ArrayList<>();
        Map<String, Integer> met = new LinkedHashMap<>();
        for (List<Found> tries : students) {
            if (tries.isEmpty()) {
                continue;
            }
            counts.add((double) tries.size());
            first += tries.get(0).right() ? 1 : 0;
            last += tries.stream().anyMatch(Found::right) ? 1 : 0;
            Set<String> own = new LinkedHashSet<>();
            tries.stream().filter(t -> !t.right() && !t.verdict().equals("value")).forEach(t -> own.add(t.said()));
            own.forEach(said -> met.merge(said, 1, Integer::sum));
        }
        List<Slip> slips = met.entrySet().stream().map(e -> new Slip(e.getKey(), e.getValue()))
                .sorted(Comparator.comparingInt(Slip::students).reversed()).limit(MOST_SLIPS).toList();
        Double tries = Median.of(counts);
        return new HowItWent(counts.size(), first, last, tries == null ? 0 : tries, slips);
    }

    /** A question and how it went. */
    public record Asked(String prompt, HowItWent went) {

        private double atFirst() {
            return went.share(went.rightAtFirst());
        }

        private double atLast() {
            return went.share(went.rightAtLast());
        }
    }

    /** What to talk about with the class: at most three sentences, of the questions that went worst. */
    public static List<String> toTalkAbout(List<Asked> questions) {
        List<Asked> told = questions.stream().filter(q -> q.went().tried() >= FEWEST).toList();
        List<String> lines = told.stream().filter(q -> q.atFirst() < WENT_WELL)
                .sorted(Comparator.comparingDouble(Asked::atLast).thenComparing(Asked::atFirst)).limit(3)
                .map(q -> q.went().sentence(q.prompt())).toList();
        return lines.isEmpty() && !told.isEmpty()
                ? List.of("Nothing stands out: at least four of five were right at their first try at every question.")
                        : lines;
    }

    private double share(int of) {
        return of / (double) tried;
    }

    private String sentence(String prompt) {
        String asked = prompt.length() <= MOST_WORDS ? prompt : prompt.substring(0, MOST_WORDS - 1) + "…";
        String ends = rightAtLast == rightAtFirst ? "and no more in the end" : "and " + rightAtLast + " in the end";
        Slip most = slips.isEmpty() ? null : slips.get(0);
        return "“" + asked + "”: " + rightAtFirst + " of " + tried + " were right at first " + ends
                + (most != null && most.students() > 1 ? "; " + most.students() + " met this: " + most.said() : ".");
    }
}
