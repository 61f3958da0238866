package cauldron.server.labs;

import cauldron.core.block.Block;
import cauldron.core.block.number.KeyWords;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.marking.AnswerKey;
import cauldron.core.sheet.Sheet;
import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The catalogue for teachers. */
@RestController
@RequestMapping("/api/labs")
class LabController {

    record LabView(@NotNull UUID id, @NotNull String title, @NotNull String summary, @NotNull Integer minutes,
                   @NotNull String apparatus, @NotNull Double points, @NotNull List<@NotNull String> ways) {
    }

    /** A slip that a shipped lab with an apparatus knows, in words; one of factor and outcome. */
    record KnownSlip(Double factor, String outcome, @NotNull String words, @NotNull String hint,
                     @NotNull String question) {
    }

    record LabPreview(@NotNull LabView lab, @NotNull Map<String, Object> sheet) {
    }

    private final Labs labs;

    LabController(Labs labs) {
        this.labs = labs;
    }

    @GetMapping
    List<LabView> all() {
        return labs.shipped().stream().map(LabController::view).toList();
    }

    /** Slips that are known with an apparatus, for keys of one's own. */
    @GetMapping("/slips/{apparatus}")
    List<KnownSlip> slips(@PathVariable String apparatus) {
        List<KnownSlip> known = new ArrayList<>();
        for (Labs.LabInfo lab : labs.shipped()) {
            for (Sheet.Part part : lab.sheet().parts()) {
                for (Block block : part.blocks()) {
                    if (lab.sheet().apparatus().equals(apparatus) && block instanceof NumberBlock asked) {
                        asked.key().slips().forEach(s -> known.add(slip(s, asked, lab.sheet())));
                    }
                }
            }
        }
        return known;
    }

    private static KnownSlip slip(AnswerKey.Slip slip, NumberBlock asked, Sheet sheet) {
        boolean told = !slip.outcome().isEmpty();
        return new KnownSlip(told ? null : (Double) slip.factor(), told ? slip.outcome() : null,
                KeyWords.slip(slip, asked.key(), sheet), slip.hint(), asked.prompt());
    }

    /** A lab as a student sees it. */
    @GetMapping("/{id}")
    LabPreview one(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        Labs.LabInfo lab = labs.newest(id, me.id());
        return new LabPreview(view(lab), Shown.toStudents(lab.sheet()));
    }

    private static LabView view(Labs.LabInfo lab) {
        return new LabView(lab.id(), lab.sheet().title(), lab.sheet().summary(), lab.sheet().minutes(),
                lab.sheet().apparatus(), lab.sheet().points(),
                lab.sheet().ways().stream().map(way -> way.name().toLowerCase()).toList());
    }
}
