package cauldron.server.voices;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A few seconds of a recording; never changed. */
@Entity
class VoicePiece implements Persistable<VoicePiece.Key> {

    /** Of which recording, and the how-manieth from 0. */
    @Embeddable
    record Key(UUID voiceId, int number) implements Serializable {
    }

    @EmbeddedId
    private Key id;
    private byte[] body;

    protected VoicePiece() {
    }

    VoicePiece(Key id, byte[] body) {
        this.id = id;
        this.body = body;
    }

    @Override
    public Key getId() {
        return id;
    }

    /** It is looked for before one is kept. */
    @Override
    public boolean isNew() {
        return true;
    }

    byte[] body() {
        return body;
    }
}
