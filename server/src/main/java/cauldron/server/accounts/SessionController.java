package cauldron.server.accounts;

import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
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

/** Signing in and out, by secret or by one-time code, and changing one's secret. */
@RestController
@RequestMapping("/api")
class SessionController {

    record SignIn(@NotBlank(message = "Type your user name") String userName,
                  @NotBlank(message = "Type your secret") String secret) {
    }

    record ChangeSecret(@NotBlank(message = "Type your present secret") String current,
                        @NotBlank(message = "Type a new secret") String secret) {
    }

    record Code(@NotBlank(message = "Type the one-time code") String code) {
    }

    /** Whom a code is for; the first administrator chooses a user name along with a secret. */
    record CodeFound(@NotNull Boolean first, String userName, String displayName) {
    }

    record Enter(@NotBlank(message = "Type the one-time code") String code, String userName, String displayName,
                 @NotBlank(message = "Choose a secret") String secret) {
    }

    /** Who is signed in; without a person when nobody is. */
    record Me(MePerson person) {
    }

    record MePerson(@NotNull UUID id, @NotNull String userName, @NotNull String displayName,
                    @NotNull Person.Role role) {
    }

    private static final String CODE = "way in";

    private final Accounts accounts;
    private final WaysIn waysIn;
    private final Guesses guesses;

    SessionController(Accounts accounts, WaysIn waysIn, Guesses guesses) {
        this.accounts = accounts;
        this.waysIn = waysIn;
        this.guesses = guesses;
    }

    @GetMapping("/me")
    Me me(@AuthenticationPrincipal Person me, HttpServletRequest request, HttpServletResponse response) {
        guesses.mark(request, response);
        return view(me);
    }

    private static Me view(Person me) {
        return new Me(me == null ? null : new MePerson(me.id(), me.userName(), me.displayName(), me.role()));
    }

    @PostMapping("/session")
    Me signIn(@Valid @RequestBody SignIn form, HttpServletRequest request, HttpServletResponse response) {
        String name = form.userName().strip().toLowerCase(Locale.ROOT);
        if (name.length() > Accounts.LONGEST_NAME || name.indexOf('\0') >= 0) {
            throw Problems.wrongSignIn();
        }
        Guesses.Origin from = guesses.origin(request);
        guesses.count(name, from);
        Person person = accounts.check(name, form.secret());
        guesses.right(name, from, person.id());
        accounts.signIn(person, request, response);
        return view(person);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        if (request.getSession(false) != null) {
            request.getSession(false).invalidate();
        }
    }

    /** Changes one's own secret. Whoever else is signed in to the account is signed out. */
    @PostMapping("/me/secret")
    Me change(@AuthenticationPrincipal Person me, @Valid @RequestBody ChangeSecret form, HttpServletRequest request,
            HttpServletResponse response) {
        Guesses.Origin from = guesses.origin(request);
        guesses.count(me.userName(), from);
        accounts.changeSecret(me, form.current(), form.secret());
        guesses.right(me.userName(), from, me.id());
        request.getSession().invalidate();
        accounts.signIn(me, request, response);
        return view(me);
    }

    /** Tells whom a one-time code is for. */
    @PostMapping("/enter/look")
    CodeFound look(@Valid @RequestBody Code form, HttpServletRequest request) {
        Guesses.Origin from = guesses.origin(request);
        guesses.count(CODE, from);
        WaysIn.Found found = waysIn.look(form.code());
        guesses.right(CODE, from, null);
        return new CodeFound(found.userName() == null, found.userName(), found.displayName());
    }

    /** Chooses a secret with a one-time code, and signs in. */
    @PostMapping("/enter")
    Me enter(@Valid @RequestBody Enter form, HttpServletRequest request, HttpServletResponse response) {
        Guesses.Origin from = guesses.origin(request);
        guesses.count(CODE, from);
        Person person = waysIn.enter(form.code(), form.userName(), form.displayName(), form.secret());
        guesses.right(CODE, from, person.id());
        guesses.right(person.userName(), from, person.id());
        accounts.signIn(person, request, response);
        return view(person);
    }
}
