package cauldron.core.quantity;

/**
 * A number by its decimal digits, to be rounded and moved as it is on paper: digits · 10^(−scale). It does only what
 * printing and typing need; {@code BigDecimal} brings 18 kB into the browser and is slow there, since it stands on
 * arithmetic with {@code long}.
 */
final class Decimal {

    /** Exponents beyond stand for nothing that a double could hold. */
    private static final int LARGEST_EXPONENT = 99_999;
    /** Zeros that say nothing are added up to here. */
    private static final int MOST_ZEROS = 400;

    private static final int EXACT_DIGITS = 15;
    private static final double[] EXACT_POWERS = {1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13,
        1e14, 1e15, 1e16, 1e17, 1e18, 1e19, 1e20, 1e21, 1e22};

    private final boolean negative;
    /** Without leading zeros; {@code "0"} for nought. */
    private final String digits;
    private final int scale;

    private Decimal(boolean negative, String digits, int scale) {
        int start = 0;
        while (start < digits.length() - 1 && digits.charAt(start) == '0') {
            start++;
        }
        this.digits = digits.substring(start);
        this.negative = negative && !this.digits.equals("0");
        // Nought keeps the decimals it was typed with, but not thousands of them.
        this.scale = this.digits.equals("0") ? Math.min(scale, MOST_ZEROS) : scale;
    }

    /** The shortest decimal that stands for a finite double. */
    static Decimal of(double value) {
        return parse(Double.toString(value));
    }

    /**
     * Reads a sign, digits with at most one point, and an exponent.
     *
     * @throws NumberFormatException where the text is anything else
     */
    static Decimal parse(String text) {
        int at = 0;
        boolean negative = false;
        if (at < text.length() && (text.charAt(at) == '-' || text.charAt(at) == '+')) {
            negative = text.charAt(at) == '-';
            at++;
        }
        StringBuilder digits = new StringBuilder();
        int point = -1;
        while (at < text.length() && (isDigit(text.charAt(at)) || text.charAt(at) == '.' && point < 0)) {
            if (text.charAt(at) == '.') {
                point = digits.length();
            } else {
                digits.append(text.charAt(at));
            }
            at++;
        }
        if (digits.length() == 0) {
            throw new NumberFormatException(text);
        }
        int exponent = 0;
        if (at < text.length()) {
            if (text.charAt(at) != 'e' && text.charAt(at) != 'E') {
                throw new NumberFormatException(text);
            }
            exponent = exponent(text, at + 1);
        }
        return new Decimal(negative, digits.toString(), (point < 0 ? 0 : digits.length() - point) - exponent);
    }

    private static int exponent(String text, int from) {
        int at = from;
        boolean negative = at < text.length() && text.charAt(at) == '-';
        if (negative || at < text.length() && text.charAt(at) == '+') {
            at++;
        }
        if (at == text.length()) {
            throw new NumberFormatException(text);
        }
        int exponent = 0;
        for (; at < text.length(); at++) {
            if (!isDigit(text.charAt(at))) {
                throw new NumberFormatException(text);
            }
            exponent = Math.min(LARGEST_EXPONENT, 10 * exponent + text.charAt(at) - '0');
        }
        return negative ? -exponent : exponent;
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    /**
     * The nearest double; infinite where it is too large for one. Up to 15 digits and powers of ten that are exact
     * need one rounded operation (W. D. Clinger, How to read floating point numbers accurately, 1990); the compiled
     * core's own reading is off by a unit in the last place there, and stays so beyond.
     */
    double toDouble() {
        if (digits.length() <= EXACT_DIGITS && Math.abs(scale) < EXACT_POWERS.length) {
            double whole = 0;
            for (int i = 0; i < digits.length(); i++) {
                whole = 10 * whole + (digits.charAt(i) - '0');
            }
            double size = scale > 0 ? whole / EXACT_POWERS[scale] : whole * EXACT_POWERS[-scale];
            return negative ? -size : size;
        }
        return Double.parseDouble((negative ? "-" : "") + digits + "e" + -scale);
    }

    boolean isZero() {
        return digits.equals("0");
    }

    /** The exponent of its first digit. */
    int exponent() {
        return digits.length() - scale - 1;
    }

    /** With so many decimals, half up; negative ones round before the point. */
    Decimal withDecimals(int decimals) {
        int dropped = scale - decimals;
        if (dropped <= 0) {
            return new Decimal(negative, digits + "0".repeat(Math.min(MOST_ZEROS, -dropped)), scale + Math.min(MOST_ZEROS, -dropped));
        }
        int kept = digits.length() - dropped;
        boolean up = kept >= 0 && digits.charAt(kept) >= '5';
        String rest = kept > 0 ? digits.substring(0, kept) : "0";
        return new Decimal(negative, up ? next(rest) : rest, decimals);
    }

    /** With so many significant figures, half up. */
    Decimal withFigures(int figures) {
        Decimal rounded = withDecimals(scale - digits.length() + figures);
        // 9.99 to two figures carries: 10, not 10.0.
        return rounded.digits.length() > figures ? rounded.withDecimals(rounded.scale - 1) : rounded;
    }

    private static String next(String digits) {
        char[] all = digits.toCharArray();
        for (int i = all.length - 1; i >= 0; i--) {
            if (all[i] != '9') {
                all[i]++;
                return new String(all);
            }
            all[i] = '0';
        }
        return "1" + new String(all);
    }

    /** With its point moved to the right by so many places, its figures as they were. */
    Decimal moved(int places) {
        return new Decimal(negative, digits, scale - places);
    }

    /** Without a power of ten. */
    @Override
    public String toString() {
        String text = digits;
        if (scale < 0 && !isZero()) {
            text = digits + "0".repeat(-scale);
        } else if (scale > 0) {
            String padded = "0".repeat(Math.max(0, scale + 1 - digits.length())) + digits;
            text = padded.substring(0, padded.length() - scale) + "." + padded.substring(padded.length() - scale);
        }
        return (negative ? "-" : "") + text;
    }
}
