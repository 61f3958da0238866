package cauldron.core.analysis;

import cauldron.core.analysis.Node.Kind;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Reads a formula by recursive descent: sum, product, sign, power, then what stands alone. */
final class FormulaReader {

    private static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";
    /** Longer formulas and deeper brackets than these are refused rather than risk the stack. */
    private static final int LONGEST = 2000;
    private static final int DEEPEST = 120;

    private final String text;
    private final Set<String> symbols;
    private int at;
    private int depth;

    FormulaReader(String text, Set<String> symbols) {
        this.text = text.replace('\u2212', '-').replace('\u2013', '-').replace('•', '·').replace('\u00a0', ' ').replace('\t', ' ').replace('\n', ' ');
        this.symbols = symbols;
    }

    Node read() {
        if (text.length() > LONGEST) {
            throw new FormulaException("A formula can have " + LONGEST + " characters at most", LONGEST);
        }
        skip();
        if (text.startsWith("=", at)) {
            throw trouble("Leave the equals sign away: write only what stands to its right");
        }
        if (at == text.length()) {
            throw trouble("Write a formula, such as " + example());
        }
        Node node = sum();
        if (at < text.length()) {
            char c = text.charAt(at);
            throw trouble(c == ')' || c == ']' ? "This bracket closes nothing"
                    : c == ',' ? "Decimals are written with a point here, as in 2.5"
                    : c == '=' ? "Write only what stands to the right of the equals sign" : "“" + c + "” has no place here");
        }
        return node;
    }

    private String example() {
        return symbols.isEmpty() ? "2 × 3" : symbols.iterator().next() + "/20";
    }

    private Node sum() {
        if (++depth > DEEPEST) {
            throw trouble("That is nested too deeply");
        }
        Node left = product();
        int operators = 0;
        while (at < text.length() && (peek() == '+' || peek() == '-')) {
            int position = at;
            Kind kind = text.charAt(at++) == '+' ? Kind.SUM : Kind.DIFFERENCE;
            left = Node.of(kind, position, left, product());
            tooMany(++operators);
        }
        depth--;
        return left;
    }

    // A long chain leans to the left, and is as deep as it is long.
    private void tooMany(int operators) {
        if (operators > 5 * DEEPEST) {
            throw trouble("That has too many parts. Use a column for some of them");
        }
    }

    private Node product() {
        skip();
        int begin = at;
        Node left = signed();
        int operators = 0;
        // Where the slash stands whose divisor was read last, −1 where there is none.
        int below = -1;
        while (at < text.length()) {
            char c = peek();
            int position = at;
            if ("*×·⋅".indexOf(c) >= 0 && !text.startsWith("**", at)) {
                at++;
                left = Node.of(Kind.PRODUCT, position, left, signed());
                below = -1;
            } else if (c == '/' || c == '÷' || c == ':') {
                at++;
                left = Node.of(Kind.QUOTIENT, position, left, signed());
                below = position;
            } else if (c == '(' || c == '[' || c == '√' || c == '"' || Character.isLetter(c) || isDigit(c)) {
                Node next = power();
                if (below >= 0 && isFraction(begin, below, position)) {
                    below = -1;
                }
                if (below >= 0 && !FormulaPrinter.isUnit(next)) {
                    throw new FormulaException(twoWays(begin, below, position), position);
                }
                left = Node.of(Kind.PRODUCT, position, left, next);
            } else {
                break;
            }
            tooMany(++operators);
        }
        return left;
    }

    /** Whether a whole number over a whole number stands there, and a gap behind it: 1/2 F x is half of F x. */
    private boolean isFraction(int begin, int slash, int second) {
        return isWhole(text.substring(begin, slash).strip()) && isWhole(text.substring(slash + 1, second).strip())
                && text.charAt(second - 1) == ' ';
    }

    private static boolean isWhole(String number) {
        return !number.isEmpty() && number.chars().allMatch(Character::isDigit);
    }

    /** Of L/2T both are meant by people: (L/2)·T and L/(2T). So neither is taken. */
    private String twoWays(int begin, int slash, int second) {
        String above = text.substring(begin, slash).strip();
        String first = text.substring(slash + 1, second).strip();
        String rest = text.substring(second, at).strip();
        return "It isn't clear what stands below the slash. Write " + above + "/(" + first + " × " + rest + ") or (" + above + "/"
                + first + ") × " + rest;
    }

    private Node signed() {
        skip();
        int position = at;
        boolean negative = false;
        while (at < text.length() && (peek() == '-' || peek() == '+')) {
            negative ^= text.charAt(at++) == '-';
        }
        Node node = power();
        return negative ? Node.of(Kind.NEGATIVE, position, node) : node;
    }

    private Node power() {
        Node base = alone();
        if (at < text.length()) {
            int position = at;
            char c = text.charAt(at);
            if (c == '⁻' || SUPERSCRIPTS.indexOf(c) >= 0) {
                return Node.of(Kind.POWER, position, base, raised());
            }
        }
        skip();
        boolean stars = text.startsWith("**", at);
        if (at < text.length() && (text.charAt(at) == '^' || stars)) {
            int position = at;
            at += stars ? 2 : 1;
            if (++depth > DEEPEST) {
                throw trouble("That is nested too deeply");
            }
            Node power = Node.of(Kind.POWER, position, base, signed());
            depth--;
            return power;
        }
        return base;
    }

    private Node raised() {
        int position = at;
        boolean negative = text.charAt(at) == '⁻';
        at += negative ? 1 : 0;
        double n = 0;
        int digits = at;
        while (at < text.length() && SUPERSCRIPTS.indexOf(text.charAt(at)) >= 0) {
            n = n * 10 + SUPERSCRIPTS.indexOf(text.charAt(at++));
        }
        if (at == digits) {
            throw trouble("A raised minus needs a raised number after it");
        }
        skip();
        Node number = Node.number(n, String.valueOf((long) n), position);
        return negative ? Node.of(Kind.NEGATIVE, position, number) : number;
    }

    private Node alone() {
        skip();
        if (at == text.length()) {
            throw trouble("The formula stops too early");
        }
        int position = at;
        char c = text.charAt(at);
        if (c == '(' || c == '[') {
            return bracket();
        }
        if (c == '√' || c == '∛') {
            at++;
            if (++depth > DEEPEST) {
                throw trouble("That is nested too deeply");
            }
            Node root = Node.function(c == '√' ? "sqrt" : "cbrt", List.of(alone()), position);
            depth--;
            return root;
        }
        if (c == '"') {
            return unit();
        }
        if (c == '½' || c == '¼' || c == '¾') {
            at++;
            return Node.number(c == '½' ? 0.5 : c == '¼' ? 0.25 : 0.75, c == '½' ? "0.5" : c == '¼' ? "0.25" : "0.75", position);
        }
        if (c == '|') {
            throw trouble("For an absolute value write abs(…)");
        }
        if (isDigit(c) || c == '.') {
            return quantity(number());
        }
        // Whatever the columns are called, pi is π.
        boolean pi = text.startsWith("pi", at) && (at + 2 == text.length() || !Character.isLetter(text.charAt(at + 2))
                && text.charAt(at + 2) != '_');
        if (c == 'π' || pi) {
            at += pi ? 2 : 1;
            return Node.number(Math.PI, "π", position);
        }
        String symbol = longestSymbol();
        String function = function();
        if (function != null && (symbol == null || function.length() > symbol.length())) {
            return call(function);
        }
        if (symbol != null) {
            at += symbol.length();
            if (at < text.length() && isDigit(text.charAt(at)) && Character.isLetterOrDigit(symbol.charAt(symbol.length() - 1))) {
                String typed = word(position);
                at = position;
                throw trouble("There is no column " + typed + ". For a power write " + symbol + "^" + typed.substring(symbol.length())
                        + ", for a product " + typed.substring(symbol.length()) + symbol);
            }
            return Node.symbol(symbol, position);
        }
        if (Character.isLetter(c)) {
            String hint = FormulaHints.of(word());
            if (hint != null) {
                throw trouble(hint);
            }
            throw trouble("“" + word() + "” is not a column here. There is "
                    + (symbols.isEmpty() ? "none yet" : String.join(", ", symbols)));
        }
        throw trouble("“" + c + "” has no place here");
    }

    /** The function whose name stands here, where no letter goes on; null otherwise. */
    private String function() {
        for (String name : Function.NAMES) {
            if (text.startsWith(name, at)) {
                int end = at + name.length();
                boolean bracket = end < text.length() && (text.charAt(end) == '(' || text.charAt(end) == ' ' || text.charAt(end) == '[');
                boolean goesOn = end < text.length() && (Character.isLetter(text.charAt(end)) || text.charAt(end) == '_');
                if (bracket || !goesOn) {
                    return name;
                }
            }
        }
        return null;
    }

    private Node call(String name) {
        int position = at;
        Function function = Function.named(name);
        at += name.length();
        skip();
        if (function.most == 0) {
            return Node.function(name, List.of(), position);
        }
        if (at == text.length() || text.charAt(at) != '(' && text.charAt(at) != '[') {
            throw trouble("Put what " + name + " works on in brackets: " + name + "(…)");
        }
        char close = text.charAt(at) == '(' ? ')' : ']';
        List<Node> args = new ArrayList<>();
        do {
            at++;
            args.add(sum());
        } while (at < text.length() && (text.charAt(at) == ',' || text.charAt(at) == ';'));
        if (at >= text.length() || text.charAt(at) != close) {
            throw trouble("A bracket is not closed");
        }
        at++;
        if (args.size() < function.fewest || args.size() > function.most) {
            throw new FormulaException(function.most == 1 ? name + " works on one thing only: " + name + "(…)"
                    : name + " needs " + function.fewest + " things with a semicolon between them: " + name + "(…; …)", position);
        }
        return Node.function(name, args, position);
    }

    private Node bracket() {
        char close = text.charAt(at) == '(' ? ')' : ']';
        at++;
        Node inner = sum();
        if (at >= text.length() || text.charAt(at) != close) {
            throw trouble("A bracket is not closed");
        }
        at++;
        return inner;
    }

    private Node unit() {
        int position = at;
        int end = text.indexOf('"', at + 1);
        if (end < 0) {
            throw trouble("The quotes around the unit are not closed");
        }
        String name = text.substring(at + 1, end).strip();
        try {
            Node node = new Node(Kind.UNIT, 0, name, Units.parse(name), List.of(), position);
            if (node.unit().offset() != 0) {
                throw trouble("“" + name + "” can't be calculated with. Use K");
            }
            at = end + 1;
            return node;
        } catch (cauldron.core.quantity.UnitSyntaxException e) {
            throw trouble(e.getMessage());
        }
    }

    private Node number() {
        int start = at;
        while (at < text.length() && (isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
            at++;
        }
        if (at + 1 < text.length() && (text.charAt(at) == 'e' || text.charAt(at) == 'E')
                && (isDigit(text.charAt(at + 1)) || at + 2 < text.length() && "+-".indexOf(text.charAt(at + 1)) >= 0
                        && isDigit(text.charAt(at + 2)))) {
            at += 2;
            while (at < text.length() && isDigit(text.charAt(at))) {
                at++;
            }
        }
        String typed = text.substring(start, at);
        try {
            Node number = Node.number(Numbers.read(typed), typed, start);
            if (at < text.length() && text.charAt(at) == '°') {
                at++;
                return Node.of(Kind.PRODUCT, start, number, new Node(Kind.UNIT, 0, "°", Units.parse("°"), List.of(), at));
            }
            return number;
        } catch (IllegalArgumentException e) {
            at = start;
            throw trouble("“" + typed + "” is not a number");
        }
    }

    private String longestSymbol() {
        String best = null;
        for (String symbol : symbols) {
            if (!symbol.isEmpty() && text.startsWith(symbol, at) && (best == null || symbol.length() > best.length())) {
                best = symbol;
            }
        }
        return best;
    }

    /** A number with the unit in quotes that follows it: one quantity, that nothing tears apart. */
    private Node quantity(Node number) {
        int here = at;
        skip();
        if (at < text.length() && text.charAt(at) == '"') {
            return Node.of(Kind.PRODUCT, number.position(), number, unit());
        }
        at = here;
        return number;
    }

    private String word() {
        return word(at);
    }

    private String word(int from) {
        int end = from;
        while (end < text.length() && (Character.isLetterOrDigit(text.charAt(end)) || text.charAt(end) == '_')) {
            end++;
        }
        return text.substring(from, end);
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private char peek() {
        skip();
        return at < text.length() ? text.charAt(at) : '\0';
    }

    private void skip() {
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
    }

    private FormulaException trouble(String message) {
        return new FormulaException(message, at);
    }
}
