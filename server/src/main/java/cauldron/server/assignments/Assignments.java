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
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Labs given to classes, and whose work is whose. */
@Service
public class Assignments {

    /** A lab given to a class; no due time is possible. */
    public record AssignmentInfo(UUID id, UUID classId, UUID labVersionId, Instant dueAt) {
    }

    /** One student's work. */
    public record WorkInfo(UUID id, UUID assignmentId, UUID studentId, int seed, Instant startedAt,
                           Instant submittedAt) {
    }

    /** A work with what it is about; {@code own} when the person asking is the student. */
    public record Opened(WorkInfo work, AssignmentInfo assignment, Sheet sheet, boolean own) {
    }

    private final AssignmentRepository assignments;
    private final WorkRepository works;
    private final Classes classes;
    private final Labs labs;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Assignments(AssignmentRepository assignments, WorkRepository works, Classes classes, Labs labs, Clock clock) {
        this.assignments = assignments;
        this.works = works;
        this.classes = classes;
        this.labs = labs;
        this.clock = clock;
    }

    /** Gives the newest version of a lab to a class of this teacher. */
    @Transactional
    public AssignmentInfo give(UUID teacher, UUID classId, UUID labId, Instant dueAt) {
        classes.ownedBy(classId, teacher);
        return assignments.save(new Assignment(classId, labs.newest(labId).versionId(), dueAt, clock.instant()))
                .info();
    }

    /** What was given to classes, newest first. */
    @Transactional(readOnly = true)
    public List<AssignmentInfo> ofClasses(Collection<UUID> classIds) {
        return assignments.findByClassIdInOrderByCreatedAtDesc(classIds).stream().map(Assignment::info).toList();
    }

    /** An assignment of this teacher's; 404 otherwise. */
    @Transactional(readOnly = true)
    public AssignmentInfo ownedBy(UUID assignmentId, UUID teacher) {
        AssignmentInfo a = assignments.findById(assignmentId).map(Assignment::info)
                .orElseThrow(() -> Problems.notFound("assignment"));
        classes.ownedBy(a.classId(), teacher);
        return a;
    }

    public Sheet sheet(AssignmentInfo assignment) {
        return labs.sheet(assignment.labVersionId());
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
        AssignmentInfo a = assignments.findById(assignmentId).map(Assignment::info)
                .orElseThrow(() -> Problems.notFound("assignment"));
        if (!classes.isMember(a.classId(), student)) {
            throw Problems.notFound("assignment");
        }
        Work found = works.findByAssignmentIdAndStudentId(assignmentId, student).orElse(null);
        if (found != null) {
            return found.info();
        }
        try {
            return works.save(new Work(assignmentId, student, seed, clock.instant())).info();
        } catch (DataIntegrityViolationException e) {
            // Begun at the same moment in another tab.
            return works.findByAssignmentIdAndStudentId(assignmentId, student).orElseThrow().info();
        }
    }

    /** A work for its student or for the teacher of its class; 404 for anyone else. */
    @Transactional(readOnly = true)
    public Opened open(UUID workId, Person person) {
        WorkInfo work = works.findById(workId).map(Work::info).orElseThrow(() -> Problems.notFound("work"));
        AssignmentInfo a = assignments.findById(work.assignmentId()).orElseThrow().info();
        boolean own = work.studentId().equals(person.id());
        if (!own) {
            boolean teaches = person.role() == Person.Role.TEACHER
                    && classes.byId(Set.of(a.classId())).get(a.classId()).teacherId().equals(person.id());
            if (!teaches) {
                throw Problems.notFound("work");
            }
        }
        return new Opened(work, a, labs.sheet(a.labVersionId()), own);
    }

    /** A work that its student may still change; 404 for others, 409 once it is handed in. */
    @Transactional(readOnly = true)
    public Opened openForChange(UUID workId, Person person) {
        Opened opened = open(workId, person);
        if (!opened.own()) {
            throw Problems.notFound("work");
        }
        if (opened.work().submittedAt() != null) {
            throw Problems.conflict("handed-in", "This work is handed in and can't be changed any more.");
        }
        return opened;
    }

    /** Holds a work until the transaction ends, so that two requests can't both count the next trial. */
    @Transactional
    public void lock(UUID workId) {
        works.lock(workId);
    }

    /** Marks a work as handed in now. */
    @Transactional
    public void submit(UUID workId, Instant at) {
        works.lock(workId).orElseThrow().submit(at);
    }
}
