package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The catalogue looked through, and the page of an apparatus with its set-ups and labs. */
class CatalogueTest {

    private static Locator cards(Page page) {
        return Chrome.link(page, "Open on the bench");
    }

    @Test
    void aTeacherFindsAnApparatusItsSetUpsAndItsLabs() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "tobiah");
            Chrome.link(page, "Catalogue").click();
            assertThat(cards(page)).hasCount(18);
            assertThat(Chrome.link(page, "Read and give")).hasCount(18);
            page.getByLabel("Quantity").selectOption("volume");
            page.getByLabel("Topic").selectOption("density");
            assertThat(cards(page)).hasCount(1);
            assertThat(Chrome.link(page, "Read and give")).hasCount(1);
            page.getByLabel("Way to work").selectOption("measuring recordings");
            assertThat(page.getByText("No lab fits all of that")).isVisible();
            Chrome.button(page, "Show all").click();
            assertThat(cards(page)).hasCount(18);
            // What is looked for stands in the address: going there again finds the same.
            page.getByRole(AriaRole.SEARCHBOX, new Page.GetByRoleOptions().setName("Search")).fill("chart nuclides");
            assertThat(cards(page)).hasCount(1);
            page.reload();
            assertThat(cards(page)).hasCount(1);
            Chrome.link(page, "Atom workbench").click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Atom "
                    + "workbench"))).isVisible();
            assertThat(page.getByText("Neutrons thought to change the charge")).isVisible();
            assertThat(page.getByText("One proton more")).isVisible();
            Chrome.link(page, "Show Off the line").click();
            Chrome.button(page, "Neutron in").waitFor();
            assertThat(page.locator("[data-lit=C]")).hasCount(1);
            assertThat(page).hasURL(Pattern.compile("/bench/atom-workbench$"));
        }
    }

    @Test
    void studentsHaveNoCatalogue() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signedIn(context, "una.corrie");
            page.navigate(App.address() + "/apparatus/pendulum");
            assertThat(page).hasURL(Pattern.compile("/$"));
        }
    }
}
