package cauldron.server.platform;

import cauldron.core.form.Oddities;
import cauldron.core.sheet.SlotReader;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;

/** Reads what people call themselves and things: what can't be seen is taken out, and what is left must be something. */
public final class Words {

    private static final int FEWEST_IN_SECRET = 8;
    /** What the hash takes in: more would be cut off unseen. */
    private static final int LONGEST_SECRET = 72;

    private Words() {
    }

    /**
     * A name without signs that can't be seen.
     *
     * @throws org.springframework.web.ErrorResponseException naming the field where nothing is left, or too much
     */
    public static String name(String field, String told, String what, int longest) {
        String seen = told == null || !Oddities.isClean(told) ? "" : Normalizer.normalize(told, Normalizer.Form.NFC)
                .replaceAll("[\\p{Cc}\\p{Cf}\\p{Co}\\p{Cn}\\u115F\\u1160\\u2800\\u3164\\uFFA0]", " ")
                .replaceAll("[\\s\\p{Z}]+", " ").strip();
        if (seen.isEmpty()) {
            throw Problems.invalid(field, what + ": type at least one letter or digit.");
        }
        if (seen.codePointCount(0, seen.length()) > longest) {
            throw Problems.invalid(field, what + ": at most " + longest + " characters.");
        }
        return seen;
    }

    /** Two names that people would take for the same have the same sameness. */
    public static String sameness(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFKC).toLowerCase(java.util.Locale.ROOT);
    }

    /** A new secret, if it can be one. Counted in bytes at its upper end, since that is what the hash takes. */
    public static String secret(String told) {
        if (told == null || told.codePointCount(0, told.length()) < FEWEST_IN_SECRET) {
            throw Problems.invalid("secret", "A secret has at least " + FEWEST_IN_SECRET + " characters.");
        }
        if (!Oddities.isClean(told)) {
            throw Problems.invalid("secret", "A secret can't hold this character.");
        }
        int bytes = bytes(told);
        if (bytes > LONGEST_SECRET) {
            throw Problems.invalid("secret", "A secret has at most " + LONGEST_SECRET + " bytes, and this one has " + bytes
                    + ". Letters with accents count two, most other signs three or four.");
        }
        return told;
    }

    /** Whether a secret could ever have been chosen. */
    public static boolean possibleSecret(String told) {
        return told != null && bytes(told) <= LONGEST_SECRET && Oddities.isClean(told);
    }

    private static int bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8).length;
    }
}
