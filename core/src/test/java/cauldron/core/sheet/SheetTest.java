package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.apparatus.Recipe;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.Words;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.number.NumberBlock;
import java.util.ArrayList;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.marking.AnswerKey;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SheetTest {

    private static Map<String, Object> films(Object length) {
        return Tree.of("type", "films", "id", "f", "apparatus", "pendulum", "views", List.of("side"), "rate", 120.0, "seconds", 10.0,
                "distinctTrials", 1.0, "fixed", Tree.of("held", true, "angle",
                        Tree.of("from", 11.0, "to", 19.0)), "acts", List.of(Tree.of("act", "open-catch", "from", 0.5, "to",
                                1.5)), "choices", List.of(Tree.of("id", "cord", "name",
                        "Cord", "options", List.of(Tree.of("id", "a", "name", "Ash", "set", Tree.of("length", length)),
                                Tree.of("id", "b", "name", "Birch", "set", Tree.of("length", 0.4))))));
    }

    private static Map<String, Object> part(String id, Object... blocks) {
        return Tree.of("id", id, "kind", "measure", "title", "Part " + id, "blocks", List.of(blocks));
    }

    private static Sheet sheet(Map<String, Object> films) {
        Map<String, Object> prediction = Tree.of("type", "prediction", "id", "p", "prompt", "?", "choices",
                List.of("yes", "no"));
        Map<String, Object> table = Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 2.0, "columns",
                List.of(Tree.of("id", "L", "name", "length", "symbol", "L", "unit", "cm", "kind", "measured")));
        Map<String, Object> number = Tree.of("type", "number", "id", "n", "prompt", "g?", "points", 2.0, "key",
                Tree.of("value", 9.81, "unit", "m/s²", "tolerancePercent", 2.0));
        Map<String, Object> why = Tree.of("type", "explanation", "id", "w", "prompt", "Why?", "words", 3.0, "points",
                4.0);
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 10.0, "apparatus", "pendulum", "parts",
                List.of(part("one", prediction), part("two", films, table), part("three", number, why))));
    }

    @Test
    void aValueTheApparatusCantTakeIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> sheet(films(3.5))).isInstanceOf(SheetException.class)
                .hasMessageStartingWith("part two, block f, Cord Ash: Length to the middle of the bob: can't be 3.5 m");
        assertThatThrownBy(() -> sheet(films(Tree.of("from", 0.3, "to", 9.0)))).hasMessageContaining("can't be 9 m");
        Map<String, Object> wrongView = films(0.5);
        wrongView.put("views", List.of("side", "top"));
        assertThatThrownBy(() -> sheet(wrongView)).hasMessageContaining("has no view “top”");
    }

    @Test
    void whatAStudentGetsHasNoKeyAndNoHiddenValue() {
        String seen = sheet(films(Tree.of("from", 0.371, "to", 0.389))).forStudent().toString();
        assertThat(seen).contains("Ash", "Birch", "g?").doesNotContain("0.371", "0.389", "9.81", "tolerance", "key",
                "set=", "open-catch");
    }

    @Test
    void personalValuesAreDrawnOnceForEachStudent() {
        FilmPlan plan = ((FilmsBlock) sheet(films(Tree.of("from", 0.3, "to", 0.6))).block("f")).plan();
        Recipe first = plan.recipe(Map.of("cord", "a"), 11, 1);
        Recipe again = plan.recipe(Map.of("cord", "a"), 11, 2);
        Recipe other = plan.recipe(Map.of("cord", "a"), 12, 1);
        assertThat(again.settings()).isEqualTo(first.settings());
        assertThat(again.actions().get(0).time()).isNotEqualTo(first.actions().get(0).time());
        assertThat((Double) first.settings().get("length")).isBetween(0.3, 0.6)
                .isNotEqualTo(other.settings().get("length"));
        assertThatThrownBy(() -> plan.recipe(Map.of(), 1, 1)).hasMessage("Cord: choose one of Ash, Birch");
    }

    private static Sheet asking(Map<String, Object> own, String unit) {
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 10.0, "apparatus", "pendulum", "parts",
                List.of(part("one", films(Tree.of("from", 0.3, "to", 0.6)), Tree.of("type", "number", "id", "n", "prompt",
                        "How long?", "points", 2.0, "key",
                        Tree.of("own", own, "unit", unit, "tolerancePercent", 2.0))))));
    }

    @Test
    void anAnswerIsMarkedAgainstTheStudentsOwnTruth() {
        Sheet sheet = asking(Tree.of("films", "f", "choice", "cord", "option", "a", "setting", "length"), "cm");
        NumberBlock question = (NumberBlock) sheet.block("n");
        FilmPlan plan = ((FilmsBlock) sheet.block("f")).plan();
        for (int student = 1; student < 5; student++) {
            double length = (Double) plan.recipe(Map.of("cord", "a"), student, 1).settings().get("length");
            AnswerKey key = new Progress(sheet, Map.of(), Map.of()).key(question, student);
            assertThat(key.value()).isCloseTo(100 * length, org.assertj.core.api.Assertions.within(1e-9));
            String typed = String.valueOf(Math.round(100 * length * 10) / 10.0);
            assertThat(AnswerCheck.check(typed, "cm", key).right()).isTrue();
            assertThat(AnswerCheck.check(typed, "cm", key.with(1.1 * key.value())).right()).isFalse();
        }
        assertThat(sheet.forStudent().toString()).doesNotContain("own=", "0.3", "0.6");
        // A value that is the same in all of a student's recordings has no choice.
        Sheet same = asking(Tree.of("films", "f", "setting", "angle"), "°");
        AnswerKey angle = new Progress(same, Map.of(), Map.of()).key((NumberBlock) same.block("n"), 7);
        assertThat(angle.value()).isBetween(11.0, 19.0)
                .isEqualTo(plan.recipe(Map.of("cord", "b"), 7, 3).settings().get("angle"));
    }

    private static Sheet followingFrom(String formula, String unit) {
        Map<String, Object> table = Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 3.0, "columns",
                List.of(Tree.of("id", "x", "name", "extension", "symbol", "x", "unit", "cm", "kind", "measured"),
                        Tree.of("id", "F", "name", "force", "symbol", "F", "unit", "N", "kind", "measured")));
        return Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 10.0, "apparatus", "pendulum", "parts",
                List.of(part("one", table, Tree.of("type", "number", "id", "n", "prompt", "How stiff?", "points", 2.0, "key",
                        Tree.of("following", Tree.of("table", "t", "formula", formula), "unit", unit, "tolerancePercent", 2.0))))));
    }

    @Test
    void anAnswerIsMarkedAgainstWhatFollowsFromTheStudentsOwnTable() {
        Sheet sheet = followingFrom("slope(F; x)", "N/m");
        NumberBlock question = (NumberBlock) sheet.block("n");
        Map<String, Object> slots = new LinkedHashMap<>();
        Progress progress = new Progress(sheet, Map.of("t", slots), Map.of());
        AnswerCheck.Result early = AnswerCheck.check("24", "N/m", progress.key(question, 1));
        assertThat(early.verdict()).isEqualTo(AnswerCheck.Verdict.NOT_YET);
        assertThat(early.counts()).isFalse();
        String[][] typed = {{"1.0", "0.26"}, {"2.0", "0.50"}, {"3.0", "9.99"}, {"4.0", "0.98"}};
        List<String> order = new ArrayList<>();
        for (int i = 0; i < typed.length; i++) {
            order.add("r" + i);
            slots.put("cell/r" + i + "/x", Tree.of("text", typed[i][0]));
            slots.put("cell/r" + i + "/F", Tree.of("text", typed[i][1]));
        }
        slots.put("rows", Tree.of("order", order));
        assertThat(AnswerCheck.check("24", "N/m", progress.key(question, 1)).right()).isFalse();
        slots.put("row/r2", Tree.of("out", "misread the scale"));
        assertThat(AnswerCheck.check("24", "N/m", progress.key(question, 1)).right()).isTrue();
        assertThat(AnswerCheck.check("0.24", "N/cm", progress.key(question, 1)).right()).isTrue();
        assertThat(sheet.forStudent().toString()).doesNotContain("slope");
    }

    @Test
    void whatCanNeverFollowIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> followingFrom("slope(F; x)", "kg")).hasMessage("part one, block n: “slope(F; x)” gives kg s⁻², not kg");
        assertThatThrownBy(() -> followingFrom("slope(F; y)", "N/m")).hasMessageContaining("“y” is not a column here");
    }

    @Test
    void aKeyThatPointsNowhereIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> asking(Tree.of("films", "x", "setting", "length"), "m"))
                .hasMessage("part one, block n: there are no recordings “x”");
        assertThatThrownBy(() -> asking(Tree.of("films", "f", "choice", "cord", "option", "a", "setting", "mass"), "kg"))
                .hasMessageContaining("don't set “mass”");
        assertThatThrownBy(() -> asking(Tree.of("films", "f", "choice", "cord", "option", "a", "setting", "length"), "s"))
                .hasMessageContaining("“length” is in m, not in s");
    }

    @Test
    void aBenchMayHaveNothingToSet() {
        Sheet sheet = Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "pendulum", "parts",
                List.of(part("one", Tree.of("type", "bench", "id", "shut", "apparatus", "pendulum", "open", List.of()),
                        Tree.of("type", "bench", "id", "all", "apparatus", "pendulum")))));
        assertThat(((BenchBlock) sheet.block("shut")).plan().open()).isEmpty();
        String told = sheet.forStudent().toString();
        assertThat(told).contains("open=[]").contains("open=[length");
        assertThat(Sheet.fromTree(sheet.toTree()).forStudent().toString()).isEqualTo(told);
    }

    @Test
    void anOpenBenchIsCheckedAndItsDifferentTrialsCounted() {
        Map<String, Object> bench = Tree.of("type", "bench", "id", "b", "apparatus", "gas-cylinder", "setup",
                Tree.of("count1", 200.0), "open", List.of("temperature"), "readouts", List.of("pressure"), "histograms",
                List.of("speeds"), "distinctTrials", 2.0);
        Sheet sheet = Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus", "gas-cylinder",
                "parts", List.of(part("one", bench))));
        Map<String, Object> trials = new LinkedHashMap<>();
        Progress progress = new Progress(sheet, Map.of("b", trials), Map.of());
        assertThat(progress.missing().get(0)).containsEntry("text", "Part one: 0 of 2 different trials run");
        trials.put("trial/1", Tree.of("settings", Tree.of("temperature", 300.0)));
        trials.put("trial/2", Tree.of("settings", Tree.of("temperature", 300.0)));
        trials.put("trial/3", Tree.of("settings", Tree.of("temperature", 600.0), "removed", true));
        assertThat(((BenchBlock) sheet.block("b")).distinct(progress.written())).isEqualTo(1);
        trials.put("trial/4", Tree.of("settings", Tree.of("temperature", 900.0)));
        assertThat(progress.missing()).isEmpty();
        for (String wrong : List.of("readouts", "open", "layers", "histograms", "instruments")) {
            Map<String, Object> bad = new LinkedHashMap<>(bench);
            bad.put(wrong, List.of("nonsense"));
            assertThatThrownBy(() -> Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 1.0, "apparatus",
                    "gas-cylinder", "parts", List.of(part("one", bad))))).as(wrong)
                    .hasMessageStartingWith("part one, block b: ").hasMessageContaining("nonsense");
        }
    }

    @Test
    void partsOpenWithTheSealAndMissingThingsAreNamed() {
        Map<String, Map<String, Object>> book = new LinkedHashMap<>();
        Progress progress = new Progress(sheet(films(0.5)), book, new LinkedHashMap<>());
        assertThat(progress.isOpen("one")).isTrue();
        assertThat(progress.isOpen("two")).isFalse();
        assertThat(texts(progress)).containsExactly("Part one: seal your prediction",
                "Part two: 0 of 1 different recordings made", "Part two: “Readings”, 0 of 2 rows complete",
                "Part three: answer the question", "Part three: 0 of at least 3 words written");
        book.put("p", Tree.of("seal", Tree.of("sealed", true)));
        book.put("t", Tree.of("rows", Tree.of("order", List.of("r1", "r2")), "cell/r1/L", Tree.of("text", "4.2"),
                "cell/r2/L", Tree.of("text", "oops")));
        book.put("n", Tree.of("answer", Tree.of("number", "9.8", "unit", "m/s²")));
        book.put("w", Tree.of("answer", Tree.of("text", "It's 3.5 then.")));
        Progress later = new Progress(progress.sheet(), book, Map.of("f", 1));
        assertThat(later.isOpen("three")).isTrue();
        assertThat(texts(later)).containsExactly("Part two: “Readings”, 1 of 2 rows complete; “length” can't be read in row 2");
        assertThat(later.at().id()).isEqualTo("two");
    }

    @Test
    void wordsAreCountedAsPeopleCountThem() {
        assertThat(Words.in("")).isZero();
        assertThat(Words.in("  one  two\nthree ")).isEqualTo(3);
        assertThat(Words.in("It's half-way, at 3.5 – no?")).isEqualTo(5);
    }

    private static List<String> texts(Progress progress) {
        List<String> list = new ArrayList<>();
        progress.missing().forEach(m -> list.add((String) m.get("text")));
        return list;
    }

    @Test
    void theLastReadingIsToldWithItsNameAndUnit() {
        Sheet sheet = sheet(films(0.5));
        NotebookReader reader = new NotebookReader(sheet);
        assertThat(new Progress(sheet, reader.slots(), Map.of()).lastReading()).isEmpty();
        reader.lay("t", "cell/r1/L", Tree.of("text", "41.0"));
        reader.lay("t", "cell/r2/L", Tree.of("text", "52.5"));
        reader.lay("t", "rows", Tree.of("order", List.of("r1", "r2")));
        assertThat(new Progress(sheet, reader.slots(), Map.of()).lastReading()).isEqualTo("L 52.5 cm");
        reader.lay("t", "cell/r1/L", Tree.of("text", "41.2"));
        assertThat(new Progress(sheet, reader.slots(), Map.of()).lastReading()).as("written over")
                .isEqualTo("L 41.2 cm");
        reader.lay("t", "cell/r1/L", Tree.of("text", ""));
        reader.lay("t", "cell/r9/gone", Tree.of("text", "7"));
        assertThat(new Progress(sheet, reader.slots(), Map.of()).lastReading()).as("emptied, and of no column")
                .isEqualTo("L 52.5 cm");
    }
}
