package cauldron.core.analysis;

import cauldron.core.quantity.Unit;
import java.util.List;

/**
 * One node of a formula's tree.
 *
 * @param number   of a NUMBER
 * @param text     symbol of a SYMBOL, name of a FUNCTION, what was typed of a NUMBER or UNIT
 * @param unit     of a UNIT: one of it
 * @param args     what it works on, from left to right
 * @param position where it stands in what was typed
 */
record Node(Kind kind, double number, String text, Unit unit, List<Node> args, int position) {

    /** The kinds of node. */
    enum Kind { NUMBER, SYMBOL, UNIT, SUM, DIFFERENCE, PRODUCT, QUOTIENT, POWER, NEGATIVE, FUNCTION }

    static Node number(double number, String text, int position) {
        return new Node(Kind.NUMBER, number, text, null, List.of(), position);
    }

    static Node symbol(String symbol, int position) {
        return new Node(Kind.SYMBOL, 0, symbol, null, List.of(), position);
    }

    static Node of(Kind kind, int position, Node... args) {
        return new Node(kind, 0, null, null, List.of(args), position);
    }

    static Node function(String name, List<Node> args, int position) {
        return new Node(Kind.FUNCTION, 0, name, null, args, position);
    }

    Node left() {
        return args.get(0);
    }

    Node right() {
        return args.get(1);
    }
}
