package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A teacher copies a lab, changes it, mends what is wrong, makes it ready and gives it; a student meets what was written. */
class MakerTest {

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void copy(String title) {
        page.navigate(App.address() + "/catalogue");
        Chrome.inItem(page, title, "Read and give");
        Chrome.button(page, "Copy and change").click();
        assertThat(sheet()).isVisible();
    }

    private Locator sheet() {
        return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("The sheet"));
    }

    private Locator line(String begins) {
        return sheet().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(begins));
    }

    private Locator field(String name) {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void kept() {
        assertThat(page.getByText("All kept")).isVisible();
    }

    @Test
    void aLabIsCopiedChangedMendedAndGiven() {
        String title = "The tide clock " + UUID.randomUUID().toString().substring(0, 6);
        copy("The lamp keeper's clock");
        field("Title").fill(title);
        line("From your gradient").click();
        field("Prompt").fill("How strong is gravity on the mole?");
        field("Points").fill("ten thousand");
        Locator fault = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("part analyse, block g, points"));
        assertThat(fault).isVisible();
        assertThat(Chrome.button(page, "Make it ready to give")).isDisabled();
        line("The lab itself").click();
        fault.click();
        field("Points").fill("3");
        assertThat(fault).hasCount(0);
        // What a student sees stands beside it.
        Locator seen = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("As a student sees it"));
        assertThat(seen).containsText("How strong is gravity on the mole? 3 points");
        // A choice question is added, written, moved before the number question.
        sheet().getByText("Add a block to part 4").click();
        page.locator("details[open]").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
                .setName(Pattern.compile("^Choice question"))).click();
        field("Prompt").fill("What would make the clock slower?");
        for (String choice : new String[] {"A longer cord", "A heavier bob"}) {
            Chrome.button(page, "Add one").click();
            field("Text, choices " + (choice.startsWith("A longer") ? 1 : 2)).fill(choice);
        }
        page.getByLabel("Right, choices 1").check();
        assertThat(seen.getByLabel("A heavier bob")).isVisible();
        Chrome.button(page, "Block up").click();
        AxeTest.check(page, "writing a lab");
        // Taken away and taken back.
        Chrome.button(page, "Take the block away").click();
        assertThat(line("What would make")).hasCount(0);
        Chrome.button(page, "Take back").click();
        assertThat(line("What would make")).isVisible();
        kept();
        Chrome.button(page, "Make it ready to give").click();
        assertThat(Chrome.button(page, "Version 1 is ready")).isDisabled();
        Chrome.link(page, "Read and give").click();
        assertThat(page.getByText("What would make the clock slower?")).isVisible();
        Chrome.button(page, "Give to a class").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Physics 11"))).check();
        Chrome.button(page, "Give it").click();
        page.waitForURL(Pattern.compile("/assignments/"));
        Chrome.link(page, "My labs").click();
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(title)))
                .containsText("version 1 can be given");
        AxeTest.check(page, "my labs");
        aStudentMeetsIt(title);
    }

    private void aStudentMeetsIt(String title) {
        try (BrowserContext other = Chrome.context(1280, 800)) {
            Page student = Chrome.signIn(other, "jola.reyes");
            Chrome.sealed(student, title, 1, "Analyse");
            assertThat(student.getByText("How strong is gravity on the mole?")).isVisible();
            student.getByLabel("A longer cord").check();
            Locator choice = student.locator("main section").filter(new Locator.FilterOptions().setHasText("What would make"))
                    .last();
            choice.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Check")).click();
            assertThat(choice.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        }
    }

    @Test
    void oneIsBegunWithAnApparatus() {
        Chrome.link(page, "My labs").click();
        page.getByLabel("A new lab with the").selectOption("twin tanks");
        Chrome.button(page, "Begin").click();
        assertThat(field("Title")).hasValue("A lab with the twin tanks");
        assertThat(page.getByLabel("Apparatus", new Page.GetByLabelOptions().setExact(true))).hasValue("twin-tanks");
        assertThat(line("Readings table")).isVisible();
        Chrome.button(page, "Make it ready to give").click();
        assertThat(Chrome.button(page, "Version 1 is ready")).isVisible();
    }

    @Test
    void whatWasWrittenIsThereAgainAndEarlierStatesToo() {
        copy("The coal run");
        field("Summary").fill("First words.");
        kept();
        field("Summary").fill("Second words.");
        kept();
        page.reload();
        assertThat(field("Summary")).hasValue("Second words.");
        Chrome.button(page, "Earlier states").click();
        assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM)).hasCount(3);
        Chrome.button(page, "Go back to it").first().click();
        assertThat(field("Summary")).hasValue("First words.");
        Chrome.button(page, "Take back").click();
        assertThat(field("Summary")).hasValue("Second words.");
        kept();
    }

    @Test
    void theSecondWindowIsToldAndKeepsItsWords() {
        copy("The coal run");
        Page second = context.newPage();
        second.navigate(page.url());
        second.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Summary")).fill("Of the second window.");
        assertThat(second.getByText("All kept")).isVisible();
        field("Summary").fill("Of the first window.");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("changed in another window");
        assertThat(field("Summary")).hasValue("Of the first window.");
        assertThat(page.getByText("Not kept")).isVisible();
    }
}
