package cauldron.core.quantity;

/**
 * Reads one unit. Grammar: {@code unit = factor { ("·" | "*" | "×" | space) factor | "/" factor }},
 * {@code factor = ["√"] (symbol | "(" unit ")" | "1") [power]}, where a power is {@code ^2},
 * {@code ^-2}, {@code ^(1/2)}, {@code ⁻²} or digits right after the symbol ({@code s-2}).
 *
 * <p>A product after a slash ({@code J/kg K}) is refused, because people mean different things by it.
 */
final class UnitReader {

    static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";
    /** Longer ones are refused rather than risk the stack. */
    private static final int LONGEST = 120;
    private static final String TIMES = "·⋅*×";

    private final String text;
    private int at;

    UnitReader(String text) {
        this.text = text.replace('\u2212', '-').replace('\u00a0', ' ').replace('\u2009', ' ')
                .replace('º', '°').strip();
    }

    Unit read() {
        if (text.isEmpty()) {
            return Unit.ONE;
        }
        if (text.length() > LONGEST) {
            at = LONGEST;
            throw trouble("A unit can have " + LONGEST + " characters at most");
        }
        Unit unit = product();
        if (at < text.length()) {
            throw trouble("“" + text.charAt(at) + "” has no place in a unit");
        }
        if (!(unit.factor() > 0) || Double.isInfinite(unit.factor())) {
            throw trouble("These powers are too large for a unit");
        }
        return unit;
    }

    private Unit product() {
        Unit left = factor();
        boolean divided = false;
        while (at < text.length() && text.charAt(at) != ')') {
            boolean spaced = skipSpace();
            if (at >= text.length() || text.charAt(at) == ')') {
                break;
            }
            char c = text.charAt(at);
            if (c == '/') {
                at++;
                skipSpace();
                left = combine(left, factor(), true);
                divided = true;
            } else if (TIMES.indexOf(c) >= 0 || spaced) {
                if (divided) {
                    throw trouble("It isn't clear what belongs below the slash. Put it in brackets, like J/(kg K),"
                            + " or write negative powers, like J kg⁻¹ K⁻¹");
                }
                if (TIMES.indexOf(c) >= 0) {
                    at++;
                    skipSpace();
                }
                left = combine(left, factor(), false);
            } else {
                throw trouble("“" + c + "” has no place in a unit");
            }
        }
        return left;
    }

    private Unit factor() {
        if (at >= text.length()) {
            throw trouble("The unit stops too early");
        }
        int start = at;
        char c = text.charAt(at);
        Unit base;
        if (c == '√') {
            at++;
            Unit under = factor();
            return power(under, 0.5, "√" + under.symbol());
        }
        if (c == '(') {
            at++;
            skipSpace();
            base = product();
            if (at >= text.length() || text.charAt(at) != ')') {
                throw trouble("A bracket is not closed");
            }
            at++;
            base = new Unit("(" + base.symbol() + ")", base.dimension(), base.factor(), base.offset());
        } else if (c == '1' && (at + 1 == text.length() || !Character.isDigit(text.charAt(at + 1)))) {
            at++;
            return new Unit("1", Dimension.NONE, 1, 0);
        } else {
            while (at < text.length() && isSymbol(text.charAt(at))) {
                at++;
            }
            if (at == start) {
                throw trouble("“" + c + "” has no place in a unit");
            }
            base = named(text.substring(start, at), start);
        }
        double exponent = exponent();
        if (exponent == 1) {
            return base;
        }
        String printed = exponent == Math.rint(exponent)
                ? base.symbol() + Units.superscript((int) exponent)
                : exponent == 0.5 ? "√" + base.symbol() : text.substring(start, at);
        return power(base, exponent, printed);
    }

    private static boolean isSymbol(char c) {
        return Character.isLetter(c) || c == '°' || c == '%' || c == 'Ω' || c == 'µ';
    }

    private Unit named(String symbol, int start) {
        Unit unit = Units.lookUp(symbol);
        if (unit != null) {
            return unit;
        }
        String hint = hint(symbol);
        throw new UnitSyntaxException("“" + symbol + "” is not a unit known here" + (hint == null ? "" : ". " + hint),
                start);
    }

    private static String hint(String symbol) {
        switch (symbol.toLowerCase()) {
            case "sec": case "secs": case "second": case "seconds":
                return "Write s for seconds";
            case "meter": case "metre": case "metres": case "meters":
                return "Write m for metres";
            case "cms": case "centimetres":
                return "Write cm for centimetres";
            case "gram": case "grams": case "gm":
                return "Write g for grams";
            case "kgs": case "kilo": case "kilos":
                return "Write kg for kilograms";
            case "mins": case "minute": case "minutes":
                return "Write min for minutes";
            case "hr": case "hrs":
                return "Write h for hours";
            case "degree": case "degrees":
                return "Write ° for degrees";
            case "newton": case "newtons":
                return "Write N for newtons";
            case "ms":
                return null;
            default:
                break;
        }
        String[] tries = {symbol.toLowerCase(), symbol.toUpperCase(),
            symbol.substring(0, 1).toUpperCase() + symbol.substring(1).toLowerCase(),
            symbol.substring(0, 1).toLowerCase() + symbol.substring(1).toUpperCase()};
        for (String other : tries) {
            if (Units.lookUp(other) != null) {
                return "Capitals matter: did you mean " + other + "?";
            }
        }
        return null;
    }

    private double exponent() {
        if (at >= text.length()) {
            return 1;
        }
        char c = text.charAt(at);
        if (c == '^') {
            at++;
            boolean bracket = at < text.length() && text.charAt(at) == '(';
            if (bracket) {
                at++;
            }
            double n = plainInteger();
            if (bracket && at < text.length() && text.charAt(at) == '/') {
                at++;
                n /= plainInteger();
            }
            if (bracket) {
                if (at >= text.length() || text.charAt(at) != ')') {
                    throw trouble("A bracket is not closed");
                }
                at++;
            }
            return n;
        }
        if (c == '⁻' || SUPERSCRIPTS.indexOf(c) >= 0) {
            boolean negative = c == '⁻';
            at += negative ? 1 : 0;
            int n = 0;
            int start = at;
            while (at < text.length() && SUPERSCRIPTS.indexOf(text.charAt(at)) >= 0) {
                n = n * 10 + SUPERSCRIPTS.indexOf(text.charAt(at++));
            }
            if (at == start) {
                throw trouble("A power needs a number");
            }
            return negative ? -n : n;
        }
        if (Character.isDigit(c) || c == '-' && at + 1 < text.length() && Character.isDigit(text.charAt(at + 1))) {
            return plainInteger();
        }
        return 1;
    }

    private int plainInteger() {
        int start = at;
        if (at < text.length() && (text.charAt(at) == '-' || text.charAt(at) == '+')) {
            at++;
        }
        while (at < text.length() && Character.isDigit(text.charAt(at)) && at - start < 4) {
            at++;
        }
        try {
            return Integer.parseInt(text.substring(start, at));
        } catch (NumberFormatException e) {
            throw trouble("A power needs a whole number");
        }
    }

    private Unit combine(Unit left, Unit right, boolean over) {
        notShifted(left);
        notShifted(right);
        Dimension d = over ? left.dimension().over(right.dimension()) : left.dimension().times(right.dimension());
        double f = over ? left.factor() / right.factor() : left.factor() * right.factor();
        return new Unit(left.symbol() + (over ? "/" : " ") + right.symbol(), d, f, 0);
    }

    private Unit power(Unit base, double exponent, String symbol) {
        notShifted(base);
        try {
            return new Unit(symbol, base.dimension().power(exponent), Math.pow(base.factor(), exponent), 0);
        } catch (ArithmeticException e) {
            throw trouble("That power of a unit has no meaning here");
        }
    }

    private void notShifted(Unit unit) {
        if (unit.offset() != 0) {
            throw trouble("°C can't stand in a product, because its zero is not nothing. Write K");
        }
    }

    private boolean skipSpace() {
        int start = at;
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
        return at > start;
    }

    private UnitSyntaxException trouble(String message) {
        return new UnitSyntaxException(message, at);
    }
}
