package cauldron.server.assignments;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.UuidGenerator;
import org.hibernate.type.SqlTypes;

/** One student's work on one assignment. The seed draws the student's personal values. */
@Entity
// Seals are added by a statement of their own: what is saved here must never write them back as they were before.
@DynamicUpdate
class Work {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID assignmentId;
    private UUID studentId;
    private UUID labVersionId;
    private int seed;
    private Instant startedAt;
    private Instant submittedAt;
    private Instant firstSubmittedAt;
    private Instant reopenedAt;
    /** Blocks of sealed predictions. A seal is never taken back. */
    @JdbcTypeCode(SqlTypes.JSON)
    private List<String> sealed = List.of();

    protected Work() {
    }

    Work(Assignments.AssignmentInfo assignment, UUID studentId, int seed, Instant startedAt) {
        this.assignmentId = assignment.id();
        this.studentId = studentId;
        this.labVersionId = assignment.labVersionId();
        this.seed = seed;
        this.startedAt = startedAt;
    }

    void submit(Instant now) {
        submittedAt = now;
        firstSubmittedAt = firstSubmittedAt == null ? now : firstSubmittedAt;
    }

    void reopen(Instant now) {
        submittedAt = null;
        reopenedAt = now;
    }

    /** Its student goes on with it before it is due: it hasn't been handed in, then. */
    void takeBack() {
        submittedAt = null;
        firstSubmittedAt = null;
    }

    void moveTo(UUID otherAssignment) {
        assignmentId = otherAssignment;
    }

    UUID assignmentId() {
        return assignmentId;
    }

    Assignments.WorkInfo info() {
        return new Assignments.WorkInfo(id, assignmentId, studentId, labVersionId, seed, startedAt, submittedAt,
                firstSubmittedAt, reopenedAt);
    }
}
