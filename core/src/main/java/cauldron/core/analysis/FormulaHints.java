package cauldron.core.analysis;

/** What whoever typed a word that stands for nothing may have meant. */
final class FormulaHints {

    private FormulaHints() {
    }

    /** A hint, or null. */
    static String of(String word) {
        switch (word) {
            case "average": case "avg": case "AVERAGE":
                return "Write mean(…) for an average";
            case "stdev": case "stddev": case "STDEV":
                return "Write sd(…) for the standard deviation";
            case "x": case "X":
                return "“x” is not a column here. For a product write × or *";
            case "sen":
                return "Write sin(…)";
            default:
                break;
        }
        for (String name : Function.NAMES) {
            if (word.startsWith(name) && word.length() > name.length() && Function.named(name).most > 0 && name.length() > 1) {
                return "Put what " + name + " works on in brackets: " + name + "(" + word.substring(name.length()) + ")";
            }
        }
        return null;
    }
}
