package cauldron.server.guides;

import cauldron.server.platform.Person;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Guides over HTTP: to each person those of their role. */
@RestController
class GuideController {

    private final Guides guides = new Guides();

    @GetMapping("/api/guides")
    List<Guides.Guide> guides(@AuthenticationPrincipal Person person) {
        return guides.of(person.role());
    }
}
