package cauldron.server.assignments;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** More time for one student with one assignment. */
@Entity
class Extension {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID assignmentId;
    private UUID studentId;
    private Instant dueAt;
    private Instant givenAt;

    protected Extension() {
    }

    Extension(UUID assignmentId, UUID studentId, Instant dueAt, Instant givenAt) {
        this.assignmentId = assignmentId;
        this.studentId = studentId;
        this.dueAt = dueAt;
        this.givenAt = givenAt;
    }

    void until(Instant other, Instant now) {
        dueAt = other;
        givenAt = now;
    }

    UUID assignmentId() {
        return assignmentId;
    }

    UUID studentId() {
        return studentId;
    }

    Instant dueAt() {
        return dueAt;
    }
}
