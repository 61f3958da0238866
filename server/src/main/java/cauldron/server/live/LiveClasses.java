package cauldron.server.live;

import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.classwork.Standings;
import cauldron.server.platform.Person;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** How classes at work stand, many at once in few queries. */
@Service
class LiveClasses {

    /** Who is in a class, and what it was given, changes seldom. */
    private static final Duration ROSTER = Duration.ofSeconds(5);

    /** A lab of a class that somebody looks at, with what needn't be asked for every second. */
    static final class Watched {

        private final UUID assignment;
        private final UUID teacher;
        private Assignments.AssignmentInfo info;
        private Classes.ClassInfo of;
        private List<Person> people = List.of();
        private Instant readAt = Instant.MIN;

        Watched(UUID assignment, UUID teacher) {
            this.assignment = assignment;
            this.teacher = teacher;
        }

        UUID assignment() {
            return assignment;
        }
    }

    private final Assignments assignments;
    private final Classes classes;
    private final Accounts accounts;
    private final Standings standings;
    private final Presences presences;
    private final Pauses pauses;
    private final Helping helping;
    private final Clock clock;

    LiveClasses(Assignments assignments, Classes classes, Accounts accounts, Standings standings, Presences presences,
            Pauses pauses, Helping helping, Clock clock) {
        this.assignments = assignments;
        this.classes = classes;
        this.accounts = accounts;
        this.standings = standings;
        this.presences = presences;
        this.pauses = pauses;
        this.helping = helping;
        this.clock = clock;
    }

    /** Reads who is in the class; throws what stands in the way of somebody who may not look any more. */
    private void roster(Watched watched, Instant now) {
        if (Duration.between(watched.readAt, now).compareTo(ROSTER) < 0) {
            return;
        }
        watched.info = assignments.ownedBy(watched.assignment, watched.teacher);
        watched.of = classes.ownedBy(watched.info.classId(), watched.teacher);
        Set<UUID> students = classes.students(Set.of(watched.of.id())).getOrDefault(watched.of.id(), Set.of());
        watched.people = accounts.people(students).values().stream().filter(p -> watched.info.isFor(p.id()))
                .sorted(Comparator.comparing(Person::displayName)).toList();
        watched.readAt = now;
    }

    /** One class as it stands now. */
    public Seen.Moment look(UUID assignment, UUID teacher) {
        Watched watched = new Watched(assignment, teacher);
        roster(watched, clock.instant());
        return look(List.of(watched), new Standings.Memory()).get(watched);
    }

    /**
     * Several classes as they stand now.
     *
     * @param gone takes in those that can't be looked at any more
     */
    public Map<Watched, Seen.Moment> look(Collection<Watched> several, Standings.Memory memory, List<Watched> gone) {
        Instant now = clock.instant();
        List<Watched> there = new ArrayList<>();
        for (Watched watched : several) {
            try {
                roster(watched, now);
                there.add(watched);
            } catch (org.springframework.web.ErrorResponseException e) {
                gone.add(watched);
            }
        }
        return look(there, memory);
    }

    private Map<Watched, Seen.Moment> look(List<Watched> several, Standings.Memory memory) {
        Map<UUID, Map<UUID, Assignments.WorkInfo>> worksOn = new LinkedHashMap<>();
        assignments.worksOn(several.stream().map(Watched::assignment).collect(Collectors.toSet()))
                .forEach(w -> worksOn.computeIfAbsent(w.assignmentId(), a -> new LinkedHashMap<>())
                        .put(w.studentId(), w));
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        for (Watched watched : several) {
            Map<UUID, Assignments.WorkInfo> works = worksOn.getOrDefault(watched.assignment, Map.of());
            watched.people.stream().map(p -> works.get(p.id())).filter(w -> w != null)
                    .forEach(w -> sheets.put(w.id(), assignments.sheet(watched.info, w)));
        }
        Map<UUID, Standings.Standing> stands = standings.of(sheets, memory);
        memory.onlyOf(sheets.keySet());
        Map<UUID, Presences.Here> here = presences.of(sheets.keySet());
        Map<UUID, Helping.Call> calls = helping.calls(sheets.keySet());
        Map<UUID, Pauses.Pause> paused = pauses.of(several.stream().map(w -> w.of.id()).toList());
        Instant now = clock.instant();
        Map<Watched, Seen.Moment> moments = new LinkedHashMap<>();
        for (Watched watched : several) {
            Map<UUID, Assignments.WorkInfo> works = worksOn.getOrDefault(watched.assignment, Map.of());
            List<Seen.LiveLine> lines = new ArrayList<>();
            Map<UUID, Instant> since = new LinkedHashMap<>();
            for (Person p : watched.people) {
                Assignments.WorkInfo work = works.get(p.id());
                if (work == null) {
                    lines.add(new Seen.LiveLine(p.id(), p.displayName(), null, "not-started", false, "", 0, "", null, 0,
                            0.0, false, List.of(), null));
                    continue;
                }
                Presences.Here is = here.get(work.id());
                if (is != null) {
                    since.put(work.id(), is.since());
                }
                lines.add(line(p, work, sheets.get(work.id()), stands.get(work.id()), is, calls.get(work.id())));
            }
            Sheet sheet = assignments.sheet(watched.info);
            moments.put(watched, new Seen.Moment(new Seen.LiveClass(watched.assignment, sheet.title(), watched.of.id(),
                    watched.of.name(), watched.of.code(), sheet.parts().stream().map(Sheet.Part::title).toList(),
                    sheet.points(), Seen.PauseView.of(paused.get(watched.of.id())), true, lines), since, now));
        }
        return moments;
    }

    private static Seen.LiveLine line(Person p, Assignments.WorkInfo work, Sheet sheet, Standings.Standing s,
            Presences.Here is, Helping.Call call) {
        boolean in = work.submittedAt() != null;
        Sheet.Part at = s.at(sheet);
        String looked = is == null ? "" : sheet.parts().stream().filter(part -> part.id().equals(is.part()))
                .map(Sheet.Part::title).findFirst().orElse("");
        return new Seen.LiveLine(p.id(), p.displayName(), work.id(), in ? "submitted" : "working", is != null,
                !looked.isEmpty() ? looked : at == null ? "" : at.title(),
                s.part() == null ? sheet.parts().size() : s.part(), s.reading(), s.lastDeed(), s.tries(), s.points(),
                in && s.unmarked(), in ? List.of() : s.signs(),
                call == null ? null : new Seen.CallView(call.about(sheet), call.words(), call.askedAt()));
    }
}
