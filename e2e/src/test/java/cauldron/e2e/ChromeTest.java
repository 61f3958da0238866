package cauldron.e2e;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** That the journeys notice a page that breaks. */
class ChromeTest {

    @Test
    void aPageThatBreaksFailsTheTest() {
        try (BrowserContext context = Chrome.context(300, 200)) {
            Page page = context.newPage();
            assertThatThrownBy(() -> {
                page.navigate("data:text/html,<script>setTimeout(() => { throw new Error('broken'); }, 0)</script>");
                page.waitForFunction("() => false", null, new Page.WaitForFunctionOptions().setTimeout(5000));
            }).isInstanceOf(AssertionError.class).hasMessageContaining("broken");
        }
    }
}
