package cauldron.server.classwork;

import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.acts.Acts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a teacher sees of their classes, and giving labs to them. */
@RestController
@RequestMapping("/api/teaching")
public class TeachingController {

    record GivenLab(@NotNull UUID id, @NotNull String title, Instant dueAt, @NotNull Integer students,
                    @NotNull Integer started, @NotNull Integer submitted, @NotNull Integer toMark) {
    }

    record TaughtClass(@NotNull UUID id, @NotNull String name, @NotNull String code, @NotNull Integer students,
                       @NotNull Boolean joinable, @NotNull Boolean archived, @NotNull List<GivenLab> labs) {
    }

    /** Without a rule, work after the due time counts as late. */
    record Give(@NotNull(message = "Choose a class") UUID classId, @NotNull UUID labId, Instant dueAt,
                Assignments.LateRule lateRule) {
    }

    record Due(Instant dueAt, @NotNull(message = "Choose what happens after the due time") Assignments.LateRule lateRule) {
    }

    record Given(@NotNull UUID id) {
    }

    /** One line of the class list. State is not-started, working or submitted. */
    record StudentLine(@NotNull UUID studentId, @NotNull String name, @NotNull String userName, UUID workId,
                       @NotNull String state, String part, @NotNull Double points, @NotNull Boolean toMark,
                       @NotNull Boolean late, Instant lastEntry, Instant submittedAt) {
    }

    record ClassList(@NotNull UUID id, @NotNull String title, @NotNull UUID classId, @NotNull String className,
                     @NotNull String code, @NotNull Double points, Instant dueAt, @NotNull Assignments.LateRule lateRule, @NotNull List<StudentLine> students) {
    }

    private static final Duration FARTHEST = Duration.ofDays(36_500);

    private final Acts acts;
    private final Classes classes;
    private final Assignments assignments;
    private final Standings standings;
    private final Accounts accounts;
    private final Clock clock;

    TeachingController(Classes classes, Assignments assignments, Standings standings, Accounts accounts, Acts acts,
            Clock clock) {
        this.acts = acts;
        this.classes = classes;
        this.assignments = assignments;
        this.standings = standings;
        this.accounts = accounts;
        this.clock = clock;
    }

    @GetMapping("/classes")
    List<TaughtClass> overview(@AuthenticationPrincipal Person me) {
        List<Classes.ClassInfo> own = classes.ofTeacher(me.id());
        List<UUID> ids = own.stream().map(Classes.ClassInfo::id).toList();
        Map<UUID, Set<UUID>> students = classes.students(ids);
        List<Assignments.AssignmentInfo> given = assignments.ofClasses(ids);
        Map<UUID, Sheet> sheets = sheets(given);
        List<Assignments.WorkInfo> works = assignments.worksOn(sheets.keySet());
        Map<UUID, Standings.Standing> stands = standings.of(works, sheets);
        List<TaughtClass> list = new ArrayList<>();
        for (Classes.ClassInfo c : own) {
            List<GivenLab> labs = new ArrayList<>();
            for (Assignments.AssignmentInfo a : given) {
                if (a.classId().equals(c.id())) {
                    List<Assignments.WorkInfo> on = works.stream().filter(w -> w.assignmentId().equals(a.id())).toList();
                    List<Assignments.WorkInfo> in = on.stream().filter(w -> w.submittedAt() != null).toList();
                    int all = a.onlyStudent() == null ? students.getOrDefault(c.id(), Set.of()).size() : 1;
                    labs.add(new GivenLab(a.id(), sheets.get(a.id()).title(), a.dueAt(), all, on.size(), in.size(),
                            (int) in.stream().filter(w -> stands.get(w.id()).unmarked()).count()));
                }
            }
            list.add(new TaughtClass(c.id(), c.name(), c.code(), students.getOrDefault(c.id(), Set.of()).size(),
                    c.joinable(), c.archived(), labs));
        }
        return list;
    }

    @PostMapping("/assignments")
    Given give(@AuthenticationPrincipal Person me, @Valid @RequestBody Give form) {
        return new Given(assignments.give(me.id(), form.classId(), form.labId(), due(form.dueAt()),
                form.lateRule() == null ? Assignments.LateRule.MARKED : form.lateRule()).id());
    }

    /** Another due time; one that lies in the past ends the work now. */
    @PostMapping("/assignments/{id}/due")
    @Transactional
    public void due(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody Due form) {
        Assignments.AssignmentInfo a = assignments.due(me.id(), id, bounded(form.dueAt()), form.lateRule());
        acts.keep(me, "changed the due time of", title(a));
    }

    @DeleteMapping("/assignments/{id}")
    @Transactional
    public void remove(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        acts.keep(me, "took away", title(assignments.remove(me.id(), id)));
    }

    private String title(Assignments.AssignmentInfo a) {
        return assignments.sheet(a).title() + ", " + classes.byId(Set.of(a.classId())).get(a.classId()).name();
    }

    private Instant due(Instant at) {
        if (at != null && at.isBefore(clock.instant())) {
            throw Problems.invalid("dueAt", "The due time lies in the past.");
        }
        return bounded(at);
    }

    private Instant bounded(Instant at) {
        if (at != null && (at.isAfter(clock.instant().plus(FARTHEST)) || at.isBefore(clock.instant().minus(FARTHEST)))) {
            throw Problems.invalid("dueAt", "Due time: at most a hundred years from now.");
        }
        return at;
    }

    @GetMapping("/assignments/{id}")
    ClassList classList(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        Assignments.AssignmentInfo a = assignments.ownedBy(id, me.id());
        Classes.ClassInfo c = classes.ownedBy(a.classId(), me.id());
        Sheet sheet = assignments.sheet(a);
        List<Assignments.WorkInfo> works = assignments.worksOn(Set.of(id));
        Map<UUID, Standings.Standing> stands = standings.of(works, Map.of(id, sheet));
        Map<UUID, Assignments.WorkInfo> workOf = new LinkedHashMap<>();
        works.forEach(w -> workOf.put(w.studentId(), w));
        List<StudentLine> lines = accounts.people(classes.students(Set.of(c.id())).getOrDefault(c.id(), Set.of()))
                .values().stream().filter(p -> a.isFor(p.id())).map(p -> line(p, a, workOf.get(p.id()), sheet, stands))
                .sorted(Comparator.comparing(StudentLine::name)).toList();
        return new ClassList(id, sheet.title(), c.id(), c.name(), c.code(), sheet.points(), a.dueAt(), a.lateRule(), lines);
    }

    private StudentLine line(Person p, Assignments.AssignmentInfo a, Assignments.WorkInfo work, Sheet sheet, Map<UUID, Standings.Standing> stands) {
        if (work == null) {
            return new StudentLine(p.id(), p.displayName(), p.userName(), null, "not-started", null, 0.0, false, false,
                    null, null);
        }
        Standings.Standing s = stands.get(work.id());
        boolean in = work.submittedAt() != null;
        Sheet.Part at = s.at(sheet);
        return new StudentLine(p.id(), p.displayName(), p.userName(), work.id(), in ? "submitted" : "working",
                at == null ? "all done" : at.title(), s.points(), in && s.unmarked(), a.late(work, clock.instant()), s.lastEntry(), work.submittedAt());
    }

    private Map<UUID, Sheet> sheets(List<Assignments.AssignmentInfo> given) {
        Map<UUID, Sheet> map = new LinkedHashMap<>();
        given.forEach(a -> map.put(a.id(), assignments.sheet(a)));
        return map;
    }
}
