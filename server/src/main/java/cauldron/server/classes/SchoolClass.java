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
    private Instant archivedAt;
    private boolean joinable = true;
    private String calendarKey;

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

    boolean archived() {
        return archivedAt != null;
    }

    boolean joinable() {
        return joinable;
    }

    String calendarKey() {
        return calendarKey;
    }

    void calendarKey(String key) {
        calendarKey = key;
    }

    void rename(String newName) {
        name = newName;
    }

    void code(String newCode) {
        code = newCode;
    }

    void joinable(boolean open) {
        joinable = open;
    }

    void archive(Instant at) {
        archivedAt = at;
    }
}
