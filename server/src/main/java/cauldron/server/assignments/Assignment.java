package cauldron.server.assignments;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A lab given to a class. */
@Entity
class Assignment {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID classId;
    private UUID labVersionId;
    private Instant dueAt;
    private Instant createdAt;

    protected Assignment() {
    }

    Assignment(UUID classId, UUID labVersionId, Instant dueAt, Instant createdAt) {
        this.classId = classId;
        this.labVersionId = labVersionId;
        this.dueAt = dueAt;
        this.createdAt = createdAt;
    }

    Assignments.AssignmentInfo info() {
        return new Assignments.AssignmentInfo(id, classId, labVersionId, dueAt);
    }
}
