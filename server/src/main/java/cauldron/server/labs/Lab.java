package cauldron.server.labs;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A lab; what it says is in its versions. */
@Entity
class Lab {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private String slug;
    private Instant createdAt;

    protected Lab() {
    }

    Lab(String slug, Instant createdAt) {
        this.slug = slug;
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String slug() {
        return slug;
    }
}
