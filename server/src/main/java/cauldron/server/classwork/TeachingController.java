package cauldron.server.classwork;

import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.assignments.Terms;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a teacher sees of their classes, and of the work in them. */
@RestController
@RequestMapping("/api/teaching")
public class TeachingController {

    record GivenLab(@NotNull UUID id, @NotNull String title, Instant openAt, Instant dueAt, @NotNull Integer students,
                    @NotNull Integer started, @NotNull Integer submitted, @NotNull Integer toMark) {
    }

    record TaughtClass(@NotNull UUID id, @NotNull String name, @NotNull String code, @NotNull Integer students,
                       @NotNull Boolean joinable, @NotNull Boolean archived, @NotNull List<GivenLab> labs) {
    }

    /**
     * One line of the class list.
     *
     * @param state   not-started, working or submitted
     * @param of      all points of the version that is worked on
     * @param dueAt   where this student has more time than the others
     * @param earlier whether an earlier version of the lab is worked on than others would begin now
     */
    record StudentLine(@NotNull UUID studentId, @NotNull String name, @NotNull String userName, UUID workId,
                       @NotNull String state, String part, @NotNull Double points, @NotNull Double of,
                       @NotNull Boolean toMark, @NotNull Boolean late, Instant lastEntry, Instant submittedAt,
                       Instant dueAt, @NotNull Boolean earlier) {
    }

    record ClassList(@NotNull UUID id, @NotNull String title, @NotNull UUID classId, @NotNull String className,
                     @NotNull String code, Instant openAt, Instant dueAt, @NotNull Terms.LateRule lateRule,
                     @NotNull Boolean again, Integer tries, @NotNull Boolean together,
                     @NotNull Boolean pointsShown, @NotNull Boolean newer,
                     @NotNull List<StudentLine> students) {
    }

    private final Classes classes;
    private final Assignments assignments;
    private final Standings standings;
    private final Accounts accounts;
    private final Clock clock;

    TeachingController(Classes classes, Assignments assignments, Standings standings, Accounts accounts, Clock clock) {
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
        Map<UUID, Assignments.AssignmentInfo> byId = new LinkedHashMap<>();
        given.forEach(a -> byId.put(a.id(), a));
        List<Assignments.WorkInfo> works = assignments.worksOn(byId.keySet());
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        works.forEach(w -> sheets.put(w.id(), assignments.sheet(byId.get(w.assignmentId()), w)));
        Map<UUID, Standings.Standing> stands = standings.of(sheets);
        List<TaughtClass> list = new ArrayList<>();
        for (Classes.ClassInfo c : own) {
            List<GivenLab> labs = new ArrayList<>();
            for (Assignments.AssignmentInfo a : given) {
                if (a.classId().equals(c.id())) {
                    List<Assignments.WorkInfo> on = works.stream().filter(w -> w.assignmentId().equals(a.id())).toList();
                    List<Assignments.WorkInfo> in = on.stream().filter(w -> w.submittedAt() != null).toList();
                    int all = a.onlyStudent() == null ? students.getOrDefault(c.id(), Set.of()).size() : 1;
                    labs.add(new GivenLab(a.id(), assignments.sheet(a).title(), a.terms().openAt(), a.dueAt(), all,
                            on.size(), in.size(),
                            (int) in.stream().filter(w -> stands.get(w.id()).unmarked()).count()));
                }
            }
            list.add(new TaughtClass(c.id(), c.name(), c.code(), students.getOrDefault(c.id(), Set.of()).size(),
                    c.joinable(), c.archived(), labs));
        }
        return list;
    }

    @GetMapping("/assignments/{id}")
    ClassList classList(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        Assignments.AssignmentInfo a = assignments.ownedBy(id, me.id());
        Classes.ClassInfo c = classes.ownedBy(a.classId(), me.id());
        List<Assignments.WorkInfo> works = assignments.worksOn(Set.of(id));
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        works.forEach(w -> sheets.put(w.id(), assignments.sheet(a, w)));
        Map<UUID, Standings.Standing> stands = standings.of(sheets);
        Map<UUID, Assignments.WorkInfo> workOf = new LinkedHashMap<>();
        works.forEach(w -> workOf.put(w.studentId(), w));
        Map<UUID, Instant> more = assignments.extensions(id);
        Sheet now = assignments.sheet(a);
        List<StudentLine> lines = accounts.people(classes.students(Set.of(c.id())).getOrDefault(c.id(), Set.of()))
                .values().stream().filter(p -> a.isFor(p.id())).map(p -> {
                    Assignments.WorkInfo work = workOf.get(p.id());
                    return line(p, a, work, work == null ? now : sheets.get(work.id()),
                            work == null ? null : stands.get(work.id()), more.get(p.id()));
                }).sorted(Comparator.comparing(StudentLine::name)).toList();
        return new ClassList(id, now.title(), c.id(), c.name(), c.code(), a.terms().openAt(), a.dueAt(),
                a.terms().lateRule(), a.terms().again(), a.terms().tries(), a.terms().together(),
                a.showsPoints(), assignments.hasNewer(a, me.id()), lines);
    }

    private StudentLine line(Person p, Assignments.AssignmentInfo a, Assignments.WorkInfo work, Sheet sheet,
            Standings.Standing s, Instant until) {
        Assignments.AssignmentInfo theirs = a.extended(until);
        if (work == null) {
            return new StudentLine(p.id(), p.displayName(), p.userName(), null, "not-started", null, 0.0,
                    sheet.points(),
                    false, theirs.terms().late(clock.instant()), null, null, until, false);
        }
        boolean in = work.submittedAt() != null;
        Sheet.Part at = s.at(sheet);
        return new StudentLine(p.id(), p.displayName(), p.userName(), work.id(), in ? "submitted" : "working",
                at == null ? "all done" : at.title(), s.points(), sheet.points(), in && s.unmarked(),
                theirs.late(work, clock.instant()), s.lastEntry(), work.submittedAt(), until,
                !work.labVersionId().equals(a.labVersionId()));
    }
}
