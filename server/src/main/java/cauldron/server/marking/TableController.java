package cauldron.server.marking;

import cauldron.core.reference.CellCheck;
import cauldron.core.reference.FitCheck;
import cauldron.core.reference.Judgement;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A student's table held against what the apparatus showed: for the teacher who marks it. */
@RestController
@RequestMapping("/api/works/{workId}/tables/{block}/judgement")
class TableController {

    /**
     * A value.
     *
     * @param truth     what the apparatus showed, as it would be typed there; empty where that isn't known
     * @param divisions how many divisions of the scale it is off; null where that has no meaning
     * @param unlooked  whether it was typed with no trial before the eyes
     */
    record CellView(@NotNull String row, @NotNull String column, @NotNull String verdict, @NotNull Boolean fault,
                    @NotNull String truth, Double divisions, @NotNull Boolean unlooked, @NotNull String words) {
    }

    /** What a column works out; {@code column} is empty for what nothing works out. */
    record WorkedView(@NotNull String column, @NotNull String symbol, @NotNull String expected,
            @NotNull Boolean follows,
                      @NotNull String words) {
    }

    record ParameterView(@NotNull String name, @NotNull String own, @NotNull String truth, @NotNull String off) {
    }

    record FittedView(@NotNull String graph, @NotNull String equation, @NotNull List<ParameterView> parameters,
                      @NotNull String trouble) {
    }

    /**
     * A table judged.
     *
     * @param words the whole in a sentence
     * @param held  whether the lab says what it is held against
     */
    record JudgementView(@NotNull Boolean held, @NotNull String words, @NotNull List<CellView> cells,
                         @NotNull List<WorkedView> worked, @NotNull List<FittedView> fits) {
    }

    private final TableMarks tables;
    private final Marking marking;
    private final History history;
    private final Assignments assignments;

    TableController(TableMarks tables, Marking marking, History history, Assignments assignments) {
        this.tables = tables;
        this.marking = marking;
        this.history = history;
        this.assignments = assignments;
    }

    /**
     * The table as it stands.
     *
     * @param handIn a time it was handed in, as the history names it
     */
    @GetMapping
    JudgementView judgement(@PathVariable UUID workId, @PathVariable String block,
            @RequestParam(required = false) UUID handIn, @AuthenticationPrincipal Person me) {
        Assignments.Opened opened = assignments.open(workId, me);
        if (opened.own()) {
            // What the apparatus showed is what students are to find out.
            throw Problems.notFound("table");
        }
        Marking.Standing standing = handIn == null ? marking.standing(opened)
                : marking.standing(opened, history.seqOf(workId, handIn));
        Judgement found = tables.of(opened, standing, block);
        return new JudgementView(!found.cells().isEmpty() || !found.worked().isEmpty(), found.words(),
                found.cells().stream().map(TableController::view).toList(),
                found.worked().stream().filter(w -> !w.expected().isEmpty() || !w.words().isEmpty())
                        .map(w -> new WorkedView(w.column(), w.symbol(), w.expected(), w.follows(), w.words()))
                        .toList(),
                found.fits().stream().map(TableController::view).toList());
    }

    private static CellView view(CellCheck c) {
        return new CellView(c.row(), c.column(), c.verdict().word(), c.verdict().isFault(), c.truth(),
                known(c.divisions()),
                c.unlooked(), c.words());
    }

    private static FittedView view(FitCheck.Fitted f) {
        return new FittedView(f.graph(), f.equation(),
                f.parameters().stream().map(p -> new ParameterView(p.name(), p.own(), p.truth(), p.words())).toList(),
                f.trouble());
    }

    private static Double known(double value) {
        return Double.isNaN(value) || Double.isInfinite(value) ? null : (Double) value;
    }
}
