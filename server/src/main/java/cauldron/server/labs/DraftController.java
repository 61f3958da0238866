package cauldron.server.labs;

import cauldron.core.form.Fault;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Labs that a teacher writes. */
@RestController
@RequestMapping("/api/drafts")
class DraftController {

    record OwnView(@NotNull UUID id, @NotNull String title, @NotNull Instant changedAt, @NotNull Integer version,
                   @NotNull String folder, @NotNull Boolean shared) {
    }

    /** A copy of a lab, or one begun anew with an apparatus. */
    record Beginning(UUID labId, @Size(max = 60) String apparatus) {
    }

    record BegunLab(@NotNull UUID id) {
    }

    /** What is wrong and where; the place is empty where it is wrong as a whole. */
    record FaultView(@NotNull String place, @NotNull String what) {
    }

    record DraftView(@NotNull Integer number, @NotNull Integer version, @NotNull Boolean changed,
                     @NotNull Map<String, Object> sheet, @NotNull List<@NotNull String> models,
                     @NotNull List<@NotNull FaultView> faults,
                     Map<String, Object> shown) {
    }

    record Saving(@NotNull Map<String, Object> sheet, @NotNull Integer seen) {
    }

    record StateView(@NotNull Integer number, @NotNull Instant savedAt) {
    }

    record Back(@NotNull Integer number) {
    }

    private final Drafts drafts;

    DraftController(Drafts drafts) {
        this.drafts = drafts;
    }

    @GetMapping
    List<OwnView> own(@AuthenticationPrincipal Person me) {
        return drafts.own(me).stream().map(o -> new OwnView(o.id(), o.title(), o.changedAt(), o.version(), o.folder(),
                o.shared())).toList();
    }

    /** Begins a lab as a copy of another, or anew with an apparatus. */
    @PostMapping
    BegunLab begin(@AuthenticationPrincipal Person me, @Valid @RequestBody Beginning form) {
        if ((form.labId() == null) == (form.apparatus() == null)) {
            throw Problems.invalid("labId", "Either a lab to copy or an apparatus is needed.");
        }
        return new BegunLab(form.labId() != null ? drafts.copy(form.labId(), me) : drafts.begin(form.apparatus(), me));
    }

    @GetMapping("/{labId}")
    DraftView one(@PathVariable UUID labId, @AuthenticationPrincipal Person me) {
        return view(drafts.open(labId, me));
    }

    /** Keeps a further state. */
    @PutMapping("/{labId}")
    DraftView save(@PathVariable UUID labId, @AuthenticationPrincipal Person me, @Valid @RequestBody Saving form) {
        return view(drafts.save(labId, me, form.sheet(), form.seen()));
    }

    @GetMapping("/{labId}/states")
    List<StateView> states(@PathVariable UUID labId, @AuthenticationPrincipal Person me) {
        return drafts.states(labId, me).stream().map(s -> new StateView(s.number(), s.savedAt())).toList();
    }

    /** Goes back to a state. */
    @PostMapping("/{labId}/back")
    DraftView back(@PathVariable UUID labId, @AuthenticationPrincipal Person me, @Valid @RequestBody Back form) {
        return view(drafts.back(labId, me, form.number()));
    }

    /** Makes the newest state a version that can be given. */
    @PostMapping("/{labId}/versions")
    DraftView publish(@PathVariable UUID labId, @AuthenticationPrincipal Person me) {
        return view(drafts.publish(labId, me));
    }

    private static DraftView view(Drafts.Open open) {
        return new DraftView(open.number(), open.version(), open.changed(), open.sheet(), open.models(),
                open.faults().stream().map(DraftController::view).toList(), open.shown());
    }

    private static FaultView view(Fault fault) {
        return new FaultView(fault.place(), fault.what());
    }
}
