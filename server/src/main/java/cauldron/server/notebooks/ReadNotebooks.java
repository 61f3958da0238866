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

    private static final long MOST_CHARACTERS = 60_000_000;
    private static final int FOR_EACH = 2_000;

    /** A notebook and about how much room it takes. */
    private record Known(Notebooks.Notebook book, int characters) {
    }

    private final Cache<UUID, Known> known = Caffeine.newBuilder().maximumWeight(MOST_CHARACTERS)
            .weigher((UUID work, Known k) -> FOR_EACH + k.characters()).build();
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
        long characters = before == null ? 0 : before.characters();
        for (Entry entry : added) {
            reader.lay(entry.block(), entry.slot(), entry.value());
            characters += entry.slot().length() + characters(entry.value());
        }
        Entry last = added.get(added.size() - 1);
        return new Known(new Notebooks.Notebook(reader.slots(), reader.unreadable(), last.serverTime(), last.seq()),
                (int) Math.min(MOST_CHARACTERS, characters));
    }

    private static long characters(Object value) {
        long sum = 8;
        if (value instanceof String text) {
            sum += text.length();
        } else if (value instanceof Map<?, ?> map) {
            for (Map.Entry<?, ?> e : map.entrySet()) {
                sum += String.valueOf(e.getKey()).length() + characters(e.getValue());
            }
        } else if (value instanceof Iterable<?> list) {
            for (Object item : list) {
                sum += characters(item);
            }
        }
        return sum;
    }
}
