package cauldron.server.acts;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** One act. Never changed. */
@Entity
@Table(name = "act")
class AuditEntry {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    @Column(insertable = false, updatable = false)
    private long seq;
    private UUID who;
    private String whoName;
    private String what;
    private String about;
    private Instant at;

    protected AuditEntry() {
    }

    AuditEntry(UUID who, String whoName, String what, String about, Instant at) {
        this.who = who;
        this.whoName = whoName;
        this.what = what;
        this.about = about;
        this.at = at;
    }

    ActController.ActView view() {
        return new ActController.ActView(seq, whoName, what, about, at);
    }
}
