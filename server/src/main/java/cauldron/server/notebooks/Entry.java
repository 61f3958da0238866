package cauldron.server.notebooks;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One entry of the journal, with the id its browser gave it. Written by {@link Journal#keep}. */
@Entity
class Entry {

    @Id
    private UUID id;
    private UUID workId;
    @Column(insertable = false, updatable = false)
    private long seq;
    private String block;
    private String slot;
    @JdbcTypeCode(SqlTypes.JSON)
    private Object value;
    private String writer;
    private Instant clientTime;
    private Instant serverTime;

    protected Entry() {
    }

    UUID id() {
        return id;
    }

    long seq() {
        return seq;
    }

    UUID workId() {
        return workId;
    }

    String block() {
        return block;
    }

    String slot() {
        return slot;
    }

    /** What was stored: a group of fields, unless it is odd. */
    Object value() {
        return value;
    }

    Instant serverTime() {
        return serverTime;
    }
}
