package cauldron.server.classwork;

import cauldron.server.accounts.Accounts;
import cauldron.server.labs.OwnLabs;
import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Labs that teachers of the school put there for each other, to be read and copied. */
@RestController
class ShelfController {

    /** A lab on the shelf; {@code own} where the one who looks put it there. */
    record ShelfView(@NotNull UUID id, @NotNull String title, @NotNull String summary, @NotNull Integer minutes,
                     @NotNull String apparatus, @NotNull Double points, @NotNull String owner, @NotNull Boolean own) {
    }

    private final OwnLabs labs;
    private final Accounts accounts;

    ShelfController(OwnLabs labs, Accounts accounts) {
        this.labs = labs;
        this.accounts = accounts;
    }

    @GetMapping("/api/shelf")
    List<ShelfView> shelf(@AuthenticationPrincipal Person me) {
        List<OwnLabs.OnShelf> all = labs.shelf(me);
        Map<UUID, Person> owners = accounts.people(all.stream().map(OwnLabs.OnShelf::owner).distinct().toList());
        return all.stream().map(l -> new ShelfView(l.id(), l.sheet().title(), l.sheet().summary(), l.sheet().minutes(),
                l.sheet().apparatus(), l.sheet().points(), owners.get(l.owner()).displayName(), l.own())).toList();
    }
}
