package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A class of twenty-six marked question by question, with keys alone. */
class ByQuestionTest {

    private static final int CLASS = 26;

    private String assignment;

    @BeforeEach
    void aClassHasHandedIn() throws Exception {
        Given given = Given.to("Marked", Given.CLOCK);
        assignment = given.assignments().get(0);
        for (int i = 0; i < CLASS; i++) {
            Client student = given.student("Marked " + (char) ('A' + i) + " Student");
            student.entry("why", "answer", "{\"text\":\"Explanation " + (char) ('A' + i)
                    + ": a heavier bob is pulled more and is as much harder to move.\"}");
            student.ask("/api/works/" + student.work() + "/submission", "{}");
        }
    }

    @Test
    void allExplanationsAreMarkedWithoutAMouseAndStudentsSeeIt() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signedIn(context, "ines");
            page.navigate(App.address() + "/assignments/" + assignment);
            Chrome.link(page, "Question by question").press("Enter");
            Locator marked = page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("of "
                    + CLASS));
            assertThat(marked).hasText("0 of " + CLASS + " marked");
            Locator answer = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Answer"));
            assertThat(answer).containsText("Student");
            page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("Hide names")).press(" ");
            assertThat(answer).not().containsText("Student");
            AxeTest.check(page, "question by question");
            List<String> seen = new ArrayList<>();
            for (int i = 0; i < CLASS; i++) {
                assertThat(answer).containsText("Answer " + (i + 1));
                seen.add(answer.getByText(Pattern.compile("^Explanation")).textContent().substring(0, 13));
                page.keyboard().press(i % 5 == 4 ? "3" : "1");
                assertThat(marked).hasText((i + 1) + " of " + CLASS + " marked");
                if (i == 0) {
                    page.keyboard().press("c");
                    page.keyboard().type("Well reasoned.");
                    page.keyboard().press("Control+Enter");
                } else {
                    page.keyboard().press("ArrowRight");
                }
            }
            org.assertj.core.api.Assertions.assertThat(seen).doesNotHaveDuplicates().isNotEqualTo(seen.stream().sorted()
                    .toList());
            assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Questions")))
                    .containsText("all marked");
            page.reload();
            assertThat(marked).hasText(CLASS + " of " + CLASS + " marked");
            Locator mark = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Mark"));
            assertThat(mark.getByLabel("Comment")).hasValue("Well reasoned.");
            assertThat(mark.getByLabel("Points")).hasValue("1");
            page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("Hide names")).press(" ");
            assertThat(answer).containsText("Student");
        }
    }

    @Test
    void whatIsSaidOnceIsOfferedAgainAndAMarkWithoutPointsWaits() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signedIn(context, "ines");
            page.navigate(App.address() + "/assignments/" + assignment + "/questions?question=why");
            Locator mark = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Mark"));
            mark.getByLabel("Comment").fill("Say which force. " + assignment);
            mark.getByLabel("Points").focus();
            assertThat(mark).containsText("Give points, too: then it is kept.");
            mark.getByLabel("Points").fill("9");
            mark.getByLabel("Points").press("Enter");
            assertThat(mark.getByRole(AriaRole.ALERT)).containsText("0 to 4");
            mark.getByLabel("Points").fill("2,5");
            mark.getByLabel("Points").press("Enter");
            assertThat(mark).containsText("Kept");
            Chrome.button(page, "Next").click();
            mark.getByText("Said before").click();
            mark.getByText("Say which force. " + assignment).click();
            assertThat(mark.getByLabel("Comment")).hasValue("Say which force. " + assignment);
        }
    }
}
