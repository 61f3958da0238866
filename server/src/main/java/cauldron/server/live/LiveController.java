package cauldron.server.live;

import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** A teacher and a class at work. */
@RestController
@RequestMapping("/api/teaching")
class LiveController {

    /**
     * What is written to students at work.
     *
     * @param works to whom; empty for all who have the lab
     * @param words may be empty where only calls for help are answered, by word of mouth
     */
    record NewNote(@NotNull @Size(max = 400, message = "At most 400 students are written to at once")
                   List<@NotNull UUID> works,
                   @NotNull @Size(max = 1000, message = "A note has at most 1000 characters") String words) {
    }

    /** What a class that pauses is told. */
    record NewPause(@NotNull @Size(max = 200, message = "At most 200 characters") String words) {
    }

    private static final int MOST_MINUTES = 60;

    private final LiveClasses classes;
    private final LiveStreams streams;
    private final Helping helping;
    private final Pauses pauses;
    private final Assignments assignments;

    LiveController(LiveClasses classes, LiveStreams streams, Helping helping, Pauses pauses, Assignments assignments) {
        this.classes = classes;
        this.streams = streams;
        this.helping = helping;
        this.pauses = pauses;
        this.assignments = assignments;
    }

    private static double quiet(int minutes) {
        if (minutes < 1 || minutes > MOST_MINUTES) {
            throw Problems.invalid("quiet", "Quiet: 1 to " + MOST_MINUTES + " minutes.");
        }
        return minutes;
    }

    /** A class at work as it stands now. */
    @GetMapping("/assignments/{id}/now")
    Seen.LiveClass now(@PathVariable UUID id, @RequestParam(defaultValue = "5") int quiet,
            @AuthenticationPrincipal Person me) {
        return classes.look(id, me.id()).with(quiet(quiet));
    }

    /** The same as it goes on: server-sent events, each of the same form with the lines that changed. */
    @GetMapping(path = "/assignments/{id}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(@PathVariable UUID id, @RequestParam(defaultValue = "5") int quiet,
            @AuthenticationPrincipal Person me, HttpServletResponse response) {
        assignments.ownedBy(id, me.id());
        AtWorkController.unbuffered(response);
        return streams.watch(me.id(), id, quiet(quiet));
    }

    @PostMapping("/assignments/{id}/notes")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void write(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody NewNote form) {
        helping.write(id, me, Set.copyOf(form.works()), form.words());
    }

    /** All of a class look up. */
    @PostMapping("/classes/{id}/pause")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pause(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody NewPause form) {
        pauses.begin(id, me, form.words());
    }

    /** They go on. */
    @DeleteMapping("/classes/{id}/pause")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void goOn(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        pauses.end(id, me);
    }
}
