package cauldron.server.assignments;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** One student's work on one assignment. The seed draws the student's personal values. */
@Entity
class Work {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID assignmentId;
    private UUID studentId;
    private int seed;
    private Instant startedAt;
    private Instant submittedAt;

    protected Work() {
    }

    Work(UUID assignmentId, UUID studentId, int seed, Instant startedAt) {
        this.assignmentId = assignmentId;
        this.studentId = studentId;
        this.seed = seed;
        this.startedAt = startedAt;
    }

    void submit(Instant now) {
        submittedAt = now;
    }

    UUID assignmentId() {
        return assignmentId;
    }

    Assignments.WorkInfo info() {
        return new Assignments.WorkInfo(id, assignmentId, studentId, seed, startedAt, submittedAt);
    }
}
