package cauldron.core.analysis;

import cauldron.core.analysis.Formula.Kind;
import cauldron.core.analysis.Formula.Node;
import java.util.Set;

/** Reads a formula by recursive descent: sum, product, sign, power, then what stands alone. */
final class FormulaReader {

    private static final String[] FUNCTIONS = {"sqrt", "abs", "ln", "log", "exp", "sin", "cos", "tan"};
    private static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";

    private final String text;
    private final Set<String> symbols;
    private int at;

    FormulaReader(String text, Set<String> symbols) {
        this.text = text.replace('\u2212', '-').replace('\u00a0', ' ');
        this.symbols = symbols;
    }

    Node read() {
        skip();
        if (at == text.length()) {
            throw trouble("Write a formula, such as " + example());
        }
        Node node = sum();
        if (at < text.length()) {
            throw trouble(text.charAt(at) == ')' ? "This bracket closes nothing"
                    : "“" + text.charAt(at) + "” has no place here");
        }
        return node;
    }

    private String example() {
        return symbols.isEmpty() ? "2 × 3" : symbols.iterator().next() + "/20";
    }

    private Node sum() {
        Node left = product();
        while (at < text.length() && (peek() == '+' || peek() == '-')) {
            int position = at;
            Kind kind = text.charAt(at++) == '+' ? Kind.SUM : Kind.DIFFERENCE;
            left = new Node(kind, 0, null, left, product(), position);
        }
        return left;
    }

    private Node product() {
        Node left = signed();
        while (at < text.length()) {
            char c = peek();
            int position = at;
            if ("*×·⋅".indexOf(c) >= 0) {
                at++;
                left = new Node(Kind.PRODUCT, 0, null, left, signed(), position);
            } else if (c == '/' || c == '÷') {
                at++;
                left = new Node(Kind.QUOTIENT, 0, null, left, signed(), position);
            } else if (c == '(' || c == '√' || Character.isLetter(c) || isDigit(c)) {
                left = new Node(Kind.PRODUCT, 0, null, left, power(), position);
            } else {
                break;
            }
        }
        return left;
    }

    private Node signed() {
        skip();
        int position = at;
        if (at < text.length() && peek() == '-') {
            at++;
            return new Node(Kind.NEGATIVE, 0, null, signed(), null, position);
        }
        if (at < text.length() && peek() == '+') {
            at++;
            return signed();
        }
        return power();
    }

    private Node power() {
        Node base = alone();
        if (at < text.length()) {
            int position = at;
            char c = text.charAt(at);
            if (c == '^') {
                at++;
                skip();
                return new Node(Kind.POWER, 0, null, base, signed(), position);
            }
            if (c == '⁻' || SUPERSCRIPTS.indexOf(c) >= 0) {
                return new Node(Kind.POWER, 0, null, base, raised(), position);
            }
        }
        skip();
        return base;
    }

    private Node raised() {
        int position = at;
        boolean negative = text.charAt(at) == '⁻';
        at += negative ? 1 : 0;
        double n = 0;
        while (at < text.length() && SUPERSCRIPTS.indexOf(text.charAt(at)) >= 0) {
            n = n * 10 + SUPERSCRIPTS.indexOf(text.charAt(at++));
        }
        skip();
        return new Node(Kind.NUMBER, negative ? -n : n, null, null, null, position);
    }

    private Node alone() {
        skip();
        if (at == text.length()) {
            throw trouble("The formula stops too early");
        }
        int position = at;
        char c = text.charAt(at);
        if (c == '(') {
            return bracket();
        }
        if (c == '√') {
            at++;
            return new Node(Kind.FUNCTION, 0, "sqrt", alone(), null, position);
        }
        if (isDigit(c) || c == '.') {
            return number();
        }
        String symbol = longestSymbol();
        if (symbol != null) {
            at += symbol.length();
            return new Node(Kind.SYMBOL, 0, symbol, null, null, position);
        }
        if (c == 'π' || text.startsWith("pi", at)) {
            at += c == 'π' ? 1 : 2;
            return new Node(Kind.NUMBER, Math.PI, null, null, null, position);
        }
        for (String function : FUNCTIONS) {
            if (text.startsWith(function, at)) {
                at += function.length();
                skip();
                if (at == text.length() || text.charAt(at) != '(') {
                    throw trouble("Put what " + function + " works on in brackets: " + function + "(…)");
                }
                return new Node(Kind.FUNCTION, 0, function, bracket(), null, position);
            }
        }
        if (Character.isLetter(c)) {
            throw trouble("“" + word() + "” is not a column here. There is "
                    + (symbols.isEmpty() ? "none yet" : String.join(", ", symbols)));
        }
        throw trouble("“" + c + "” has no place here");
    }

    private Node bracket() {
        at++;
        Node inner = sum();
        if (at >= text.length() || text.charAt(at) != ')') {
            throw trouble("A bracket is not closed");
        }
        at++;
        return inner;
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
        try {
            return new Node(Kind.NUMBER, Double.parseDouble(text.substring(start, at)), null, null, null, start);
        } catch (NumberFormatException e) {
            at = start;
            throw trouble("That is not a number");
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

    private String word() {
        int end = at;
        while (end < text.length() && (Character.isLetterOrDigit(text.charAt(end)) || text.charAt(end) == '_')) {
            end++;
        }
        return text.substring(at, end);
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
