package cauldron.server.live;

import cauldron.core.block.Block;
import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classwork.Standings;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Asking for help, and what a teacher writes to students at work. */
@Service
class Helping {

    /** A call that stands, with what it is about in words. */
    record Call(UUID id, UUID work, String part, String block, String reading, String words, Instant askedAt) {

        /** What it is about: the question, or the reading; else the part. */
        String about(Sheet sheet) {
            Block asked = block.isEmpty() ? null : sheet.block(block);
            String question = asked == null ? "" : asked.prompt();
            String title = sheet.parts().stream().filter(p -> p.id().equals(part)).map(Sheet.Part::title).findFirst()
                    .orElse("");
            return !reading.isEmpty() ? title + ": the reading " + reading
                    : question.isEmpty() ? title : title + ": " + question;
        }
    }

    /** A note as its student sees it. */
    record Told(UUID id, String words, String by, Instant at, boolean toAll, boolean read) {
    }

    /** So many calls of one work are no calls for help. */
    private static final int MOST_CALLS = 100;
    /** So many notes in one place are more than anybody reads. */
    private static final int MOST_NOTES = 200;

    private final HelpCallRepository calls;
    private final NoteRepository notes;
    private final Assignments assignments;
    private final Standings standings;
    private final Accounts accounts;
    private final JdbcClient jdbc;
    private final Clock clock;

    Helping(HelpCallRepository calls, NoteRepository notes, Assignments assignments, Standings standings,
            Accounts accounts, JdbcClient jdbc, Clock clock) {
        this.calls = calls;
        this.notes = notes;
        this.assignments = assignments;
        this.standings = standings;
        this.accounts = accounts;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A work of one's own that a class has; a teacher's try has nobody to ask. */
    private Assignments.Opened own(UUID workId, Person student) {
        Assignments.Opened opened = assignments.open(workId, student);
        if (!opened.own() || opened.assignment().classId() == null) {
            throw Problems.notFound("work");
        }
        return opened;
    }

    /**
     * Asks for help; who asks again asks about the newer thing.
     *
     * @param block   the question it is about; empty where it is about none
     * @param reading whether it is about what was read off last
     */
    @Transactional
    public void ask(UUID workId, Person student, String part, String block, boolean reading, String words) {
        Sheet sheet = own(workId, student).sheet();
        String read = reading ? standings.of(Map.of(workId, sheet), new Standings.Memory()).get(workId).reading() : "";
        Sheet.Part asked = sheet.parts().stream().filter(p -> p.id().equals(part)).findFirst()
                .orElseThrow(() -> Problems.invalid("part", "Part: this lab has no such part."));
        if (!block.isEmpty() && asked.blocks().stream().noneMatch(b -> b.id().equals(block))) {
            throw Problems.invalid("block", "Question: this part has no such question.");
        }
        if (calls.countByWorkId(workId) >= MOST_CALLS) {
            throw Problems.conflict("full", "You have asked " + MOST_CALLS
                    + " times in this lab: speak to your teacher.");
        }
        end(Set.of(workId), student.id());
        try {
            calls.saveAndFlush(new HelpCall(workId, part, block, read, words.strip(), clock.instant()));
        } catch (DataIntegrityViolationException e) {
            throw Problems.conflict("asked", "You asked for help in another tab a moment ago.");
        }
    }

    /** Takes a call back. */
    @Transactional
    public void takeBack(UUID workId, Person student) {
        own(workId, student);
        end(Set.of(workId), student.id());
    }

    private void end(Collection<UUID> works, UUID by) {
        Instant now = clock.instant();
        calls.findByWorkIdInAndEndedAtIsNull(works).forEach(c -> c.end(by, now));
        calls.flush();
    }

    /**
     * Writes to students at work on a lab, and thereby answers those of them who asked for help.
     *
     * @param works to whom; empty for all who have the lab, also those who begin later
     * @param words may be empty where calls are only ended: help was given by word of mouth
     */
    @Transactional
    public void write(UUID assignmentId, Person teacher, Set<UUID> works, String words) {
        assignments.ownedBy(assignmentId, teacher.id());
        Set<UUID> on = assignments.worksOn(Set.of(assignmentId)).stream().map(Assignments.WorkInfo::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (!on.containsAll(works)) {
            throw Problems.notFound("work");
        }
        if (words.isBlank() && works.isEmpty()) {
            throw Problems.invalid("words", "Note: write what the class is to read.");
        }
        Instant now = clock.instant();
        if (!words.isBlank()) {
            List<Note> written = new ArrayList<>();
            boolean full = works.isEmpty() ? notes.countByAssignmentIdAndWorkIdIsNull(assignmentId) >= MOST_NOTES
                    : works.stream().anyMatch(w -> notes.countByWorkId(w) >= MOST_NOTES);
            if (full) {
                throw Problems.conflict("full", "There are " + MOST_NOTES + " notes here already; nobody reads more.");
            }
            if (works.isEmpty()) {
                written.add(new Note(assignmentId, null, words.strip(), teacher.id(), now));
            }
            works.forEach(w -> written.add(new Note(assignmentId, w, words.strip(), teacher.id(), now)));
            notes.saveAll(written);
        }
        if (!works.isEmpty()) {
            end(works, teacher.id());
        }
    }

    /** A student has read a note. */
    @Transactional
    public void read(UUID workId, Person student, UUID noteId) {
        Assignments.Opened opened = own(workId, student);
        Note note = notes.findById(noteId).orElseThrow(() -> Problems.notFound("note"));
        boolean theirs = note.workId() == null ? note.assignmentId().equals(opened.assignment().id())
                : note.workId().equals(workId);
        if (!theirs) {
            throw Problems.notFound("note");
        }
        jdbc.sql("insert into note_read (note_id, work_id, read_at) values (?, ?, ?) on conflict do nothing")
                .params(noteId, workId, java.sql.Timestamp.from(clock.instant())).update();
    }

    /** The calls that stand of some works. */
    @Transactional(readOnly = true)
    public Map<UUID, Call> calls(Collection<UUID> works) {
        Map<UUID, Call> map = new LinkedHashMap<>();
        if (!works.isEmpty()) {
            calls.findByWorkIdInAndEndedAtIsNull(works).forEach(c -> map.put(c.workId(), new Call(c.id(), c.workId(),
                    c.part(), c.block(), c.reading(), c.words(), c.askedAt())));
        }
        return map;
    }

    /** What lies with some works: each its own notes and those to all who have its lab, oldest first. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Told>> notes(Map<UUID, UUID> assignmentOf) {
        Map<UUID, List<Told>> map = new LinkedHashMap<>();
        if (assignmentOf.isEmpty()) {
            return map;
        }
        List<Note> all = notes.of(assignmentOf.keySet(), Set.copyOf(assignmentOf.values()));
        Map<UUID, Person> by = accounts.people(all.stream().map(Note::writtenBy).collect(Collectors.toSet()));
        Set<String> read = all.isEmpty() ? Set.of()
                : Set.copyOf(jdbc.sql("select note_id || ' ' || work_id from note_read"
                + " where work_id in (:works)").param("works", assignmentOf.keySet()).query(String.class).list());
        assignmentOf.forEach((work, assignment) -> map.put(work, all.stream().filter(n -> n.workId() == null
                ? n.assignmentId().equals(assignment) : n.workId().equals(work))
                .map(n -> new Told(n.id(), n.words(), by.get(n.writtenBy()).displayName(), n.writtenAt(),
                        n.workId() == null, read.contains(n.id() + " " + work))).toList()));
        return map;
    }
}
