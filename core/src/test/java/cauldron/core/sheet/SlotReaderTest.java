package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.prediction.PredictionBlock;
import cauldron.core.block.table.RowsAsked;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a notebook may hold: read value by value, told in words where it is odd, and never thrown through. */
class SlotReaderTest {

    private static final Sheet SHEET = Sheet.fromTree(Tree.of("title", "t", "summary", "s", "minutes", 10.0, "apparatus", "pendulum", "parts", List.of(
            Tree.of("id", "p", "kind", "predict", "title", "Predict", "blocks", List.of(
                    Tree.of("type", "prediction", "id", "expect", "prompt", "?", "choices", List.of("a", "b")))),
            Tree.of("id", "m", "kind", "measure", "title", "Measure", "blocks", List.of(
                    Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 2.0, "columns", List.of(
                            Tree.of("id", "L", "name", "length", "symbol", "L", "unit", "cm", "kind", "measured"))),
                    Tree.of("type", "graph", "id", "g", "table", "t"),
                    Tree.of("type", "number", "id", "q", "prompt", "?", "points", 2.0, "tries", 3.0, "restsOn", "t",
                            "key", Tree.of("value", 1.0, "unit", "m", "tolerancePercent", 2.0)),
                    Tree.of("type", "explanation", "id", "why", "prompt", "?", "words", 3.0, "points", 2.0))))));

    private static String fault(String block, String slot, Map<String, Object> value) {
        return SlotReader.fault(SHEET.block(block), slot, value);
    }

    @Test
    void whatPagesWriteIsGood() {
        assertThat(fault("expect", "answer", Tree.of("choice", 1, "reason", "because"))).isNull();
        assertThat(fault("expect", "seal", Tree.of("sealed", true))).isNull();
        assertThat(fault("t", "rows", Tree.of("order", List.of("r1", "r2-abc"), "issued", 2))).isNull();
        assertThat(fault("t", "cell/r1/L", Tree.of("text", "88.5", "uncertainty", "0.1", "reading",
                Tree.of("trial", "x", "frame", 3, "instruments", Tree.of("ruler", Tree.of("x", 1.5)))))).isNull();
        assertThat(fault("t", "cell/r1/L", Tree.of("text", "1.2", "reading", Tree.of("trial", "x", "frame", 3, "instruments",
                Tree.of("stopwatch", Tree.of("zero", 3, "laps", List.of(4, 5)), "ruler~2", Tree.of("x", 1), "markers", Tree.of()))))).isNull();
        assertThat(fault("t", "row/r1", Tree.of("out", "slipped"))).isNull();
        assertThat(fault("g", "view", Tree.of("x", "L", "fits", List.of(Tree.of("kind", "line")), "more", List.of("T")))).isNull();
        assertThat(fault("why", "answer", Tree.of("text", "words 😀"))).isNull();
        assertThat(fault("t", "edit/1", Tree.of("slots", Tree.of("cell/r1/L", Tree.of("text", "1"), "rows", Tree.of("order", List.of("r1")))))).isNull();
    }

    @Test
    void whatIsOddIsToldByItsField() {
        assertThat(fault("t", "rows", Tree.of("order", "r1"))).isEqualTo("order: a list is needed");
        assertThat(fault("why", "answer", Tree.of("text", 5))).isEqualTo("text: a text is needed");
        assertThat(fault("expect", "seal", Tree.of("sealed", "yes"))).contains("sealed");
        for (Object laid : new Object[] {"there", List.of(), Tree.of("x", "left"), Tree.of("laps", List.of("first"))}) {
            assertThat(fault("t", "cell/r1/L", Tree.of("text", "1", "reading", Tree.of("trial", "x", "frame", 3, "instruments",
                    Tree.of("ruler", laid))))).as("a ruler that lies at %s", laid).contains("instruments");
        }
        assertThat(fault("g", "view", Tree.of("fits", List.of(Tree.of("series", "L"))))).contains("kind");
        assertThat(fault("g", "view", Tree.of("show", "pie"))).contains("show");
        assertThat(fault("expect", "sketch", Tree.of("strokes", List.of("up")))).contains("strokes");
        assertThat(fault("t", "columns", Tree.of("columns", List.of(Tree.of("id", 1))))).contains("id");
        assertThat(fault("t", "edit/1", Tree.of("slots", Tree.of("cell/r1/L", Tree.of("text", List.of()))))).isEqualTo("cell/r1/L: text: a text is needed");
        assertThat(fault("expect", "edit/1", Tree.of("slots", Tree.of("seal", Tree.of("sealed", true))))).as("no seal on the sly").isNotNull();
        assertThat(fault("why", "answer", Tree.of("text", "a\0b"))).contains("character");
        assertThat(fault("why", "answer", Tree.of("text", "\ud800"))).contains("character");
        assertThat(fault("why", "answer", Tree.of("n", Double.POSITIVE_INFINITY))).contains("too large");
        assertThat(fault("why", "s".repeat(201), Tree.of())).contains("200");
        Map<String, Object> deep = new LinkedHashMap<>();
        Map<String, Object> at = deep;
        for (int i = 0; i < 30; i++) {
            Map<String, Object> next = new LinkedHashMap<>();
            at.put("in", next);
            at = next;
        }
        assertThat(fault("why", "answer", deep)).contains("deep");
    }

    @Test
    void theNewestGoodValueCountsAndAnEditIsLaidSlotBySlot() {
        NotebookReader reader = new NotebookReader(SHEET);
        reader.lay("t", "cell/r1/L", Tree.of("text", "1"));
        reader.lay("t", "edit/a", Tree.of("slots", Tree.of("cell/r1/L", Tree.of("text", "2"), "cell/r2/L", 7)));
        reader.lay("t", "cell/r3/L", "no group");
        reader.lay("gone", "answer", Tree.of("text", "of another lab"));
        assertThat(reader.slots().get("t")).isEqualTo(Map.of("cell/r1/L", Tree.of("text", "2")));
        assertThat(reader.unreadable()).extracting(NotebookReader.Unreadable::slot).containsExactly("cell/r2/L", "cell/r3/L");
        reader.lay("t", "cell/r2/L", Tree.of("text", "3"));
        assertThat(reader.unreadable()).hasSize(1);
    }

    @Test
    void aQuestionWaitsForItsRowsAndAPredictionForAChoice() {
        Map<String, Map<String, Object>> book = new LinkedHashMap<>();
        Progress progress = new Progress(SHEET, book, Map.of());
        NumberBlock question = (NumberBlock) SHEET.block("q");
        assertThat(question.tries()).isEqualTo(3);
        assertThat(progress.waitsFor(question)).contains("0 of 2 rows complete");
        book.put("t", Tree.of("rows", Tree.of("order", List.of("r1", "r2")), "cell/r1/L", Tree.of("text", "1"), "cell/r2/L", Tree.of("text", "x")));
        assertThat(progress.waitsFor(question)).isEqualTo("This question opens when the rows of “Readings” are there: 1 of 2 rows complete; “length” can't be read in row 2.");
        book.get("t").put("cell/r2/L", Tree.of("text", "2"));
        assertThat(progress.waitsFor(question)).isNull();
        PredictionBlock prediction = (PredictionBlock) SHEET.block("expect");
        assertThat(progress.lackOfPrediction(prediction)).contains("Choose");
        for (Object odd : new Object[] {-1, 2, 0.5}) {
            book.put("expect", Tree.of("answer", Tree.of("choice", odd)));
            assertThat(progress.lackOfPrediction(prediction)).as("" + odd).contains("Choose");
        }
        book.put("expect", Tree.of("answer", Tree.of("choice", 1)));
        assertThat(progress.lackOfPrediction(prediction)).isNull();
    }

    @Test
    void columnsOfOnesOwnMayHaveGaps() {
        List<Map<String, Object>> asked = List.of(Tree.of("id", "L", "name", "L", "symbol", "L", "unit", "", "kind", "measured"));
        List<Map<String, Object>> columns = new ArrayList<>(asked);
        columns.add(Tree.of("id", "own", "name", "seen", "symbol", "seen", "unit", "", "kind", "label"));
        DataTable table = DataTable.of(Tree.of("columns", columns, "rows", List.of(
                Tree.of("id", "r1", "cells", Tree.of("L", "1")), Tree.of("id", "r2", "cells", Tree.of("L", "2", "own", "wheel")),
                Tree.of("id", "r3", "cells", Tree.of("own", "dash")))));
        RowsAsked rows = RowsAsked.of(table, asked, 3);
        assertThat(rows.complete()).isEqualTo(2);
        assertThat(rows.words()).isEqualTo("2 of 3 rows complete; “L” is empty in row 3");
        assertThat(RowsAsked.of(table, List.of(), 3).complete()).as("where the lab asks for none").isEqualTo(1);
    }

    @Test
    void neitherConstantsNorTheOrderOfNamesMakesADifference() {
        List<Map<String, Object>> columns = List.of(Tree.of("id", "L", "name", "L", "symbol", "L", "unit", "", "kind", "measured"),
                Tree.of("id", "g", "name", "g", "symbol", "g", "unit", "", "kind", "constant", "constant", "9.81"));
        List<Object> rows = new ArrayList<>(List.of(Tree.of("id", "r1", "cells", Tree.of("L", "1")), Tree.of("id", "r2", "cells", Tree.of("L", ""))));
        assertThat(RowsAsked.of(DataTable.of(Tree.of("columns", columns, "rows", rows)), List.of(), 1).complete()).isEqualTo(1);
        assertThat(BenchBlock.distinct(List.of(Tree.of("a", 1, "b", "x"), Tree.of("b", "x", "a", 1.0), Tree.of("a", 2, "b", "x")))).isEqualTo(2);
    }

    @ParameterizedTest
    @CsvSource({"0", "101"})
    void triesHaveARange(double tries) {
        Map<String, Object> tree = Tree.of("title", "t", "summary", "s", "minutes", 10.0, "apparatus", "pendulum", "parts", List.of(Tree.of("id", "p", "kind", "analyse",
                "title", "A", "blocks", List.of(Tree.of("type", "number", "id", "q", "prompt", "?", "points", 1.0, "tries", tries,
                        "key", Tree.of("value", 1.0, "unit", "m", "tolerancePercent", 2.0))))));
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> Sheet.fromTree(tree)).isInstanceOf(SheetException.class).hasMessageContaining("tries: a whole number from 1 to 100 is needed");
    }
}
