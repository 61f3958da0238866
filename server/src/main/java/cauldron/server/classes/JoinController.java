package cauldron.server.classes;

import cauldron.server.accounts.Accounts;
import cauldron.server.accounts.Throttle;
import cauldron.server.platform.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
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
                @NotBlank(message = "Type the name your class knows you by")
                @Size(max = 40, message = "A name has at most 40 characters") String displayName,
                @NotNull(message = "Choose a secret")
                @Size(min = 8, max = 72, message = "A secret has 8 to 72 characters") String secret) {
    }

    record Joined(@NotNull String userName) {
    }

    record NewClass(@NotBlank(message = "Give the class a name")
                    @Size(max = 60, message = "A class name has at most 60 characters") String name) {
    }

    record ClassView(@NotNull UUID id, @NotNull String name, @NotNull String code, @NotNull Integer students) {
    }

    private final Classes classes;
    private final Accounts accounts;
    private final Throttle throttle;

    JoinController(Classes classes, Accounts accounts, Throttle throttle) {
        this.classes = classes;
        this.accounts = accounts;
        this.throttle = throttle;
    }

    @PostMapping("/api/join")
    Joined join(@Valid @RequestBody Join form, HttpServletRequest request, HttpServletResponse response) {
        throttle.count("join " + request.getRemoteAddr() + form.displayName(), request.getRemoteAddr());
        Person person = classes.join(form.code(), form.displayName(), form.secret());
        accounts.signIn(person, request, response);
        return new Joined(person.userName());
    }

    @GetMapping("/api/classes")
    List<ClassView> mine(@AuthenticationPrincipal Person me) {
        var own = classes.ofTeacher(me.id());
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
