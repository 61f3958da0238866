package cauldron.server.labs;

import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
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
