package cauldron.core.quantity;

/**
 * Numbers as people type and read them. Significant figures are part of the job, so printing rounds by
 * rules of its own, alike on the JVM and in the browser: half up on the shortest decimal that stands for
 * the value, so that 26.01/20 rounds as a student does it, to 1.301.
 */
public final class Numbers {

    private static final double PLAIN_FROM = 1e-4;
    private static final double PLAIN_TO = 1e7;

    private static final int LONGEST_QUOTE = 40;
    private static final double[] TENS = {1, 10, 100, 1e3, 1e4, 1e5, 1e6};
    private static final double LARGEST_QUICK = 1e9;
    private static final int LONGEST_QUICK = 14;
    /** More than the rounding of a product below {@link #LARGEST_QUICK} can be. */
    private static final double NEAR_TIE = 1e-6;

    private Numbers() {
    }

    /**
     * Reads a typed number: {@code 1.5}, {@code 1,5}, {@code −3}, {@code 3e-4}, {@code 3×10^-4},
     * {@code 3·10⁻⁴}.
     *
     * @throws IllegalArgumentException with a message for the person who typed it
     */
    public static double read(String typed) {
        String text = normal(typed);
        if (text.isEmpty()) {
            throw new IllegalArgumentException("Type a number");
        }
        if (text.indexOf('.') != text.lastIndexOf('.')) {
            throw new IllegalArgumentException("“" + typed.strip() + "” has more than one decimal mark");
        }
        boolean digits = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            digits |= c >= '0' && c <= '9';
            if ((c < '0' || c > '9') && "+-.e".indexOf(c) < 0) {
                throw new IllegalArgumentException("“" + quoted(typed.strip()) + "” is not a number");
            }
        }
        try {
            if (digits) {
                double value = Decimal.parse(text).toDouble();
                if (!Double.isInfinite(value)) {
                    return value;
                }
            }
        } catch (NumberFormatException e) {
            // Reported below: what was typed has the right characters in the wrong order.
        }
        throw new IllegalArgumentException("“" + quoted(typed.strip()) + "” is not a number");
    }

    /** How many significant figures a typed number shows: 1.50 has three, 0.02 one, 1500 four. */
    public static int figures(String typed) {
        String text = normal(typed);
        int e = text.indexOf('e');
        String digits = (e < 0 ? text : text.substring(0, e)).replace("-", "").replace("+", "").replace(".", "");
        int start = 0;
        while (start < digits.length() - 1 && digits.charAt(start) == '0') {
            start++;
        }
        return digits.length() - start;
    }

    /** How many decimals a typed number shows: 1.50 has two, 3e-4 none. */
    static int decimals(String typed) {
        String text = normal(typed);
        int point = text.indexOf('.');
        int end = text.indexOf('e') < 0 ? text.length() : text.indexOf('e');
        return point < 0 ? 0 : end - point - 1;
    }

    /** A typed number with its decimal mark moved to the right, the figures as they were. */
    static String moved(String typed, int places) {
        Decimal moved = Decimal.parse(normal(typed)).moved(places);
        double size = Math.abs(moved.toDouble());
        boolean plain = size == 0 || size >= PLAIN_FROM && size < PLAIN_TO;
        return plain ? sign(moved.toString()) : print(moved.toDouble(), Math.min(15, figures(typed)));
    }

    private static String normal(String typed) {
        StringBuilder out = new StringBuilder();
        String text = typed.strip().replace('\u2212', '-').replace('\u2013', '-').replace(',', '.')
                .replace("\u00a0", "").replace("\u2009", "").replace('E', 'e');
        for (String times : new String[] {"×", "·", "*", "x"}) {
            text = text.replace(" " + times + " ", times).replace(times + "10^", "e").replace(times + "10", "e");
        }
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            int raised = UnitReader.SUPERSCRIPTS.indexOf(c);
            out.append(c == '⁻' ? "-" : raised >= 0 ? String.valueOf(raised) : String.valueOf(c));
        }
        return out.toString();
    }

    /** Prints with so many significant figures, with a real minus and, far from one, powers of ten. */
    public static String print(double value, int figures) {
        if (Double.isNaN(value) || Double.isInfinite(value)) {
            return "–";
        }
        if (value == 0) {
            return "0";
        }
        Decimal rounded = Decimal.of(value).withFigures(figures);
        double size = Math.abs(value);
        if (size >= PLAIN_FROM && size < PLAIN_TO) {
            return sign(rounded.toString());
        }
        int exponent = rounded.exponent();
        return sign(rounded.moved(-exponent).toString()) + " × 10" + Units.superscript(exponent);
    }

    /** Prints at most six significant figures and no zeros that say nothing: for ranges and settings. */
    public static String printShort(double value) {
        String text = print(value, 6);
        if (text.indexOf('×') >= 0 || text.indexOf('.') < 0) {
            return text;
        }
        int end = text.length();
        while (text.charAt(end - 1) == '0') {
            end--;
        }
        return text.substring(0, text.charAt(end - 1) == '.' ? end - 1 : end);
    }

    /** Prints with so many decimals. */
    public static String fixed(double value, int decimals) {
        if (Double.isNaN(value) || Double.isInfinite(value)) {
            return "–";
        }
        String quick = decimals >= 0 && decimals < TENS.length ? quickly(value, decimals) : null;
        return quick != null ? quick : sign(Decimal.of(value).withDecimals(decimals).toString());
    }

    /**
     * The same without going through decimal digits, since a long table prints tens of thousands of them; null for what
     * is large, or so near to a tie that the product's own rounding might decide it, or rounds to nought.
     */
    private static String quickly(double value, int decimals) {
        double scaled = Math.abs(value) * TENS[decimals];
        double below = Math.floor(scaled);
        if (!(scaled < LARGEST_QUICK) || Math.abs(scaled - below - 0.5) < NEAR_TIE) {
            return null;
        }
        int whole = (int) (scaled - below > 0.5 ? below + 1 : below);
        if (whole == 0) {
            return null;
        }
        // Filled from the last digit on: a growing text costs the browser more than all else here.
        char[] text = new char[LONGEST_QUICK];
        int at = LONGEST_QUICK;
        for (int place = 0; whole > 0 || place <= decimals; place++) {
            if (place == decimals && decimals > 0) {
                text[--at] = '.';
            }
            text[--at] = (char) ('0' + whole % 10);
            whole /= 10;
        }
        if (value < 0) {
            text[--at] = '\u2212';
        }
        return new String(text, at, LONGEST_QUICK - at);
    }

    /**
     * Prints a value with its uncertainty, both to the decimal of the uncertainty's first significant
     * figure, or its second where the first is 1: {@code 2.006 ± 0.009}, {@code 9.81 ± 0.12}.
     */
    public static String printWithUncertainty(double value, double uncertainty) {
        // Below that it is only the rounding of the arithmetic.
        if (!(uncertainty > 1e-10 * Math.abs(value)) || Double.isInfinite(uncertainty)) {
            return print(value, 6);
        }
        int exponent = (int) Math.floor(Math.log10(uncertainty));
        int lead = (int) Math.floor(uncertainty / Math.pow(10, exponent) + 1e-9);
        int decimals = (lead < 2 ? 1 : 0) - exponent;
        double largest = Math.max(Math.abs(value), uncertainty);
        if (decimals >= 0 && decimals <= 7 && largest < PLAIN_TO) {
            return fixed(value, decimals) + " ± " + fixed(uncertainty, decimals);
        }
        int power = (int) Math.floor(Math.log10(largest));
        double scale = Math.pow(10, power);
        int d = Math.min(12, Math.max(0, decimals + power));
        return "(" + fixed(value / scale, d) + " ± " + fixed(uncertainty / scale, d) + ") × 10"
                + Units.superscript(power);
    }

    private static String sign(String text) {
        return text.replace('-', '\u2212');
    }

    /** As much of what was typed as is needed to know it again. */
    private static String quoted(String typed) {
        return typed.length() <= LONGEST_QUOTE ? typed : typed.substring(0, LONGEST_QUOTE) + "…";
    }
}
