package cauldron.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.drawing.Drawn.Laid;
import cauldron.core.form.Where;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What lies on a paper, counted by its places, laid in order, lent to another paper, told in words. */
class DrawingTest {

    private static final Piece DOT = new Piece("dot", "dot", "+", "copper", 2);
    private static final Piece RING = new Piece("ring", "ring", "", "ink", 2);
    private static final Spot MIDDLE = new Spot("m", "the middle", 50, 50, 0, 15);
    private static final Spot ROUND = new Spot("r", "round it", 50, 50, 25, 30);
    private static final Paper PAPER = new Paper(List.of(), List.of(MIDDLE, ROUND), List.of(DOT, RING), List.of("core"),
            List.of("pull"), List.of(new Caption("q", "Charge")), true);
    private static final Drawing BLANK = new Drawing(PAPER, Drawn.NOTHING);

    @Test
    void piecesAreCountedWhereTheyLie() {
        Drawing drawing = BLANK.laid(DOT, MIDDLE, 5).laid(RING, MIDDLE, 4).laid(DOT, ROUND, 6);
        assertThat(drawing.count(DOT, MIDDLE)).isEqualTo(5);
        assertThat(drawing.count(RING, MIDDLE)).isEqualTo(4);
        assertThat(drawing.count(DOT, ROUND)).isEqualTo(6);
        assertThat(drawing.count(DOT, null)).isZero();
        assertThat(drawing.laid(DOT, MIDDLE, 0).count(RING, MIDDLE)).isEqualTo(4);
        assertThat(drawing.words()).isEqualTo("the middle: 5 × dot, 4 × ring; round it: 6 × dot");
        assertThat(BLANK.words()).isEqualTo("nothing yet");
    }

    @Test
    void inARingTheyAreEquallyFarApartAndInADiscTheyAreMixed() {
        List<Laid> ring = BLANK.laid(DOT, ROUND, 8).drawn().pieces();
        double first = Math.hypot(ring.get(0).x() - ring.get(1).x(), ring.get(0).y() - ring.get(1).y());
        for (int i = 0; i < 8; i++) {
            Laid a = ring.get(i);
            Laid b = ring.get((i + 1) % 8);
            assertThat(Math.hypot(a.x() - b.x(), a.y() - b.y())).isCloseTo(first, within(0.2));
        }
        List<Laid> disc = BLANK.laid(DOT, MIDDLE, 4).laid(RING, MIDDLE, 8).drawn().pieces();
        long dots = disc.subList(0, 6).stream().filter(p -> p.piece().equals("dot")).count();
        assertThat(dots).as("half of a third of twelve").isEqualTo(2);
        assertThat(disc).allMatch(p -> MIDDLE.has(p.x(), p.y()));
    }

    @Test
    void whatLiesElsewhereStaysWhereItIs() {
        Laid stray = new Laid("dot", 140, 10);
        Drawing drawing = new Drawing(PAPER, Drawn.NOTHING.with(List.of(stray))).laid(DOT, MIDDLE, 2);
        assertThat(drawing.drawn().pieces()).contains(stray).hasSize(3);
        assertThat(drawing.words()).endsWith("elsewhere: 1 × dot");
    }

    @Test
    void anotherDrawingLendsItsPiecesAndNoWords() {
        Paper other = new Paper(List.of(), List.of(new Spot("m", "there", 20, 20, 0, 9), new Spot("x", "unknown", 90, 20, 0, 9)),
                List.of(DOT, new Piece("odd", "odd", "", "ink", 2)), List.of("other"), List.of(), List.of(), false);
        Drawing lent = new Drawing(other, new Drawn(List.of(), List.of(new Drawn.Label(1, 1, 1, 2, 2)), List.of(), List.of(),
                Map.of("q", "3"))).laid(DOT, other.place("m"), 7).laid(DOT, other.place("x"), 3);
        Drawing own = new Drawing(PAPER, new Drawn(List.of(new Laid("dot", 1, 1)), List.of(new Drawn.Label(1, 50, 50, 90, 9)),
                List.of(), List.of(), Map.of("q", "1+")));
        Drawing taken = own.taking(lent);
        assertThat(taken.words()).isEqualTo("the middle: 7 × dot; “core” at dot, the middle; Charge: 1+");
    }

    @Test
    void allOfItIsToldInWords() {
        Drawn drawn = new Drawn(List.of(), List.of(new Drawn.Label(1, 5, 5, 9, 9)), List.of(new Drawn.Arrow(1, 50, 50, 0, 20)),
                List.of(List.of(1.0, 2.0, 3.0, 4.0)), Map.of("q", " 2− "));
        assertThat(new Drawing(PAPER, drawn).words()).isEqualTo("“core” at nothing; arrow “pull” at the middle to 270°, 20 long;"
                + " Charge: 2−; 1 line by hand");
    }

    @Test
    void itIsReadAsItWasWritten() {
        Drawn drawn = new Drawn(List.of(new Laid("dot", 1, 2)), List.of(new Drawn.Label(1, 5, 5, 9, 9)),
                List.of(new Drawn.Arrow(1, 50, 50, 0, 20)), List.of(List.of(1.0, 2.0)), Map.of("q", "2−"));
        assertThat(Drawn.of(drawn.toTree())).isEqualTo(drawn);
        assertThat(new Drawn.Kept().read(drawn.toTree(), Where.lenient())).isEqualTo(drawn);
        assertThat(new Drawn.Kept().read(Tree.of(), Where.lenient())).isEqualTo(Drawn.NOTHING);
        Paper read = new Paper.Declared().read(PAPER.toTree(), Where.lenient());
        assertThat(read).isEqualTo(PAPER);
        assertThat(new Drawing(Paper.counted(PAPER.toTree()), drawn).words()).isEqualTo(new Drawing(PAPER, drawn).words());
    }
}
