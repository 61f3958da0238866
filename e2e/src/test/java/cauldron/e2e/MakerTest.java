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

    @Test
    void aLabIsCopiedChangedMendedAndGiven() {
        String title = "The tide clock " + UUID.randomUUID().toString().substring(0, 6);
        hands.copy("The lamp keeper's clock");
        hands.field("Title").fill(title);
        hands.line("From your gradient").click();
        hands.field("Prompt").fill("How strong is gravity on the mole?");
        hands.field("Points").fill("ten thousand");
        Locator fault = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("part analyse, block g, points"));
        assertThat(fault).isVisible();
        assertThat(Chrome.button(page, "Make it ready to give")).isDisabled();
        hands.line("The lab itself").click();
        fault.click();
        hands.field("Points").fill("3");
        assertThat(fault).hasCount(0);
        // What stands as a student sees it is written at a press, with what can be pressed in it left to itself.
        page.locator("main").getByText("Add a calculated column").click();
        assertThat(hands.field("Text")).hasValue(Pattern.compile("^Add a calculated column"));
        Chrome.button(page, "Write How strong is gravity on the mole?").click();
        // What a student sees stands beside it.
        Locator seen = hands.seen();
        assertThat(seen).containsText("How strong is gravity on the mole? 3 points");
        // A choice question is added, written, moved before the number question.
        hands.addChoice(4, "What would make the clock slower?", "A longer cord", "A heavier bob");
        assertThat(seen.getByLabel("A heavier bob")).isVisible();
        Chrome.button(page, "Block up").click();
        AxeTest.check(page, "writing a lab");
        // Taken away and taken back.
        Chrome.button(page, "Take the block away").click();
        assertThat(hands.line("What would make")).hasCount(0);
        Chrome.button(page, "Take back").click();
        assertThat(hands.line("What would make")).isVisible();
        hands.kept();
        Chrome.button(page, "Make it ready to give").click();
        assertThat(Chrome.button(page, "Version 1 is ready")).isDisabled();
        Chrome.link(page, "Read and give").click();
        assertThat(Chrome.button(page, "Give to a class")).isVisible();
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
        assertThat(hands.field("Title")).hasValue("A lab with the twin tanks");
        assertThat(page.getByLabel("Apparatus", new Page.GetByLabelOptions().setExact(true))).hasValue("twin-tanks");
        assertThat(hands.line("Readings table")).isVisible();
        Chrome.button(page, "Make it ready to give").click();
        assertThat(Chrome.button(page, "Version 1 is ready")).isVisible();
    }

    @Test
    void whatWasWrittenIsThereAgainAndEarlierStatesToo() {
        hands.copy("The coal run");
        hands.field("Summary").fill("First words.");
        hands.kept();
        hands.field("Summary").fill("Second words.");
        hands.kept();
        page.reload();
        assertThat(hands.field("Summary")).hasValue("Second words.");
        Chrome.button(page, "Earlier states").click();
        assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM)).hasCount(3);
        Chrome.button(page, "Go back to it").first().click();
        assertThat(hands.field("Summary")).hasValue("First words.");
        Chrome.button(page, "Take back").click();
        assertThat(hands.field("Summary")).hasValue("Second words.");
        hands.kept();
    }

    @Test
    void theSecondWindowIsToldAndKeepsItsWords() {
        hands.copy("The coal run");
        Page second = context.newPage();
        second.navigate(page.url());
        second.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Summary")).fill("Of the second window.");
        assertThat(second.getByText("All kept")).isVisible();
        hands.field("Summary").fill("Of the first window.");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("changed in another window");
        assertThat(hands.field("Summary")).hasValue("Of the first window.");
        assertThat(page.getByText("Not kept")).isVisible();
    }
}
