package cauldron.server.live;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** What a teacher wrote to a student at work, or to all who have the lab. Never changed. */
@Entity
class Note {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID assignmentId;
    private UUID workId;
    private String words;
    private UUID writtenBy;
    private Instant writtenAt;

    protected Note() {
    }

    /**
     * A note.
     *
     * @param workId whose work it lies with, or null where it is for all
     */
    Note(UUID assignmentId, UUID workId, String words, UUID writtenBy, Instant writtenAt) {
        this.assignmentId = assignmentId;
        this.workId = workId;
        this.words = words;
        this.writtenBy = writtenBy;
        this.writtenAt = writtenAt;
    }

    UUID id() {
        return id;
    }

    UUID assignmentId() {
        return assignmentId;
    }

    UUID workId() {
        return workId;
    }

    String words() {
        return words;
    }

    UUID writtenBy() {
        return writtenBy;
    }

    Instant writtenAt() {
        return writtenAt;
    }
}
