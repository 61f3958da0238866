package cauldron.server.accounts;

import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.platform.Words;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Locale;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * One-time codes with which people choose their own secret, so that nobody else ever sees one. Only a digest of a code
 * is kept.
 */
@Service
public class WaysIn {

    /** A code just made; it can't be read again later. */
    public record Fresh(String code, Instant expiresAt) {
    }

    /** Whom a code is for; without a user name, the first administrator, who has yet to choose one. */
    record Found(String userName, String displayName) {
    }

    // Without what is mistaken for something else when read from paper.
    private static final String LETTERS = "ACDEFGHJKMNPQRTWXY34679";
    private static final int GROUPS = 3;
    private static final int A_GROUP = 4;
    private static final Duration FOR_FIRST = Duration.ofHours(24);
    private static final Duration FOR_ANYONE = Duration.ofDays(14);

    private final WayInRepository waysIn;
    private final AccountRepository accounts;
    private final Accounts people;
    private final PasswordEncoder encoder;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    WaysIn(WayInRepository waysIn, AccountRepository accounts, Accounts people, PasswordEncoder encoder, Clock clock) {
        this.waysIn = waysIn;
        this.accounts = accounts;
        this.people = people;
        this.encoder = encoder;
        this.clock = clock;
    }

    /** A code for someone to choose a secret with; codes made before for the same person end. */
    @Transactional
    public Fresh make(UUID account) {
        return make(account, FOR_ANYONE);
    }

    /** A code that makes the first administrator; null where there is one already. */
    @Transactional
    public Fresh makeFirst() {
        return accounts.existsByRole(Person.Role.ADMINISTRATOR) ? null : make(null, FOR_FIRST);
    }

    private Fresh make(UUID account, Duration lasts) {
        Instant now = clock.instant();
        waysIn.end(account, now);
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < GROUPS * A_GROUP; i++) {
            code.append(i > 0 && i % A_GROUP == 0 ? "-" : "").append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        waysIn.save(new WayIn(account, digest(code.toString()), now, now.plus(lasts)));
        return new Fresh(code.toString(), now.plus(lasts));
    }

    /** Whom a code is for. */
    @Transactional(readOnly = true)
    Found look(String code) {
        WayIn way = find(code);
        if (way.accountId() == null) {
            return new Found(null, null);
        }
        Person person = accounts.findById(way.accountId()).orElseThrow().person();
        return new Found(person.userName(), person.displayName());
    }

    /** Uses a code: the secret it was made for is chosen, or the first administrator is made. */
    Person enter(String code, String userName, String displayName, String secret) {
        String hash = encoder.encode(Words.secret(secret));
        return people.inTransaction(() -> {
            WayIn way = find(code);
            if (waysIn.use(way.id(), clock.instant()) == 0) {
                throw wrong();
            }
            if (way.accountId() == null) {
                if (accounts.existsByRole(Person.Role.ADMINISTRATOR)) {
                    throw Problems.conflict("has-administrator", "There is an administrator already.");
                }
                return people.create(people.userName(userName), displayName, Person.Role.ADMINISTRATOR, hash);
            }
            Account account = accounts.findById(way.accountId()).orElseThrow();
            if (!account.active()) {
                throw Accounts.switchedOff();
            }
            account.secret(hash);
            people.endSessions(account.person().userName());
            return account.person();
        });
    }

    private WayIn find(String code) {
        return waysIn.findByCodeHash(digest(code)).filter(w -> w.good(clock.instant())).orElseThrow(WaysIn::wrong);
    }

    private static RuntimeException wrong() {
        return Problems.invalid("code", "This code is not good, or not good any more. Check it letter by letter, or ask"
                + " for a new one.");
    }

    private static String digest(String code) {
        try {
            String plain = code.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256")
                    .digest(plain.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
