package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** An explanation that is spoken: through a lost network, heard by its student and the teacher, or written instead. */
class VoiceTest {

    private static final String LAB = "The slip's lost label";

    /** Somebody new whose prediction is sealed, at the explanation. */
    private static Page explaining(BrowserContext context, Given given, String name) throws Exception {
        Client student = given.student(name);
        student.entry("expect", "answer", "{\"choice\":1}");
        student.entry("expect", "sketch", "{\"strokes\":[[0,0,1,1]]}");
        student.entry("expect", "seal", "{\"sealed\":true}");
        Page page = context.newPage();
        page.navigate(App.address());
        page.getByLabel("User name").fill(Client.find("\"userName\":\"([^\"]+)\"", student.get("/api/me").body()));
        page.getByLabel("Secret").fill("eight-chars");
        Chrome.button(page, "Sign in").click();
        Chrome.inItem(page, LAB, "Go on");
        Chrome.part(page, "Explain");
        return page;
    }

    private static Locator spoken(Page page) {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Spoken explanation"));
    }

    private static void speak(Page page, String button) {
        Chrome.button(page, button).click();
        // A piece is three seconds long: there are two then.
        assertThat(page.getByRole(AriaRole.TIMER)).hasText(Pattern.compile("0:0[4-9]"));
    }

    @Test
    void whatIsSpokenWithoutANetworkIsHeardByTheTeacherOnceItIsBack() throws Exception {
        Given given = Given.to("Voice", LAB);
        String name = "Voice " + UUID.randomUUID().toString().substring(0, 6);
        try (BrowserContext bench = Chrome.context(1280, 800); BrowserContext desk = Chrome.context(1280, 800)) {
            Page page = explaining(bench, given, name);
            assertThat(spoken(page)).containsText("up to 2:00; only your teacher can hear it");
            AxeTest.check(page, "an explanation that may be spoken");
            bench.setOffline(true);
            speak(page, "Speak instead");
            Chrome.button(page, "Stop").click();
            assertThat(spoken(page)).containsText(Pattern.compile("[23] pieces are kept on this device"));
            assertThat(page.getByLabel("What was spoken")).isVisible();
            bench.setOffline(false);
            assertThat(spoken(page)).not().containsText("on this device");
            // It is still there when the page is opened anew, and counts as an answer that is too short.
            page.reload();
            assertThat(Chrome.button(page, Pattern.compile("^Hear it, 0:0[4-9]"))).isVisible();
            Chrome.button(page, "Hand in …").click();
            assertThat(page.getByRole(AriaRole.DIALOG)).containsText("of at least 16 seconds spoken");
            Chrome.button(page, "Go on working").click();

            Page teacher = Chrome.signedIn(desk, "ines");
            teacher.navigate(App.address() + "/assignments/" + given.assignments().get(0) + "/questions");
            teacher.getByText("Which of your two ways").first().click();
            assertThat(teacher.getByText(Pattern.compile("\\(Spoken, [4-9] s\\)"))).isVisible();
            Chrome.button(teacher, Pattern.compile("^Hear it")).click();
            Locator sound = teacher.getByLabel("What was spoken");
            assertThat(sound).isVisible();
            // It is a sound that a browser can play to its end.
            sound.evaluate("a => { a.playbackRate = 8; a.muted = true; return a.play(); }");
            teacher.waitForFunction("() => document.querySelector('audio').ended");
            assertThat(((Number) sound.evaluate("a => a.currentTime")).doubleValue()).isBetween(3.5, 12.0);
            AxeTest.check(teacher, "marking what was spoken");

            speak(page, "Speak again");
            Chrome.button(page, "Stop").click();
            assertThat(page.getByLabel("What was spoken")).isVisible();
            Chrome.button(page, "Take it away").click();
            assertThat(Chrome.button(page, "Speak instead")).isVisible();
        }
    }

    @Test
    void whoeverHasNoMicrophoneWrites() throws Exception {
        Given given = Given.to("Mute", LAB);
        try (BrowserContext context = Chrome.context(1280, 800)) {
            context.addInitScript("if (navigator.mediaDevices) navigator.mediaDevices.getUserMedia = "
                    + "() => Promise.reject(new Error('no'));");
            Page page = explaining(context, given, "Mute " + UUID.randomUUID().toString().substring(0, 6));
            Chrome.button(page, "Speak instead").click();
            assertThat(page.getByRole(AriaRole.ALERT))
                    .containsText("The browser was not allowed to use the microphone.");
            page.getByRole(AriaRole.MAIN).getByRole(AriaRole.TEXTBOX).first().fill("The stiffer one hardly stretches.");
            assertThat(page.getByText("5 words, at least 40 asked for")).isVisible();
        }
    }
}
