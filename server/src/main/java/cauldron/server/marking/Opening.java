package cauldron.server.marking;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A question that a teacher opened again after its tries were used up. Never changed. */
@Entity
class Opening {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID workId;
    private String block;
    private UUID openedBy;
    private Instant openedAt;

    protected Opening() {
    }

    Opening(UUID workId, String block, UUID openedBy, Instant openedAt) {
        this.workId = workId;
        this.block = block;
        this.openedBy = openedBy;
        this.openedAt = openedAt;
    }

    UUID workId() {
        return workId;
    }

    String block() {
        return block;
    }

    UUID openedBy() {
        return openedBy;
    }

    Instant openedAt() {
        return openedAt;
    }
}
