package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A gradebook is read, weighed and saved; a student reads the own line. */
class GradebookTest {

    private static final String CLOCK = Given.CLOCK;

    @Test
    void aTeacherWeighsExcusesAndSavesAndAStudentReadsTheOwnLine() throws Exception {
        Given given = Given.to("Graded", "The air in the fog signal", CLOCK);
        Client student = given.student("Graded Student");
        student.ask("/api/works/" + student.work() + "/submission", "{}");
        given.teacher().ask("/api/works/" + student.work() + "/marks",
                "{\"block\":\"why\",\"points\":3,\"comment\":\"\"}");
        String userName = Client.find("\"userName\":\"([^\"]+)\"", student.get("/api/me").body());
        try (BrowserContext desk = Chrome.context(1280, 800); BrowserContext bench = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(desk, "ines");
            Chrome.ofClass(page, given.name(), Pattern.compile("^gradebook$")).click();
            assertThat(Chrome.button(page, "Graded Student, " + CLOCK + ": Handed in: 3 points.")).hasText("3");
            assertThat(page.getByText("37.5 %")).isVisible();
            AxeTest.check(page, "gradebook");
            page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("In per cent")).click();
            assertThat(Chrome.button(page, Pattern.compile("^Graded Student, " + CLOCK))).hasText("37.5");

            Chrome.button(page, "Categories").click();
            Chrome.button(page, "Category").click();
            page.getByLabel("Name of category 1").fill("Practical");
            page.getByLabel("Weight of category 1").fill("2,5");
            page.getByRole(AriaRole.DIALOG).getByLabel(CLOCK).selectOption("Practical");
            AxeTest.check(page, "categories");
            Chrome.button(page, "Keep it").click();
            assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
            assertThat(page.getByText("Practical")).isVisible();

            Download file = page.waitForDownload(() -> {
                Chrome.button(page, "Save as a file").click();
                page.getByText("as CSV").click();
            });
            org.assertj.core.api.Assertions.assertThat(Files.readString(file.path()))
                    .contains("Graded Student," + userName
                    + ",,37.5,37.5");

            Chrome.button(page, Pattern.compile("^Graded Student, " + CLOCK)).click();
            Chrome.button(page, "Excuse from this lab").click();
            assertThat(Chrome.button(page, Pattern.compile("^Graded Student, " + CLOCK))).hasText("exc.");
            assertThat(page.getByText("37.5 %")).hasCount(0);

            Page own = bench.newPage();
            own.navigate(App.address());
            own.getByLabel("User name").fill(userName);
            own.getByLabel("Secret").fill("eight-chars");
            Chrome.button(own, "Sign in").click();
            Chrome.link(own, "My points").click();
            assertThat(own.getByText("Excused: it doesn’t count (3 of 8 points).")).isVisible();
            assertThat(own.getByText("Practical, 2.5")).isVisible();
            AxeTest.check(own, "my points");
        }
    }
}
