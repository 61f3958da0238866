package cauldron.server.notebooks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;

@Isolated
class ReadNotebooksTest {

    private static Map<String, Object> cell(int i) {
        Map<String, Object> cell = new LinkedHashMap<>();
        cell.put("text", "" + i);
        return cell;
    }

    /** The room that is counted is that which the JVM needs: else the memory is full before the bound is reached. */
    @Test
    void whatIsCountedIsAboutWhatIsTaken() {
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        List<Object> kept = new ArrayList<>(10_000);
        long before = threads.getCurrentThreadAllocatedBytes();
        for (int i = 0; i < 10_000; i++) {
            kept.add(cell(i));
        }
        double taken = threads.getCurrentThreadAllocatedBytes() - before;
        long counted = kept.stream().mapToLong(ReadNotebooks::bytes).sum();
        assertThat(counted / taken).isBetween(0.8, 2.0);
    }

    @Test
    void nobodyCanChangeWhatOthersRead() {
        Map<String, Map<String, Object>> slots = new LinkedHashMap<>();
        slots.put("t", new LinkedHashMap<>(Map.of("cell/r1/L", cell(1))));
        Notebooks.Notebook book = new Notebooks.Notebook(slots, List.of(), null, 0);
        assertThatThrownBy(() -> book.slots().put("u", Map.of())).isInstanceOf(UnsupportedOperationException.class);
        assertThatThrownBy(() -> book.slots().get("t").remove("cell/r1/L")).isInstanceOf(UnsupportedOperationException.class);
    }
}
