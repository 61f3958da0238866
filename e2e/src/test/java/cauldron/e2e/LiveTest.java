package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;

/** A teacher and three students at once: one is stuck, one is fast, one is without a network for a while. */
@Order(1)
class LiveTest {

    private String assignment;
    private String code;

    @BeforeEach
    void aClass() throws Exception {
        Given given = Given.to("Live", Given.CLOCK);
        assignment = given.assignments().get(0);
        code = given.code();
    }

    /** Joins the class and begins the lab. */
    private Page student(BrowserContext context, String name) {
        Page page = context.newPage();
        page.navigate(App.address() + "/join");
        page.getByLabel("Class code").fill(code);
        page.getByLabel("Your name").fill(name);
        page.getByLabel("Choose a secret").fill("eight-chars");
        Chrome.button(page, "Join").click();
        Chrome.button(page, "Go to my labs").click();
        Chrome.inItem(page, "The lamp keeper's clock", "Begin");
        Chrome.button(page, "Ask for help").waitFor();
        return page;
    }

    private static Locator row(Page teacher, String name) {
        return teacher.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(name));
    }

    private static void seal(Page page) {
        Chrome.part(page, "Prediction");
        page.getByRole(AriaRole.RADIO).nth(1).check();
        Chrome.button(page, "Seal my prediction").click();
        Chrome.part(page, "Measure");
    }

    /** Types a row of readings. */
    private static void type(Page page, int row, String cord, String length, String time) {
        List<String> columns = List.of("cord", "length", "20 swings");
        List<String> values = List.of(cord, length, time);
        for (int i = 0; i < columns.size(); i++) {
            Chrome.cell(page, columns.get(i), row).click();
            page.keyboard().type(values.get(i));
            page.keyboard().press("Enter");
        }
    }

    /** What the class list's own place says once it has come. */
    private static LocatorAssertions.ContainsTextOptions soon() {
        return new LocatorAssertions.ContainsTextOptions().setTimeout(15_000);
    }

    @Test
    void theTeacherSeesWhoIsStuckWhoAsksAndWhoIsAway() {
        try (BrowserContext desk = Chrome.context(1280, 800); BrowserContext one = Chrome.context(1280, 800);
                BrowserContext two = Chrome.context(1280, 800); BrowserContext three = Chrome.context(1280, 800)) {
            Page teacher = Chrome.signedIn(desk, "ines");
            teacher.navigate(App.address() + "/assignments/" + assignment + "/live");
            assertThat(teacher.getByText("Nobody is in this class yet")).isVisible();

            Page fast = student(one, "Fenna Quick");
            Page stuck = student(two, "Stellan Stuck");
            Page away = student(three, "Odette Away");
            for (String name : List.of("Fenna Quick", "Stellan Stuck", "Odette Away")) {
                assertThat(row(teacher, name)).containsText("here", soon());
            }
            seal(fast);
            type(fast, 1, "Tern", "40.5", "25.54");
            assertThat(row(teacher, "Fenna Quick")).containsText("t 25.54 s", soon());
            assertThat(row(teacher, "Fenna Quick")).containsText("Measure");

            // Three wrong tries in a row are a sign, in words.
            seal(stuck);
            for (int i = 1; i <= 5; i++) {
                type(stuck, i, List.of("Tern", "Petrel", "Gannet", "Shag", "Skua").get(i - 1), "" + (40 + i), ""
                        + (25 + i));
            }
            Chrome.part(stuck, "Analyse");
            Locator g = Chrome.question(stuck, "points");
            for (String wrong : List.of("3", "4", "5")) {
                Chrome.answer(g, wrong, "m/s²");
                assertThat(g.getByText(Pattern.compile("left"))).isVisible();
            }
            assertThat(row(teacher, "Stellan Stuck")).containsText("3 wrong tries at “", soon());
            assertThat(teacher.getByText("May be stuck: Stellan Stuck")).isVisible();

            // Help is asked for, answered by a note, and the note stays.
            Chrome.button(stuck, "Ask for help").click();
            Locator dialog = stuck.getByRole(AriaRole.DIALOG);
            dialog.getByRole(AriaRole.RADIO).nth(1).check();
            dialog.getByLabel("In your words").fill("Which swing counts?");
            AxeTest.check(stuck, "asking for help");
            dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Ask for help")).click();
            assertThat(stuck.getByText(Pattern.compile("^Help asked"))).isVisible();
            assertThat(row(teacher, "Stellan Stuck")).containsText("asks for help: Which swing counts?", soon());
            AxeTest.check(teacher, "a class at work");
            Chrome.button(teacher, "Answer Stellan Stuck").click();
            teacher.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("There and back is one.");
            AxeTest.check(teacher, "a note");
            Chrome.button(teacher, "Send the note").click();
            assertThat(stuck.getByText("There and back is one.")).isVisible();
            assertThat(stuck.getByText(Pattern.compile("^Help asked"))).isHidden();
            assertThat(row(teacher, "Stellan Stuck")).not().containsText("asks for help");
            Chrome.button(stuck, "Read").click();
            assertThat(stuck.getByText("Notes from your teacher (1)")).isVisible();
            assertThat(fast.getByText("There and back is one.")).isHidden();

            // Whose network goes counts as away after a while; what was typed meanwhile comes with the network.
            seal(away);
            three.setOffline(true);
            type(away, 1, "Shag", "117.0", "43.46");
            assertThat(row(teacher, "Odette Away")).containsText("away", new LocatorAssertions.ContainsTextOptions()
                    .setTimeout(75_000));
            assertThat(row(teacher, "Odette Away")).not().containsText("43.46");

            // All look up, also who comes back to a network only now; and go on where they were.
            Chrome.button(teacher, "Eyes up").click();
            assertThat(fast.getByRole(AriaRole.ALERTDIALOG)).containsText("Eyes up", soon());
            teacher.getByLabel("What the class reads meanwhile").fill("Look at the lamp");
            Chrome.button(teacher, "Show it").click();
            assertThat(fast.getByRole(AriaRole.ALERTDIALOG)).containsText("Look at the lamp", soon());
            AxeTest.check(fast, "the class pauses");
            fast.keyboard().press("Escape");
            assertThat(fast.getByRole(AriaRole.ALERTDIALOG)).isVisible();
            three.setOffline(false);
            assertThat(away.getByRole(AriaRole.ALERTDIALOG)).containsText("Look at the lamp", new LocatorAssertions
                    .ContainsTextOptions().setTimeout(30_000));
            assertThat(row(teacher, "Odette Away")).containsText("t 43.46 s", soon());
            Chrome.button(teacher, "Go on").click();
            assertThat(fast.getByRole(AriaRole.ALERTDIALOG)).isHidden();
            assertThat(Chrome.cell(fast, "20 swings", 1)).hasValue("25.54");

            // With names hidden nothing tells who is who; a note to all reaches all.
            teacher.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("Hide names")).click();
            assertThat(teacher.getByText("Stellan")).hasCount(0);
            assertThat(row(teacher, "Student 1")).isVisible();
            Chrome.button(teacher, "Note to all").click();
            teacher.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("Five minutes left.");
            Chrome.button(teacher, "Send the note").click();
            for (Page page : List.of(fast, stuck, away)) {
                assertThat(page.getByText("Five minutes left.")).isVisible();
            }
            teacher.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("Hide names")).click();

            // One student's work follows what the student does.
            Chrome.link(teacher, "Fenna Quick").click();
            assertThat(teacher.getByText("● following")).isVisible();
            assertThat(Chrome.cell(teacher, "20 swings", 1)).hasValue("25.54");
            type(fast, 2, "Petrel", "60.3", "31.18");
            assertThat(Chrome.cell(teacher, "20 swings", 2)).hasValue("31.18");
            Chrome.button(fast, "Record").click();
            assertThat(teacher.getByText(Pattern.compile("^Trial 1: "))).isVisible();
            assertThat(Chrome.button(teacher, "Hand in …")).hasCount(0);
        }
    }
}
