package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;

/** Work gets lost nowhere: not with the network, not with the server. */
@Isolated("it kills the server that the others ask")
class LossTest {

    private static final String FIRST = "The gradient of T² against L is 4π²/g. ";
    private static final String OFFLINE = "This was typed without a network. ";
    private static final String SERVERLESS = "And this while the server lay dead.";

    private static Locator keeping(Page page) {
        return page.locator("[data-keeping]");
    }

    /** Signs in and opens what is to be explained; where it is written. */
    private static Locator explanation(BrowserContext context, String student) {
        Page page = Chrome.signIn(context, student);
        Chrome.inItem(page, "The lamp keeper's clock", "Go on");
        Chrome.button(page, "Explain").click();
        return page.getByLabel("The keeper wants the new pendulum");
    }

    @Test
    void everyCharacterIsThereOnceAfterNetworkAndServerWereGone() throws Exception {
        try (BrowserContext first = Chrome.context(1280, 800); BrowserContext second = Chrome.context(1280, 800)) {
            Locator text = explanation(first, "farid.kemp");
            Page page = text.page();
            text.fill("");
            text.pressSequentially(FIRST);
            assertThat(keeping(page)).hasAttribute("data-keeping", "kept");

            first.setOffline(true);
            text.pressSequentially(OFFLINE);
            assertThat(keeping(page)).hasAttribute("data-keeping", "device");
            assertThat(keeping(page)).containsText("Kept on this device");

            App.kill();
            text.pressSequentially(SERVERLESS);
            App.start();
            first.setOffline(false);
            assertThat(keeping(page)).hasAttribute("data-keeping", "kept",
                    new LocatorAssertions.HasAttributeOptions().setTimeout(30_000));
            assertThat(text).hasValue(FIRST + OFFLINE + SERVERLESS);

            assertThat(explanation(second, "farid.kemp")).hasValue(FIRST + OFFLINE + SERVERLESS);
        }
    }

    @Test
    void whatWaitsOnTheDeviceOutlivesThePage() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Locator text = explanation(context, "kofi.strand");
            Page page = text.page();
            text.fill("");
            assertThat(keeping(page)).hasAttribute("data-keeping", "kept");
            // The server can't be written to, but can be read: the page can be opened again meanwhile.
            Chrome.answering(context, "**/entries", route -> route.abort());
            text.pressSequentially("Before the lid was closed.");
            assertThat(keeping(page)).hasAttribute("data-keeping", "device");
            page.reload();
            assertThat(page.getByLabel("The keeper wants the new pendulum")).hasValue("Before the lid was closed.");
            context.unroute("**/entries");
            assertThat(keeping(page)).hasAttribute("data-keeping", "kept",
                    new LocatorAssertions.HasAttributeOptions().setTimeout(30_000));
        }
    }

    @Test
    void whoeverIsSignedOutMeanwhileIsToldSignsInAndGoesOn() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Locator text = explanation(context, "kofi.strand");
            Page page = text.page();
            String before = text.inputValue();
            context.clearCookies();
            text.fill(before + "Typed after the session had ended.");
            assertThat(keeping(page)).hasText("You are signed out. Sign in to go on. 1 entry is safe on this device.");
            Locator parts = page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Parts of the lab"));
            Assertions.assertThat((boolean) parts.evaluate("n => n.scrollWidth <= n.clientWidth")).as("all parts are seen").isTrue();
            Chrome.link(page, "Sign in").click();
            page.getByLabel("User name").fill("kofi.strand");
            page.getByLabel("Secret").fill(Chrome.SECRET);
            Chrome.button(page, "Sign in").click();
            assertThat(keeping(page)).hasAttribute("data-keeping", "kept");
            assertThat(text).hasValue(before + "Typed after the session had ended.");
        }
    }
}
