package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Points that appear together, another go with what to do again, and the history of it. */
class AnotherGoTest {

    @Test
    void aWorkIsGivenBackHandedInAgainAndItsPointsAreShownWhenTheTeacherSaysSo() throws Exception {
        Given given = Given.to("Again", Given.CLOCK);
        String assignment = given.assignments().get(0);
        String name = "Again " + UUID.randomUUID().toString().substring(0, 6);
        Client student = given.student(name);
        student.entry("why", "answer", "{\"text\":\"As it is.\"}");
        student.ask("/api/works/" + student.work() + "/submission", "{}");
        String userName = Client.find("\"userName\":\"([^\"]+)\"", student.get("/api/me").body());
        try (BrowserContext desk = Chrome.context(1280, 800); BrowserContext bench = Chrome.context(1280, 800)) {
            Page teacher = Chrome.signedIn(desk, "ines");
            teacher.navigate(App.address() + "/assignments/" + assignment);
            Chrome.button(teacher, "Times and rules").click();
            teacher.getByLabel(Pattern.compile("appear to all students together")).check();
            Chrome.button(teacher, "Keep it").click();
            assertThat(teacher.getByText("Students don’t see points and marks yet; 1 still waits to be marked."))
                    .isVisible();
            Chrome.link(teacher, "Mark the work of " + name).click();
            teacher.getByLabel(Pattern.compile("^Points, 0 to 4")).fill("1");
            Chrome.button(teacher, "Give the mark").click();
            Chrome.button(teacher, "Change the mark").waitFor();
            Chrome.button(teacher, "Give back").click();
            teacher.getByLabel("What to do again").fill("Say why.");
            Chrome.button(teacher, "Give it back").click();
            assertThat(teacher.getByText("● following")).isVisible();

            Page page = bench.newPage();
            page.navigate(App.address());
            page.getByLabel("User name").fill(userName);
            page.getByLabel("Secret").fill("eight-chars");
            Chrome.button(page, "Sign in").click();
            Chrome.inItem(page, "The lamp keeper's clock", "Go on");
            assertThat(page.getByText("Given back by Ines Halvard")).isVisible();
            assertThat(page.getByText("Say why.")).isVisible();
            Chrome.part(page, "Explain");
            assertThat(page.getByText("of 4 points")).hasCount(0);
            page.getByRole(AriaRole.MAIN).getByRole(AriaRole.TEXTBOX).first().fill("A longer cord has farther to go.");
            Chrome.button(page, "Hand in …").click();
            page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.BUTTON).filter(new Locator.FilterOptions()
                    .setHasText("Hand in")).last().click();
            assertThat(page.getByText("points are shown later")).isVisible();
            Chrome.button(page, "History").click();
            AxeTest.check(page, "history of a work");
            page.getByText("look at it as it was").last().click();
            assertThat(page.getByText("This is the notebook as it was handed in.")).isVisible();
            Chrome.part(page, "Explain");
            assertThat(page.getByRole(AriaRole.MAIN).getByRole(AriaRole.TEXTBOX).first()).hasValue("As it is.");
            Chrome.link(page, "Back to how it stands now").click();
            Chrome.part(page, "Explain");
            assertThat(page.getByRole(AriaRole.MAIN).getByRole(AriaRole.TEXTBOX).first())
                    .hasValue("A longer cord has farther to go.");

            teacher.navigate(App.address() + "/assignments/" + assignment);
            Chrome.button(teacher, "Show points to all").click();
            assertThat(teacher.getByText("Students see their points and marks.")).isVisible();
            page.reload();
            assertThat(page.getByText(Pattern.compile("of 8 points"))).isVisible();
        }
    }
}
