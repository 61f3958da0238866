package cauldron.core.drawing;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.text;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a drawing begins with: {@value #WIDTH} wide and {@value #HEIGHT} high in units of its own, x to the right and y
 * downwards, with figures, places, and what may be laid, pointed at, drawn and written on it.
 *
 * @param labels words that point at something
 * @param arrows names of arrows, such as forces
 * @param pen    whether it can be drawn on freely
 */
public record Paper(List<Shape> shapes, List<Spot> places, List<Piece> pieces, List<String> labels, List<String> arrows,
        List<Caption> captions, boolean pen) {

    /** Its width. */
    public static final double WIDTH = 160;
    /** Its height. */
    public static final double HEIGHT = 100;
    static final int ID = 40;
    static final int NAME = 80;
    private static final int MOST_SHAPES = 60;
    private static final int MOST = 12;

    /** A kind of piece; null where there is none of that id. */
    public Piece piece(String id) {
        for (Piece one : pieces) {
            if (one.id().equals(id)) {
                return one;
            }
        }
        return null;
    }

    /** A place by its id; null where there is none. */
    public Spot place(String id) {
        for (Spot one : places) {
            if (one.id().equals(id)) {
                return one;
            }
        }
        return null;
    }

    /** The first place in which a point lies; null where it lies in none. */
    public Spot placeAt(double x, double y) {
        for (Spot one : places) {
            if (one.has(x, y)) {
                return one;
            }
        }
        return null;
    }

    /**
     * From plain data that was read before, without what is only looked at. Loops, as in all that a browser reaches
     * here: streams would bring it some five thousand bytes.
     */
    public static Paper counted(Map<String, Object> tree) {
        List<Spot> spots = new ArrayList<>();
        Tree.maps(tree, "places").forEach(t -> spots.add(Spot.of(t)));
        List<Piece> kinds = new ArrayList<>();
        Tree.maps(tree, "pieces").forEach(t -> kinds.add(Piece.of(t)));
        List<Caption> below = new ArrayList<>();
        Tree.maps(tree, "captions").forEach(t -> below.add(Caption.of(t)));
        return new Paper(List.of(), spots, kinds, Tree.texts(tree, "labels"), Tree.texts(tree, "arrows"), below, false);
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("shapes", shapes.stream().map(Shape::toTree).toList(), "places",
                places.stream().map(Spot::toTree).toList(), "pieces", pieces.stream().map(Piece::toTree).toList(), "labels",
                labels, "arrows", arrows, "captions", captions.stream().map(Caption::toTree).toList(), "pen", pen);
    }

    /** How one is declared. */
    public static final class Declared extends Form<Paper> {
        private final Field<Paper, List<Shape>> shapes = field("shapes", list(new Shape.Declared(), MOST_SHAPES),
                Paper::shapes).otherwise(List.of());
        private final Field<Paper, List<Spot>> places = field("places", list(new Spot.Declared(), MOST), Paper::places)
                .otherwise(List.of());
        private final Field<Paper, List<Piece>> pieces = field("pieces", list(new Piece.Declared(), MOST), Paper::pieces)
                .otherwise(List.of());
        private final Field<Paper, List<String>> labels = field("labels", list(text(NAME), MOST), Paper::labels)
                .otherwise(List.of()).says("Words that are to point at something.");
        private final Field<Paper, List<String>> arrows = field("arrows", list(text(NAME), MOST), Paper::arrows)
                .otherwise(List.of()).says("Names of arrows, such as forces.");
        private final Field<Paper, List<Caption>> captions = field("captions", list(new Caption.Declared(), MOST),
                Paper::captions).otherwise(List.of());
        private final Field<Paper, Boolean> pen = field("pen", FLAG, Paper::pen).otherwise(false)
                .says("Whether it can be drawn on freely.");

        /** The form. */
        public Declared() {
            super("Paper", "What a drawing begins with, 160 wide and 100 high, y downwards.");
        }

        @Override
        protected Paper make(Filled f) {
            return new Paper(f.get(shapes), f.get(places), f.get(pieces), f.get(labels), f.get(arrows), f.get(captions),
                    f.get(pen));
        }

        @Override
        protected void check(Paper paper, Where at) {
            Set<String> seen = new HashSet<>();
            Stream.of(paper.places().stream().map(p -> "places: " + p.id()), paper.pieces().stream().map(p -> "pieces: "
                    + p.id()), paper.labels().stream().map(l -> "labels: " + l), paper.arrows().stream().map(a -> "arrows: "
                    + a), paper.captions().stream().map(c -> "captions: " + c.id())).flatMap(s -> s)
                    .filter(name -> !seen.add(name)).forEach(name -> at.fault(name + " is there twice"));
            if (paper.pieces().isEmpty() && paper.labels().isEmpty() && paper.arrows().isEmpty()
                    && paper.captions().isEmpty() && !paper.pen()) {
                at.fault("nothing can be laid, labelled or drawn on this paper");
            }
        }
    }
}
