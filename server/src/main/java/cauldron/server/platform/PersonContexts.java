package cauldron.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Who is signed in, in the session as a few words of JSON. A whole security context as Java writes objects was a sixth of
 * all that a request allocated, for each is read anew with every request. What can't be read is nobody.
 */
@Component
class PersonContexts implements SecurityContextRepository {

    private static final String PERSON = "cauldron.person";

    /** What is kept: a person without what other interfaces add. */
    private record Kept(UUID id, String userName, String displayName, Person.Role role) {
    }

    private final JsonMapper json;

    PersonContexts(JsonMapper json) {
        this.json = json;
    }

    private static Authentication authentication(Person person) {
        return UsernamePasswordAuthenticationToken.authenticated(person, null,
                List.of(new SimpleGrantedAuthority("ROLE_" + person.role())));
    }

    /** Superseded in the framework itself; what it asks for now is derived from this by its default. */
    @Override
    @SuppressWarnings("deprecation")
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        Person person = person(holder.getRequest());
        if (person != null) {
            context.setAuthentication(authentication(person));
        }
        return context;
    }

    private Person person(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session == null || !(session.getAttribute(PERSON) instanceof String text)) {
            return null;
        }
        try {
            Kept kept = json.readValue(text, Kept.class);
            return new Person(kept.id(), kept.userName(), kept.displayName(), kept.role());
        } catch (JacksonException e) {
            return null;
        }
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        if (context.getAuthentication() != null && context.getAuthentication().getPrincipal() instanceof Person person) {
            HttpSession session = request.getSession(true);
            session.setAttribute(PERSON, json.writeValueAsString(
                    new Kept(person.id(), person.userName(), person.displayName(), person.role())));
            // By which all sessions of a person are found, to end them.
            session.setAttribute(FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, person.userName());
        } else if (request.getSession(false) != null) {
            request.getSession().removeAttribute(PERSON);
            request.getSession().removeAttribute(FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME);
        }
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return person(request) != null;
    }
}
