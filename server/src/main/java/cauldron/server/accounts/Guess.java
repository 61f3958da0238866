package cauldron.server.accounts;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.time.Instant;

/** Tries at one thing from one address and browser. Written by {@link GuessRepository} alone. */
@Entity
class Guess {

    /** What was tried, and from where. */
    @Embeddable
    record Key(String target, String address, String browser) implements Serializable {
    }

    @EmbeddedId
    private Key key;
    private int tries;
    private Instant lastAt;
    /** When the next try is looked at. */
    private Instant freeAt;

    protected Guess() {
    }
}
