package cauldron.core.chemistry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A reaction: what it takes and what it gives, in whole numbers of particles. One in which an atom or a charge is lost
 * or made can't be declared.
 */
public final class Reaction {

    /** So many particles of a substance; taken where the number is negative. */
    public record Term(int count, Substance substance) {
    }

    private final String called;
    private final List<Term> terms;
    private final List<Term> taken;
    private final List<Term> given;

    private Reaction(String called, List<Term> terms) {
        this.called = called;
        this.terms = List.copyOf(terms);
        taken = this.terms.stream().filter(t -> t.count() < 0).toList();
        given = this.terms.stream().filter(t -> t.count() > 0).toList();
    }

    /** A reaction to be told by {@link #takes} and {@link #gives}, and closed by {@link #balanced}. */
    public static Reaction called(String name) {
        return new Reaction(name, List.of());
    }

    /** Takes so many particles of a substance. */
    public Reaction takes(int count, Substance substance) {
        return with(new Term(-count, substance));
    }

    /** Gives so many particles of a substance. */
    public Reaction gives(int count, Substance substance) {
        return with(new Term(count, substance));
    }

    private Reaction with(Term term) {
        List<Term> more = new ArrayList<>(terms);
        more.add(term);
        return new Reaction(called, more);
    }

    /**
     * Closes it.
     *
     * @throws IllegalStateException where it doesn't balance, telling in what
     */
    public Reaction balanced() {
        Map<Element, Integer> off = new TreeMap<>();
        int charge = 0;
        for (Term term : terms) {
            charge += term.count() * term.substance().formula().charge();
            for (Map.Entry<Element, Integer> part : term.substance().formula().atoms().entrySet()) {
                off.merge(part.getKey(), term.count() * part.getValue(), Integer::sum);
            }
        }
        for (Map.Entry<Element, Integer> part : off.entrySet()) {
            if (part.getValue() != 0) {
                throw new IllegalStateException(called + " gives " + part.getValue() + " " + part.getKey() + " more "
                        + "than it takes");
            }
        }
        if (charge != 0) {
            throw new IllegalStateException(called + " gives a charge of " + charge + " more than it takes");
        }
        return this;
    }

    /** What it is called. */
    public String called() {
        return called;
    }

    /** What it takes (negative) and gives (positive), in the order in which it was told. */
    public List<Term> terms() {
        return terms;
    }

    /** What it takes. */
    public List<Term> taken() {
        return taken;
    }

    /** What it gives. */
    public List<Term> given() {
        return given;
    }

    /**
     * How far it can go: the least of what is there of each substance taken, over its number.
     *
     * @param amounts in mol, in the order of {@link #taken}
     */
    public double furthest(double... amounts) {
        double least = Double.POSITIVE_INFINITY;
        List<Term> taken = taken();
        for (int i = 0; i < taken.size(); i++) {
            least = Math.min(least, amounts[i] / -taken.get(i).count());
        }
        return least;
    }

    /**
     * The equation as it is printed.
     *
     * @param arrow between the two sides
     */
    public String equation(String arrow) {
        return side(taken()) + " " + arrow + " " + side(given());
    }

    private static String side(List<Term> some) {
        StringBuilder out = new StringBuilder();
        for (Term term : some) {
            int count = Math.abs(term.count());
            out.append(out.length() == 0 ? "" : " + ").append(count == 1 ? "" : count + " ")
                    .append(term.substance().formula().printed());
        }
        return out.toString();
    }

    @Override
    public String toString() {
        return called;
    }
}
