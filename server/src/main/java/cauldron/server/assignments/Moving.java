package cauldron.server.assignments;

import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A student who changes classes takes the work along. */
@Service
class Moving {

    private final AssignmentRepository assignments;
    private final WorkRepository works;
    private final ExtensionRepository extensions;
    private final Clock clock;

    Moving(AssignmentRepository assignments, WorkRepository works, ExtensionRepository extensions, Clock clock) {
        this.assignments = assignments;
        this.works = works;
        this.extensions = extensions;
        this.clock = clock;
    }

    /**
     * Takes a student's work along from one class into another. Where the other class was given the same lab, the work
     * goes there; where it wasn't, the lab is given there to this student alone.
     */
    @Transactional
    public void move(UUID student, UUID fromClass, UUID toClass) {
        List<Assignment> there = assignments.findByClassIdInAndRemovedAtIsNullOrderByCreatedAtDesc(Set.of(toClass));
        List<Assignment> here = assignments.findByClassIdInAndRemovedAtIsNullOrderByCreatedAtDesc(Set.of(fromClass));
        for (Work work : works.findByStudentId(student)) {
            for (Assignment from : here) {
                if (!from.info().id().equals(work.assignmentId())) {
                    continue;
                }
                UUID to = there.stream().map(Assignment::info)
                        .filter(a -> a.labVersionId().equals(from.info().labVersionId()) && a.isFor(student)
                                && works.findByAssignmentIdAndStudentId(a.id(), student).isEmpty())
                        .map(Assignments.AssignmentInfo::id).findFirst()
                        .orElseGet(() -> assignments.save(from.forOne(toClass, student, clock.instant())).info().id());
                work.moveTo(to);
                extensions.findByAssignmentIdAndStudentId(from.info().id(), student).ifPresent(e -> {
                    extensions.delete(e);
                    if (extensions.findByAssignmentIdAndStudentId(to, student).isEmpty()) {
                        extensions.save(new Extension(to, student, e.dueAt(), clock.instant()));
                    }
                });
            }
        }
    }
}
