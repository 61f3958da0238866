package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Three students' tables in one graph, and one of their works without the name. */
class PoolTest {

    /** Lengths in cm and times of twenty swings in s, for three values of gravity. */
    private static final double[][] LENGTHS = {{41, 60, 90}, {43, 62, 88}, {45, 61, 91}};
    private static final double[] GRAVITY = {9.7, 9.8, 9.9};

    private static void readings(Client student, int which) throws Exception {
        student.entry("expect", "answer", "{\"choice\":1}");
        student.entry("expect", "seal", "{\"sealed\":true}");
        student.entry("readings", "rows", "{\"order\":[\"r1\",\"r2\",\"r3\"]}");
        for (int row = 0; row < 3; row++) {
            double length = LENGTHS[which][row];
            double time = 20 * 2 * Math.PI * Math.sqrt(length / 100 / GRAVITY[which]);
            String cord = List.of("Tern", "Petrel", "Gannet").get(row);
            student.entry("readings", "cell/r" + (row + 1) + "/cord", "{\"text\":\"" + cord + "\"}");
            student.entry("readings", "cell/r" + (row + 1) + "/L", "{\"text\":\"" + length + "\"}");
            student.entry("readings", "cell/r" + (row + 1) + "/t", "{\"text\":\"" + time + "\"}");
        }
    }

    private static Locator spread(Page page, int row) {
        return page.getByLabel("Fitted constants").getByRole(AriaRole.ROW).nth(row);
    }

    @Test
    void theClassInOneGraphAndOneWorkWithoutItsName() throws Exception {
        Given given = Given.to("Pool", Given.CLOCK);
        String family = "Pool " + UUID.randomUUID().toString().substring(0, 6);
        for (int i = 0; i < 3; i++) {
            readings(given.student(family + " " + (i + 1)), i);
        }
        try (BrowserContext desk = Chrome.context(1280, 800)) {
            Page page = Chrome.signedIn(desk, "ines");
            page.navigate(App.address() + "/assignments/" + given.assignments().get(0));
            Chrome.link(page, "In one graph").click();
            assertThat(page.getByLabel("period squared against length, 3 series")).isVisible();
            // 4π²/g of the one in the middle, in s² for each centimetre.
            assertThat(spread(page, 1)).containsText("all3");
            assertThat(spread(page, 1)).containsText("0.04028");
            assertThat(page.getByText("in s²/cm")).isVisible();
            assertThat(page.getByText(family)).hasCount(0);
            AxeTest.check(page, "a class in one graph");

            page.getByLabel("groups by").selectOption("cord");
            assertThat(page.getByText("Petrel").first()).isVisible();
            page.getByLabel("groups by").selectOption("");
            page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("a formula …");
            page.getByLabel("Formula up, over the lab’s columns").fill("t/");
            Chrome.button(page, "Show").click();
            assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
            page.getByLabel("Formula up, over the lab’s columns").fill("4*π^2*L/(t/20)^2");
            Chrome.button(page, "Show").click();
            page.getByLabel("fit of each").selectOption("no fit");
            assertThat(page.getByLabel(Pattern.compile("^4\\*π\\^2.* against length, 3 series"))).isVisible();

            page.locator("[data-series] path").first().click();
            assertThat(page.getByTestId("one")).containsText("3 points");
            Chrome.link(page, "Show this work without the name").click();
            assertThat(page.getByText("One student")).isVisible();
            Chrome.part(page, "Measure");
            assertThat(Chrome.cell(page, "cord", 1)).hasValue("Tern");
            assertThat(page.getByText(family)).hasCount(0);
            assertThat(page.getByLabel(Pattern.compile("^Points, "))).hasCount(0);
            assertThat(page.title()).doesNotContain(family);
            AxeTest.check(page, "a work without its name");
            page.getByLabel("Back").click();
            assertThat(page.getByText("The class in one graph")).isVisible();
            page.getByLabel("Show names").click();
            page.locator("[data-series] path").first().click();
            assertThat(page.getByTestId("one")).containsText(family);
        }
    }
}
