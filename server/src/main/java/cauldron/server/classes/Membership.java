package cauldron.server.classes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A student in a class. */
@Entity
class Membership {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID classId;
    private UUID studentId;
    private Instant joinedAt;
    private Instant leftAt;

    protected Membership() {
    }

    Membership(UUID classId, UUID studentId, Instant joinedAt) {
        this.classId = classId;
        this.studentId = studentId;
        this.joinedAt = joinedAt;
    }

    UUID classId() {
        return classId;
    }

    UUID studentId() {
        return studentId;
    }

    Instant joinedAt() {
        return joinedAt;
    }

    Instant leftAt() {
        return leftAt;
    }

    void leave(Instant at) {
        leftAt = at;
    }
}
