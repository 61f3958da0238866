package cauldron.server.accounts;

import cauldron.server.platform.Person;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A person who can sign in. */
@Entity
class Account {

    /** Stands where a secret has yet to be chosen: nothing matches it. */
    static final String NO_SECRET = "none";

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private String userName;
    private String displayName;
    @Enumerated(EnumType.STRING)
    private Person.Role role;
    private String secretHash;
    private boolean active = true;
    private Instant createdAt;

    protected Account() {
    }

    Account(String userName, String displayName, Person.Role role, String secretHash, Instant createdAt) {
        this.userName = userName;
        this.displayName = displayName;
        this.role = role;
        this.secretHash = secretHash;
        this.createdAt = createdAt;
    }

    String secretHash() {
        return secretHash;
    }

    boolean hasSecret() {
        return !secretHash.equals(NO_SECRET);
    }

    void secret(String hash) {
        secretHash = hash;
    }

    boolean active() {
        return active;
    }

    void switchTo(boolean on) {
        active = on;
    }

    Instant createdAt() {
        return createdAt;
    }

    Person person() {
        return new Person(id, userName, displayName, role);
    }
}
