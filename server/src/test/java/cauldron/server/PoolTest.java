package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The made-up school's tables in one graph. */
@ExtendWith(ServerExtension.class)
class PoolTest {

    private final Visitor ines = Visitor.signedIn("ines");

    private String lab(String schoolClass, String title) {
        for (JsonNode c : ines.json("/api/teaching/classes")) {
            for (JsonNode lab : c.get("labs")) {
                if (c.get("name").asString().equals(schoolClass) && lab.get("title").asString().equals(title)) {
                    return "/api/teaching/assignments/" + lab.get("id").asString() + "/pool";
                }
            }
        }
        throw new AssertionError(title);
    }

    private static String in(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** Every student's cords have lengths of their own, and gravity is the same for all: so is the gradient. */
    @Test
    void theGradientsOfAClassLieAboutWhatGravityGives() {
        JsonNode pool = ines.json(lab("Physics 11", "The lamp keeper's clock"));
        assertThat(pool.at("/along/formula").asString()).isEqualTo("L");
        assertThat(pool.at("/up/name").asString()).isEqualTo("period squared");
        assertThat(pool.at("/up/unit").asString()).isEqualTo("s²");
        assertThat(pool.get("series").size()).isGreaterThan(9);
        JsonNode gradient = pool.at("/constants/0");
        assertThat(gradient.get("meaning").asString()).isEqualTo("gradient");
        assertThat(gradient.get("unit").asString()).isEqualTo("s²/cm");
        JsonNode all = gradient.at("/spreads/0");
        assertThat(all.get("count").asInt()).isGreaterThan(9);
        // 4π²/g at sea level; a few of the made-up students count half swings, so the middle one is asked for.
        assertThat(all.get("median").asDouble()).isCloseTo(4 * Math.PI * Math.PI / 980.665, within(4e-4));
        assertThat(pool.get("equation").asString()).contains("s²/cm");
        assertThat(pool.get("curveX").size()).isEqualTo(pool.get("curveY").size()).isEqualTo(60);
    }

    @Test
    void rowsThatShareAChoiceAreOneGroup() {
        JsonNode pool = ines.json(lab("Physics 11", "What the ferry's propeller can push") + "?table=pulls&along="
                + in("2*s/t^2") + "&up=" + in("F_2-F_1") + "&by=throttle&kind=none");
        assertThat(pool.at("/along/name").asString()).isEqualTo("acceleration");
        Set<String> groups = new TreeSet<>();
        pool.get("series").forEach(s -> groups.add(s.get("group").asString()));
        assertThat(groups).contains("60 %", "100 %").doesNotContain("");
        assertThat(pool.get("constants")).isEmpty();
        assertThat(pool.at("/up/unit").asString()).isEqualTo("N");
    }

    @Test
    void whatCantBeWorkedOutNamesItsField() {
        String path = lab("Physics 11", "The lamp keeper's clock");
        HttpResponse<String> answer = ines.get(path + "?up=" + in("t/x"));
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(answer).get("field").asString()).isEqualTo("up");
        assertThat(ines.get(path + "?kind=spline").statusCode()).isEqualTo(400);
        assertThat(ines.get(path + "?along=" + "L".repeat(2001)).statusCode()).isEqualTo(400);
        assertThat(ines.json(path + "?table=nothing").get("table").asString()).as("the first").isEqualTo("readings");
    }

    @Test
    void anotherTeachersClassAndStudentsGetNothing() {
        String path = lab("Physics 11", "The lamp keeper's clock");
        assertThat(Visitor.signedIn("tobiah").get(path).statusCode()).isEqualTo(404);
        assertThat(Visitor.signedIn("aino.brekke").get(path).statusCode()).isEqualTo(403);
        assertThat(new Visitor().get(path).statusCode()).isEqualTo(401);
    }
}
