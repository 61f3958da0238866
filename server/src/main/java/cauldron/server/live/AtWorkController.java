package cauldron.server.live;

import cauldron.core.Tree;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.bench.RunNow;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
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

/** A student at work: asks for help, reads notes, hears when the class is to look up. A teacher follows by the same. */
@RestController
@RequestMapping("/api/works/{workId}")
class AtWorkController {

    /**
     * Help that is asked for.
     *
     * @param block   the question it is about; empty where it is about none
     * @param reading whether it is about what was read off last
     */
    record NewCall(@NotBlank(message = "Say in which part you are") @Size(max = 60) String part,
                   @NotNull @Size(max = 60) String block,
                   @NotNull Boolean reading,
                   @NotNull @Size(max = 300, message = "At most 300 characters") String words) {
    }

    /**
     * How the student's bench stands.
     *
     * @param recipe what is on it, with all that was done so far
     * @param time   the moment shown, in model seconds
     * @param pace   model seconds that go by in a second; 0 where it rests
     */
    record BenchNow(@NotNull @Size(max = 60) String block, @NotNull Map<String, Object> recipe, @NotNull Double time,
                    @NotNull Double pace) {
    }

    private static final int LONGEST_PART = 60;

    private final LiveStreams streams;
    private final LiveWorks works;
    private final Presences presences;
    private final Helping helping;
    private final Assignments assignments;
    private final Followings followings;

    AtWorkController(LiveStreams streams, LiveWorks works, Presences presences, Helping helping,
            Assignments assignments, Followings followings) {
        this.streams = streams;
        this.works = works;
        this.presences = presences;
        this.helping = helping;
        this.assignments = assignments;
        this.followings = followings;
    }

    /** A proxy that gathers what it passes on would keep events back. */
    static void unbuffered(HttpServletResponse response) {
        response.setHeader("X-Accel-Buffering", "no");
    }

    private LiveWorks.Heard heard(UUID workId, Person me) {
        Assignments.Opened opened = assignments.open(workId, me);
        if (opened.assignment().classId() == null) {
            throw Problems.notFound("class");
        }
        return new LiveWorks.Heard(workId, opened.assignment().id(), opened.assignment().classId(), opened.sheet(),
                !opened.own());
    }

    /** What concerns this work now. */
    @GetMapping("/now")
    WorkNow now(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        LiveWorks.Heard heard = heard(workId, me);
        return works.now(List.of(heard)).get(heard);
    }

    /**
     * The same as it goes on, as server-sent events. While a student listens, they count as here.
     *
     * @param part the part that is looked at
     */
    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(@PathVariable UUID workId, @RequestParam(defaultValue = "") String part,
            @AuthenticationPrincipal Person me, HttpServletResponse response) {
        LiveWorks.Heard heard = heard(workId, me);
        if (part.length() > LONGEST_PART) {
            throw Problems.invalid("part", "Part: at most " + LONGEST_PART + " characters.");
        }
        unbuffered(response);
        return streams.hear(me.id(), heard, part);
    }

    /** A student's page is still there; it says so four times a minute. */
    @PostMapping("/here")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void here(@PathVariable UUID workId, @RequestParam(defaultValue = "") String part,
            @AuthenticationPrincipal Person me) {
        // Most listen to this very server, which knows them: that takes no statement.
        if (!streams.here(me.id(), workId)) {
            LiveWorks.Heard heard = heard(workId, me);
            if (!heard.followed() && part.length() <= LONGEST_PART) {
                presences.tell(Map.of(workId, part));
            }
        }
    }

    /** How the bench stands, for the teacher who follows. Nothing is kept where nobody does. */
    @PostMapping("/bench")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bench(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody BenchNow form) {
        LiveWorks.Heard heard = heard(workId, me);
        if (heard.followed()) {
            throw Problems.notFound("work");
        }
        if (!(heard.sheet().block(form.block()) instanceof BenchBlock bench)) {
            throw Problems.invalid("block", "The lab has no bench “" + form.block() + "”.");
        }
        try {
            followings.write(workId, form.block(), RunNow.read(bench, Tree.of("recipe", form.recipe(), "time",
                    form.time(), "pace", form.pace())));
        } catch (IllegalArgumentException e) {
            throw Problems.invalid("recipe", e.getMessage());
        }
    }

    @PostMapping("/calls")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void ask(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody NewCall form) {
        helping.ask(workId, me, form.part(), form.block(), form.reading(), form.words());
    }

    @DeleteMapping("/calls")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable UUID workId, @AuthenticationPrincipal Person me) {
        helping.takeBack(workId, me);
    }

    @PostMapping("/notes/{noteId}/read")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void read(@PathVariable UUID workId, @PathVariable UUID noteId, @AuthenticationPrincipal Person me) {
        helping.read(workId, me, noteId);
    }
}
