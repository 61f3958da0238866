package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The bench inside a lab: who has the room, and that nothing is cut off, at the sizes classrooms have. */
class ArrangementTest {

    private BrowserContext context;
    private Page page;

    private void open(int width, int height, String student, String lab, String part) {
        context = Chrome.context(width, height);
        page = Chrome.signIn(context, student);
        Locator item = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(lab));
        item.getByRole(AriaRole.BUTTON).or(item.getByRole(AriaRole.LINK)).first().click();
        go(part);
    }

    @AfterEach
    void close() {
        context.close();
    }

    private void go(String part) {
        Chrome.part(page, part);
        stage().waitFor();
    }

    private Locator right() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Bench and notebook"));
    }

    private Locator stage() {
        return right().locator("svg[role=group]").first();
    }

    private Locator table() {
        return page.getByRole(AriaRole.GRID);
    }

    private static double area(Locator of) {
        BoundingBox box = of.boundingBox();
        return box.width * box.height;
    }

    private void within(Locator thing, Locator around) {
        BoundingBox a = thing.boundingBox();
        BoundingBox b = around.boundingBox();
        assertThat(a.x).as("left of " + thing).isGreaterThanOrEqualTo(b.x - 1);
        assertThat(a.y).as("top of " + thing).isGreaterThanOrEqualTo(b.y - 1);
        assertThat(a.x + a.width).as("right of " + thing).isLessThanOrEqualTo(b.x + b.width + 1);
        assertThat(a.y + a.height).as("bottom of " + thing).isLessThanOrEqualTo(b.y + b.height + 1);
    }

    @Test
    void whileMeasuringThePictureHasTheRoomAndWhileAnalysingTableAndGraph() {
        open(1280, 800, "bashir.odell", "lamp keeper", "Measure");
        page.waitForCondition(() -> area(stage()) >= 0.5 * area(right()));
        within(page.getByTestId("film-time"), right());
        within(page.getByLabel("On the bench"), right());
        go("Analyse");
        page.waitForCondition(() -> area(stage()) < 0.4 * area(right()));
        assertThat(area(stage())).as("the picture stays in sight").isGreaterThan(0.1 * area(right()));
        assertThat(page.getByTestId("film-time")).hasCount(0);
        within(Chrome.button(page, "Check"), page.getByRole(AriaRole.MAIN));
        Chrome.button(page, "To the bench").click();
        page.waitForCondition(() -> area(stage()) >= 0.45 * area(right()));
        Chrome.button(page, "Back to the notebook").click();
        assertThat(Chrome.button(page, "To the bench")).isVisible();
        // How a value was read is seen in the small picture; nothing moves away under the hand.
        BoundingBox before = table().boundingBox();
        page.getByLabel(Pattern.compile("^Show how .* was read")).first().click();
        assertThat(page.getByText("was read.")).isVisible();
        assertThat(table().boundingBox().x).isEqualTo(before.x);
    }

    @Test
    void benchesBearTheLabsNamesAndNothingOfThemIsCutOff() {
        open(1280, 720, "bashir.odell", "fog signal", "Two gases");
        assertThat(right().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("The mixture")))
                .hasAttribute("aria-pressed", "true");
        Locator histogram = page.getByRole(AriaRole.FIGURE);
        for (String mark : new String[] {"most probable", "mean", "root mean square"}) {
            within(histogram.getByText(Pattern.compile("^" + mark)), histogram);
        }
        within(histogram, right());
        within(Chrome.button(page, "Stop at …"), right());
        within(page.getByTestId("time"), right());
    }

    @Test
    void onASmallScreenAllIsThereToo() {
        open(1024, 768, "imre.saltzman", "lamp keeper", "Measure");
        within(page.getByTestId("film-time"), right());
        within(table().getByRole(AriaRole.COLUMNHEADER).last(), right());
        go("Analyse");
        within(Chrome.button(page, "Check"), page.getByRole(AriaRole.MAIN));
        assertThat(page.evaluate("document.documentElement.scrollWidth > innerWidth")).isEqualTo(false);
    }
}
