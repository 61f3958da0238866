package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What docs/ says to people who use Cauldron they read inside it, each what is for them. */
@ExtendWith(ServerExtension.class)
class GuidesTest {

    private static Iterable<String> ids(JsonNode guides) {
        return StreamSupport.stream(guides.spliterator(), false).map(g -> g.get("id").asString()).toList();
    }

    @Test
    void aTeacherReadsTheTeachersGuideFirstInSections() {
        JsonNode guides = Visitor.signedIn("ines").json("/api/guides");
        assertThat(ids(guides)).containsExactly("for-teachers", "for-students", "notebook");
        JsonNode first = guides.get(0).get("sections").get(0);
        assertThat(first.get("id").asString()).isEqualTo("show-apparatus");
        assertThat(first.get("title").asString()).isEqualTo("Show apparatus");
        assertThat(first.get("html").asString()).contains("<strong>Run</strong>").doesNotContain("<h2>");
        assertThat(guides.get(2).toString()).as("tables are set as tables").contains("<table>");
    }

    @Test
    void aStudentAndTheAdministratorReadWhatIsTheirs() {
        Visitor student = Room.of("ines", "The lamp keeper's clock").student();
        assertThat(ids(student.json("/api/guides"))).containsExactly("for-students", "notebook");
        assertThat(ids(Visitor.signedIn("sigrun").json("/api/guides"))).startsWith("running").contains("for-teachers");
        assertThat(new Visitor().get("/api/guides").statusCode()).isEqualTo(401);
    }
}
