package cauldron.core.drawing;

import cauldron.core.Tree;
import cauldron.core.drawing.Drawn.Laid;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A paper with what lies on it. */
public record Drawing(Paper paper, Drawn drawn) {

    /** How far a label's end may be from a piece that it names, beyond the piece's edge. */
    private static final double NEAR = 3;

    /** How many pieces of a kind lie in a place; in none, for null. */
    public int count(Piece kind, Spot place) {
        int n = 0;
        for (Laid p : drawn.pieces()) {
            n += p.piece().equals(kind.id()) && paper.placeAt(p.x(), p.y()) == place ? 1 : 0;
        }
        return n;
    }

    /** Whether a point lies on a piece of a kind or next to it. */
    public boolean isAt(Piece kind, double x, double y) {
        for (Laid p : drawn.pieces()) {
            if (p.piece().equals(kind.id()) && Math.hypot(p.x() - x, p.y() - y) <= kind.size() + NEAR) {
                return true;
            }
        }
        return false;
    }

    /** With so many pieces of a kind in a place, all that lies in the place laid in order. */
    public Drawing laid(Piece kind, Spot place, int many) {
        int[] counts = new int[paper.pieces().size()];
        for (int i = 0; i < counts.length; i++) {
            Piece piece = paper.pieces().get(i);
            counts[i] = piece.id().equals(kind.id()) ? many : count(piece, place);
        }
        List<Laid> pieces = new ArrayList<>();
        for (Laid p : drawn.pieces()) {
            if (paper.piece(p.piece()) == null || paper.placeAt(p.x(), p.y()) != place) {
                pieces.add(p);
            }
        }
        pieces.addAll(Order.in(place, paper.pieces(), counts));
        return new Drawing(paper, drawn.with(pieces));
    }

    /** With the pieces of another drawing, laid into the places that bear the same ids; labels and words stay. */
    public Drawing taking(Drawing other) {
        Drawing taken = new Drawing(paper, drawn.with(List.of()));
        for (Spot place : other.paper.places()) {
            for (Piece kind : other.paper.pieces()) {
                int many = other.count(kind, place);
                if (many > 0 && paper.place(place.id()) != null && paper.piece(kind.id()) != null) {
                    taken = taken.laid(paper.piece(kind.id()), paper.place(place.id()), many);
                }
            }
        }
        return taken;
    }

    /** What is to be seen on it, for whoever doesn't see it. Two that are alike to a check have the same words. */
    public String words() {
        List<String> parts = new ArrayList<>();
        List<Spot> places = new ArrayList<>(paper.places());
        places.add(null);
        for (Spot place : places) {
            List<String> here = new ArrayList<>();
            for (Piece kind : paper.pieces()) {
                int many = count(kind, place);
                if (many > 0) {
                    here.add(many + " × " + kind.name());
                }
            }
            if (!here.isEmpty()) {
                parts.add((place == null ? "elsewhere" : place.name()) + ": " + String.join(", ", here));
            }
        }
        for (Drawn.Label label : drawn.labels()) {
            parts.add("“" + name(paper.labels(), label.label()) + "” at " + at(label.x(), label.y()));
        }
        for (Drawn.Arrow arrow : drawn.arrows()) {
            parts.add("arrow “" + name(paper.arrows(), arrow.arrow()) + "” at " + at(arrow.x(), arrow.y()) + " to "
                    + Numbers.fixed(arrow.towards(), 0) + "°, " + Numbers.fixed(arrow.length(), 0) + " long");
        }
        for (Caption caption : paper.captions()) {
            String written = drawn.captions().getOrDefault(caption.id(), "").strip();
            if (!written.isEmpty()) {
                parts.add(caption.name() + ": " + written);
            }
        }
        if (!drawn.strokes().isEmpty()) {
            parts.add(drawn.strokes().size() + (drawn.strokes().size() == 1 ? " line" : " lines") + " by hand");
        }
        return parts.isEmpty() ? "nothing yet" : String.join("; ", parts);
    }

    private String at(double x, double y) {
        List<String> what = new ArrayList<>();
        for (Piece kind : paper.pieces()) {
            if (isAt(kind, x, y)) {
                what.add(kind.name());
            }
        }
        Spot place = paper.placeAt(x, y);
        if (place != null) {
            what.add(place.name());
        }
        return what.isEmpty() ? "nothing" : String.join(", ", what);
    }

    private static String name(List<String> names, int which) {
        return which <= names.size() ? names.get(which - 1) : "?";
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("paper", paper.toTree(), "drawn", drawn.toTree());
    }
}
