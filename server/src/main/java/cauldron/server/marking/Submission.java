package cauldron.server.marking;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/**
 * A work as it was handed in at a time: how far its journal went, and, once it was taken back or given back, by
 * whom.
 */
@Entity
class Submission {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID workId;
    private Instant submittedAt;
    private long seq;
    private Instant endedAt;
    private UUID endedBy;
    private String words;

    protected Submission() {
    }

    Submission(UUID workId, Instant submittedAt, long seq) {
        this.workId = workId;
        this.submittedAt = submittedAt;
        this.seq = seq;
        this.words = "";
    }

    /**
     * Ends it.
     *
     * @param said what to do again; may be empty
     */
    void end(UUID by, String said, Instant at) {
        endedBy = by;
        words = said;
        endedAt = at;
    }

    UUID id() {
        return id;
    }

    UUID workId() {
        return workId;
    }

    Instant submittedAt() {
        return submittedAt;
    }

    long seq() {
        return seq;
    }

    Instant endedAt() {
        return endedAt;
    }

    UUID endedBy() {
        return endedBy;
    }

    String words() {
        return words;
    }
}
