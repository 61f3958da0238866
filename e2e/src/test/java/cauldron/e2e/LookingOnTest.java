package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A teacher looks on while a student's bench runs, before anything of it is kept. */
class LookingOnTest {

    private static final String LAB = "Two tanks in the boathouse";

    private static LocatorAssertions.HasTextOptions soon() {
        return new LocatorAssertions.HasTextOptions().setTimeout(15_000);
    }

    private static Page student(BrowserContext context, String code) {
        Page page = context.newPage();
        page.navigate(App.address() + "/join");
        page.getByLabel("Class code").fill(code);
        page.getByLabel("Your name").fill("Runa Follow");
        page.getByLabel("Choose a secret").fill("eight-chars");
        Chrome.button(page, "Join").click();
        Chrome.button(page, "Go to my labs").click();
        Chrome.inItem(page, LAB, "Begin");
        Chrome.part(page, "Prediction");
        page.getByRole(AriaRole.RADIO).first().check();
        Chrome.button(page, "Seal my prediction").click();
        Chrome.part(page, "A core between");
        return page;
    }

    private static void speed(Page page, String times) {
        page.getByLabel("Speed", new Page.GetByLabelOptions().setExact(true)).selectOption(times);
    }

    @Test
    void theBenchRunsOnBothPagesAndIsLetGo() throws Exception {
        Given given = Given.to("Looking on", LAB);
        try (BrowserContext desk = Chrome.context(1280, 800); BrowserContext seat = Chrome.context(1280, 800)) {
            Page student = student(seat, given.code());
            Page teacher = Chrome.signIn(desk, "ines");
            teacher.navigate(student.url());
            Chrome.part(teacher, "A core between");
            Locator bar = teacher.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Looking on"));
            assertThat(bar).containsText("the student's bench rests", new LocatorAssertions.ContainsTextOptions()
                    .setTimeout(15_000));
            assertThat(teacher.getByText("the student is here now")).hasCount(1);

            // A setting changed is seen, and can't be changed from here.
            Locator neck = teacher.getByLabel("In the neck", new Page.GetByLabelOptions().setExact(true));
            student.getByLabel("In the neck", new Page.GetByLabelOptions().setExact(true)).selectOption("steel");
            assertThat(neck).hasValue("steel", new LocatorAssertions.HasValueOptions().setTimeout(15_000));
            assertThat(neck).isDisabled();

            // It runs here while it runs there, though no trial is kept yet.
            Chrome.button(student, "Run").click();
            assertThat(bar).containsText("the student runs it", new LocatorAssertions.ContainsTextOptions()
                    .setTimeout(15_000));
            assertThat(bar.getByTestId("time")).not().hasText(Pattern.compile("^0[. ]"), new LocatorAssertions
                    .HasTextOptions().setTimeout(15_000));
            assertThat(teacher.getByText(Pattern.compile("^Trials, 0$"))).isVisible();
            AxeTest.check(teacher, "looking on");
            Chrome.button(student, "Pause").click();
            String time = student.getByTestId("time").innerText();
            assertThat(bar.getByTestId("time")).hasText(time, soon());
            Locator below = teacher.locator("[data-channel=below]").first();
            assertThat(below).hasText(student.locator("[data-channel=below]").first().innerText(), soon());
            assertThat(teacher.getByText(Pattern.compile("^Trials, 1$"))).isVisible();

            // By oneself and back again; the student hears nothing of it.
            Chrome.button(teacher, "Look around by myself").click();
            Chrome.button(teacher, "Run").click();
            assertThat(teacher.getByTestId("time")).not().hasText(time);
            Chrome.button(teacher, "Pause").click();
            assertThat(student.getByTestId("time")).hasText(time);
            Chrome.button(teacher, "Look on again").click();
            assertThat(bar.getByTestId("time")).hasText(time, soon());

            // Begun anew with another setting, at another speed.
            student.getByLabel("In the neck", new Page.GetByLabelOptions().setExact(true)).selectOption("copper");
            speed(student, "4");
            Chrome.button(student, "Run").click();
            assertThat(neck).hasValue("copper", new LocatorAssertions.HasValueOptions().setTimeout(15_000));
            Chrome.button(student, "Pause").click();
            assertThat(bar.getByTestId("time")).hasText(student.getByTestId("time").innerText(), soon());
        }
    }
}
