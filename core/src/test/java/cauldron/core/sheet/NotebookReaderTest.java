package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** A journal read on from any place comes to the same as one read anew from the newest entry of every slot. */
class NotebookReaderTest {

    private static final Sheet SHEET = Sheet.fromTree(Tree.of("title", "t", "summary", "s", "minutes", 10.0, "apparatus",
            "pendulum", "parts", List.of(Tree.of("id", "m", "kind", "measure", "title", "Measure", "blocks", List.of(
                    Tree.of("type", "table", "id", "t", "title", "Readings", "rows", 2.0, "columns", List.of(
                            Tree.of("id", "L", "name", "length", "symbol", "L", "unit", "cm", "kind", "measured"))),
                    Tree.of("type", "explanation", "id", "why", "prompt", "?", "words", 3.0, "points", 2.0))))));

    private record Entry(String block, String slot, Object value) {
    }

    private static Object cell(Random chance) {
        // Now and then what somebody sent is odd.
        return chance.nextInt(4) == 0 ? Tree.of("text", 5.0) : Tree.of("text", "" + chance.nextInt(100));
    }

    private static Entry any(Random chance, int n) {
        switch (chance.nextInt(5)) {
            case 0:
                return new Entry("why", "answer", Tree.of("text", "words " + n));
            case 1:
                return new Entry("t", "edit/" + n, Tree.of("slots", Tree.of("cell/r1/L", cell(chance), "cell/r2/L", cell(chance))));
            case 2:
                return new Entry("nowhere", "answer", Tree.of("text", "lost"));
            default:
                return new Entry("t", "cell/r" + (1 + chance.nextInt(3)) + "/L", cell(chance));
        }
    }

    @RepeatedTest(40)
    void readOnIsReadAnew(RepetitionInfo which) {
        Random chance = new Random(which.getCurrentRepetition());
        List<Entry> journal = new ArrayList<>();
        NotebookReader on = new NotebookReader(SHEET);
        for (int n = 0; n < 60; n++) {
            Entry entry = any(chance, n);
            journal.add(entry);
            if (chance.nextInt(6) == 0) {
                Map<String, Map<String, Object>> before = on.slots();
                String text = before.toString();
                on = new NotebookReader(SHEET, before, on.unreadable());
                on.lay(entry.block(), entry.slot(), entry.value());
                assertThat(before).as("what was read before is left as it was").hasToString(text);
            } else {
                on.lay(entry.block(), entry.slot(), entry.value());
            }
            NotebookReader now = on;
            NotebookReader anew = new NotebookReader(SHEET);
            newest(journal).forEach(e -> anew.lay(e.block(), e.slot(), e.value()));
            assertThat(on.slots()).isEqualTo(anew.slots());
            // Within a block what was written last stands last.
            anew.slots().forEach((block, values) -> assertThat(now.slots().get(block)).hasToString(values.toString()));
            assertThat(on.unreadable()).containsExactlyInAnyOrderElementsOf(anew.unreadable());
        }
    }

    /** The newest entry of every slot, oldest first, as a fresh reading asks for them. */
    private static List<Entry> newest(List<Entry> journal) {
        Map<String, Entry> newest = new LinkedHashMap<>();
        for (Entry entry : journal) {
            String key = entry.block() + "\n" + entry.slot();
            newest.remove(key);
            newest.put(key, entry);
        }
        return new ArrayList<>(newest.values());
    }
}
