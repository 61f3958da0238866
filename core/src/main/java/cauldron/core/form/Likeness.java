package cauldron.core.form;

/** Whether one word is likely to be a slip of the pen for another (V. I. Levenshtein, 1966). */
final class Likeness {

    private static final int MOST_SLIPS = 2;

    private Likeness() {
    }

    /** At most two letters changed, left out or put in, and not all of them. */
    static boolean isNear(String word, String written) {
        return distance(word.toLowerCase(), written.toLowerCase()) <= Math.min(MOST_SLIPS, word.length() / 2);
    }

    private static int distance(String a, String b) {
        int[] row = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int corner = row[0];
            row[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int change = corner + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
                corner = row[j];
                row[j] = Math.min(change, 1 + Math.min(row[j], row[j - 1]));
            }
        }
        return row[b.length()];
    }
}
