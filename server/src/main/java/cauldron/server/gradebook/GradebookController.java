package cauldron.server.gradebook;

import cauldron.core.marking.Grades;
import cauldron.core.quantity.Numbers;
import cauldron.server.platform.Person;
import cauldron.server.spreadsheets.TableFile;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gradebooks, for teachers to read, weigh and save, and for students to read their own line. */
@RestController
class GradebookController {

    private static final String WEIGHT = "Weight: 0 to 1000";

    record CategoryView(@NotNull UUID id, @NotNull String name, @NotNull Double weight) {
    }

    record GradedLab(@NotNull UUID assignmentId, @NotNull String title, Instant dueAt, @NotNull Double of,
            UUID category,
                     Double median) {
    }

    /**
     * A student's lab.
     *
     * @param percent of its points; null where there are none
     */
    record GradeCell(UUID workId, @NotNull Grades.State state, Double points, Double percent, @NotNull Boolean late,
                     @NotNull Boolean missing, @NotNull Boolean excused, @NotNull Boolean waiting) {
    }

    /** A cell is null where the lab isn't for this student. */
    record GradeLine(@NotNull UUID id, @NotNull String name, @NotNull String userName, @NotNull List<GradeCell> cells,
                     Double percent) {
    }

    record GradebookView(@NotNull UUID id, @NotNull String name, @NotNull List<GradedLab> labs,
                         @NotNull List<CategoryView> categories, @NotNull List<GradeLine> students) {

        static GradebookView of(Gradebook book) {
            List<GradeLine> lines = new ArrayList<>();
            for (Gradebook.Line l : book.students()) {
                List<GradeCell> cells = new ArrayList<>();
                for (int i = 0; i < l.cells().size(); i++) {
                    Gradebook.Cell c = l.cells().get(i);
                    cells.add(c == null ? null : new GradeCell(c.workId(), c.state(), c.points(),
                            c.points() == null ? null
                            : Grades.percent(c.points(), book.labs().get(i).of()), c.late(), c.missing(), c.excused(),
                            c.waiting()));
                }
                lines.add(new GradeLine(l.id(), l.name(), l.userName(), cells, l.percent()));
            }
            return new GradebookView(book.id(), book.name(), book.labs().stream()
                    .map(c -> new GradedLab(c.assignmentId(),
                    c.title(), c.dueAt(), c.of(), c.category(), c.median())).toList(),
                    book.categories().stream().map(k -> new CategoryView(k.id(), k.name(), k.weight())).toList(),
                    lines);
        }
    }

    record NewCategory(@NotNull UUID id,
                       @NotBlank(message = "Name: a category needs one")
                       @Size(max = 40, message = "Name: at most 40 characters") String name,
                       @NotNull(message = WEIGHT) @DecimalMin(value = "0", message = WEIGHT)
                       @DecimalMax(value = "1000", message = WEIGHT) Double weight) {
    }

    record LabIn(@NotNull UUID assignmentId, @NotNull UUID category) {
    }

    record Weights(@NotNull @Valid @Size(max = 20, message = "At most 20 categories")
                   List<@NotNull NewCategory> categories,
                   @NotNull @Valid @Size(max = 500, message = "At most 500 labs") List<@NotNull LabIn> labs) {
    }

    record Excuse(@NotNull UUID studentId, @NotNull Boolean excused) {
    }

    private final Gradebooks gradebooks;

    GradebookController(Gradebooks gradebooks) {
        this.gradebooks = gradebooks;
    }

    @GetMapping("/api/teaching/classes/{id}/gradebook")
    GradebookView read(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        return GradebookView.of(gradebooks.of(id, me));
    }

    /** A student's own line, class by class. */
    @GetMapping("/api/points")
    List<GradebookView> mine(@AuthenticationPrincipal Person me) {
        return gradebooks.ofStudent(me).stream().map(GradebookView::of).toList();
    }

    @PostMapping("/api/teaching/classes/{id}/categories")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void weigh(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody Weights form) {
        Map<UUID, UUID> labs = new LinkedHashMap<>();
        form.labs().forEach(l -> labs.put(l.assignmentId(), l.category()));
        gradebooks.weigh(id, me, form.categories().stream().map(c -> new Gradebooks.Wanted(c.id(), c.name(),
                c.weight()))
                .toList(), labs);
    }

    @PostMapping("/api/teaching/assignments/{id}/excused")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void excuse(@PathVariable UUID id, @AuthenticationPrincipal Person me, @Valid @RequestBody Excuse form) {
        gradebooks.excuse(id, me, form.studentId(), form.excused());
    }

    /** The gradebook as a file: CSV, ODS or XLSX, in points or, of each lab, in per cent. */
    @GetMapping("/api/teaching/classes/{id}/gradebook/{format}")
    ResponseEntity<byte[]> save(@PathVariable UUID id, @PathVariable String format,
            @RequestParam(defaultValue = "false") boolean percent,
            @AuthenticationPrincipal Person me) throws IOException {
        Gradebook book = gradebooks.of(id, me);
        List<String> headings = new ArrayList<>(List.of("Student", "User name"));
        book.labs().forEach(l -> headings.add(l.title() + (percent ? " (%)" : " (of "
                + Numbers.printShort(l.of()) + ")")));
        headings.add("Total (%)");
        List<List<Object>> rows = new ArrayList<>();
        for (Gradebook.Line line : book.students()) {
            List<Object> row = new ArrayList<>(List.of(line.name(), line.userName()));
            for (int i = 0; i < line.cells().size(); i++) {
                row.add(written(line.cells().get(i), percent, book.labs().get(i).of()));
            }
            row.add(line.percent());
            rows.add(row);
        }
        return TableFile.of(format, book.name(), headings, rows);
    }

    /** What stands in a cell of a file: a number where there is one, else why there is none. */
    private static Object written(Gradebook.Cell cell, boolean percent, double of) {
        if (cell == null || cell.excused()) {
            return cell == null ? null : "excused";
        }
        if (cell.missing()) {
            return "missing";
        }
        return switch (cell.state()) {
            case NOT_STARTED, WORKING -> null;
            case SUBMITTED, RETURNED -> percent ? Grades.percent(cell.points(), of) : cell.points();
        };
    }
}
