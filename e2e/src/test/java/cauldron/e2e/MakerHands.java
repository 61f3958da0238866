package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;

/** A teacher's hands where a lab is written. */
final class MakerHands {

    private final Page page;

    MakerHands(Page page) {
        this.page = page;
    }

    /** Begins a lab as a copy of one of the catalogue. */
    void copy(String title) {
        page.navigate(App.address() + "/catalogue");
        Chrome.inItem(page, title, "Read and give");
        Chrome.button(page, "Copy and change").click();
        assertThat(sheet()).isVisible();
    }

    Locator sheet() {
        return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("The sheet"));
    }

    /** The line of the sheet that begins so; browsers know no quoting of Java's patterns. */
    Locator line(String begins) {
        return sheet().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
                .setName(Pattern.compile("^" + begins.replaceAll("[^\\w\\s]", "\\\\$0"))));
    }

    Locator field(String name) {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Adds a block to a part, counted from 1 on. */
    void add(int part, String kind) {
        sheet().getByText("Add a block to part " + part).click();
        page.locator("details[open]").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
                .setName(Pattern.compile("^" + kind))).click();
    }

    /** Adds a choice question to a part; the first of its choices is right. */
    void addChoice(int part, String prompt, String... choices) {
        add(part, "Choice question");
        field("Prompt").fill(prompt);
        for (int i = 1; i <= choices.length; i++) {
            Chrome.button(page, "Add one").click();
            field("Text, choice " + i).fill(choices[i - 1]);
        }
        page.getByLabel("Right, choice 1").check();
    }

    /** What a student sees, beside it. */
    Locator seen() {
        return page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("As a student sees it"));
    }

    void kept() {
        assertThat(page.getByText("All kept")).isVisible();
    }
}
