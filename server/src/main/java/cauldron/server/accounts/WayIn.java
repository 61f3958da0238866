package cauldron.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A one-time code with which someone chooses a secret; without an account, it makes the first administrator. */
@Entity
class WayIn {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID accountId;
    private String codeHash;
    private Instant madeAt;
    private Instant expiresAt;
    private Instant usedAt;

    protected WayIn() {
    }

    WayIn(UUID accountId, String codeHash, Instant madeAt, Instant expiresAt) {
        this.accountId = accountId;
        this.codeHash = codeHash;
        this.madeAt = madeAt;
        this.expiresAt = expiresAt;
    }

    UUID id() {
        return id;
    }

    UUID accountId() {
        return accountId;
    }

    boolean good(Instant now) {
        return usedAt == null && now.isBefore(expiresAt);
    }
}
