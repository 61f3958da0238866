package cauldron.server.classwork;

import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A student's labs. */
@RestController
@RequestMapping("/api/assigned")
class AssignedController {

    record AssignedLab(@NotNull UUID id, @NotNull String title, @NotNull String summary, @NotNull Integer minutes,
                       @NotNull String className, Instant dueAt, @NotNull String state, String part,
                       @NotNull Double points, @NotNull Double of, @NotNull Boolean marked,
                       @NotNull Boolean late, @NotNull Boolean closed) {
    }

    record Begun(@NotNull UUID workId) {
    }

    private final Classes classes;
    private final Assignments assignments;
    private final Standings standings;
    private final Clock clock;

    AssignedController(Classes classes, Assignments assignments, Standings standings, Clock clock) {
        this.classes = classes;
        this.assignments = assignments;
        this.standings = standings;
        this.clock = clock;
    }

    @GetMapping
    List<AssignedLab> mine(@AuthenticationPrincipal Person me) {
        Map<UUID, Classes.ClassInfo> own = classes.byId(classes.ofStudent(me.id()));
        own.values().removeIf(Classes.ClassInfo::archived);
        List<Assignments.AssignmentInfo> given = assignments.ofClasses(own.keySet()).stream()
                .filter(a -> a.isFor(me.id())).toList();
        Instant now = clock.instant();
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        given.forEach(a -> sheets.put(a.id(), assignments.sheet(a)));
        Map<UUID, Assignments.WorkInfo> workOn = new LinkedHashMap<>();
        assignments.worksOf(me.id()).stream().filter(w -> sheets.containsKey(w.assignmentId()))
                .forEach(w -> workOn.put(w.assignmentId(), w));
        Map<UUID, Standings.Standing> stands = standings.of(workOn.values(), sheets);
        List<AssignedLab> list = new ArrayList<>();
        for (Assignments.AssignmentInfo a : given) {
            Sheet sheet = sheets.get(a.id());
            Assignments.WorkInfo work = workOn.get(a.id());
            Standings.Standing s = work == null ? null : stands.get(work.id());
            Sheet.Part at = s == null ? sheet.parts().get(0) : s.at(sheet);
            list.add(new AssignedLab(a.id(), sheet.title(), sheet.summary(), sheet.minutes(),
                    own.get(a.classId()).name(), a.dueAt(),
                    work == null ? "not-started" : work.submittedAt() == null ? "working" : "submitted",
                    at == null ? null : at.title(), s == null ? 0 : s.points(), sheet.points(),
                    s != null && !s.unmarked(), work != null && a.late(work, now),
                    (work == null || work.submittedAt() == null) && a.closed(work == null ? null : work.reopenedAt(), now)));
        }
        return list;
    }

    /** Opens the student's work on a lab, beginning it if need be. */
    @PostMapping("/{assignmentId}/work")
    Begun begin(@PathVariable UUID assignmentId, @AuthenticationPrincipal Person me) {
        return new Begun(assignments.begin(assignmentId, me.id()).id());
    }
}
