package cauldron.server.labs;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.UuidGenerator;
import org.hibernate.type.SqlTypes;

/** What a lab's sheet was at a moment while it was written. It never changes. */
@Entity
class Draft {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID labId;
    private int number;
    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, Object> sheet;
    private Instant savedAt;

    protected Draft() {
    }

    Draft(UUID labId, int number, Map<String, Object> sheet, Instant savedAt) {
        this.labId = labId;
        this.number = number;
        this.sheet = sheet;
        this.savedAt = savedAt;
    }

    int number() {
        return number;
    }

    Map<String, Object> sheet() {
        return sheet;
    }

    Instant savedAt() {
        return savedAt;
    }
}
