package cauldron.server.labs;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.UuidGenerator;
import org.hibernate.type.SqlTypes;

/** One state of a lab's sheet. It never changes. */
@Entity
class LabVersion {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID labId;
    /** Null of what is tried while it is written. */
    private Integer number;
    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, Object> sheet;
    /** Versions of models by apparatus. */
    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, Integer> models;
    private Instant createdAt;

    protected LabVersion() {
    }

    LabVersion(UUID labId, Integer number, Map<String, Object> sheet, Map<String, Integer> models, Instant createdAt) {
        this.labId = labId;
        this.number = number;
        this.sheet = sheet;
        this.models = models;
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    UUID labId() {
        return labId;
    }

    int number() {
        return number;
    }

    Map<String, Integer> models() {
        return models;
    }

    Map<String, Object> sheet() {
        return sheet;
    }
}
