package cauldron.server.classwork;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Method;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.Date;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * When a class's labs open and are due, as a calendar (iCalendar, RFC 5545). Calendars can't sign in: whoever has the
 * address reads it, and a new address takes the old one's place. It tells titles and times, and nobody's name.
 */
@RestController
class CalendarController {

    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");

    record CalendarAsked(@NotNull Boolean anew) {
    }

    /** Where the calendar is, after the server's own address. */
    record CalendarAt(@NotNull String path) {
    }

    private final Classes classes;
    private final Assignments assignments;
    private final Clock clock;

    CalendarController(Classes classes, Assignments assignments, Clock clock) {
        this.classes = classes;
        this.assignments = assignments;
        this.clock = clock;
    }

    @PostMapping("/api/classes/{classId}/calendar")
    CalendarAt address(@PathVariable UUID classId, @AuthenticationPrincipal Person me,
            @Valid @RequestBody CalendarAsked form) {
        return new CalendarAt("/calendar/" + classes.calendarKey(classId, me.id(), form.anew()) + ".ics");
    }

    @GetMapping(path = "/calendar/{key}.ics", produces = "text/calendar;charset=UTF-8")
    ResponseEntity<String> calendar(@PathVariable String key) {
        Classes.ClassInfo of = classes.byCalendarKey(key).filter(c -> !c.archived())
                .orElseThrow(() -> Problems.notFound("calendar"));
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Cauldron//Labs//EN");
        calendar.setMethod(Method.publish());
        calendar.setName(of.name());
        for (Assignments.AssignmentInfo a : assignments.ofClasses(Set.of(of.id()))) {
            // What one student alone has is nobody else's business.
            if (a.onlyStudent() == null) {
                String title = assignments.sheet(a).title();
                add(calendar, a.id() + "-open", title + " opens", a.terms().openAt());
                add(calendar, a.id() + "-due", title + " is due", a.dueAt());
            }
        }
        return ResponseEntity.ok().contentType(CALENDAR).body(Biweekly.write(calendar).go());
    }

    private void add(ICalendar calendar, String uid, String what, Instant at) {
        if (at == null) {
            return;
        }
        VEvent event = new VEvent();
        event.setUid(uid);
        event.setDateTimeStamp(Date.from(clock.instant()));
        event.setDateStart(Date.from(at));
        event.setDateEnd(Date.from(at));
        event.setSummary(what);
        calendar.addEvent(event);
    }
}
