package cauldron.core.block;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.drawing.Drawing;
import cauldron.core.drawing.Drawn;
import cauldron.core.drawing.Piece;
import cauldron.core.drawing.Spot;
import cauldron.core.marking.AnswerCheck.Result;
import cauldron.core.marking.AnswerCheck.Verdict;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drawings as answers: counts in places, labels, arrows and words held against what is wanted. */
class DrawingBlockTest {

    private static final Map<String, Object> PAPER = Tree.of(
            "places", List.of(place("body", 80, 50, 0, 12), place("round", 80, 50, 20, 30)),
            "pieces", List.of(Tree.of("id", "e", "name", "electron", "sign", "−", "size", 2.0)),
            "labels", List.of("nucleus", "electron"), "arrows", List.of("weight", "support", "push"),
            "captions", List.of(Tree.of("id", "q", "name", "Charge")));

    private static Map<String, Object> place(String id, double x, double y, double from, double to) {
        return Tree.of("id", id, "name", "at " + id, "x", x, "y", y, "from", from, "to", to);
    }

    private static Map<String, Object> block(Map<String, Object> paper, Object... wanted) {
        return Tree.of("type", "drawing", "id", "d", "prompt", "Draw.", "points", 4.0, "paper", paper, "wanted",
                List.of(wanted));
    }

    private static Sheet sheet(Map<String, Object> block) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "pendulum", "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "One", "blocks", List.of(block)))));
    }

    private static DrawingBlock read(Object... wanted) {
        return (DrawingBlock) sheet(block(PAPER, wanted)).block("d");
    }

    private static Result found(DrawingBlock block, Drawn drawn) {
        return block.check(new Progress(sheet(block(PAPER, Tree.of("caption", "q", "right", List.of("x")))), Map.of("d",
                Tree.of("drawn", drawn.toTree())), Map.of()).written());
    }

    private static Drawn electrons(DrawingBlock block, int many) {
        Piece kind = block.paper().pieces().get(0);
        Spot ring = block.paper().place("round");
        return new Drawing(block.paper(), Drawn.NOTHING).laid(kind, ring, many).drawn();
    }

    private static Drawn arrows(Object... numbers) {
        List<Drawn.Arrow> all = new ArrayList<>();
        for (int i = 0; i < numbers.length; i += 5) {
            all.add(new Drawn.Arrow((int) numbers[i], (int) numbers[i + 1], (int) numbers[i + 2], (int) numbers[i + 3],
                    (int) numbers[i + 4]));
        }
        return new Drawn(List.of(), List.of(), all, List.of(), Map.of());
    }

    @Test
    void piecesAreCountedInTheirPlacesAndNowhereElse() {
        DrawingBlock block = read(Tree.of("piece", "e", "place", "round", "count", 8.0), Tree.of("piece", "e", "place", "body",
                "count", 0.0, "hint", "Electrons are on shells."));
        assertThat(found(block, electrons(block, 8)).right()).isTrue();
        Result seven = found(block, electrons(block, 7));
        assertThat(seven.feedback()).isEqualTo("1 of 2 things are as they should be. Count again, at round: electron.");
        assertThat(seven.points(4)).isEqualTo(2);
        Drawn stray = electrons(block, 8);
        List<Drawn.Laid> more = new ArrayList<>(stray.pieces());
        more.add(new Drawn.Laid("e", 10, 10));
        Result much = found(block, stray.with(more));
        assertThat(much.feedback()).contains("A piece lies where none belongs: electron.");
        assertThat(much.right()).isFalse();
        more.set(8, new Drawn.Laid("e", 80, 50));
        Result inside = found(block, stray.with(more));
        assertThat(inside.verdict()).isEqualTo(Verdict.KNOWN_SLIP);
        assertThat(inside.feedback()).endsWith("Electrons are on shells.");
        assertThat(found(block, Drawn.NOTHING).counts()).as("nothing drawn is no try").isFalse();
    }

    @Test
    void labelsPointAtAPlaceOrAPiece() {
        DrawingBlock block = read(Tree.of("label", "nucleus", "place", "body"), Tree.of("label", "electron", "piece", "e"));
        Drawn pieces = electrons(block, 4);
        Drawn.Laid one = pieces.pieces().get(0);
        Drawn right = new Drawn(pieces.pieces(), List.of(new Drawn.Label(1, 85, 55, 120, 20), new Drawn.Label(2, one.x() + 3,
                one.y(), 120, 40)), List.of(), List.of(), Map.of());
        assertThat(found(block, right).right()).isTrue();
        Drawn wrong = new Drawn(pieces.pieces(), List.of(new Drawn.Label(1, one.x(), one.y(), 120, 20), new Drawn.Label(2,
                one.x() + 9, one.y() + 9, 120, 40)), List.of(), List.of(), Map.of());
        assertThat(found(block, wrong).points(4)).isZero();
        Drawn twice = new Drawn(pieces.pieces(), List.of(new Drawn.Label(1, 85, 55, 120, 20), new Drawn.Label(1, 10, 10, 120,
                20)), List.of(), List.of(), Map.of());
        assertThat(found(block, twice).feedback()).as("one of the two points astray").contains("label “nucleus”");
    }

    @Test
    void arrowsHaveAPlaceADirectionAndALengthBesideOthers() {
        DrawingBlock block = read(Tree.of("arrow", "weight", "place", "body", "towards", 270.0), Tree.of("arrow", "support",
                "towards", 90.0, "asLong", "weight"));
        assertThat(found(block, arrows(1, 80, 50, 0, 30, 2, 80, 62, 0, -32)).right()).isTrue();
        assertThat(found(block, arrows(1, 80, 50, 7, 30, 2, 80, 62, 0, -32)).right()).as("13° off").isTrue();
        assertThat(found(block, arrows(1, 80, 50, 10, 30, 2, 80, 62, 0, -32)).points(4)).as("18° off").isEqualTo(2);
        assertThat(found(block, arrows(1, 20, 50, 0, 30, 2, 80, 62, 0, -32)).points(4)).as("begins elsewhere").isEqualTo(2);
        assertThat(found(block, arrows(1, 80, 50, 0, 30, 2, 80, 62, 0, -60)).points(4)).as("too long").isEqualTo(2);
        assertThat(found(block, arrows(1, 80, 50, 0, 30)).feedback()).contains("1 of 2").contains("arrow “support”");
        Result push = found(block, arrows(1, 80, 50, 0, 30, 2, 80, 62, 0, -32, 3, 80, 50, 20, 0));
        assertThat(push.feedback()).as("a force that isn't there").endsWith("One arrow is too many: “push”.");
        assertThat(push.points(4)).isEqualTo(2);
        DrawingBlock longer = read(Tree.of("arrow", "push", "towards", 0.0, "within", 10.0, "longer", "weight"));
        assertThat(found(longer, arrows(3, 80, 50, 30, 0, 1, 80, 50, 0, 20)).feedback()).contains("1 of 1");
        DrawingBlock both = read(Tree.of("arrow", "push", "towards", 0.0, "longer", "weight"), Tree.of("arrow", "weight",
                "towards", 270.0));
        assertThat(found(both, arrows(3, 80, 50, 30, 0, 1, 80, 50, 0, 20)).right()).isTrue();
        assertThat(found(both, arrows(3, 80, 50, 21, 0, 1, 80, 50, 0, 20)).right()).isFalse();
        assertThat(found(both, arrows(3, 80, 50, 30, -4, 1, 80, 50, 0, 20)).right()).as("around 0°, from either side").isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"2-", "2−", "−2", " 2 – ", "-2", "2⁻"})
    void chargesAreWrittenInManyWays(String typed) {
        DrawingBlock block = read(Tree.of("caption", "q", "right", List.of("2−")));
        Drawn drawn = new Drawn(electrons(block, 1).pieces(), List.of(), List.of(), List.of(), Map.of("q", typed));
        assertThat(found(block, drawn).right()).isTrue();
        Drawn other = new Drawn(drawn.pieces(), List.of(), List.of(), List.of(), Map.of("q", "2+"));
        assertThat(found(block, other).feedback()).contains("Look again at “Charge”.");
    }

    @Test
    void whatIsLackingIsTold() {
        Sheet sheet = sheet(block(PAPER, Tree.of("caption", "q", "right", List.of("0"))));
        Map<String, Map<String, Object>> book = new LinkedHashMap<>();
        assertThat(sheet.block("d").lack(new Progress(sheet, book, Map.of()).written())).isEqualTo("make the drawing");
        book.put("d", Tree.of("drawn", electrons(read(Tree.of("caption", "q", "right", List.of("0"))), 1).toTree()));
        assertThat(sheet.block("d").lack(new Progress(sheet, book, Map.of()).written())).isEqualTo("write “Charge” below the "
                + "drawing");
    }

    @Test
    void withoutAWishATeacherMarksIt() {
        DrawingBlock free = read();
        assertThat(free.tries()).isZero();
        assertThat(free.isMarkedByHand()).isTrue();
        assertThat(free.check(new Progress(sheet(block(PAPER)), Map.of(), Map.of()).written()).counts()).isFalse();
        assertThat(read(Tree.of("caption", "q", "right", List.of("0"))).isMarkedByHand()).isFalse();
    }

    @Test
    void whatIsWantedNeverReachesAStudent() {
        Sheet sheet = sheet(block(PAPER, Tree.of("caption", "q", "right", List.of("7+"), "hint", "a secret")));
        assertThat(sheet.forStudent().toString()).contains("Charge").doesNotContain("7+").doesNotContain("secret");
        assertThat(Sheet.fromTree(sheet.toTree())).isEqualTo(sheet);
    }

    @Test
    void faultsAreToldWithTheirPlace() {
        assertThatThrownBy(() -> read(Tree.of("piece", "x", "place", "y", "count", 1.0)))
                .hasMessageContaining("block d, wanted 1: there is no place “y”").hasMessageContaining("there is no piece “x”");
        assertThatThrownBy(() -> read(Tree.of("piece", "e"))).hasMessageContaining("one of count, label, arrow and caption");
        assertThatThrownBy(() -> read(Tree.of("label", "nucleus"))).hasMessageContaining("it points to a piece or to a place");
        assertThatThrownBy(() -> read(Tree.of("arrow", "weight"))).hasMessageContaining("towards is needed");
        assertThatThrownBy(() -> sheet(block(Tree.of("places", List.of())))).hasMessageContaining("nothing can be laid");
        assertThatThrownBy(() -> sheet(block(Tree.of("labels", List.of("a", "a"))))).hasMessageContaining("labels: a is there "
                + "twice");
        assertThatThrownBy(() -> sheet(block(Tree.of("pen", true, "shapes", List.of(Tree.of("line", List.of(1.0, 2.0, 3.0)))))))
                .hasMessageContaining("a line of two places or more");
        Map<String, Object> unchecked = block(PAPER, Tree.of("caption", "q", "right", List.of("0")));
        unchecked.put("tries", 0.0);
        assertThatThrownBy(() -> sheet(unchecked)).hasMessageContaining("tries: 0, but");
    }
}
