package cauldron.server.reports;

import cauldron.server.assignments.Assignments;
import cauldron.server.marking.Marking;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;

/** What a report says, before it is set on pages. */
public final class ReportText {

    private ReportText() {
    }

    /** Its lines, of whatever sort. */
    public static List<String> of(Assignments.Opened opened, Marking.Standing standing) {
        return new Report(opened, standing, "Somebody", Map.of(), ZoneOffset.UTC, Instant.EPOCH).document().body().getAllElements().stream()
                .map(Element::ownText).map(String::strip).filter(t -> !t.isEmpty()).toList();
    }
}
