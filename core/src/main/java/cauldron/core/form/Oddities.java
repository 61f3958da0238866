package cauldron.core.form;

import java.util.List;
import java.util.Map;

/** What no stored value may hold anywhere: numbers without end, characters no text has, nesting without end. */
public final class Oddities {

    private static final int DEEPEST = 20;

    private Oddities() {
    }

    /** What is odd about a value, in words; null where nothing is. */
    public static String of(Object value) {
        return of(value, 0);
    }

    private static String of(Object value, int depth) {
        if (depth > DEEPEST) {
            return "it is nested more than " + DEEPEST + " deep";
        }
        if (value instanceof Number number) {
            return Double.isNaN(number.doubleValue()) || Double.isInfinite(number.doubleValue())
                    ? "a number is too large to keep" : null;
        }
        if (value instanceof String text) {
            return isClean(text) ? null : "it holds a character that no text can have";
        }
        if (value instanceof Map<?, ?> map) {
            for (Map.Entry<?, ?> entry : map.entrySet()) {
                String odd = isClean(String.valueOf(entry.getKey())) ? of(entry.getValue(), depth + 1)
                        : "it holds a character that no text can have";
                if (odd != null) {
                    return odd;
                }
            }
        } else if (value instanceof List<?> list) {
            for (Object item : list) {
                String odd = of(item, depth + 1);
                if (odd != null) {
                    return odd;
                }
            }
        }
        return null;
    }

    /** Whether a text has neither the character nought nor half a pair of surrogates: no database keeps those. */
    public static boolean isClean(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == 0 || c >= 0xDC00 && c <= 0xDFFF) {
                return false;
            }
            if (c >= 0xD800 && c <= 0xDBFF) {
                i++;
                if (i == text.length() || text.charAt(i) < 0xDC00 || text.charAt(i) > 0xDFFF) {
                    return false;
                }
            }
        }
        return true;
    }
}
