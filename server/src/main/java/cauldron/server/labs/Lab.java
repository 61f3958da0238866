package cauldron.server.labs;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A lab; what it says is in its versions. */
@Entity
class Lab {

    static final int LONGEST_FOLDER = 60;

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    /** Of one that ships; null for a teacher's own. */
    private String slug;
    private UUID ownerId;
    private Instant createdAt;
    private String folder = "";
    private Instant sharedAt;
    private Instant removedAt;

    protected Lab() {
    }

    Lab(String slug, Instant createdAt) {
        this.slug = slug;
        this.createdAt = createdAt;
    }

    Lab(UUID ownerId, Instant createdAt) {
        this.ownerId = ownerId;
        this.createdAt = createdAt;
    }

    UUID ownerId() {
        return ownerId;
    }

    /** Whether a teacher may write it. */
    boolean isOf(UUID teacher) {
        return removedAt == null && teacher.equals(ownerId);
    }

    void fileUnder(String name) {
        folder = name;
    }

    void share(Instant at) {
        sharedAt = at;
    }

    void remove(Instant at) {
        removedAt = at;
        sharedAt = null;
    }

    /** Whether a teacher may read, copy and give it. */
    boolean isReadableBy(UUID teacher) {
        return removedAt == null && (ownerId == null || ownerId.equals(teacher) || sharedAt != null);
    }

    UUID id() {
        return id;
    }

    String slug() {
        return slug;
    }
}
