package cauldron.server.classwork;

import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What a student reads after handing in: what the class as a whole found hard, and what comes next. */
@RestController
class AfterwardsController {

    /** A lab that waits to be done. */
    record NextLab(@NotNull UUID assignmentId, @NotNull String title, Instant dueAt) {
    }

    /**
     * After handing in.
     *
     * @param hard at most three sentences about the class, without names; empty while the work can still be changed, or
     *             points aren't shown
     * @param next what is due first of what isn't handed in; null where nothing is
     */
    record Afterwards(@NotNull List<String> hard, NextLab next) {
    }

    private final Assignments assignments;
    private final Classes classes;
    private final ClassWorks works;
    private final Clock clock;

    AfterwardsController(Assignments assignments, Classes classes, ClassWorks works, Clock clock) {
        this.assignments = assignments;
        this.classes = classes;
        this.works = works;
        this.clock = clock;
    }

    @GetMapping("/api/works/{workId}/afterwards")
    Afterwards afterwards(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        Assignments.Opened opened = assignments.open(workId, me);
        if (!opened.own() || opened.assignment().classId() == null) {
            throw Problems.notFound("work");
        }
        Assignments.AssignmentInfo a = opened.assignment();
        // What was met by others may be a hint: it is told to those alone who can't change theirs any more.
        boolean over = opened.work().submittedAt() != null && a.showsPoints() && !a.terms().takesBack(clock.instant());
        return new Afterwards(over ? ClassWorks.toTalkAbout(assignments.sheet(a), works.standings(a, works.works(a))
                .values()) : List.of(), next(me));
    }

    private NextLab next(Person me) {
        Instant now = clock.instant();
        Set<UUID> in = assignments.worksOf(me.id()).stream().filter(w -> w.submittedAt() != null)
                .map(Assignments.WorkInfo::assignmentId).collect(Collectors.toSet());
        Map<UUID, Classes.ClassInfo> own = classes.byId(classes.ofStudent(me.id()));
        own.values().removeIf(Classes.ClassInfo::archived);
        return assignments.ofStudent(me.id(), own.keySet()).stream()
                .filter(a -> !in.contains(a.id()) && !a.terms().waits(now) && !a.closed(null, now))
                .min(Comparator.comparing(Assignments.AssignmentInfo::dueAt,
                        Comparator.nullsLast(Comparator.naturalOrder())))
                .map(a -> new NextLab(a.id(), assignments.sheet(a).title(), a.dueAt())).orElse(null);
    }
}
