package cauldron.core.drawing;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.map;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What somebody laid, labelled, drew and wrote on a paper.
 *
 * @param strokes  drawn freely: x, y, x, y …
 * @param captions by their ids
 */
public record Drawn(List<Laid> pieces, List<Label> labels, List<Arrow> arrows, List<List<Double>> strokes,
        Map<String, String> captions) {

    /** Nothing. */
    public static final Drawn NOTHING = new Drawn(List.of(), List.of(), List.of(), List.of(), Map.of());
    private static final int MOST_PIECES = 300;
    private static final int MOST_LABELS = 40;
    private static final int MOST_STROKES = 60;
    private static final int MOST_NUMBERS = 4000;
    private static final int LONGEST = 200;

    /** A piece at a place. */
    public record Laid(String piece, double x, double y) {
    }

    /**
     * A label.
     *
     * @param label its place in the paper's list, from 1 on
     * @param x     where its line ends
     * @param y     where its line ends
     * @param tx    where its words stand
     * @param ty    where its words stand
     */
    public record Label(int label, double x, double y, double tx, double ty) {
    }

    /**
     * An arrow.
     *
     * @param arrow its place in the paper's list, from 1 on
     * @param x     where it begins
     * @param y     where it begins
     * @param dx    how far it goes to the right
     * @param dy    how far it goes down
     */
    public record Arrow(int arrow, double x, double y, double dx, double dy) {

        /** Its length. */
        public double length() {
            return Math.hypot(dx, dy);
        }

        /** Where it points, in degrees from 0 on, counter-clockwise from the right. */
        public double towards() {
            return (Math.toDegrees(Math.atan2(-dy, dx)) + 360) % 360;
        }
    }

    /** Whether nothing was laid, labelled or drawn; words alone are no drawing. */
    public boolean isEmpty() {
        return pieces.isEmpty() && labels.isEmpty() && arrows.isEmpty() && strokes.isEmpty();
    }

    /** With other pieces. */
    public Drawn with(List<Laid> others) {
        return new Drawn(others, labels, arrows, strokes, captions);
    }

    /** From plain data that was read before. */
    public static Drawn of(Map<String, Object> tree) {
        List<Laid> pieces = new ArrayList<>();
        Tree.maps(tree, "pieces").forEach(p -> pieces.add(new Laid(Tree.text(p, "piece"), Tree.number(p, "x"),
                Tree.number(p, "y"))));
        List<Label> labels = new ArrayList<>();
        Tree.maps(tree, "labels").forEach(l -> labels.add(new Label((int) Tree.number(l, "label"), Tree.number(l, "x"),
                Tree.number(l, "y"), Tree.number(l, "tx"), Tree.number(l, "ty"))));
        List<Arrow> arrows = new ArrayList<>();
        Tree.maps(tree, "arrows").forEach(a -> arrows.add(new Arrow((int) Tree.number(a, "arrow"), Tree.number(a, "x"),
                Tree.number(a, "y"), Tree.number(a, "dx"), Tree.number(a, "dy"))));
        List<List<Double>> strokes = new ArrayList<>();
        if (tree.get("strokes") instanceof List<?> all) {
            for (Object stroke : all) {
                List<Double> numbers = new ArrayList<>();
                ((List<?>) stroke).forEach(v -> numbers.add(((Number) v).doubleValue()));
                strokes.add(numbers);
            }
        }
        Map<String, String> captions = new LinkedHashMap<>();
        Tree.map(tree, "captions").forEach((id, words) -> captions.put(id, (String) words));
        return new Drawn(pieces, labels, arrows, strokes, captions);
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        List<Object> laid = new ArrayList<>();
        pieces.forEach(p -> laid.add(Tree.of("piece", p.piece(), "x", p.x(), "y", p.y())));
        List<Object> named = new ArrayList<>();
        labels.forEach(l -> named.add(Tree.of("label", (double) l.label(), "x", l.x(), "y", l.y(), "tx", l.tx(), "ty", l.ty())));
        List<Object> drawn = new ArrayList<>();
        arrows.forEach(a -> drawn.add(Tree.of("arrow", (double) a.arrow(), "x", a.x(), "y", a.y(), "dx", a.dx(), "dy", a.dy())));
        return Tree.of("pieces", laid, "labels", named, "arrows", drawn, "strokes", strokes, "captions",
                new LinkedHashMap<String, Object>(captions));
    }

    /** How it is kept. */
    public static final class Kept extends Form<Drawn> {
        private final Field<Drawn, List<Laid>> pieces = field("pieces", list(new LaidForm(), MOST_PIECES), Drawn::pieces)
                .otherwise(List.of());
        private final Field<Drawn, List<Label>> labels = field("labels", list(new LabelForm(), MOST_LABELS), Drawn::labels)
                .otherwise(List.of());
        private final Field<Drawn, List<Arrow>> arrows = field("arrows", list(new ArrowForm(), MOST_LABELS), Drawn::arrows)
                .otherwise(List.of());
        private final Field<Drawn, List<List<Double>>> strokes = field("strokes", list(list(number(), MOST_NUMBERS),
                MOST_STROKES), Drawn::strokes).otherwise(List.of());
        private final Field<Drawn, Map<String, String>> captions = field("captions", map(text(LONGEST)), Drawn::captions)
                .otherwise(Map.of());

        /** The form. */
        public Kept() {
            super("Drawn", "What was laid, labelled, drawn and written on a paper.");
        }

        @Override
        protected Drawn make(Filled f) {
            return new Drawn(f.get(pieces), f.get(labels), f.get(arrows), f.get(strokes), f.get(captions));
        }
    }

    private static final class LaidForm extends Form<Laid> {
        private final Field<Laid, String> piece = field("piece", text(Paper.ID), Laid::piece);
        private final Field<Laid, Double> x = field("x", number(), Laid::x);
        private final Field<Laid, Double> y = field("y", number(), Laid::y);

        LaidForm() {
            super("LaidPiece", "A piece where it was laid.");
        }

        @Override
        protected Laid make(Filled f) {
            return new Laid(f.get(piece), f.get(x), f.get(y));
        }
    }

    private static final class LabelForm extends Form<Label> {
        private final Field<Label, Integer> label = field("label", whole(1, MOST_LABELS), Label::label);
        private final Field<Label, Double> x = field("x", number(), Label::x);
        private final Field<Label, Double> y = field("y", number(), Label::y);
        private final Field<Label, Double> tx = field("tx", number(), Label::tx);
        private final Field<Label, Double> ty = field("ty", number(), Label::ty);

        LabelForm() {
            super("LaidLabel", "A label: where its line ends, and where its words stand.");
        }

        @Override
        protected Label make(Filled f) {
            return new Label(f.get(label), f.get(x), f.get(y), f.get(tx), f.get(ty));
        }
    }

    private static final class ArrowForm extends Form<Arrow> {
        private final Field<Arrow, Integer> arrow = field("arrow", whole(1, MOST_LABELS), Arrow::arrow);
        private final Field<Arrow, Double> x = field("x", number(), Arrow::x);
        private final Field<Arrow, Double> y = field("y", number(), Arrow::y);
        private final Field<Arrow, Double> dx = field("dx", number(), Arrow::dx);
        private final Field<Arrow, Double> dy = field("dy", number(), Arrow::dy);

        ArrowForm() {
            super("LaidArrow", "An arrow: where it begins, and how far it goes to the right and down.");
        }

        @Override
        protected Arrow make(Filled f) {
            return new Arrow(f.get(arrow), f.get(x), f.get(y), f.get(dx), f.get(dy));
        }
    }
}
