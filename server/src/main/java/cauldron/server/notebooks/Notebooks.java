package cauldron.server.notebooks;

import cauldron.core.block.Block;
import cauldron.core.block.Sealable;
import cauldron.core.form.Oddities;
import cauldron.core.sheet.NotebookReader;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.core.sheet.SlotReader;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The journal and what it amounts to. */
@Service
public class Notebooks {

    /** What a browser sends: odd until it has been read. */
    public record NewEntry(String id, String block, String slot, Object value, String time) {
    }

    /**
     * What became of an entry.
     *
     * @param reason why it was refused for good, or null
     * @param taken  whether its id stands for something else, so that it must be sent again under another
     */
    public record Outcome(String id, boolean kept, String reason, boolean taken) {
    }

    /** What another tab or device wrote. */
    public record News(String block, String slot, Object value) {
    }

    /** What became of a batch, and what others wrote; {@code seen} is how far the sender now knows the journal. */
    public record Kept(List<Outcome> outcomes, long seen, List<News> news) {
    }

    /** The newest values of one work: block → slot → value, with what can't be read. */
    public record Notebook(Map<String, Map<String, Object>> slots, List<NotebookReader.Unreadable> unreadable,
                           Instant lastEntry, long seen) {

        /** Shared by all who read it, so nobody can change it. */
        public Notebook {
            Map<String, Map<String, Object>> shared = new LinkedHashMap<>();
            slots.forEach((block, values) -> shared.put(block, Collections.unmodifiableMap(values)));
            slots = Collections.unmodifiableMap(shared);
            unreadable = List.copyOf(unreadable);
        }

        static final Notebook EMPTY = new Notebook(Map.of(), List.of(), null, 0);
    }

    private static final int LARGEST_VALUE = 900_000;
    private static final int MOST_NEWS = 500;
    private static final Instant FIRST_TIME = Instant.parse("2000-01-01T00:00:00Z");

    private final EntryRepository entries;
    private final Journal journal;
    private final ReadNotebooks read;
    private final Assignments assignments;
    private final JsonMapper json;
    private final Clock clock;

    Notebooks(EntryRepository entries, Journal journal, ReadNotebooks read, Assignments assignments, JsonMapper json, Clock clock) {
        this.entries = entries;
        this.journal = journal;
        this.read = read;
        this.assignments = assignments;
        this.json = json;
        this.clock = clock;
    }

    /** Keeps entries of a person who needs no news of others. */
    @Transactional
    public List<Outcome> keep(UUID workId, Person student, List<NewEntry> list) {
        return keep(workId, student, list, "", Long.MAX_VALUE).outcomes();
    }

    /**
     * Keeps entries, each once. What the sheet doesn't allow, and what can't be read, is refused one by one; the rest
     * is kept. The work is held meanwhile, so handing in and sealing come before or after, never in between.
     *
     * @param writer the tab or device that sends
     * @param seen   how far it knows the journal
     */
    @Transactional
    public Kept keep(UUID workId, Person student, List<NewEntry> list, String writer, long seen) {
        Assignments.Held held = assignments.hold(workId, student);
        Map<String, Outcome> outcomes = new LinkedHashMap<>();
        List<Map<String, Object>> good = new ArrayList<>();
        Set<String> sealed = new LinkedHashSet<>(held.sealed());
        List<NewEntry> resent = new ArrayList<>();
        for (NewEntry entry : list) {
            String id = entry == null || entry.id() == null ? "" : entry.id();
            String reason = refusal(held.sheet(), sealed, entry);
            if (reason == null && sealed.contains(entry.block()) && isPredicted(held.sheet(), entry)) {
                // Only right where it is the entry that is kept already.
                resent.add(entry);
            } else if (reason == null && entry.slot().equals("seal") && sealing(entry)) {
                reason = lackOfPrediction(held, workId, entry.block(), good);
                if (reason == null) {
                    sealed.add(entry.block());
                }
            }
            if (reason != null) {
                outcomes.put(id, new Outcome(id, false, reason, false));
            } else if (!resent.contains(entry)) {
                outcomes.put(id, new Outcome(id, true, null, false));
                good.add(tree(entry));
            }
        }
        List<News> news = new ArrayList<>();
        long now = store(workId, good, resent, outcomes, writer, seen, news);
        sealed.removeAll(held.sealed());
        for (String block : sealed) {
            assignments.seal(workId, block);
        }
        return new Kept(List.copyOf(outcomes.values()), now, news);
    }

    private long store(UUID workId, List<Map<String, Object>> good, List<NewEntry> resent, Map<String, Outcome> outcomes,
            String writer, long seen, List<News> news) {
        long now = seen;
        int others = 0;
        Set<String> fresh = new LinkedHashSet<>();
        if (!good.isEmpty()) {
            long own = seen;
            for (Journal.Row row : journal.keep(workId, json.writeValueAsString(good), writer, seen, MOST_NEWS)) {
                if (row.fresh()) {
                    fresh.add(row.id().toString());
                    own = Math.max(own, row.seq());
                } else {
                    others++;
                    now = Math.max(now, row.seq());
                    news.add(read(row));
                }
            }
            // Where not all news fitted in, the rest is asked for from the last one on.
            now = others < MOST_NEWS ? Math.max(now, own) : now;
        }
        List<Map<String, Object>> doubtful = new ArrayList<>();
        good.stream().filter(e -> !fresh.contains(e.get("id"))).forEach(doubtful::add);
        resent.forEach(e -> doubtful.add(tree(e)));
        if (!doubtful.isEmpty()) {
            Set<String> same = new LinkedHashSet<>();
            entries.same(workId, json.writeValueAsString(doubtful)).forEach(id -> same.add(id.toString()));
            Set<String> sealedOnes = new LinkedHashSet<>();
            resent.forEach(e -> sealedOnes.add(UUID.fromString(e.id()).toString()));
            for (Map<String, Object> e : doubtful) {
                String id = (String) e.get("id");
                outcomes.put(id, same.contains(id) ? new Outcome(id, true, null, false)
                        : sealedOnes.contains(id) ? new Outcome(id, false, "A sealed prediction can't be changed.", false)
                        : new Outcome(id, false, "This entry's number stands for another entry.", true));
            }
        }
        return now;
    }

    private Map<String, Object> tree(NewEntry entry) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("id", UUID.fromString(entry.id()).toString());
        tree.put("block", entry.block());
        tree.put("slot", entry.slot());
        tree.put("value", entry.value());
        tree.put("time", time(entry.time()).toString());
        return tree;
    }

    /** When a device says it was; a device whose clock is lost keeps its entries all the same. */
    private Instant time(String told) {
        Instant now = clock.instant();
        try {
            Instant time = Instant.parse(told);
            return time.isBefore(FIRST_TIME) || time.isAfter(now.plus(1, ChronoUnit.DAYS)) ? now : time;
        } catch (RuntimeException e) {
            return now;
        }
    }

    private static boolean sealing(NewEntry entry) {
        return entry.value() instanceof Map<?, ?> map && Boolean.TRUE.equals(map.get("sealed"));
    }

    @SuppressWarnings("unchecked")
    private String refusal(Sheet sheet, Set<String> sealed, NewEntry entry) {
        if (entry == null || entry.id() == null || entry.block() == null || entry.slot() == null) {
            return "An entry needs id, block, slot and value.";
        }
        try {
            UUID.fromString(entry.id());
        } catch (IllegalArgumentException e) {
            return "An entry's id is a UUID.";
        }
        Block block = sheet.block(entry.block());
        if (block == null) {
            return "This lab has no block “" + shortened(entry.block()) + "”.";
        }
        String fault = entry.value() instanceof Map<?, ?> map
                ? SlotReader.fault(block, entry.slot(), (Map<String, Object>) map) : "there is no value";
        if (fault != null) {
            return "This can't be kept: " + fault + ".";
        }
        if (json.writeValueAsString(entry.value()).length() > LARGEST_VALUE) {
            return "This is too long to keep: at most " + LARGEST_VALUE + " characters.";
        }
        if (block instanceof Sealable && !sealed.contains(block.id()) && !isPredicted(sheet, entry)) {
            return "Seal your predictions first; then it can be noted what was seen.";
        }
        Map<String, Map<String, Object>> seals = new LinkedHashMap<>();
        sealed.forEach(b -> seals.put(b, Map.of("seal", Map.of("sealed", true))));
        Progress progress = new Progress(sheet, seals, Map.of());
        Sheet.Part part = progress.partOf(entry.block());
        return progress.isOpen(part.id()) ? null : "Seal your prediction first; then “" + part.title() + "” opens.";
    }

    /** Whether an entry changes only what is predicted, and so nothing that waits for the seal. */
    private static boolean isPredicted(Sheet sheet, NewEntry entry) {
        if (!(sheet.block(entry.block()) instanceof Sealable block)) {
            return false;
        }
        return entry.slot().startsWith(SlotReader.EDIT)
                ? ((Map<?, ?>) ((Map<?, ?>) entry.value()).get("slots")).keySet().stream()
                        .allMatch(slot -> block.isPredicted((String) slot))
                : block.isPredicted(entry.slot());
    }

    private static String shortened(String text) {
        return Oddities.isClean(text) ? text.substring(0, Math.min(40, text.length())) : "?";
    }

    /** What a prediction lacks before it can be sealed, with what came just before the seal in the same batch. */
    private String lackOfPrediction(Assignments.Held held, UUID workId, String block, List<Map<String, Object>> before) {
        NotebookReader reader = new NotebookReader(held.sheet());
        entries.ofBlock(workId, block).forEach(e -> reader.lay(block, e.slot(), e.value()));
        before.stream().filter(e -> block.equals(e.get("block")))
                .forEach(e -> reader.lay(block, (String) e.get("slot"), e.get("value")));
        return new Progress(held.sheet(), reader.slots(), Map.of())
                .lackOfPrediction((Sealable) held.sheet().block(block));
    }

    private News read(Journal.Row row) {
        return new News(row.block(), row.slot(), json.readValue(row.value(), Object.class));
    }

    /** What other tabs and devices wrote since a reader last looked. */
    @Transactional(readOnly = true)
    public Kept news(UUID workId, Person student, String writer, long seen) {
        assignments.open(workId, student);
        List<News> news = new ArrayList<>();
        long now = seen;
        for (Journal.Row row : journal.news(workId, writer, seen, MOST_NEWS)) {
            news.add(read(row));
            now = row.seq();
        }
        return new Kept(List.of(), now, news);
    }

    /** When a block of some works was written in, in seconds. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Double>> times(Collection<UUID> works, String block) {
        Map<UUID, List<Double>> map = new LinkedHashMap<>();
        if (!works.isEmpty()) {
            for (Object[] row : entries.times(works, block)) {
                map.computeIfAbsent(UUID.fromString((String) row[0]), w -> new ArrayList<>())
                        .add(((Number) row[1]).doubleValue());
            }
        }
        return map;
    }

    /** The number of a work's newest entry; 0 where there is none. */
    @Transactional(readOnly = true)
    public long lastSeq(UUID workId) {
        Long last = entries.lastSeq(workId);
        return last == null ? 0 : last;
    }

    /** What one work's journal amounted to when it had come so far. */
    @Transactional(readOnly = true)
    public Notebook upTo(UUID workId, Sheet sheet, long seq) {
        NotebookReader reader = new NotebookReader(sheet);
        Instant last = null;
        for (Entry e : entries.newestUpTo(workId, seq)) {
            reader.lay(e.block(), e.slot(), e.value());
            last = e.serverTime();
        }
        return new Notebook(reader.slots(), reader.unreadable(), last, seq);
    }

    /** What one work's journal amounts to. */
    @Transactional(readOnly = true)
    public Notebook notebook(UUID workId, Sheet sheet) {
        return notebooks(Map.of(workId, sheet)).getOrDefault(workId, Notebook.EMPTY);
    }

    /** The same for many works, each with its sheet, in two queries. */
    @Transactional(readOnly = true)
    public Map<UUID, Notebook> notebooks(Map<UUID, Sheet> sheets) {
        return sheets.isEmpty() ? Map.of() : read.of(sheets);
    }
}
