package cauldron.server.accounts;

import cauldron.server.platform.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api")
class SessionController {

    record SignIn(@NotBlank(message = "Type your user name") String userName,
                  @NotBlank(message = "Type your secret") String secret) {
    }

    /** Who is signed in; without a person when nobody is. */
    record Me(MePerson person) {
    }

    record MePerson(@NotNull UUID id, @NotNull String userName, @NotNull String displayName,
                    @NotNull Person.Role role) {
    }

    private final Accounts accounts;
    private final Throttle throttle;

    SessionController(Accounts accounts, Throttle throttle) {
        this.accounts = accounts;
        this.throttle = throttle;
    }

    @GetMapping("/me")
    Me me(@AuthenticationPrincipal Person me) {
        return new Me(me == null ? null : new MePerson(me.id(), me.userName(), me.displayName(), me.role()));
    }

    @PostMapping("/session")
    Me signIn(@Valid @RequestBody SignIn form, HttpServletRequest request, HttpServletResponse response) {
        String name = form.userName().strip().toLowerCase(Locale.ROOT);
        throttle.count(name, request.getRemoteAddr());
        Person person = accounts.check(form.userName(), form.secret());
        throttle.forgive(name, request.getRemoteAddr());
        accounts.signIn(person, request, response);
        return me(person);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        if (request.getSession(false) != null) {
            request.getSession(false).invalidate();
        }
    }
}
