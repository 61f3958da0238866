package cauldron.server.voices;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A recording of a student's voice for one block of a work. */
@Entity
class Voice implements Persistable<UUID> {

    @Id
    private UUID id;
    private UUID workId;
    private String block;
    private String media;
    private Instant begunAt;

    protected Voice() {
    }

    Voice(UUID id, UUID workId, String block, String media, Instant begunAt) {
        this.id = id;
        this.workId = workId;
        this.block = block;
        this.media = media;
        this.begunAt = begunAt;
    }

    @Override
    public UUID getId() {
        return id;
    }

    /** It is looked for before one is kept. */
    @Override
    public boolean isNew() {
        return true;
    }

    UUID workId() {
        return workId;
    }

    String block() {
        return block;
    }

    String media() {
        return media;
    }
}
