package cauldron.server.worksheets;

import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Element;

/**
 * A formula in TeX as a line of plain signs for paper: fractions with a slash, roots with brackets, powers raised,
 * indices lowered, Greek letters and the usual signs. A command it doesn't know stays as its name.
 */
final class PlainFormula {

    private static final int DEEPEST = 20;
    private static final Map<String, String> SIGNS = new HashMap<>();

    static {
        String[] names = ("alpha α beta β gamma γ delta δ epsilon ε zeta ζ eta η theta θ kappa κ lambda λ mu μ nu ν xi ξ pi π rho ρ "
                + "sigma σ tau τ phi φ varphi φ chi χ psi ψ omega ω Gamma Γ Delta Δ Theta Θ Lambda Λ Pi Π Sigma Σ Phi Φ Psi Ψ "
                + "Omega Ω cdot · times × div ÷ pm ± mp ∓ approx ≈ neq ≠ ne ≠ leq ≤ le ≤ geq ≥ ge ≥ propto ∝ infty ∞ partial ∂ "
                + "sum ∑ int ∫ to → rightarrow → rightleftharpoons ⇌ circ ° degree ° ell ℓ hbar ℏ nabla ∇ ldots … cdots ⋯").split(" ");
        for (int i = 0; i < names.length; i += 2) {
            SIGNS.put(names[i], names[i + 1]);
        }
        for (String space : new String[] {",", ";", ":", " ", "quad", "qquad"}) {
            SIGNS.put(space, "\u00a0");
        }
        for (String nothing : new String[] {"left", "right", "displaystyle", "!", "mathrm", "text", "mathit", "vec",
                "bar"}) {
            SIGNS.put(nothing, "");
        }
    }

    private final String tex;
    private int at;

    private PlainFormula(String tex) {
        this.tex = tex;
    }

    /** Puts a formula in the place of its TeX. */
    static void set(Element span) {
        PlainFormula formula = new PlainFormula(span.text());
        span.empty();
        formula.line(span, 0, (char) 0);
    }

    private void line(Element to, int depth, char end) {
        while (at < tex.length()) {
            char c = tex.charAt(at);
            if (c == end) {
                at++;
                return;
            }
            if (c == '^' || c == '_') {
                at++;
                argument(to.appendElement(c == '^' ? "sup" : "sub"), depth);
            } else if (c == '{' || c == '\\') {
                argument(to, depth);
            } else {
                at++;
                to.appendText(String.valueOf(c == '*' ? '·' : c == '-' ? '−' : c));
            }
        }
    }

    /** A group, a command or one sign. */
    private void argument(Element to, int depth) {
        if (at >= tex.length()) {
            return;
        }
        char c = tex.charAt(at++);
        if (depth > DEEPEST) {
            to.appendText(String.valueOf(c));
        } else if (c == '{') {
            line(to, depth + 1, '}');
        } else if (c == '\\') {
            command(to, depth);
        } else {
            to.appendText(String.valueOf(c));
        }
    }

    private void command(Element to, int depth) {
        int from = at;
        while (at < tex.length() && Character.isLetter(tex.charAt(at))) {
            at++;
        }
        at = at == from ? Math.min(at + 1, tex.length()) : at;
        String name = tex.substring(from, at);
        while (at < tex.length() && tex.charAt(at) == ' ') {
            at++;
        }
        if (name.equals("frac") || name.equals("tfrac") || name.equals("dfrac")) {
            bracketed(to, depth);
            to.appendText("/");
            bracketed(to, depth);
        } else if (name.equals("sqrt")) {
            to.appendText("√");
            bracketed(to, depth);
        } else {
            to.appendText(SIGNS.getOrDefault(name, name));
        }
    }

    /** What comes next, in brackets where it is more than one sign. */
    private void bracketed(Element to, int depth) {
        Element inner = new Element("span");
        argument(inner, depth + 1);
        boolean one = inner.text().strip().length() == 1;
        to.appendText(one ? "" : "(");
        inner.childNodesCopy().forEach(to::appendChild);
        to.appendText(one ? "" : ")");
    }
}
