package cauldron.server.classes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A class of one teacher, joined with a code. */
@Entity
class SchoolClass {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private String name;
    private String code;
    private UUID teacherId;
    private Instant createdAt;

    protected SchoolClass() {
    }

    SchoolClass(String name, String code, UUID teacherId, Instant createdAt) {
        this.name = name;
        this.code = code;
        this.teacherId = teacherId;
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    String code() {
        return code;
    }

    UUID teacherId() {
        return teacherId;
    }
}
