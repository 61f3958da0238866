package cauldron.core.apparatus.atomworkbench;

import cauldron.core.chemistry.Element;
import cauldron.core.drawing.Caption;
import cauldron.core.drawing.Drawing;
import cauldron.core.drawing.Drawn;
import cauldron.core.drawing.Paper;
import cauldron.core.drawing.Piece;
import cauldron.core.drawing.Shape;
import cauldron.core.drawing.Spot;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * An atom as a labelled drawing: the nucleus with each nucleon, each occupied shell with its electrons, labels with
 * numbers, and below them element, mass number and charge. Not to scale: a nucleus is a hundred thousand times smaller than its shells.
 */
final class AtomDrawing {

    private static final double X = 49;
    private static final double Y = 50;
    private static final double NUCLEUS = 14;
    private static final double INNERMOST = 20;
    private static final double OUTERMOST = 46;
    /** Half the width of the ring in which an electron counts as on its shell. */
    private static final double HALF = 2.5;
    private static final double LABELS_X = 106;
    private static final double FIRST_LABEL = 14;
    private static final double BETWEEN = 13;
    /** Highest point of a shell that a line comes from, in its radii. */
    private static final double HIGHEST = 0.85;
    /** Largest radius of a nucleon, and how much of a disc they leave empty. */
    private static final double LARGEST = 3;
    private static final double LOOSE = 1.22;
    /** How far a label's line stays from the centre of what it names, in its radii. */
    private static final double EDGE = 0.8;
    private static final String[] NAMES = {"1st shell", "2nd shell", "3rd shell", "4th shell"};

    private AtomDrawing() {
    }

    static Drawing of(Atom atom) {
        int[] shells = atom.shells();
        int used = 0;
        for (int i = 0; i < shells.length; i++) {
            used = shells[i] > 0 ? i + 1 : used;
        }
        List<Spot> places = new ArrayList<>(List.of(new Spot("nucleus", "nucleus", X, Y, 0, NUCLEUS)));
        List<Shape> shapes = new ArrayList<>();
        for (int i = 0; i < used; i++) {
            double r = used == 1 ? (INNERMOST + OUTERMOST) / 2 : INNERMOST + i * (OUTERMOST - INNERMOST) / (used - 1);
            places.add(new Spot("shell-" + (i + 1), NAMES[i], X, Y, r - HALF, r + HALF));
            shapes.add(Shape.circle(X, Y, r, false, true));
        }
        double nucleon = Math.min(LARGEST, NUCLEUS / (1 + LOOSE * Math.sqrt(atom.massNumber())));
        Piece proton = new Piece("proton", "proton", "+", "copper", nucleon);
        Piece neutron = new Piece("neutron", "neutron", "", "ink", nucleon);
        Piece electron = new Piece("electron", "electron", "−", "indigo", 2);
        List<Caption> captions = List.of(new Caption("element", "Element"), new Caption("mass", "Mass number"),
                new Caption("charge", "Charge"));
        Paper blank = new Paper(shapes, places, List.of(proton, neutron, electron), List.of(), List.of(), captions, false);
        Drawing drawing = new Drawing(blank, Drawn.NOTHING).laid(proton, places.get(0), atom.protons())
                .laid(neutron, places.get(0), atom.neutrons());
        for (int i = 0; i < used; i++) {
            drawing = drawing.laid(electron, places.get(i + 1), shells[i]);
        }
        return labelled(atom, drawing, shells, used);
    }

    /** Labels one below the other: shells from the outermost on, level with their words, then the nucleus. */
    private static Drawing labelled(Atom atom, Drawing drawing, int[] shells, int used) {
        List<String> words = new ArrayList<>();
        List<Drawn.Label> labels = new ArrayList<>();
        for (int i = used - 1; i >= 0; i--) {
            Spot ring = drawing.paper().places().get(i + 1);
            double r = (ring.from() + ring.to()) / 2;
            double down = Math.max(-HIGHEST * r, FIRST_LABEL + BETWEEN * words.size() - Y);
            words.add(NAMES[i] + ": " + many(shells[i], "electron"));
            labels.add(label(words.size(), X + Math.sqrt(r * r - down * down), Y + down));
        }
        for (Piece nucleon : drawing.paper().pieces().subList(0, 2)) {
            boolean upper = nucleon.id().equals("proton");
            drawing.drawn().pieces().stream().filter(p -> p.piece().equals(nucleon.id()))
                    .max(Comparator.comparingDouble(p -> p.x() + (upper ? -p.y() : p.y()))).ifPresent(p -> {
                        words.add(many(upper ? atom.protons() : atom.neutrons(), nucleon.name()));
                        labels.add(label(words.size(), p.x() + EDGE * nucleon.size(), p.y()));
                    });
        }
        Map<String, String> captions = new LinkedHashMap<>();
        Element element = Element.number(atom.protons());
        captions.put("element", element.name() + ", " + element.symbol());
        captions.put("mass", String.valueOf(atom.massNumber()));
        captions.put("charge", charge(atom.charge()));
        Paper bare = drawing.paper();
        return new Drawing(new Paper(bare.shapes(), bare.places(), bare.pieces(), words, List.of(), bare.captions(), false),
                new Drawn(drawing.drawn().pieces(), labels, List.of(), List.of(), captions));
    }

    private static Drawn.Label label(int which, double x, double y) {
        return new Drawn.Label(which, Math.rint(10 * x) / 10, Math.rint(10 * y) / 10, LABELS_X,
                FIRST_LABEL + BETWEEN * (which - 1));
    }

    private static String many(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    /** A charge as chemists write it: 2−, +, 0. */
    private static String charge(int charge) {
        String size = Math.abs(charge) < 2 ? "" : Numbers.fixed(Math.abs(charge), 0);
        return charge == 0 ? "0" : size + (charge > 0 ? "+" : "−");
    }
}
