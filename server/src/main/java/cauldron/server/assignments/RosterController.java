package cauldron.server.assignments;

import cauldron.server.accounts.Accounts;
import cauldron.server.accounts.WaysIn;
import cauldron.server.acts.Acts;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.print.Slips;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A class's roster, for its teacher: who is in it, how they sign in, and what the class is called. */
@RestController
@RequestMapping("/api/classes/{classId}")
public class RosterController {

    record Student(@NotNull UUID id, @NotNull String userName, @NotNull String displayName, @NotNull Instant joinedAt,
                   Instant leftAt, @NotNull Boolean hasSecret, @NotNull Boolean active) {
    }

    record Roster(@NotNull UUID id, @NotNull String name, @NotNull String code, @NotNull Boolean joinable,
                  @NotNull Boolean archived, @NotNull List<Student> students) {
    }

    record Rename(@NotNull(message = "Give the class a name") String name) {
    }

    record Joining(@NotNull(message = "Say whether students can join") Boolean open) {
    }

    record Over(@NotNull(message = "Say whether the class is over") Boolean archived) {
    }

    record Into(@NotNull(message = "Choose a class") UUID classId) {
    }

    record CodeView(@NotNull String userName, @NotNull String displayName, @NotNull String code,
                    @NotNull Instant expiresAt) {
    }

    /**
     * Slips to print.
     *
     * @param students whose; none: everybody's
     * @param codes    whether each bears a one-time code to choose a secret with
     */
    record SlipsForm(@NotNull @Size(max = 1000) List<@NotNull UUID> students, @NotNull Boolean codes) {
    }

    private final Classes classes;
    private final Moving moving;
    private final Accounts accounts;
    private final WaysIn waysIn;
    private final Acts acts;

    RosterController(Classes classes, Moving moving, Accounts accounts, WaysIn waysIn, Acts acts) {
        this.classes = classes;
        this.moving = moving;
        this.accounts = accounts;
        this.waysIn = waysIn;
        this.acts = acts;
    }

    @GetMapping("/roster")
    Roster roster(@PathVariable UUID classId, @AuthenticationPrincipal Person me) {
        return view(classes.ownedBy(classId, me.id()));
    }

    private Roster view(Classes.ClassInfo c) {
        List<Classes.Member> members = classes.members(c.id());
        Map<UUID, Accounts.Listed> people = accounts.listed(members.stream().map(Classes.Member::studentId).toList());
        List<Student> students = members.stream().map(m -> {
            Accounts.Listed l = people.get(m.studentId());
            return new Student(m.studentId(), l.person().userName(), l.person().displayName(), m.joinedAt(), m.leftAt(),
                    l.hasSecret(), l.active());
        }).sorted(Comparator.comparing(Student::displayName)).toList();
        return new Roster(c.id(), c.name(), c.code(), c.joinable(), c.archived(), students);
    }

    @PostMapping("/name")
    @Transactional
    public Roster rename(@PathVariable UUID classId, @AuthenticationPrincipal Person me, @Valid @RequestBody Rename form) {
        String before = classes.ownedBy(classId, me.id()).name();
        Classes.ClassInfo c = classes.rename(classId, me.id(), form.name());
        acts.keep(me, "renamed the class " + before + " to", c.name());
        return view(c);
    }

    @PostMapping("/code")
    @Transactional
    public Roster newCode(@PathVariable UUID classId, @AuthenticationPrincipal Person me) {
        Classes.ClassInfo c = classes.newCode(classId, me.id());
        acts.keep(me, "gave a new code to the class", c.name());
        return view(c);
    }

    @PostMapping("/joining")
    @Transactional
    public Roster joining(@PathVariable UUID classId, @AuthenticationPrincipal Person me, @Valid @RequestBody Joining form) {
        Classes.ClassInfo c = classes.joinable(classId, me.id(), form.open());
        acts.keep(me, form.open() ? "opened joining of the class" : "closed joining of the class", c.name());
        return view(c);
    }

    @PostMapping("/archive")
    @Transactional
    public Roster archive(@PathVariable UUID classId, @AuthenticationPrincipal Person me, @Valid @RequestBody Over form) {
        Classes.ClassInfo c = classes.archive(classId, me.id(), form.archived());
        acts.keep(me, form.archived() ? "archived the class" : "took up again the class", c.name());
        return view(c);
    }

    /** Takes a student's secret away and gives a one-time code in its place. */
    @PostMapping("/students/{studentId}/reset")
    @Transactional
    public CodeView reset(@PathVariable UUID classId, @PathVariable UUID studentId, @AuthenticationPrincipal Person me) {
        present(classId, studentId, me);
        Person person = accounts.voidSecret(studentId);
        WaysIn.Fresh fresh = waysIn.make(studentId);
        acts.keep(me, "reset the secret of", told(person));
        return new CodeView(person.userName(), person.displayName(), fresh.code(), fresh.expiresAt());
    }

    /** Takes a student out; what they did is kept. */
    @PostMapping("/students/{studentId}/out")
    @Transactional
    public Roster out(@PathVariable UUID classId, @PathVariable UUID studentId, @AuthenticationPrincipal Person me) {
        Classes.ClassInfo c = classes.ownedBy(classId, me.id());
        classes.member(classId, studentId, false);
        acts.keep(me, "took out of the class " + c.name(), told(studentId));
        return view(c);
    }

    /** Takes a student back in. */
    @PostMapping("/students/{studentId}/back")
    @Transactional
    public Roster back(@PathVariable UUID classId, @PathVariable UUID studentId, @AuthenticationPrincipal Person me) {
        Classes.ClassInfo c = classes.ownedBy(classId, me.id());
        classes.member(classId, studentId, true);
        acts.keep(me, "took back into the class " + c.name(), told(studentId));
        return view(c);
    }

    /** Moves a student, with the work, to another class of the same teacher. */
    @PostMapping("/students/{studentId}/move")
    @Transactional
    public Roster move(@PathVariable UUID classId, @PathVariable UUID studentId, @AuthenticationPrincipal Person me,
            @Valid @RequestBody Into form) {
        Classes.ClassInfo from = present(classId, studentId, me);
        Classes.ClassInfo to = classes.ownedBy(form.classId(), me.id());
        if (to.id().equals(from.id())) {
            throw Problems.invalid("classId", "Class: the student is in this one already.");
        }
        classes.add(to.id(), studentId);
        moving.move(studentId, from.id(), to.id());
        classes.member(classId, studentId, false);
        acts.keep(me, "moved from " + from.name() + " to " + to.name(), told(studentId));
        return view(from);
    }

    /** Sign-in slips, eight a page. */
    @PostMapping(path = "/slips", produces = MediaType.APPLICATION_PDF_VALUE)
    @Transactional
    public ResponseEntity<byte[]> slips(@PathVariable UUID classId, @AuthenticationPrincipal Person me,
            @Valid @RequestBody SlipsForm form, HttpServletRequest request) {
        Classes.ClassInfo c = classes.ownedBy(classId, me.id());
        List<Slips.Slip> slips = new ArrayList<>();
        for (Student s : view(c).students()) {
            if (s.leftAt() == null && (form.students().isEmpty() || form.students().contains(s.id()))) {
                slips.add(new Slips.Slip(s.displayName(), s.userName(), form.codes() ? waysIn.make(s.id()).code() : null));
                if (form.codes()) {
                    acts.keep(me, "printed a one-time code for", s.displayName() + " (" + s.userName() + ")");
                }
            }
        }
        if (slips.isEmpty()) {
            throw Problems.invalid("students", "Slips: there is no student to print one for.");
        }
        String address = ServletUriComponentsBuilder.fromContextPath(request).build().toUriString();
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(Slips.print(c.name(), address, slips));
    }

    private Classes.ClassInfo present(UUID classId, UUID studentId, Person me) {
        Classes.ClassInfo c = classes.ownedBy(classId, me.id());
        if (!classes.isMember(classId, studentId)) {
            throw Problems.notFound("student");
        }
        return c;
    }

    private String told(UUID student) {
        return told(accounts.people(List.of(student)).get(student));
    }

    private static String told(Person person) {
        return person.displayName() + " (" + person.userName() + ")";
    }
}
