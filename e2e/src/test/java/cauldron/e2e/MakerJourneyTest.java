package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A teacher's whole way with a lab: copied, its story, a range, a key, a question, a rubric and a bench written, tried,
 * printed, given to two classes, changed while one is at work, saved to a file and brought in again.
 */
class MakerJourneyTest {

    private static final String NAME = UUID.randomUUID().toString().substring(0, 6);
    private BrowserContext context;
    private Page page;
    private MakerHands hands;

    @BeforeEach
    void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
        hands = new MakerHands(page);
    }

    @AfterEach
    void close() {
        context.close();
    }

    private Locator dialog() {
        return page.getByRole(AriaRole.DIALOG);
    }

    private void closeDialog() {
        Chrome.button(page, "Close").click();
        assertThat(dialog()).hasCount(0);
    }

    private String newClass(String name) {
        page.navigate(App.address() + "/");
        Chrome.button(page, "New class").click();
        page.getByLabel("Name").fill(name);
        Chrome.button(page, "Make the class").click();
        Locator card = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
        return card.locator("b.mono").innerText();
    }

    private static Page joined(BrowserContext own, String code, String name) {
        Page student = own.newPage();
        student.navigate(App.address() + "/join");
        student.getByLabel("Class code").fill(code);
        student.getByLabel("Your name").fill(name);
        student.getByLabel("Choose a secret").fill("eight-chars");
        Chrome.button(student, "Join").click();
        Chrome.button(student, "Go to my labs").click();
        assertThat(student.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("My labs"))).isVisible();
        return student;
    }

    private static String inDays(int days) {
        return LocalDateTime.now().plusDays(days).format(DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm"));
    }

    @Test
    void aLabIsWrittenTriedPrintedGivenAndChangedWhileAClassIsAtWork() throws IOException {
        String title = "The tide clock " + NAME;
        String first = newClass("Early " + NAME);
        String second = newClass("Late " + NAME);
        hands.copy("The lamp keeper's clock");
        hands.field("Title").fill(title);
        write();
        tryIt();
        print(title);
        give(title);
        try (BrowserContext a = Chrome.context(1280, 800); BrowserContext b = Chrome.context(1280, 800);
                BrowserContext c = Chrome.context(1280, 800)) {
            Page early = joined(a, first, "Early Bird");
            Chrome.inItem(early, title, "Begin");
            assertThat(early.getByText("The tide turns the clock")).isVisible();
            Page late = joined(b, second, "Late Comer");
            assertThat(late.getByText(Pattern.compile("opens in \\d+ days"))).isVisible();
            assertThat(Chrome.button(late, "Begin")).hasCount(0);
            change(title);
            early.reload();
            assertThat(early.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(title).setExact(true)))
                    .isVisible();
            Page next = joined(c, first, "Next Bird");
            assertThat(next.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(title + ", mended")))
                    .isVisible();
            late.reload();
            assertThat(late.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(title).setExact(true)))
                    .isVisible();
        }
        outAndIn(title + ", mended");
    }

    private void write() {
        hands.line("The lens of").click();
        hands.field("Text").fill("The tide turns the clock with $T = 2\\pi\\sqrt{L/g}$.");
        Locator seen = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions()
                .setName("As a student sees it"));
        assertThat(seen.locator("math")).isVisible();
        hands.field("Text").selectText();
        Chrome.button(page, "Bold").click();
        assertThat(hands.field("Text")).hasValue(Pattern.compile("^\\*\\*The tide.*\\*\\*$"));
        hands.line("Recordings").click();
        page.getByLabel("Length to the middle of the bob, to", new Page.GetByLabelOptions().setExact(true)).first()
                .fill("1.9");
        Chrome.button(page, "Five made-up students").click();
        assertThat(dialog()).containsText("Cord Tern: Length to the middle of the bob");
        dialog().getByLabel("Recording of").selectOption("Student C");
        assertThat(dialog().getByLabel("Recording: Student C, Side view")).isVisible();
        closeDialog();
        page.getByLabel("Length to the middle of the bob, to", new Page.GetByLabelOptions().setExact(true)).first()
                .fill("0.44");
        hands.line("From your gradient").click();
        hands.field("Tolerance, in per cent, key").fill("4");
        Chrome.button(page, "Try it on answers").click();
        assertThat(dialog()).containsText("Right, within the accuracy asked for.");
        AxeTest.check(page, "a question tried on answers");
        closeDialog();
        hands.addChoice(4, "What would make it slower?", "A longer cord", "A heavier bob");
        hands.line("The keeper wants").click();
        Chrome.button(page, "Add one").click();
        hands.field("Points, rubric 1").fill("4");
        hands.field("What it is like, rubric 1").fill("Says why the square root matters.");
        bench();
        hands.kept();
    }

    private void bench() {
        hands.add(3, "Open bench");
        hands.field("Title").fill("A clock to set");
        page.getByLabel("Apparatus", new Page.GetByLabelOptions().setExact(true)).selectOption("pendulum");
        Chrome.button(page, "Set it up on the bench").click();
        Locator length = dialog().getByLabel(Pattern.compile("^Length to the middle of the bob, L"));
        length.fill("0.5");
        length.press("Enter");
        AxeTest.check(page, "a bench in the maker");
        Chrome.button(page, "Use this").click();
        assertThat(page.getByLabel("Length to the middle of the bob", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("0.5");
        page.locator("summary").filter(new Locator.FilterOptions().setHasText("Shown as figures")).click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Shown as figures"))
                .getByLabel("Period by beam timer").check();
    }

    private void tryIt() {
        Chrome.button(page, "Try it").click();
        assertThat(page.getByText("Your try:")).isVisible();
        Chrome.button(page, "Prediction").click();
        page.getByRole(AriaRole.RADIO).nth(1).check();
        Chrome.button(page, "Seal my prediction").click();
        Chrome.part(page, "Measure");
        Chrome.button(page, "A clock to set").click();
        assertThat(page.getByTestId("lab-bench")).isVisible();
        AxeTest.check(page, "a lab being tried");
        Chrome.button(page, "Hand in …").click();
        Chrome.button(page, "Hand in as it is").click();
        assertThat(page.getByText(Pattern.compile("Handed in"))).isVisible();
        Chrome.button(page, "Begin anew").click();
        assertThat(Chrome.button(page, "Hand in …")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Back").setExact(true)).click();
        assertThat(hands.sheet()).isVisible();
    }

    private void print(String title) throws IOException {
        Chrome.button(page, "On paper").click();
        page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).selectOption("true");
        Download paper = page.waitForDownload(() -> Chrome.link(page, "Save the PDF").click());
        assertThat(paper.suggestedFilename()).isEqualTo(title + " with key.pdf");
        try (PDDocument pdf = Loader.loadPDF(paper.path().toFile())) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("Says why the square root matters",
                    "[×] A longer cord",
                    "At the screen: A clock to set: the pendulum", "2π√(L/g)");
        }
    }

    private void give(String title) {
        Chrome.button(page, "Make it ready to give").click();
        Chrome.link(page, "Read and give").click();
        Chrome.button(page, "Give to a class").click();
        for (String name : new String[] {"Early ", "Late "}) {
            page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name + NAME)))
                    .check();
        }
        page.getByLabel("Due, Early " + NAME).fill(inDays(2));
        page.getByLabel("Opens, Late " + NAME).fill(inDays(5));
        page.getByLabel("Due, Late " + NAME).fill(inDays(9));
        AxeTest.check(page, "giving to classes");
        Chrome.button(page, "Give it to 2 classes").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Late " + NAME).setExact(true)))
                .containsText(title);
    }

    private void change(String title) {
        page.navigate(App.address() + "/my-labs");
        Chrome.inItem(page, title, "Write " + title);
        hands.field("Title").fill(title + ", mended");
        Chrome.button(page, "Make it ready to give").click();
        assertThat(Chrome.button(page, "Version 2 is ready")).isVisible();
        page.navigate(App.address() + "/");
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Early " + NAME).setExact(true))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(title)).click();
        Chrome.button(page, "Who begins now begins the new one").click();
        assertThat(page.getByText("earlier version")).isVisible();
        // More time for one.
        Chrome.button(page, "More time for Early Bird").click();
        dialog().getByLabel("Due").fill(inDays(4));
        Chrome.button(page, "Keep it").click();
        assertThat(Chrome.button(page, "More time for Early Bird")).containsText("until");
    }

    private void outAndIn(String title) throws IOException {
        page.navigate(App.address() + "/my-labs");
        Chrome.button(page, "More with " + title).click();
        Download out = page.waitForDownload(() -> page.getByRole(AriaRole.MENUITEM,
                new Page.GetByRoleOptions().setName("Save as a file")).click());
        Path kept = Files.createTempFile("lab", ".zip");
        out.saveAs(kept);
        page.getByLabel("A lab as a file").setInputFiles(kept);
        assertThat(hands.field("Title")).hasValue(title);
        String id = page.url().replaceAll(".*/labs/([^/]+)/write", "$1");
        byte[] again = page.request().get(App.address() + "/api/drafts/" + id + "/file").body();
        assertThat(again).isEqualTo(Files.readAllBytes(kept));
        Files.delete(kept);
    }

    @Test
    void blocksAreMovedByDragAndByKeysAlone() {
        hands.copy("The lamp keeper's clock");
        Locator from = page.getByTestId("grip-0/1");
        BoundingBox to = page.getByTestId("grip-0/0").boundingBox();
        BoundingBox at = from.boundingBox();
        page.mouse().move(at.x + 5, at.y + 6);
        page.mouse().down();
        page.mouse().move(at.x + 20, at.y - 5);
        page.mouse().move(to.x + 60, to.y + 8);
        page.mouse().move(to.x + 62, to.y + 8);
        page.mouse().up();
        assertThat(hands.sheet().locator("ol ol").first().getByRole(AriaRole.LISTITEM).first())
                .containsText("vocabulary");
        Locator gradient = hands.line("From your gradient");
        gradient.focus();
        page.keyboard().press("Enter");
        Chrome.button(page, "Block up").focus();
        page.keyboard().press("Enter");
        assertThat(hands.sheet().locator("ol ol").nth(3).getByRole(AriaRole.LISTITEM).nth(1))
                .containsText("From your gradient");
        Chrome.button(page, "Hide the block from students").focus();
        page.keyboard().press("Enter");
        assertThat(hands.line("From your gradient")).containsText("hidden");
        hands.kept();
    }

    @Test
    void aLabIsSharedWithColleaguesAndLiesInAFolder() {
        String title = "Shared clock " + NAME;
        hands.copy("The lamp keeper's clock");
        hands.field("Title").fill(title);
        Chrome.button(page, "Make it ready to give").click();
        assertThat(Chrome.button(page, "Version 1 is ready")).isVisible();
        page.navigate(App.address() + "/my-labs");
        Chrome.button(page, "More with " + title).click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Move to a folder …")).click();
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Year " + NAME);
        Chrome.button(page, "Keep it").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Year " + NAME)))
                .containsText(title);
        Chrome.button(page, "More with " + title).click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Put on the school’s shelf")).click();
        assertThat(page.getByText("· on the school’s shelf")).isVisible();
        page.getByLabel("Search in my labs").fill("nothing like this");
        assertThat(page.getByText("No lab of yours has these words.")).isVisible();
        try (BrowserContext other = Chrome.context(1280, 800)) {
            Page colleague = Chrome.signIn(other, "tobiah");
            Chrome.link(colleague, "My labs").click();
            Chrome.link(colleague, "Read " + title + " of the shelf").click();
            Chrome.button(colleague, "Copy and change").click();
            assertThat(colleague.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Title")
                    .setExact(true)))
                    .hasValue("Copy of " + title);
        }
        Chrome.link(page, "Classes").click();
        Chrome.ofClass(page, "Physics 11", Pattern.compile("roster")).click();
        Chrome.button(page, "Calendar").click();
        assertThat(page.getByLabel("Address of the calendar"))
                .hasValue(Pattern.compile("/calendar/[0-9a-f]{32}\\.ics$"));
    }
}
