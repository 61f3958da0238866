package cauldron.server.labs;

import cauldron.core.block.Block;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.films.MadeUp;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.marking.AnswerKey;
import cauldron.core.marking.TypicalAnswers;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.NotebookReader;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** What recordings and questions of a lab that is being written would be for students who don't exist. */
@RestController
class MadeUpController {

    record PersonalValue(@NotNull String what, @NotNull String value) {
    }

    record MadeUpStudent(@NotNull String name, @NotNull List<@NotNull PersonalValue> values) {
    }

    record TypicalAnswer(@NotNull String why, @NotNull String number, @NotNull String unit, @NotNull Boolean right,
                         @NotNull String feedback) {
    }

    /**
     * @param right    what is right; null where nothing is asked
     * @param assumed  whether that is only taken to be right, as it follows from a student's own work
     * @param students with their values, and for a question with what is right for each
     * @param warnings what in the ranges makes a question unanswerable
     * @param answers  what the question says to answers that are often given
     */
    record MadeUpView(String right, @NotNull Boolean assumed, @NotNull List<@NotNull MadeUpStudent> students,
            @NotNull List<@NotNull String> warnings,
                      @NotNull List<@NotNull TypicalAnswer> answers) {
    }

    /** One recording of a made-up student, by its place from 0 on, through a view. */
    record MadeUpFilm(@NotNull @Min(0) @Max(MadeUp.STUDENTS - 1) Integer student, @NotNull Map<String, Object> chosen,
                      @NotNull @Size(max = 60) String view) {
    }

    private static final int FIGURES = 4;

    private final Drafts drafts;
    private final JsonMapper json;

    MadeUpController(Drafts drafts, JsonMapper json) {
        this.drafts = drafts;
        this.json = json;
    }

    /** A recording as a made-up student would have it, as {@link FilmBytes} tells. */
    @PostMapping(path = "/api/drafts/{labId}/made-up/{blockId}/film",
            produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    byte[] film(@PathVariable UUID labId, @PathVariable String blockId, @AuthenticationPrincipal Person me,
            @Valid @RequestBody MadeUpFilm form) {
        if (!(drafts.sound(labId, me).block(blockId) instanceof FilmsBlock films)) {
            throw Problems.notFound("recording");
        }
        FilmPlan plan = films.plan();
        if (!plan.views().contains(form.view())) {
            throw Problems.notFound("view");
        }
        try {
            return FilmBytes.of(Inventory.shoot(plan.recipe(form.chosen(), MadeUp.seed(form.student()), 1), form.view(),
                    plan.rate(), plan.seconds()), json);
        } catch (IllegalArgumentException e) {
            throw Problems.invalid("chosen", e.getMessage() + ".");
        }
    }

    @GetMapping("/api/drafts/{labId}/made-up/{blockId}")
    MadeUpView one(@PathVariable UUID labId, @PathVariable String blockId, @AuthenticationPrincipal Person me) {
        Sheet sheet = drafts.sound(labId, me);
        Block block = sheet.block(blockId);
        if (block instanceof FilmsBlock films) {
            return new MadeUpView(null, false, students(films), MadeUp.warnings(films), List.of());
        }
        if (block instanceof NumberBlock question) {
            return question(question, sheet);
        }
        throw Problems.notFound("block");
    }

    private static List<MadeUpStudent> students(FilmsBlock films) {
        List<MadeUpStudent> students = new ArrayList<>();
        for (MadeUp.Student s : MadeUp.students(films)) {
            students.add(new MadeUpStudent(name(students.size()), s.values().stream()
                    .map(v -> new PersonalValue(v.what(), print(v.value(), v.unit()))).toList()));
        }
        return students;
    }

    private static MadeUpView question(NumberBlock question, Sheet sheet) {
        Progress nothing = new Progress(sheet, new NotebookReader(sheet).slots(), Map.of());
        AnswerKey key = question.key();
        List<MadeUpStudent> students = new ArrayList<>();
        for (int i = 0; key.own() != null && i < MadeUp.STUDENTS; i++) {
            AnswerKey theirs = nothing.key(question, MadeUp.seed(i));
            students.add(new MadeUpStudent(name(i), List.of(new PersonalValue("Right is",
                    print(theirs.value(), theirs.unit().symbol())))));
        }
        AnswerKey asked = key.own() == null ? key : nothing.key(question, MadeUp.seed(0));
        boolean known = !Double.isNaN(asked.value());
        String right = print(known ? asked.value() : TypicalAnswers.ASSUMED, asked.unit().symbol());
        return new MadeUpView(right, !known, students, List.of(), TypicalAnswers.to(asked).stream().map(a ->
                new TypicalAnswer(a.why(),
                a.number(), a.unit(), a.result().right(), a.result().feedback())).toList());
    }

    private static String name(int student) {
        return "Student " + (char) ('A' + student);
    }

    private static String print(double value, String unit) {
        return (Numbers.print(value, FIGURES) + " " + unit).strip();
    }
}
