package cauldron.server.accounts;

import cauldron.server.acts.Acts;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.platform.Words;
import cauldron.server.print.Slips;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Accounts, for the administrator: made, found, given a new way in, switched off and on. */
@RestController
@RequestMapping("/api/admin/people")
class AdminController {

    record PersonView(@NotNull UUID id, @NotNull String userName, @NotNull String displayName, @NotNull Person.Role role,
                      @NotNull Boolean active, @NotNull Boolean hasSecret, @NotNull Instant createdAt) {
    }

    /** A line of a list of new people; without a user name, one is made from the name. */
    record NewPerson(String displayName, String userName) {
    }

    record NewPeople(@NotNull(message = "Choose teacher or administrator") Person.Role role,
                     @NotEmpty(message = "Name at least one person")
                     @Size(max = 500, message = "At most 500 people at a time") List<NewPerson> people) {
    }

    /** What a line leads to: a user name, or what is wrong with it; once made, a one-time code. */
    record LineView(@NotNull String displayName, @NotNull String userName, String problem, String code) {
    }

    record CodeView(@NotNull String userName, @NotNull String displayName, @NotNull String code,
                    @NotNull Instant expiresAt) {
    }

    record Switch(@NotNull(message = "Say whether it is on") Boolean active) {
    }

    /** A slip to print: the code was shown once and isn't kept. */
    record SlipForm(@NotNull String displayName, @NotNull String userName, String code) {
    }

    record SlipsForm(@NotEmpty @Size(max = 500) List<@NotNull @Valid SlipForm> slips) {
    }

    private final Accounts accounts;
    private final WaysIn waysIn;
    private final Acts acts;

    AdminController(Accounts accounts, WaysIn waysIn, Acts acts) {
        this.accounts = accounts;
        this.waysIn = waysIn;
        this.acts = acts;
    }

    /** At most 200 people whose name holds a text. */
    @GetMapping
    List<PersonView> find(@RequestParam(defaultValue = "") @Size(max = 60) String text,
            @RequestParam(defaultValue = "true") boolean staff) {
        return accounts.search(text.replace("\0", ""), staff).stream().map(l -> new PersonView(l.person().id(),
                l.person().userName(), l.person().displayName(), l.person().role(), l.active(), l.hasSecret(),
                l.createdAt())).toList();
    }

    /** What a list of new people would lead to; nothing is made yet. */
    @PostMapping("/preview")
    List<LineView> preview(@Valid @RequestBody NewPeople form) {
        return read(form);
    }

    /** Makes accounts, all or, where a line is wrong, none. Each gets a one-time code to choose a secret with. */
    @PostMapping
    @Transactional
    public List<LineView> make(@AuthenticationPrincipal Person me, @Valid @RequestBody NewPeople form) {
        List<LineView> lines = read(form);
        lines.stream().filter(l -> l.problem() != null).findFirst().ifPresent(l -> {
            throw Problems.invalid("people", "“" + l.displayName() + "”: " + l.problem());
        });
        List<LineView> made = new ArrayList<>();
        for (LineView line : lines) {
            Person person = accounts.create(line.userName(), line.displayName(), form.role(), null);
            made.add(new LineView(person.displayName(), person.userName(), null, waysIn.make(person.id()).code()));
            acts.keep(me, "made the " + form.role().name().toLowerCase(java.util.Locale.ROOT) + " account", told(person));
        }
        return made;
    }

    private List<LineView> read(NewPeople form) {
        if (form.role() == Person.Role.STUDENT) {
            throw Problems.invalid("role", "Students join a class with its code.");
        }
        Set<String> taken = new LinkedHashSet<>();
        List<LineView> lines = new ArrayList<>();
        for (NewPerson line : form.people()) {
            String shown = line == null || line.displayName() == null ? "" : line.displayName();
            String wanted = line == null || line.userName() == null ? "" : line.userName();
            try {
                shown = Words.name("displayName", shown, "Name", Accounts.LONGEST_NAME);
                String name = accounts.userName(wanted);
                if (name != null && (accounts.exists(name) || taken.contains(name))) {
                    throw Problems.invalid("userName", "User name: “" + name + "” is taken.");
                }
                name = name == null ? accounts.suggest(shown, taken) : name;
                taken.add(name);
                lines.add(new LineView(shown, name, null, null));
            } catch (ErrorResponseException e) {
                lines.add(new LineView(shown, wanted, e.getBody().getDetail(), null));
            }
        }
        return lines;
    }

    /** Takes a secret away and gives a one-time code in its place. */
    @PostMapping("/{id}/reset")
    @Transactional
    public CodeView reset(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        Person person = accounts.voidSecret(id);
        WaysIn.Fresh fresh = waysIn.make(id);
        acts.keep(me, "reset the secret of", told(person));
        return new CodeView(person.userName(), person.displayName(), fresh.code(), fresh.expiresAt());
    }

    @PostMapping("/{id}/active")
    @Transactional
    public void switchTo(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody Switch form) {
        Person person = accounts.switchTo(id, form.active());
        acts.keep(me, form.active() ? "switched on the account of" : "switched off the account of", told(person));
    }

    /** Sign-in slips, eight a page. */
    @PostMapping(path = "/slips", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> slips(@Valid @RequestBody SlipsForm form, HttpServletRequest request) {
        String address = ServletUriComponentsBuilder.fromContextPath(request).build().toUriString();
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(Slips.print("Teachers", address,
                form.slips().stream().map(s -> new Slips.Slip(Words.name("displayName", s.displayName(), "Name",
                        Accounts.LONGEST_NAME), Words.name("userName", s.userName(), "User name", Accounts.LONGEST_NAME),
                        s.code() == null ? null : Words.name("code", s.code(), "Code", Accounts.LONGEST_NAME))).toList()));
    }

    private static String told(Person person) {
        return person.displayName() + " (" + person.userName() + ")";
    }
}
