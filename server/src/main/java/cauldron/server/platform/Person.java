package cauldron.server.platform;

import java.util.UUID;
import org.springframework.security.core.AuthenticatedPrincipal;

/** Who is signed in. Kept in the session, so it changes only with care. */
public record Person(UUID id, String userName, String displayName, Role role)
        implements AuthenticatedPrincipal {

    /** What a person may do. */
    public enum Role { TEACHER, STUDENT, ADMINISTRATOR }

    @Override
    public String getName() {
        return userName;
    }
}
