package cauldron.server.live;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A student asks for help. It stands until the teacher has answered it or the student takes it back. */
@Entity
class HelpCall {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID workId;
    private String part;
    private String block;
    private String reading;
    private String words;
    private Instant askedAt;
    private Instant endedAt;
    private UUID endedBy;
    private Instant changedAt;

    protected HelpCall() {
    }

    /**
     * A call.
     *
     * @param part    id of the part it was asked in
     * @param block   id of the question it is about; empty where it is about none
     * @param reading the reading it is about, in words; empty where it is about none
     */
    HelpCall(UUID workId, String part, String block, String reading, String words, Instant askedAt) {
        this.workId = workId;
        this.part = part;
        this.block = block;
        this.reading = reading;
        this.words = words;
        this.askedAt = askedAt;
        this.changedAt = askedAt;
    }

    void end(UUID by, Instant at) {
        endedAt = at;
        endedBy = by;
        changedAt = at;
    }

    UUID id() {
        return id;
    }

    UUID workId() {
        return workId;
    }

    String part() {
        return part;
    }

    String block() {
        return block;
    }

    String reading() {
        return reading;
    }

    String words() {
        return words;
    }

    Instant askedAt() {
        return askedAt;
    }
}
