package cauldron.core.analysis;

import java.util.stream.Collectors;

/** Writes formulas: as text that can be read again, and as presentation MathML (W3C MathML Core). */
final class FormulaPrinter {

    private FormulaPrinter() {
    }

    /** How tightly a node holds together; a looser one inside needs brackets. */
    private static int tightness(Node n) {
        switch (n.kind()) {
            case SUM:
            case DIFFERENCE:
                return 1;
            case PRODUCT:
            case QUOTIENT:
                return 2;
            case NEGATIVE:
                return 3;
            case POWER:
                return 4;
            default:
                return 5;
        }
    }

    /** Whether it is a unit, or a number of one. */
    static boolean isUnit(Node n) {
        return n.kind() == Node.Kind.UNIT || n.kind() == Node.Kind.POWER && isUnit(n.left());
    }

    private static String inside(Node n, int atLeast) {
        return tightness(n) < atLeast ? "(" + text(n) + ")" : text(n);
    }

    static String text(Node n) {
        switch (n.kind()) {
            case NUMBER:
            case SYMBOL:
                return n.text();
            case UNIT:
                return "\"" + n.text() + "\"";
            case SUM:
                return inside(n.left(), 1) + " + " + inside(n.right(), 2);
            case DIFFERENCE:
                return inside(n.left(), 1) + " − " + inside(n.right(), 2);
            case PRODUCT:
                return inside(n.left(), 2) + " × " + inside(n.right(), 3);
            case QUOTIENT:
                return inside(n.left(), 2) + " / " + inside(n.right(), 3);
            case NEGATIVE:
                return "−" + inside(n.left(), 3);
            case POWER:
                return inside(n.left(), 5) + "^" + inside(n.right(), 3);
            default:
                return n.args().isEmpty() ? n.text()
                        : n.text() + "(" + n.args().stream().map(FormulaPrinter::text).collect(Collectors.joining("; ")) + ")";
        }
    }

    static String mathMl(Node n) {
        return "<math>" + row(n, 0) + "</math>";
    }

    /** A row, in brackets where it would otherwise fall apart. */
    private static String row(Node n, int atLeast) {
        String bare = bare(n);
        return tightness(n) < atLeast && n.kind() != Node.Kind.QUOTIENT
                ? "<mrow><mo>(</mo>" + bare + "<mo>)</mo></mrow>" : "<mrow>" + bare + "</mrow>";
    }

    private static String bare(Node n) {
        switch (n.kind()) {
            case NUMBER:
                return n.text().equals("π") ? "<mi>π</mi>" : "<mn>" + escaped(n.text()) + "</mn>";
            case SYMBOL:
                return symbol(n.text());
            case UNIT:
                return "<mspace width=\"0.2em\"></mspace><mtext>" + escaped(n.text()) + "</mtext>";
            case SUM:
                return row(n.left(), 1) + "<mo>+</mo>" + row(n.right(), 2);
            case DIFFERENCE:
                return row(n.left(), 1) + "<mo>−</mo>" + row(n.right(), 2);
            case PRODUCT:
                boolean numbers = n.right().kind() == Node.Kind.NUMBER && !n.right().text().equals("π");
                return row(n.left(), 2) + (numbers ? "<mo>·</mo>" : "<mspace width=\"0.12em\"></mspace>") + row(n.right(), 3);
            case QUOTIENT:
                return "<mfrac>" + row(n.left(), 0) + row(n.right(), 0) + "</mfrac>";
            case NEGATIVE:
                return "<mo>−</mo>" + row(n.left(), 2);
            case POWER:
                return "<msup>" + (n.left().kind() == Node.Kind.QUOTIENT ? "<mrow><mo>(</mo>" + bare(n.left()) + "<mo>)</mo></mrow>"
                        : row(n.left(), 5)) + row(n.right(), 0) + "</msup>";
            default:
                return call(n);
        }
    }

    private static String call(Node n) {
        switch (Function.named(n.text())) {
            case SQRT:
                return "<msqrt>" + row(n.left(), 0) + "</msqrt>";
            case CBRT:
                return "<mroot>" + row(n.left(), 0) + "<mn>3</mn></mroot>";
            case ABS:
                return "<mo>|</mo>" + row(n.left(), 0) + "<mo>|</mo>";
            case RATE:
                return "<mfrac><mrow><mo>Δ</mo>" + row(n.left(), 3) + "</mrow><mrow><mo>Δ</mo>" + row(n.right(), 3) + "</mrow></mfrac>";
            case ROW:
                return "<mi mathvariant=\"normal\">row</mi>";
            default:
                return "<mi mathvariant=\"normal\">" + n.text() + "</mi><mo>(</mo>"
                        + n.args().stream().map(a -> row(a, 0)).collect(Collectors.joining("<mo>;</mo>")) + "<mo>)</mo>";
        }
    }

    private static String symbol(String symbol) {
        int low = symbol.indexOf('_');
        String main = escaped(low > 0 ? symbol.substring(0, low) : symbol);
        String letter = "<mi" + (main.length() > 1 ? " mathvariant=\"italic\"" : "") + ">" + main + "</mi>";
        return low > 0 && low < symbol.length() - 1
                ? "<msub>" + letter + "<mtext>" + escaped(symbol.substring(low + 1)) + "</mtext></msub>" : letter;
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;").replace("\"", "&quot;");
    }
}
