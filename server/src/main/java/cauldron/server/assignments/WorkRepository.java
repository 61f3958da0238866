package cauldron.server.assignments;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface WorkRepository extends JpaRepository<Work, UUID> {

    /** A work with all that says whether it may be changed. */
    interface Row {
        UUID getAssignmentId();

        UUID getStudentId();

        int getSeed();

        Instant getStartedAt();

        Instant getSubmittedAt();

        Instant getFirstSubmittedAt();

        Instant getReopenedAt();

        /** A JSON list of block ids. */
        String getSealed();

        UUID getClassId();

        UUID getLabVersionId();

        Instant getDueAt();

        String getLateRule();

        boolean getArchived();
    }

    Optional<Work> findByAssignmentIdAndStudentId(UUID assignmentId, UUID studentId);

    List<Work> findByAssignmentIdIn(Collection<UUID> assignmentIds);

    List<Work> findByStudentId(UUID studentId);

    /**
     * A student's work, held until the transaction ends. Whatever changes a work holds it first: seals, handing in and
     * the due time are read from the very row that is held, never from before the wait.
     */
    @Query(nativeQuery = true, value = """
            select w.assignment_id as "assignmentId", w.student_id as "studentId", w.seed as "seed",
              w.started_at as "startedAt", w.submitted_at as "submittedAt", w.first_submitted_at as "firstSubmittedAt",
              w.reopened_at as "reopenedAt", cast(w.sealed as text) as "sealed", a.class_id as "classId",
              a.lab_version_id as "labVersionId", a.due_at as "dueAt", a.late_rule as "lateRule",
              c.archived_at is not null as "archived"
            from work w join assignment a on a.id = w.assignment_id join school_class c on c.id = a.class_id
              join membership m on m.class_id = c.id and m.student_id = w.student_id
            where w.id = :id and w.student_id = :student and m.left_at is null and a.removed_at is null
            for no key update of w""")
    Optional<Row> hold(UUID id, UUID student);

    @Modifying
    @Query(nativeQuery = true, value = "update work set sealed = sealed || to_jsonb(cast(:block as text)) where id = :id")
    void seal(UUID id, String block);
}
