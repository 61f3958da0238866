package cauldron.core.quantity;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Reads one unit. Grammar: {@code unit = factor { ("·" | "." | "*" | "×" | space) factor | "/" factor }},
 * {@code factor = ["√"] (symbol | "(" unit ")" | "1") [power]}; after a power the sign may be left out
 * ({@code m²K}). A power is {@code ^2},
 * {@code ^-2}, {@code ^(1/2)}, {@code ⁻²} or digits right after the symbol ({@code s-2}).
 *
 * <p>A product after a slash ({@code J/kg K}) is refused, because people mean different things by it; so is
 * {@code ms-2}, which may be metres or milliseconds. Letters that stand together and are no unit are taken apart where
 * there is one way only: {@code Nm}, {@code kgm/s2}. In a product or a power °C is an interval, as K is.
 */
final class UnitReader {

    static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";
    /** Longer ones are refused rather than risk the stack. */
    private static final int LONGEST = 120;
    private static final String TIMES = "·⋅•*×.";
    private static final List<String> DEGREES = List.of("°", "degrees", "degree", "deg");
    private static final int LONGEST_TOGETHER = 8;
    /** Units that people write without a gap between them. */
    private static final Set<String> TOGETHER = Set.of("N", "m", "kg", "g", "cm", "mm", "km", "s", "J", "W", "V", "A", "Pa", "kPa",
            "K", "mol", "C", "T", "kN", "mN", "kJ", "L", "Ω", "h", "Hz");

    private final String text;
    private int at;

    UnitReader(String text) {
        this.text = celsius(UnitWords.slashed(text).replace('\u2212', '-').replace('\u00a0', ' ').replace('\u2009', ' ')
                .replace('º', '°').replace('˚', '°').replace("℃", "°C").replace('\u212B', 'Å').replace('\u2126', 'Ω')
                .replace('–', '-').strip());
    }

    /** “deg C” and “degrees C” as °C. By hand: a regular expression brings 40 kB into the browser. */
    private static String celsius(String text) {
        StringBuilder out = new StringBuilder();
        int i = 0;
        while (i < text.length()) {
            boolean begins = i == 0 || !Character.isLetterOrDigit(text.charAt(i - 1)) && text.charAt(i - 1) != '_';
            int end = i;
            for (String word : DEGREES) {
                if (text.startsWith(word, i) && (begins || word.equals("°"))) {
                    end = i + word.length();
                    break;
                }
            }
            int c = end;
            while (end > i && c < text.length() && text.charAt(c) == ' ') {
                c++;
            }
            boolean found = end > i && c < text.length() && text.charAt(c) == 'C'
                    && (c + 1 == text.length() || !Character.isLetterOrDigit(text.charAt(c + 1)) && text.charAt(c + 1) != '_');
            out.append(found ? "°C" : text.substring(i, i + 1));
            i = found ? c + 1 : i + 1;
        }
        return out.toString();
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
            } else if (TIMES.indexOf(c) >= 0 || spaced || endsAPower() && isSymbol(c)) {
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

    /** Whether a power, or a bracket, has just ended: what follows at once is a factor of its own, as in m²K. */
    private boolean endsAPower() {
        char before = text.charAt(at - 1);
        return Character.isDigit(before) || SUPERSCRIPTS.indexOf(before) >= 0 || before == ')';
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
            String symbol = text.substring(start, at);
            if (symbol.equals("ms") && negativePower()) {
                int end = at;
                exponent();
                String power = text.substring(end, at);
                throw new UnitSyntaxException("“ms" + power + "” can be read in two ways. Do you mean metres, as in m s" + power
                        + "? Then put a space or a dot between m and s. For milliseconds write (ms)" + power, start);
            }
            List<Unit> apart = Units.lookUp(symbol) == null ? apart(symbol) : List.of();
            if (!apart.isEmpty()) {
                return together(apart);
            }
            base = named(symbol, start);
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

    private boolean negativePower() {
        String rest = text.substring(at);
        return rest.startsWith("-") || rest.startsWith("^-") || rest.startsWith("^(-") || rest.startsWith("⁻");
    }

    /** The units that letters standing together are made of, where there is one way to take them apart; else none. */
    private static List<Unit> apart(String symbols) {
        List<List<Unit>> ways = new ArrayList<>();
        if (symbols.length() <= LONGEST_TOGETHER) {
            apart(symbols, new ArrayList<>(), ways);
        }
        int fewest = ways.stream().mapToInt(List::size).min().orElse(0);
        List<List<Unit>> best = ways.stream().filter(w -> w.size() == fewest).toList();
        return best.size() == 1 ? best.get(0) : List.of();
    }

    private static void apart(String rest, List<Unit> so, List<List<Unit>> ways) {
        if (rest.isEmpty()) {
            if (so.size() > 1) {
                ways.add(List.copyOf(so));
            }
            return;
        }
        for (int n = 1; n <= rest.length(); n++) {
            Unit unit = Units.lookUp(rest.substring(0, n));
            if (unit != null && TOGETHER.contains(rest.substring(0, n))) {
                so.add(unit);
                apart(rest.substring(n), so, ways);
                so.remove(so.size() - 1);
            }
        }
    }

    /** A product of units; a power after them belongs to the last. */
    private Unit together(List<Unit> apart) {
        Unit product = apart.get(0);
        for (Unit unit : apart.subList(1, apart.size() - 1)) {
            product = combine(product, unit, false);
        }
        Unit last = apart.get(apart.size() - 1);
        double exponent = exponent();
        Unit raised = exponent == 1 ? last : power(last, exponent, exponent == Math.rint(exponent)
                ? last.symbol() + Units.superscript((int) exponent) : last.symbol() + "^(" + exponent + ")");
        return combine(product, raised, false);
    }

    private static boolean isSymbol(char c) {
        return Character.isLetter(c) || c == '°' || c == '%' || c == 'Ω' || c == 'µ';
    }

    private Unit named(String symbol, int start) {
        Unit unit = Units.lookUp(symbol);
        unit = unit == null ? UnitWords.named(symbol) : unit;
        if (unit != null) {
            return unit;
        }
        String hint = hint(symbol);
        throw new UnitSyntaxException("“" + symbol + "” is not a unit known here" + (hint == null ? "" : ". " + hint),
                start);
    }

    private static String hint(String symbol) {
        // Letters whose case means another unit, as in Nm and nm, are no slip of the shift key.
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
        int ahead = at;
        while (ahead < text.length() && text.charAt(ahead) == ' ') {
            ahead++;
        }
        // A space before the sign of a power changes nothing.
        at = ahead < text.length() && text.charAt(ahead) == '^' ? ahead : at;
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
        Dimension d = over ? left.dimension().over(right.dimension()) : left.dimension().times(right.dimension());
        double f = over ? left.factor() / right.factor() : left.factor() * right.factor();
        // Letters that stood together below a slash stay there.
        String below = right.symbol().indexOf(' ') >= 0 && !right.symbol().startsWith("(") ? "(" + right.symbol() + ")"
                : right.symbol();
        return new Unit(left.symbol() + (over ? "/" + below : " " + right.symbol()), d, f, 0);
    }

    private Unit power(Unit base, double exponent, String symbol) {
        try {
            return new Unit(symbol, base.dimension().power(exponent), Math.pow(base.factor(), exponent), 0);
        } catch (ArithmeticException e) {
            throw trouble("That power of a unit has no meaning here");
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
