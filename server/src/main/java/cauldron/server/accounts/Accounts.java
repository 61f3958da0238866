package cauldron.server.accounts;

import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.text.Normalizer;
import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People and their signing in. */
@Service
public class Accounts {

    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final SecurityContextRepository contexts;
    private final Clock clock;
    /** Checked when a name doesn't exist, so that the answer takes as long as for one that does. */
    private final String nobodysHash;

    Accounts(AccountRepository accounts, PasswordEncoder encoder, SecurityContextRepository contexts, Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.contexts = contexts;
        this.clock = clock;
        this.nobodysHash = encoder.encode(UUID.randomUUID().toString());
    }

    /** Makes an account; the user name is made from the display name where none is given. */
    @Transactional
    public Person create(String userName, String displayName, Person.Role role, String secret) {
        String name = userName != null ? userName : freeUserName(displayName);
        return accounts.save(new Account(name, displayName.strip(), role, encoder.encode(secret), clock.instant()))
                .person();
    }

    /** The person with that name and secret; refuses without telling which of the two is wrong. */
    @Transactional(readOnly = true)
    Person check(String userName, String secret) {
        Account account = accounts.findByUserName(userName.strip().toLowerCase(Locale.ROOT)).orElse(null);
        boolean right = encoder.matches(secret, account == null ? nobodysHash : account.secretHash());
        if (account == null || !right) {
            throw Problems.wrongSignIn();
        }
        return account.person();
    }

    /** Signs a person in to a fresh session. */
    public void signIn(Person person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null,
                List.of(new SimpleGrantedAuthority("ROLE_" + person.role()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }

    /** People by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Person> people(Collection<UUID> ids) {
        Map<UUID, Person> map = new LinkedHashMap<>();
        accounts.findAllById(ids).forEach(a -> map.put(a.person().id(), a.person()));
        return map;
    }

    /** Whether there are any accounts yet. */
    @Transactional(readOnly = true)
    public boolean none() {
        return accounts.count() == 0;
    }

    private String freeUserName(String displayName) {
        String plain = Normalizer.normalize(displayName, Normalizer.Form.NFD).toLowerCase(Locale.ROOT)
                .replaceAll("\\p{M}", "").replaceAll("[^a-z0-9]+", ".").replaceAll("^\\.+|\\.+$", "");
        String base = plain.isEmpty() ? "student" : plain.substring(0, Math.min(plain.length(), 24));
        for (int i = 1;; i++) {
            String name = i == 1 ? base : base + i;
            if (!accounts.existsByUserName(name)) {
                return name;
            }
        }
    }
}
