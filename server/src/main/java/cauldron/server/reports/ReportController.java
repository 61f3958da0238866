package cauldron.server.reports;

import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.marking.Marking;
import cauldron.server.platform.Desk;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.print.PdfPrinter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jsoup.nodes.Document;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.json.JsonMapper;

/** A report of a work, for its student and for the teacher of the class. */
@RestController
class ReportController {

    private static final int LARGEST_PICTURE = 4_000_000;

    /**
     * A graph or sketch as the page drew it.
     *
     * @param png   base64
     * @param words what was found on it, such as the equations of fits
     */
    record Picture(@NotBlank String block, @NotNull @Size(max = LARGEST_PICTURE) String png, @NotNull @Size(max = 500) String alt,
                   @NotNull @Size(max = 500) String caption, @NotNull @Size(max = 40) List<@NotNull @Size(max = 500) String> words) {
    }

    /** What the page adds to what is kept: pictures, and the zone in which times are told. */
    record Asked(@NotBlank @Size(max = 60) String zone, @NotNull @Size(max = 60) List<@NotNull @Valid Picture> pictures) {
    }

    private final Desk desk;
    private final Assignments assignments;
    private final Marking marking;
    private final Accounts accounts;
    private final cauldron.server.labs.Pictures ofLabs;
    private final Clock clock;

    ReportController(Assignments assignments, Marking marking, Accounts accounts, cauldron.server.labs.Pictures ofLabs,
            JsonMapper json, Clock clock) {
        this.ofLabs = ofLabs;
        this.desk = new Desk("reports", json);
        this.assignments = assignments;
        this.marking = marking;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** The answer is lines of JSON, as a {@link Desk} writes them; the last holds the PDF in base64. */
    @PostMapping(path = "/api/works/{workId}/report", produces = MediaType.APPLICATION_NDJSON_VALUE)
    ResponseEntity<StreamingResponseBody> report(@PathVariable UUID workId, @AuthenticationPrincipal Person me, @Valid @RequestBody Asked asked) {
        Assignments.Opened opened = assignments.open(workId, me);
        ZoneId zone;
        try {
            zone = ZoneId.of(asked.zone());
        } catch (DateTimeException e) {
            throw Problems.invalid("zone", "Zone: “" + asked.zone() + "” is no time zone.");
        }
        Map<String, Report.Picture> pictures = new LinkedHashMap<>();
        for (Picture p : asked.pictures()) {
            if (!pictures.containsKey(p.block()) && opened.sheet().block(p.block()) == null) {
                throw Problems.invalid("pictures", "Pictures: this lab has no block “" + p.block() + "”.");
            }
            pictures.put(p.block(), new Report.Picture(png(p.png()), p.alt(), p.caption(), p.words()));
        }
        UUID student = opened.work().studentId();
        String name = accounts.people(Set.of(student)).get(student).displayName();
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_NDJSON).body(desk.take(() -> {
            Document page = new Report(opened, shown(opened), name, pictures, zone, clock.instant())
                    .document();
            ofLabs.putInto(page);
            return Map.of("pdf", PdfPrinter.print(page));
        }));
    }

    /** As the one who asks may see it. */
    private Marking.Standing shown(Assignments.Opened opened) {
        Marking.Standing standing = marking.standing(opened);
        return opened.own() && !opened.assignment().showsPoints() ? standing.withoutMarks() : standing;
    }

    /** Lets nothing through but a picture of a size that can be printed. */
    private static byte[] png(String base64) {
        byte[] bytes;
        try {
            bytes = Base64.getDecoder().decode(base64);
        } catch (IllegalArgumentException e) {
            throw Problems.invalid("pictures", "Pictures: one is not in base64.");
        }
        if (!Pictures.isPng(bytes)) {
            throw Problems.invalid("pictures", "Pictures: each must be a PNG of at most " + Pictures.MOST_ACROSS + " by "
                    + Pictures.MOST_ACROSS + " picture elements.");
        }
        return bytes;
    }
}
