package cauldron.server.assignments;

import cauldron.core.sheet.Sheet;
import cauldron.server.classes.Classes;
import cauldron.server.labs.Labs;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Labs given to classes, and whose work is whose. */
@Service
public class Assignments {

    /**
     * A lab given to a class, or tried by a teacher.
     *
     * @param classId      null where it is tried
     * @param labVersionId with which it is begun; who began before stays with an earlier one
     * @param terms        as they are for the class, or for one student where it is asked for one
     * @param onlyStudent  the one student it is for, or null where it is for the class
     * @param triedBy      the teacher who tries it, or null where it is given
     * @param shownAt      when the teacher had points and marks appear to students, where they appear all together
     */
    public record AssignmentInfo(UUID id, UUID classId, UUID labVersionId, Terms terms, UUID onlyStudent,
            UUID triedBy, Instant shownAt) {

        public Instant dueAt() {
            return terms.dueAt();
        }

        /** Whether students see points and marks. */
        public boolean showsPoints() {
            return !terms.together() || shownAt != null;
        }

        /** Whether a student of the class has this lab. */
        public boolean isFor(UUID student) {
            return onlyStudent == null || onlyStudent.equals(student);
        }

        /** Whether work handed in first at a time counts as late; not yet handed in, whether it would now. */
        public boolean late(WorkInfo work, Instant now) {
            return terms.late(work.firstSubmittedAt() == null ? now : work.firstSubmittedAt());
        }

        /** Whether the due time has ended all work on it, but for what was opened again after it. */
        public boolean closed(Instant reopenedAt, Instant now) {
            return terms.closed(reopenedAt, now);
        }

        /** The same for one who has until then; null for one who has no more time than the others. */
        public AssignmentInfo extended(Instant until) {
            return new AssignmentInfo(id, classId, labVersionId, terms.extended(until), onlyStudent, triedBy,
                    shownAt);
        }
    }

    /** One student's work. */
    public record WorkInfo(UUID id, UUID assignmentId, UUID studentId, UUID labVersionId, int seed, Instant startedAt,
                           Instant submittedAt, Instant firstSubmittedAt, Instant reopenedAt) {
    }

    /** A work with what it is about; {@code own} when the person asking is the student. */
    public record Opened(WorkInfo work, AssignmentInfo assignment, Sheet sheet, boolean own) {
    }

    /** A work that is held for a change until the transaction ends, with its sealed predictions. */
    public record Held(WorkInfo work, AssignmentInfo assignment, Sheet sheet, Set<String> sealed) {
    }

    private final AssignmentRepository assignments;
    private final WorkRepository works;
    private final ExtensionRepository extensions;
    private final WorkLock lock;
    private final Classes classes;
    private final Labs labs;
    private final JsonMapper json;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Assignments(AssignmentRepository assignments, WorkRepository works, ExtensionRepository extensions, WorkLock lock,
            Classes classes, Labs labs, JsonMapper json, Clock clock) {
        this.assignments = assignments;
        this.works = works;
        this.extensions = extensions;
        this.lock = lock;
        this.classes = classes;
        this.labs = labs;
        this.json = json;
        this.clock = clock;
    }

    /** Gives the newest version of a lab to a class of this teacher. */
    @Transactional
    public AssignmentInfo give(UUID teacher, UUID classId, UUID labId, Terms terms) {
        classes.ownedBy(classId, teacher);
        return assignments.save(new Assignment(classId, labs.newest(labId, teacher).versionId(), terms,
                clock.instant()))
                .info();
    }

    /** Other terms from now on. */
    @Transactional
    public AssignmentInfo change(UUID teacher, UUID assignmentId, Terms terms) {
        Assignment a = owned(assignmentId, teacher);
        a.on(terms);
        return a.info();
    }

    /** Has points and marks appear to students, or no more. */
    @Transactional
    public AssignmentInfo showPoints(UUID teacher, UUID assignmentId, boolean shown) {
        Assignment a = owned(assignmentId, teacher);
        a.pointsShown(shown ? clock.instant() : null);
        return a.info();
    }

    /** Whoever has not begun yet begins the newest version of the lab; those at work stay with theirs. */
    @Transactional
    public AssignmentInfo renew(UUID teacher, UUID assignmentId) {
        Assignment a = owned(assignmentId, teacher);
        a.begunWith(labs.newestOf(a.info().labVersionId(), teacher));
        return a.info();
    }

    /** Another due time for one student alone, or none of their own any more where it is null. */
    @Transactional
    public AssignmentInfo extend(UUID teacher, UUID assignmentId, UUID student, Instant until) {
        AssignmentInfo a = owned(assignmentId, teacher).info();
        if (!a.isFor(student) || !classes.isMember(a.classId(), student)) {
            throw Problems.notFound("student");
        }
        if (until != null && (a.dueAt() == null || !until.isAfter(a.dueAt()))) {
            throw Problems.invalid("dueAt", a.dueAt() == null ? "Due: this lab isn't due for anybody."
                    : "Due: later than for all others.");
        }
        Extension before = extensions.findByAssignmentIdAndStudentId(assignmentId, student).orElse(null);
        if (until == null && before != null) {
            extensions.delete(before);
        } else if (before != null) {
            before.until(until, clock.instant());
        } else if (until != null) {
            extensions.save(new Extension(assignmentId, student, until, clock.instant()));
        }
        return a;
    }

    /** Who of a class has more time, and until when. */
    @Transactional(readOnly = true)
    public Map<UUID, Instant> extensions(UUID assignmentId) {
        return extensions(Set.of(assignmentId)).getOrDefault(assignmentId, Map.of());
    }

    /** The same of several labs: assignment → student → until when. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<UUID, Instant>> extensions(Collection<UUID> assignmentIds) {
        Map<UUID, Map<UUID, Instant>> map = new LinkedHashMap<>();
        extensions.findByAssignmentIdIn(assignmentIds).forEach(e -> map.computeIfAbsent(e.assignmentId(),
                a -> new LinkedHashMap<>()).put(e.studentId(), e.dueAt()));
        return map;
    }

    /** Takes an assignment away. What was done on it is kept, but nobody sees it any more. */
    @Transactional
    public AssignmentInfo remove(UUID teacher, UUID assignmentId) {
        Assignment a = owned(assignmentId, teacher);
        a.remove(clock.instant());
        return a.info();
    }

    private Assignment owned(UUID assignmentId, UUID teacher) {
        Assignment a = assignments.findByIdAndRemovedAtIsNull(assignmentId)
                .orElseThrow(() -> Problems.notFound("assignment"));
        classes.ownedBy(a.info().classId(), teacher);
        return a;
    }

    /** What was given to classes, newest first. */
    @Transactional(readOnly = true)
    public List<AssignmentInfo> ofClasses(Collection<UUID> classIds) {
        return assignments.findByClassIdInAndRemovedAtIsNullOrderByCreatedAtDesc(classIds).stream()
                .map(Assignment::info).toList();
    }

    /** An assignment of this teacher's; 404 otherwise. */
    @Transactional(readOnly = true)
    public AssignmentInfo ownedBy(UUID assignmentId, UUID teacher) {
        return owned(assignmentId, teacher).info();
    }

    /** A lab and a class that has it. */
    public record GivenIn(UUID labId, UUID assignmentId, String className) {
    }

    /** Which labs classes have. */
    @Transactional(readOnly = true)
    public List<GivenIn> labsOf(Collection<Classes.ClassInfo> of) {
        Map<UUID, String> names = new LinkedHashMap<>();
        of.forEach(c -> names.put(c.id(), c.name()));
        List<AssignmentInfo> given = ofClasses(names.keySet());
        Map<UUID, UUID> lab = labs.labsOf(given.stream().map(AssignmentInfo::labVersionId).distinct().toList());
        return given.stream().map(a -> new GivenIn(lab.get(a.labVersionId()), a.id(), names.get(a.classId()))).toList();
    }

    /** What was given to a student's classes, each on the terms that they are for this student. */
    @Transactional(readOnly = true)
    public List<AssignmentInfo> ofStudent(UUID student, Collection<UUID> classIds) {
        List<AssignmentInfo> given = ofClasses(classIds).stream().filter(a -> a.isFor(student)).toList();
        Map<UUID, Instant> until = new LinkedHashMap<>();
        extensions.findByAssignmentIdInAndStudentId(given.stream().map(AssignmentInfo::id).toList(), student)
                .forEach(e -> until.put(e.assignmentId(), e.dueAt()));
        return given.stream().map(a -> a.extended(until.get(a.id()))).toList();
    }

    /** The sheet with which an assignment is begun. */
    public Sheet sheet(AssignmentInfo assignment) {
        return labs.sheet(assignment.labVersionId(), assignment.terms().tries());
    }

    /** The sheet that a work on an assignment follows. */
    public Sheet sheet(AssignmentInfo assignment, WorkInfo work) {
        return labs.sheet(work.labVersionId(), assignment.terms().tries());
    }

    /** Whether a lab that was given has a newer version that its teacher may give. */
    @Transactional(readOnly = true)
    public boolean hasNewer(AssignmentInfo assignment, UUID teacher) {
        return !labs.newestOf(assignment.labVersionId(), teacher).equals(assignment.labVersionId());
    }

    /** All work on assignments. */
    @Transactional(readOnly = true)
    public List<WorkInfo> worksOn(Collection<UUID> assignmentIds) {
        return works.findByAssignmentIdIn(assignmentIds).stream().map(Work::info).toList();
    }

    /** All work of a student. */
    @Transactional(readOnly = true)
    public List<WorkInfo> worksOf(UUID student) {
        return works.findByStudentId(student).stream().map(Work::info).toList();
    }

    /** The student's work on an assignment of their class, begun if need be. */
    public WorkInfo begin(UUID assignmentId, UUID student) {
        return begin(assignmentId, student, random.nextInt());
    }

    /** The same with a given seed, so that a demo school comes out the same each time. */
    public WorkInfo begin(UUID assignmentId, UUID student, int seed) {
        AssignmentInfo a = assignments.findByIdAndRemovedAtIsNull(assignmentId).map(Assignment::info)
                .orElseThrow(() -> Problems.notFound("assignment"));
        if (a.classId() == null || !a.isFor(student) || !classes.isMember(a.classId(), student)) {
            throw Problems.notFound("assignment");
        }
        Work found = works.findByAssignmentIdAndStudentId(assignmentId, student).orElse(null);
        if (found != null) {
            return found.info();
        }
        if (a.terms().waits(clock.instant())) {
            throw Problems.conflict("not-yet", "This lab isn't open yet.");
        }
        if (extendedFor(a, student).closed(null, clock.instant())) {
            throw closed();
        }
        try {
            return works.save(new Work(a, student, seed, clock.instant())).info();
        } catch (DataIntegrityViolationException e) {
            // Begun at the same moment in another tab.
            return works.findByAssignmentIdAndStudentId(assignmentId, student).orElseThrow().info();
        }
    }

    private AssignmentInfo extendedFor(AssignmentInfo a, UUID student) {
        return a.extended(extensions.findByAssignmentIdAndStudentId(a.id(), student).map(Extension::dueAt)
                .orElse(null));
    }

    /** A teacher's own try of a version, with values of its own; it stands in no class. */
    @Transactional(propagation = Propagation.MANDATORY)
    public WorkInfo tryOut(UUID teacher, UUID labVersionId) {
        AssignmentInfo own = assignments.save(Assignment.tried(teacher, labVersionId, clock.instant())).info();
        return works.save(new Work(own, teacher, random.nextInt(), clock.instant())).info();
    }

    /** A work for its student or for the teacher of its class; 404 for anyone else. */
    @Transactional(readOnly = true)
    public Opened open(UUID workId, Person person) {
        WorkInfo work = works.findById(workId).map(Work::info).orElseThrow(() -> Problems.notFound("work"));
        AssignmentInfo a = assignments.findByIdAndRemovedAtIsNull(work.assignmentId()).map(Assignment::info)
                .orElseThrow(() -> Problems.notFound("work"));
        boolean own = work.studentId().equals(person.id())
                && (person.id().equals(a.triedBy()) || a.classId() != null && classes.isMember(a.classId(),
                        person.id()));
        if (!own) {
            boolean teaches = a.classId() != null && person.role() == Person.Role.TEACHER
                    && classes.byId(Set.of(a.classId())).get(a.classId()).teacherId().equals(person.id());
            if (!teaches) {
                throw Problems.notFound("work");
            }
        }
        return new Opened(work, extendedFor(a, work.studentId()), sheet(a, work), own);
    }

    /**
     * Holds a work for a change until the transaction ends; 404 for anyone but its student, 409 where it can't be
     * changed now. Reads, in one statement, all that the decision hangs on.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Held hold(UUID workId, Person student) {
        WorkLock.Row r = lock.hold(workId, student.id()).orElseThrow(() -> Problems.notFound("work"));
        if (r.work().submittedAt() != null) {
            throw Problems.conflict("handed-in", "This work is handed in and can't be changed any more.");
        }
        if (r.archived()) {
            throw Problems.conflict("archived", "This class is over: its work can be read, but not changed.");
        }
        if (r.assignment().closed(r.work().reopenedAt(), clock.instant())) {
            throw closed();
        }
        Set<String> sealed = new LinkedHashSet<>(json.readValue(r.sealed(), new TypeReference<List<String>>() { }));
        return new Held(r.work(), r.assignment(), sheet(r.assignment(), r.work()), sealed);
    }

    private static RuntimeException closed() {
        return Problems.conflict("closed", "The due time is over and this lab is closed. Ask your teacher to open it"
                + " for you again.");
    }

    /** Seals a prediction of a work that is held. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void seal(UUID workId, String block) {
        works.seal(workId, block);
    }

    /** Marks a work that is held as handed in now. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void submit(UUID workId, Instant at) {
        works.findById(workId).orElseThrow().submit(at);
    }

    /** Lets a student go on with what is handed in, where the terms allow it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeBack(UUID workId, Person student) {
        WorkLock.Row r = lock.hold(workId, student.id()).orElseThrow(() -> Problems.notFound("work"));
        if (r.work().submittedAt() == null) {
            return;
        }
        if (r.archived() || !r.assignment().terms().takesBack(clock.instant())) {
            throw Problems.conflict("not-again", "What is handed in can't be taken back any more. Ask your teacher.");
        }
        works.findById(workId).orElseThrow().takeBack();
    }

    /** Gives a handed-in or closed work back to its student. */
    @Transactional
    public WorkInfo reopen(UUID workId, Person teacher) {
        works.hold(workId);
        // A try is its teacher's own and is given back, too.
        if (open(workId, teacher).own() && teacher.role() != Person.Role.TEACHER) {
            throw Problems.notFound("work");
        }
        Work work = works.findById(workId).orElseThrow();
        work.reopen(clock.instant());
        return work.info();
    }
}
