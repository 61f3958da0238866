package cauldron.server.accounts;

import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.platform.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.data.domain.Limit;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** People and their signing in. Hashing a secret takes a while, so no connection is held meanwhile. */
@Service
public class Accounts {

    /** An account as an administrator sees it. */
    public record Listed(Person person, boolean active, boolean hasSecret, Instant createdAt) {
    }

    /** The most accounts one list shows; more are found by searching. */
    static final int MOST_LISTED = 200;
    static final int LONGEST_NAME = 40;

    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final SecurityContextRepository contexts;
    private final CsrfTokenRepository tokens;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final TransactionOperations transactions;
    private final Clock clock;
    /** Checked when a name doesn't exist, so that the answer takes as long as for one that does. */
    private final String nobodysHash;

    Accounts(AccountRepository accounts, PasswordEncoder encoder, SecurityContextRepository contexts,
            CsrfTokenRepository tokens, FindByIndexNameSessionRepository<? extends Session> sessions,
            PlatformTransactionManager transactions, Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.contexts = contexts;
        this.tokens = tokens;
        this.sessions = sessions;
        this.transactions = new TransactionTemplate(transactions);
        this.clock = clock;
        this.nobodysHash = encoder.encode(UUID.randomUUID().toString());
    }

    <T> T inTransaction(Supplier<T> deed) {
        return transactions.execute(status -> deed.get());
    }

    /** A secret's hash, for making an account with. */
    public String hash(String secret) {
        return encoder.encode(Words.secret(secret));
    }

    /**
     * Makes an account.
     *
     * @param userName   or null: made from the display name
     * @param secretHash or null: the person chooses a secret by a way in
     */
    @Transactional
    public Person create(String userName, String displayName, Person.Role role, String secretHash) {
        String shown = Words.name("displayName", displayName, "Name", LONGEST_NAME);
        if (userName != null && accounts.existsByUserName(userName)) {
            throw Problems.invalid("userName", "User name: “" + userName + "” is taken.");
        }
        String name = userName != null ? userName : freeUserName(shown);
        return accounts.save(new Account(name, shown, role, secretHash == null ? Account.NO_SECRET : secretHash,
                clock.instant())).person();
    }

    /** A user name that someone wishes for, or null where none was given; refuses what can't be one. */
    String userName(String told) {
        if (told == null || told.isBlank()) {
            return null;
        }
        String name = told.strip().toLowerCase(Locale.ROOT);
        if (!name.matches("[a-z0-9][a-z0-9.-]{1,29}")) {
            throw Problems.invalid("userName", "User name: 2 to 30 of the letters a to z, digits, dots and hyphens.");
        }
        return name;
    }

    /** The user name that a display name would lead to. */
    @Transactional(readOnly = true)
    String suggest(String displayName, Collection<String> taken) {
        return free(UserNames.from(displayName), taken);
    }

    @Transactional(readOnly = true)
    boolean exists(String userName) {
        return accounts.existsByUserName(userName);
    }

    /** The person with that name and secret; refuses without telling which of the two is wrong. */
    Person check(String userName, String secret) {
        Account account = accounts.findByUserName(userName).orElse(null);
        boolean known = account != null && account.hasSecret();
        boolean right = Words.possibleSecret(secret)
                && encoder.matches(secret, known ? account.secretHash() : nobodysHash);
        if (!known || !right) {
            throw Problems.wrongSignIn();
        }
        if (!account.active()) {
            throw switchedOff();
        }
        return account.person();
    }

    static RuntimeException switchedOff() {
        return Problems.conflict("switched-off", "This account is switched off. Ask whoever looks after Cauldron at your"
                + " school.");
    }

    /** Somebody changes their own secret; every other session of theirs ends. */
    void changeSecret(Person me, String current, String wanted) {
        Account account = accounts.findById(me.id()).orElseThrow();
        if (!account.hasSecret() || !Words.possibleSecret(current) || !encoder.matches(current, account.secretHash())) {
            throw Problems.invalid("current", "That is not your present secret.");
        }
        String hash = hash(wanted);
        transactions.executeWithoutResult(status -> {
            accounts.findById(me.id()).orElseThrow().secret(hash);
            endSessions(me.userName());
        });
    }

    /** Takes a secret away: nobody can sign in with it any more, and whoever is signed in is signed out. */
    @Transactional
    public Person voidSecret(UUID id) {
        Account account = accounts.findById(id).orElseThrow(() -> Problems.notFound("account"));
        account.secret(Account.NO_SECRET);
        endSessions(account.person().userName());
        return account.person();
    }

    /** Switches an account off or on; the last administrator stays. */
    @Transactional
    Person switchTo(UUID id, boolean on) {
        Account account = accounts.findById(id).orElseThrow(() -> Problems.notFound("account"));
        if (!on && account.person().role() == Person.Role.ADMINISTRATOR
                && accounts.countByRoleAndActive(Person.Role.ADMINISTRATOR, true) <= 1) {
            throw Problems.conflict("last-administrator", "This is the only administrator. Make another one first.");
        }
        account.switchTo(on);
        if (!on) {
            endSessions(account.person().userName());
        }
        return account.person();
    }

    void endSessions(String userName) {
        sessions.findByPrincipalName(userName).keySet().forEach(sessions::deleteById);
    }

    /** Signs a person in to a fresh session, with a fresh token. */
    public void signIn(Person person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null,
                List.of(new SimpleGrantedAuthority("ROLE_" + person.role()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        tokens.saveToken(tokens.generateToken(request), request, response);
    }

    /** People by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Person> people(Collection<UUID> ids) {
        Map<UUID, Person> map = new LinkedHashMap<>();
        accounts.findAllById(ids).forEach(a -> map.put(a.person().id(), a.person()));
        return map;
    }

    /** The same as an administrator or teacher sees them. */
    @Transactional(readOnly = true)
    public Map<UUID, Listed> listed(Collection<UUID> ids) {
        Map<UUID, Listed> map = new LinkedHashMap<>();
        accounts.findAllById(ids).forEach(a -> map.put(a.person().id(), listed(a)));
        return map;
    }

    /** People whose name holds a text, teachers and administrators only where {@code staff}. */
    @Transactional(readOnly = true)
    List<Listed> search(String text, boolean staff) {
        String plain = text.toLowerCase(Locale.ROOT).replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
        return accounts.search(plain, staff, Limit.of(MOST_LISTED)).stream().map(Accounts::listed).toList();
    }

    private static Listed listed(Account a) {
        return new Listed(a.person(), a.active(), a.hasSecret(), a.createdAt());
    }

    /** Whether there are any accounts yet. */
    @Transactional(readOnly = true)
    public boolean none() {
        return accounts.count() == 0;
    }

    private String freeUserName(String displayName) {
        String base = UserNames.from(displayName);
        accounts.holdName(base);
        return free(base, List.of());
    }

    private String free(String base, Collection<String> taken) {
        for (int i = 1;; i++) {
            String name = i == 1 ? base : base + i;
            if (!taken.contains(name) && !accounts.existsByUserName(name)) {
                return name;
            }
        }
    }
}
