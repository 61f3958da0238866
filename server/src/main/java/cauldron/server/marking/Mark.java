package cauldron.server.marking;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** Points and a comment by a teacher. Never changed; a newer one of the same block takes its place. */
@Entity
class Mark {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID workId;
    private String block;
    private double points;
    private String comment;
    private String reason;
    private UUID markedBy;
    private Instant markedAt;

    protected Mark() {
    }

    Mark(UUID workId, String block, double points, String comment, String reason, UUID markedBy, Instant markedAt) {
        this.workId = workId;
        this.block = block;
        this.points = points;
        this.comment = comment;
        this.reason = reason;
        this.markedBy = markedBy;
        this.markedAt = markedAt;
    }

    UUID workId() {
        return workId;
    }

    String block() {
        return block;
    }

    double points() {
        return points;
    }

    String comment() {
        return comment;
    }

    String reason() {
        return reason;
    }

    UUID markedBy() {
        return markedBy;
    }

    Instant markedAt() {
        return markedAt;
    }
}
