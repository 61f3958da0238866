package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/** A table with five planted faults: whoever marks it is told each by its name, and sees how a value was read. */
class JudgedTest {

    private static final String ROWS = "{\"order\":[\"r1\",\"r2\",\"r3\",\"r4\"]}";

    /** A cord on film: its recording, the ruler laid along it, and the length between its marks. */
    private record Cord(String trial, String ruler, double centimetres) {

        /** Films a cord and lays the ruler from the pivot to the middle of the bob, by what the film shows. */
        static Cord filmed(Client student, String cord) throws Exception {
            String address = student.recording("{\"cord\":\"" + cord + "\",\"release\":\"keel\",\"bob\":\"m120\"}");
            byte[] sent = new GZIPInputStream(new ByteArrayInputStream(student.bytes(address))).readAllBytes();
            ByteBuffer film = ByteBuffer.wrap(sent).order(ByteOrder.LITTLE_ENDIAN);
            byte[] head = new byte[film.getInt()];
            film.get(head);
            String header = new String(head, StandardCharsets.UTF_8);
            List<String> moving = List.of(Client.find("\"moving\":\\[([^\\]]*)\\]", header).replace("\"", "")
                    .split(","));
            double scale = Double.parseDouble(Client.find("\"scale\":([-0-9.E]+)", header));
            double x = Double.parseDouble(Client.find("\"pivot.x\":([-0-9.]+)", header)) / 32;
            double y = Double.parseDouble(Client.find("\"pivot.y\":([-0-9.]+)", header)) / 32;
            double bobX = film.getShort(4 + head.length + 2 * moving.indexOf("bob.x")) / 32.0;
            double bobY = film.getShort(4 + head.length + 2 * moving.indexOf("bob.y")) / 32.0;
            return new Cord(address.split("/")[3], "{\"x\":" + x + ",\"y\":" + y + ",\"angle\":"
                    + Math.toDegrees(Math.atan2(bobY - y, bobX - x)) + "}", 100 * Math.hypot(bobX - x,
                    bobY - y) / scale);
        }

        /** The length as it is typed, read on the film. */
        String read(double shown) {
            return "{\"text\":\"" + typed(shown) + "\",\"reading\":{\"trial\":\"" + trial
                    + "\",\"frame\":0,\"view\":\"side\",\"instruments\":{\"ruler\":" + ruler + "}}}";
        }

        static String typed(double shown) {
            return String.format(Locale.ROOT, "%.1f", shown);
        }
    }

    private static Locator finding(Page page, String about) {
        return page.getByLabel("Against the apparatus").getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(about));
    }

    @Test
    void fivePlantedFaultsAreNamedToTheMarker() throws Exception {
        Given given = Given.to("Judged", Given.CLOCK);
        Client student = given.student("Judged " + UUID.randomUUID().toString().substring(0, 6));
        student.entry("expect", "answer", "{\"choice\":1}");
        student.entry("expect", "seal", "{\"sealed\":true}");
        Cord tern = Cord.filmed(student, "tern");
        Cord gannet = Cord.filmed(student, "gannet");
        Cord shag = Cord.filmed(student, "shag");
        Cord skua = Cord.filmed(student, "skua");
        assertThat(tern.centimetres()).isBetween(40.2, 45.8);
        student.entry("readings", "rows", ROWS);
        String[] named = {"Tern", "Petrel", "Shag", "Skua"};
        for (int i = 0; i < 4; i++) {
            student.entry("readings", "cell/r" + (i + 1) + "/cord", "{\"text\":\"" + named[i] + "\"}");
        }
        student.entry("readings", "cell/r1/L", tern.read(tern.centimetres() + 1));
        student.entry("readings", "cell/r2/L", gannet.read(gannet.centimetres()));
        student.entry("readings", "cell/r3/L", shag.read(shag.centimetres()));
        student.entry("readings", "cell/r3/t", "{\"text\":\"43.4\"}");
        student.entry("readings", "cell/r4/L", skua.read(skua.centimetres() / 10));
        student.entry("readings", "columns", "{\"columns\":["
                + "{\"id\":\"cord\",\"name\":\"cord\",\"symbol\":\"cord\",\"unit\":\"\",\"kind\":\"label\"},"
                + "{\"id\":\"L\",\"name\":\"length\",\"symbol\":\"L\",\"unit\":\"cm\",\"kind\":\"measured\"},"
                + "{\"id\":\"t\",\"name\":\"20 swings\",\"symbol\":\"t\",\"unit\":\"s\",\"kind\":\"measured\"},"
                + "{\"id\":\"T\",\"name\":\"period\",\"symbol\":\"T\",\"unit\":\"\",\"kind\":\"calculated\","
                + "\"formula\":\"t/10\"}]}");
        try (BrowserContext desk = Chrome.context(1280, 800)) {
            Page page = Chrome.signedIn(desk, "ines");
            page.navigate(App.address() + "/work/" + student.work());
            assertThat(page.getByLabel("Against the apparatus"))
                    .containsText(Pattern.compile("1 under another recording's"
                    + " name; 1 off by a power of ten; 1 misread;.* 1 typed without looking; 2 formulas are wrong"));
            assertThat(finding(page, "Row 1, length")).containsText(Pattern.compile(
                    "Misread\\. The scale, as it lay, shows 4[0-9.]+ cm there\\. "
                            + "Off by [01][0-9.]+ cm too much, (9|10)"));
            assertThat(finding(page, "Row 2, cord")).containsText(
                    "It says “Petrel”, but the row was read on a recording of Cord Gannet.");
            assertThat(finding(page, "Row 3, 20 swings")).containsText("Typed without looking.");
            assertThat(finding(page, "Row 4, length")).containsText("Power of ten. The digits are right");
            assertThat(finding(page, "Column T")).containsText("The period should be t/20, from the same readings.");
            finding(page, "Row 1, length").getByRole(AriaRole.BUTTON).click();
            assertThat(page.getByText("This is how " + Cord.typed(tern.centimetres() + 1) + " was read.")).isVisible();
            assertThat(page.getByLabel("length, row 1, read on the picture")).hasAttribute("aria-description",
                    Pattern.compile("The scale, as it lay"));
            AxeTest.check(page, "a table against the apparatus");
        }
        // What the apparatus showed is for students to find out.
        assertThat(student.get("/api/works/" + student.work() + "/tables/readings/judgement").statusCode())
        .isEqualTo(404);
    }
}
