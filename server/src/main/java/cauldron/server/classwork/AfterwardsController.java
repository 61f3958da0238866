package cauldron.server.classwork;

import cauldron.core.block.Block;
import cauldron.core.marking.HowItWent;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.marking.Marking;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
    private final Marking marking;
    private final Clock clock;

    AfterwardsController(Assignments assignments, Classes classes, Marking marking, Clock clock) {
        this.assignments = assignments;
        this.classes = classes;
        this.marking = marking;
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
        return new Afterwards(over ? hard(a) : List.of(), next(me));
    }

    private List<String> hard(Assignments.AssignmentInfo a) {
        Set<UUID> students = classes.students(Set.of(a.classId())).getOrDefault(a.classId(), Set.of());
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        assignments.worksOn(Set.of(a.id())).stream().filter(w -> students.contains(w.studentId()))
                .forEach(w -> sheets.put(w.id(), assignments.sheet(a, w)));
        Map<UUID, Marking.Standing> stands = marking.standings(sheets);
        List<HowItWent.Asked> asked = new ArrayList<>();
        for (Sheet.Part part : assignments.sheet(a).parts()) {
            for (Block block : part.blocks()) {
                if (block.points() > 0 && !block.isMarkedByHand()) {
                    asked.add(new HowItWent.Asked(block.prompt(), HowItWent.of(stands.values().stream()
                            .map(s -> s.tried().get(block.id())).filter(Objects::nonNull).map(t -> t.all().stream()
                                    .map(one -> new HowItWent.Found(one.verdict(), one.feedback())).toList()).toList())));
                }
            }
        }
        return HowItWent.toTalkAbout(asked);
    }

    private NextLab next(Person me) {
        Instant now = clock.instant();
        Set<UUID> in = assignments.worksOf(me.id()).stream().filter(w -> w.submittedAt() != null)
                .map(Assignments.WorkInfo::assignmentId).collect(Collectors.toSet());
        Map<UUID, Classes.ClassInfo> own = classes.byId(classes.ofStudent(me.id()));
        own.values().removeIf(Classes.ClassInfo::archived);
        return assignments.ofStudent(me.id(), own.keySet()).stream()
                .filter(a -> !in.contains(a.id()) && !a.terms().waits(now) && !a.closed(null, now))
                .min(Comparator.comparing(Assignments.AssignmentInfo::dueAt, Comparator.nullsLast(Comparator.naturalOrder())))
                .map(a -> new NextLab(a.id(), assignments.sheet(a).title(), a.dueAt())).orElse(null);
    }
}
