package cauldron.core.marking;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Signs that a student doesn't get on by themselves, each with its reason in words. They are meant for a teacher who
 * walks through the room: a sign says where to look, not what is wrong with anybody.
 */
public final class GettingOn {

    /** So many wrong tries in a row, with none right after them, are many. */
    static final int MANY_WRONG = 3;
    /** So often the same slip is no accident. */
    static final int SAME_SLIP = 3;
    private static final int MOST_WORDS = 60;

    /**
     * A question that was tried.
     *
     * @param prompt what is asked
     * @param found  what was found of the tries, oldest first
     */
    public record Asked(String prompt, List<HowItWent.Found> found) {
    }

    private GettingOn() {
    }

    /** What the tries of one student say: many wrong ones in a row, and the same slip again and again. */
    public static List<String> ofTries(List<Asked> questions) {
        List<String> signs = new ArrayList<>();
        Map<String, Integer> slips = new LinkedHashMap<>();
        for (Asked question : questions) {
            int wrong = 0;
            for (HowItWent.Found f : question.found()) {
                wrong = f.right() ? 0 : wrong + 1;
            }
            if (wrong >= MANY_WRONG) {
                signs.add(wrong + " wrong tries at “" + shortened(question.prompt()) + "”");
            }
            // Whoever found the right answer has found the slip, too.
            if (wrong > 0) {
                List<HowItWent.Found> found = question.found();
                found.subList(found.size() - wrong, found.size()).stream().map(GettingOn::slip)
                        .filter(s -> !s.isEmpty()).forEach(s -> slips.merge(s, 1, Integer::sum));
            }
        }
        slips.forEach((slip, times) -> {
            if (times >= SAME_SLIP) {
                signs.add((times == SAME_SLIP ? "three" : times) + " times the same slip: " + slip);
            }
        });
        return signs;
    }

    /**
     * Says how long nothing has come from a student who is there.
     *
     * @param quiet minutes since anything was written, tried or recorded
     * @param limit minutes that are nothing unusual
     * @return the sign; empty where there is none
     */
    public static String ofQuiet(double quiet, double limit) {
        return quiet < limit ? "" : "nothing new for " + (int) Math.floor(quiet) + " min";
    }

    /** The kind of slip in words; empty where a verdict names none. */
    private static String slip(HowItWent.Found found) {
        return switch (found.verdict()) {
            case "other-quantity" -> "a unit of another quantity";
            case "sign" -> "the sign";
            case "power-of-ten" -> "the power of ten";
            case "upside-down" -> "the ratio upside down";
            case "known-slip" -> shortened(found.said());
            default -> "";
        };
    }

    /** In one line. */
    private static String shortened(String told) {
        String text = told.replace('\n', ' ');
        return text.length() <= MOST_WORDS ? text : text.substring(0, MOST_WORDS - 1) + "…";
    }
}
