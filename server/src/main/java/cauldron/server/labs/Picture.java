package cauldron.server.labs;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A picture of a lab, under the hash of its bytes. It never changes. */
@Entity
class Picture implements Persistable<String> {

    @Id
    private String id;
    private String media;
    private int width;
    private int height;
    private byte[] body;
    private UUID broughtBy;
    private Instant broughtAt;

    protected Picture() {
    }

    Picture(String id, CleanPicture picture, UUID broughtBy, Instant broughtAt) {
        this.id = id;
        this.media = picture.media();
        this.width = picture.width();
        this.height = picture.height();
        this.body = picture.bytes();
        this.broughtBy = broughtBy;
        this.broughtAt = broughtAt;
    }

    @Override
    public String getId() {
        return id;
    }

    /** It is looked for before one is kept. */
    @Override
    public boolean isNew() {
        return true;
    }

    String media() {
        return media;
    }

    byte[] body() {
        return body;
    }
}
