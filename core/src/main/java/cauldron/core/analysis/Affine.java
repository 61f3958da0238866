package cauldron.core.analysis;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Finds parameters in which a formula is a sum of multiples, so that they can be had without searching. */
final class Affine {

    private Affine() {
    }

    /** A largest set of parameters, taken in their order, in which the formula is affine together. */
    static List<String> parameters(Formula formula, List<String> parameters) {
        List<String> found = new ArrayList<>();
        for (String p : parameters) {
            Set<String> tried = new LinkedHashSet<>(found);
            tried.add(p);
            if (degree(formula.root(), tried) <= 1) {
                found.add(p);
            }
        }
        return found;
    }

    /** 0: doesn't depend on them, 1: affine, 2: anything else. */
    private static int degree(Node n, Set<String> in) {
        switch (n.kind()) {
            case NUMBER:
            case UNIT:
                return 0;
            case SYMBOL:
                return in.contains(n.text()) ? 1 : 0;
            case NEGATIVE:
                return degree(n.left(), in);
            case SUM:
            case DIFFERENCE:
                return Math.max(degree(n.left(), in), degree(n.right(), in));
            case PRODUCT:
                return Math.min(2, degree(n.left(), in) + degree(n.right(), in));
            case QUOTIENT:
                return degree(n.right(), in) > 0 ? 2 : degree(n.left(), in);
            default:
                return n.args().stream().anyMatch(a -> degree(a, in) > 0) ? 2 : 0;
        }
    }
}
