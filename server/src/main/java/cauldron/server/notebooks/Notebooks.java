package cauldron.server.notebooks;

import cauldron.core.sheet.Block;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The journal and what it amounts to. */
@Service
public class Notebooks {

    /** What a browser sends. */
    public record NewEntry(UUID id, String block, String slot, Map<String, Object> value, Instant time) {
    }

    /** What became of an entry; {@code reason} only where it was refused for good. */
    public record Outcome(UUID id, boolean kept, String reason) {
    }

    /** The newest values of one work: block → slot → value. */
    public record Notebook(Map<String, Map<String, Object>> slots, Instant lastEntry) {
    }

    private static final int LARGEST_VALUE = 262_144;

    private final EntryRepository entries;
    private final Assignments assignments;
    private final JsonMapper json;
    private final Clock clock;

    Notebooks(EntryRepository entries, Assignments assignments, JsonMapper json, Clock clock) {
        this.entries = entries;
        this.assignments = assignments;
        this.json = json;
        this.clock = clock;
    }

    /** Keeps entries, each once. What the sheet doesn't allow is refused one by one, the rest is kept. */
    @Transactional
    public List<Outcome> keep(UUID workId, Person student, List<NewEntry> list) {
        Sheet sheet = assignments.openForChange(workId, student).sheet();
        // Whether an entry is allowed hangs on nothing but the seals.
        Map<String, Map<String, Object>> seals = new LinkedHashMap<>();
        entries.sealed(workId).forEach(block -> seals.put(block, Map.of("seal", Map.of("sealed", true))));
        Progress progress = new Progress(sheet, seals, Map.of());
        List<Outcome> outcomes = new ArrayList<>();
        for (NewEntry entry : list) {
            String value = json.writeValueAsString(entry.value());
            String reason = refusal(progress, entry, value);
            if (reason == null) {
                boolean fresh = entries.keep(entry.id(), workId, entry.block(), entry.slot(), value, entry.time(),
                        clock.instant()) == 1;
                if (fresh && entry.slot().equals("seal")) {
                    seals.put(entry.block(), Map.of("seal", entry.value()));
                }
            }
            outcomes.add(new Outcome(entry.id(), reason == null, reason));
        }
        return outcomes;
    }

    private String refusal(Progress progress, NewEntry entry, String value) {
        Sheet.Part part;
        try {
            part = progress.partOf(entry.block());
        } catch (IllegalArgumentException e) {
            return e.getMessage();
        }
        if (value.length() > LARGEST_VALUE) {
            return "This is too long to keep: at most " + LARGEST_VALUE + " characters.";
        }
        if (!progress.isOpen(part.id())) {
            return "Seal your prediction first; then “" + part.title() + "” opens.";
        }
        boolean sealed = progress.sheet().block(entry.block()) instanceof Block.Prediction
                && progress.isSealed(entry.block());
        if (sealed && entries.findById(entry.id()).isEmpty()) {
            return "A sealed prediction can't be changed.";
        }
        return null;
    }

    /** What one work's journal amounts to. */
    @Transactional(readOnly = true)
    public Notebook notebook(UUID workId) {
        return notebooks(List.of(workId)).getOrDefault(workId, new Notebook(Map.of(), null));
    }

    /** The same for many works in one query. */
    @Transactional(readOnly = true)
    public Map<UUID, Notebook> notebooks(Collection<UUID> workIds) {
        Map<UUID, Notebook> map = new LinkedHashMap<>();
        if (workIds.isEmpty()) {
            return map;
        }
        for (Entry entry : entries.newest(workIds)) {
            Notebook before = map.getOrDefault(entry.workId(), new Notebook(new LinkedHashMap<>(), null));
            before.slots().computeIfAbsent(entry.block(), b -> new LinkedHashMap<>()).put(entry.slot(), entry.value());
            Instant last = before.lastEntry() == null || entry.serverTime().isAfter(before.lastEntry())
                    ? entry.serverTime() : before.lastEntry();
            map.put(entry.workId(), new Notebook(before.slots(), last));
        }
        return map;
    }
}
