package cauldron.core.chemistry;

import java.util.Map;
import java.util.TreeMap;

/**
 * What a particle is made of: elements with their numbers, and its charge. Written as in {@code CaCO3}, {@code
 * Fe(SCN)2^+}, {@code SO4^2-}.
 */
public final class Formula {

    private static final double GRAM = 1e-3;
    private static final String LOWERED = "₀₁₂₃₄₅₆₇₈₉";
    private static final String RAISED = "⁰¹²³⁴⁵⁶⁷⁸⁹";

    private final String text;
    private final Map<Element, Integer> atoms = new TreeMap<>();
    private final int charge;
    /** In kg/mol; laws ask for it in every step. */
    private final double molarMass;
    private int at;

    private Formula(String text) {
        this.text = text;
        int hat = text.indexOf('^');
        String body = hat < 0 ? text : text.substring(0, hat);
        charge = hat < 0 ? 0 : charge(text.substring(hat + 1));
        group(body, 1);
        if (at < body.length() || atoms.isEmpty()) {
            throw wrong();
        }
        double sum = 0;
        for (Map.Entry<Element, Integer> part : atoms.entrySet()) {
            sum += part.getKey().weight() * part.getValue();
        }
        molarMass = sum * GRAM;
    }

    /**
     * Reads a formula.
     *
     * @throws IllegalArgumentException where it can't be read, telling where
     */
    public static Formula of(String text) {
        return new Formula(text);
    }

    private IllegalArgumentException wrong() {
        return new IllegalArgumentException("“" + text + "” can't be read as a formula from its sign " + (at + 1) + " "
                + "on");
    }

    private int charge(String tail) {
        int digits = tail.length() - 1;
        boolean plus = tail.endsWith("+");
        if (!plus && !tail.endsWith("-")) {
            throw wrong();
        }
        int size = digits == 0 ? 1 : Integer.parseInt(tail.substring(0, digits));
        return plus ? size : -size;
    }

    /** Reads to the end; what stands there counts so many times. */
    private void group(String body, int times) {
        while (at < body.length()) {
            char c = body.charAt(at);
            if (c == '(') {
                int start = at + 1;
                int end = closing(body, start);
                at = end + 1;
                int count = count(body);
                int after = at;
                at = start;
                group(body.substring(0, end), times * count);
                at = after;
            } else if (c >= 'A' && c <= 'Z') {
                int end = at + 1;
                while (end < body.length() && body.charAt(end) >= 'a' && body.charAt(end) <= 'z') {
                    end++;
                }
                Element element = Element.of(body.substring(at, end));
                at = end;
                int count = times * count(body);
                atoms.merge(element, count, Integer::sum);
            } else {
                throw wrong();
            }
        }
    }

    private int closing(String body, int from) {
        int depth = 1;
        for (int i = from; i < body.length(); i++) {
            depth += body.charAt(i) == '(' ? 1 : body.charAt(i) == ')' ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        throw wrong();
    }

    private int count(String body) {
        int start = at;
        while (at < body.length() && body.charAt(at) >= '0' && body.charAt(at) <= '9') {
            at++;
        }
        return at == start ? 1 : Integer.parseInt(body.substring(start, at));
    }

    /** How many atoms of each element, by atomic number. */
    public Map<Element, Integer> atoms() {
        return Map.copyOf(atoms);
    }

    /** Charge in elementary charges. */
    public int charge() {
        return charge;
    }

    /** Molar mass in kg/mol; the electrons that a charge takes or brings are left out, a few parts in 10⁵ at most. */
    public double molarMass() {
        return molarMass;
    }

    /** As it is printed: {@code CaCO₃}, {@code Fe³⁺}. */
    public String printed() {
        StringBuilder out = new StringBuilder();
        boolean raised = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '^') {
                raised = true;
            } else if (c >= '0' && c <= '9') {
                out.append((raised ? RAISED : LOWERED).charAt(c - '0'));
            } else {
                out.append(raised && c == '+' ? '⁺' : raised && c == '-' ? '⁻' : c);
            }
        }
        return out.toString();
    }

    @Override
    public String toString() {
        return printed();
    }
}
