package cauldron.server.classes;

import cauldron.server.accounts.Accounts;
import cauldron.server.accounts.Guesses;
import cauldron.server.platform.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Joining a class, and a teacher's classes. */
@RestController
class JoinController {

    record Join(@NotBlank(message = "Type the class code") String code,
                @NotBlank(message = "Type the name your class knows you by") String displayName,
                @NotNull(message = "Choose a secret") String secret) {
    }

    record JoinToo(@NotBlank(message = "Type the class code") String code) {
    }

    record Joined(@NotNull String userName) {
    }

    record JoinedToo(@NotNull String className) {
    }

    record NewClass(@NotBlank(message = "Give the class a name") String name) {
    }

    record ClassView(@NotNull UUID id, @NotNull String name, @NotNull String code, @NotNull Integer students) {
    }

    private static final String CODE = "class code";

    private final Classes classes;
    private final Accounts accounts;
    private final Guesses guesses;

    JoinController(Classes classes, Accounts accounts, Guesses guesses) {
        this.classes = classes;
        this.accounts = accounts;
        this.guesses = guesses;
    }

    @PostMapping("/api/join")
    Joined join(@Valid @RequestBody Join form, HttpServletRequest request, HttpServletResponse response) {
        Guesses.Origin from = guesses.origin(request);
        guesses.count(CODE, from);
        Person person = classes.join(form.code(), form.displayName(), accounts.hash(form.secret()));
        guesses.right(CODE, from, person.id());
        accounts.signIn(person, request, response);
        return new Joined(person.userName());
    }

    /** Joins another class with the account one has. */
    @PostMapping("/api/memberships")
    JoinedToo joinToo(@AuthenticationPrincipal Person me, @Valid @RequestBody JoinToo form, HttpServletRequest request) {
        Guesses.Origin from = guesses.origin(request);
        guesses.count(CODE, from);
        String name = classes.joinToo(form.code(), me).name();
        guesses.right(CODE, from, null);
        return new JoinedToo(name);
    }

    @GetMapping("/api/classes")
    List<ClassView> mine(@AuthenticationPrincipal Person me) {
        var own = classes.ofTeacher(me.id()).stream().filter(c -> !c.archived()).toList();
        var students = classes.students(own.stream().map(Classes.ClassInfo::id).toList());
        return own.stream().map(c -> new ClassView(c.id(), c.name(), c.code(),
                students.getOrDefault(c.id(), Set.of()).size())).toList();
    }

    @PostMapping("/api/classes")
    ClassView create(@AuthenticationPrincipal Person me, @Valid @RequestBody NewClass form) {
        var c = classes.create(me.id(), form.name(), null);
        return new ClassView(c.id(), c.name(), c.code(), 0);
    }
}
