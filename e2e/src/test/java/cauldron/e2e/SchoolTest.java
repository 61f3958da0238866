package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

/** Accounts, rosters and due times in the browser; and one student in two tabs. */
class SchoolTest {

    private static Page fresh(BrowserContext context, String place) {
        Page page = context.newPage();
        page.navigate(App.address() + place);
        return page;
    }

    @Test
    void anAdministratorAddsATeacherWhoEntersWithTheCode() {
        try (BrowserContext office = Chrome.context(1280, 800); BrowserContext desk = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(office, "sigrun");
            Chrome.button(page, "Add people").click();
            page.getByRole(AriaRole.TEXTBOX).last().fill("Maren Tolk, maren.tolk\nTaken Name, ines");
            Chrome.button(page, "Show what this makes").click();
            assertThat(page.getByText("1 line needs a change first.")).isVisible();
            Chrome.button(page, "Change the list").click();
            page.getByRole(AriaRole.TEXTBOX).last().fill("Maren Tolk, maren.tolk");
            Chrome.button(page, "Show what this makes").click();
            Chrome.button(page, "Make 1 account").click();
            Locator row = page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("maren.tolk")).last();
            assertThat(row).containsText(Pattern.compile("[A-Z0-9]{4}-[A-Z0-9]{4}-[A-Z0-9]{4}"));
            String code = row.getByRole(AriaRole.CELL).last().textContent();
            Chrome.button(page, "Done").click();

            Page enter = fresh(desk, "/enter#" + code);
            assertThat(enter.getByText("Hello, Maren Tolk")).isVisible();
            enter.getByLabel("Choose a secret").fill("short");
            Chrome.button(enter, "Keep it and sign in").click();
            assertThat(enter.getByText("A secret has at least 8 characters.")).isVisible();
            enter.getByLabel("Choose a secret").fill("ropes and buoys");
            Chrome.button(enter, "Keep it and sign in").click();
            assertThat(enter.getByText("No class yet")).isVisible();

            Chrome.button(page, Pattern.compile("Switch off Maren")).click();
            assertThat(page.getByText("switched off")).isVisible();
            Chrome.link(page, "What was done").click();
            assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("switched off the account of Maren Tolk"))).isVisible();
        }
    }

    @Test
    void aTeacherLooksAfterARosterAndAStudentComesBackWithACode() throws Exception {
        try (BrowserContext desk = Chrome.context(1280, 800); BrowserContext bench = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(desk, "tobiah");
            Chrome.button(page, "New class").click();
            page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Evening group");
            Chrome.button(page, "Make the class").click();
            Locator card = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Evening group"));
            String code = card.locator("b.mono").textContent();
            new Client(App.address()).ask("/api/join", "{\"code\":\"" + code + "\",\"displayName\":\"Rosa Eklund\",\"secret\":\"eight-chars\"}");
            card.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("roster"))).click();
            Chrome.button(page, "What to do with Rosa Eklund").click();
            page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(Pattern.compile("Reset"))).click();
            Chrome.button(page, "Reset it").click();
            String way = page.getByTestId("one-time-code").textContent();
            Chrome.button(page, "I have passed it on").click();
            assertThat(page.getByText("waits for a code to be used")).isVisible();

            Page student = fresh(bench, "/");
            Chrome.link(student, "Type the code").click();
            student.getByLabel("One-time code").fill(way.toLowerCase());
            Chrome.button(student, "Go on").click();
            student.getByLabel("Choose a secret").fill("kelp and salt");
            Chrome.button(student, "Keep it and sign in").click();
            assertThat(student.getByText("No lab yet")).isVisible();
            Chrome.button(student, "Join another class").click();
            student.getByLabel("Class code").fill("TERN96");
            Chrome.button(student, "Join").click();
            assertThat(student.getByText("What the ferry's propeller can push")).isVisible();

            Chrome.button(page, "Sign-in slips").click();
            Path slips = page.waitForDownload(() -> Chrome.button(page, "Save 1 slip").click()).path();
            try (PDDocument pdf = Loader.loadPDF(Files.readAllBytes(slips))) {
                Assertions.assertTrue(new PDFTextStripper().getText(pdf).contains("Rosa Eklund"));
            }
            Chrome.button(page, "New code").click();
            Chrome.button(page, "Make a new code").click();
            assertThat(page.getByText(code, new Page.GetByTextOptions().setExact(true))).hasCount(0);
            Chrome.button(page, "Archive").click();
            Chrome.button(page, "Archive it").click();
            assertThat(page.getByText("archived: work can be read")).isVisible();
        }
    }

    @Test
    void twoTabsOfOneStudentHearOfEachOther() {
        try (BrowserContext context = Chrome.context(1280, 800); BrowserContext elsewhere = Chrome.context(1280, 800)) {
            Page one = Chrome.signIn(context, "samir.dahl");
            Chrome.inItem(one, "The lamp keeper's clock", "Go on");
            Chrome.button(one, "Explain").click();
            Locator text = one.getByLabel("The keeper wants the new pendulum");
            Page two = Chrome.signIn(elsewhere, "samir.dahl");
            Chrome.inItem(two, "The lamp keeper's clock", "Go on");
            Chrome.button(two, "Explain").click();
            Locator other = two.getByLabel("The keeper wants the new pendulum");
            text.fill("Written at the school desk.");
            assertThat(one.locator("[data-keeping]")).hasAttribute("data-keeping", "kept");
            // The second device doesn't know of it yet, and writes into the same place.
            other.fill("Written at home.");
            assertThat(two.getByText("in another tab or on another device you wrote")).isVisible();
            assertThat(two.getByText("Written at the school desk.")).isVisible();
            Chrome.button(two, "Take the other one").click();
            assertThat(other).hasValue("Written at the school desk.");
            assertThat(two.locator("[data-keeping]")).hasAttribute("data-keeping", "kept");
            // A second tab of the same browser follows at once.
            Page third = context.newPage();
            third.navigate(one.url());
            Chrome.button(third, "Explain").click();
            third.getByLabel("The keeper wants the new pendulum").fill("Once more, from the third tab.");
            assertThat(third.locator("[data-keeping]")).hasAttribute("data-keeping", "kept");
            one.bringToFront();
            one.evaluate("window.dispatchEvent(new Event('focus'))");
            assertThat(text).hasValue("Once more, from the third tab.");
        }
    }

    @Test
    void triesRunOutAndTheTeacherOpensTheQuestionAgain() {
        try (BrowserContext context = Chrome.context(1280, 800); BrowserContext desk = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "umar.fenn");
            Chrome.inItem(page, "The lamp keeper's clock", "Go on");
            Chrome.button(page, "Analyse").click();
            Locator left = page.getByTestId("tries-left");
            for (int i = 0; i < 6; i++) {
                page.getByLabel("Number", new Page.GetByLabelOptions().setExact(true)).fill(String.valueOf(20 + i));
                page.getByLabel("Unit", new Page.GetByLabelOptions().setExact(true)).fill("m/s²");
                Chrome.button(page, "Check").click();
                assertThat(page.locator("[data-verdict]")).isVisible();
                if (left.isVisible() && left.textContent().contains("used up")) {
                    break;
                }
            }
            assertThat(left).containsText("used up");
            Page teacher = Chrome.signIn(desk, "ines");
            Chrome.ofClass(teacher, "Physics 10", Pattern.compile("^The lamp keeper's clock$")).click();
            Chrome.link(teacher, Pattern.compile("the work of Umar Fenn")).click();
            Chrome.button(teacher, "Analyse").click();
            teacher.getByText(Pattern.compile("all used up")).click();
            Chrome.button(teacher, "Open the question again").click();
            assertThat(teacher.getByText(Pattern.compile("6 left"))).isVisible();
        }
    }
}
