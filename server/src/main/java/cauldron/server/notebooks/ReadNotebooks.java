package cauldron.server.notebooks;

import cauldron.core.sheet.NotebookReader;
import cauldron.core.sheet.Sheet;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Notebooks as they were last read, so that who asks again has only to read what was added since. The entries of one
 * work get their numbers while the work is held, so none with a smaller number can come after one that was read; each
 * server may keep its own.
 */
@Component
class ReadNotebooks {

    /** A fifth of the memory that the application is started with. */
    private static final long MOST_BYTES = 200_000_000;
    // About what objects take on a JVM of 64 bits: a cell of one digit is a tree of one entry, two hundred bytes large.
    private static final int A_NOTEBOOK = 2_000;
    private static final int A_VALUE = 24;
    private static final int A_TEXT = 56;
    private static final int A_TREE = 130;
    private static final int AN_ENTRY = 56;

    /** A notebook and about how much room it takes. What was replaced counts on until it is read anew. */
    private record Known(Notebooks.Notebook book, int bytes) {
    }

    private final Cache<UUID, Known> known = Caffeine.newBuilder().maximumWeight(MOST_BYTES)
            .weigher((UUID work, Known k) -> k.bytes()).build();
    private final EntryRepository entries;

    ReadNotebooks(EntryRepository entries) {
        this.entries = entries;
    }

    /** What the journals of works amount to now; works without an entry are left out. */
    Map<UUID, Notebooks.Notebook> of(Map<UUID, Sheet> sheets) {
        Map<UUID, Known> before = new LinkedHashMap<>(known.getAllPresent(sheets.keySet()));
        List<UUID> fresh = sheets.keySet().stream().filter(w -> !before.containsKey(w)).toList();
        Map<UUID, List<Entry>> added = new LinkedHashMap<>();
        if (!fresh.isEmpty()) {
            group(entries.newest(fresh), added);
        }
        if (!before.isEmpty()) {
            group(entries.since(before.keySet().toArray(UUID[]::new),
                    before.values().stream().map(k -> k.book().seen()).toArray(Long[]::new)), added);
        }
        // What a transaction wrote itself may yet be taken back, so it isn't remembered.
        boolean committed = TransactionSynchronizationManager.isCurrentTransactionReadOnly();
        added.forEach((work, list) -> {
            Known now = laid(sheets.get(work), before.get(work), list);
            before.put(work, now);
            if (committed) {
                known.put(work, now);
            }
        });
        Map<UUID, Notebooks.Notebook> books = new LinkedHashMap<>();
        before.forEach((work, k) -> books.put(work, k.book()));
        return books;
    }

    private static void group(List<Entry> list, Map<UUID, List<Entry>> by) {
        list.forEach(e -> by.computeIfAbsent(e.workId(), w -> new ArrayList<>()).add(e));
    }

    private static Known laid(Sheet sheet, Known before, List<Entry> added) {
        NotebookReader reader = before == null ? new NotebookReader(sheet)
                : new NotebookReader(sheet, before.book().slots(), before.book().unreadable());
        long bytes = before == null ? A_NOTEBOOK : before.bytes();
        for (Entry entry : added) {
            reader.lay(entry.block(), entry.slot(), entry.value());
            bytes += AN_ENTRY + bytes(entry.slot()) + bytes(entry.value());
        }
        Entry last = added.get(added.size() - 1);
        return new Known(new Notebooks.Notebook(reader.slots(), reader.unreadable(), last.serverTime(), last.seq()),
                (int) Math.min(MOST_BYTES, bytes));
    }

    /** About how much room a value takes. */
    static long bytes(Object value) {
        if (value instanceof String text) {
            return A_TEXT + text.length();
        }
        long sum = A_VALUE;
        if (value instanceof Map<?, ?> map) {
            sum = A_TREE;
            for (Map.Entry<?, ?> e : map.entrySet()) {
                sum += AN_ENTRY + bytes(e.getKey()) + bytes(e.getValue());
            }
        } else if (value instanceof Iterable<?> list) {
            for (Object item : list) {
                sum += Long.BYTES + bytes(item);
            }
        }
        return sum;
    }
}
