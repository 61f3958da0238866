package cauldron.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** No serious barrier on any main view. */
@ResourceLock("imre.saltzman")
@Order(2)
class AxeTest {

    static void check(Page page, String view) {
        // In the page itself: there are no frames of others, for which a second page would have to be opened each time.
        List<String> serious = new AxeBuilder(page).setLegacyMode(true).analyze().getViolations().stream()
                .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                .map((Rule v) -> v.getId() + ": " + v.getNodes().get(0).getHtml()).toList();
        assertThat(serious).as(view).isEmpty();
    }

    @Test
    void theTeachersViews() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            page.getByText("Physics 11").waitFor();
            check(page, "classes");
            Chrome.link(page, "Catalogue").click();
            Chrome.link(page, "Open on the bench").first().waitFor();
            check(page, "catalogue");
            Chrome.link(page, "Rail run").click();
            page.getByText("What students take wrongly").waitFor();
            check(page, "an apparatus");
            Chrome.link(page, "Catalogue").first().click();
            Chrome.inItem(page, "The lamp keeper's clock", "Read and give");
            Chrome.button(page, "Give to a class").waitFor();
            check(page, "lab preview");
            page.navigate(App.address());
            Chrome.ofClass(page, "Physics 10", Pattern.compile("^The lamp keeper's clock$")).click();
            page.getByText("Zofia Marr").waitFor();
            check(page, "class list");
            Chrome.link(page, Pattern.compile("the work of Aino Brekke")).click();
            Chrome.button(page, "To the bench").waitFor();
            check(page, "marking");
            Chrome.button(page, "To the bench").click();
            page.getByTestId("film-time").waitFor();
            check(page, "marking at the bench");
            page.navigate(App.address() + "/bench/pendulum");
            Chrome.button(page, "Run").waitFor();
            check(page, "bench");
            Chrome.button(page, "Help").click();
            page.getByPlaceholder("Search").fill("beam");
            check(page, "help");
            Chrome.button(page, "Close help").click();
            Chrome.button(page, "Projector").click();
            check(page, "projector");
            page.navigate(App.address() + "/bench/hanging-spring");
            Chrome.button(page, "Show").click();
            page.getByLabel("Force arrows").check();
            page.keyboard().press("Escape");
            page.getByText("weight").waitFor();
            check(page, "bench with force arrows");
            page.navigate(App.address() + "/bench/raised-loads");
            Chrome.button(page, "Set-ups").click();
            page.getByRole(AriaRole.MENUITEM).first().click();
            Chrome.button(page, "Run table").click();
            page.locator("[data-run-row]").first().waitFor();
            check(page, "bench with bars, profile and run table");
            Chrome.button(page, "Put a load on …").click();
            check(page, "an act with arguments");
            page.navigate(App.address() + "/bench/crash-rig");
            for (String strength : new String[] {"700", "250"}) {
                new BenchHands(page).set("Strength of the front", strength);
                new BenchHands(page).runTo("end of the run", "1");
                page.locator("[data-came]").getByText("Likelihood of survival").waitFor();
            }
            Chrome.button(page, "Trials").click();
            page.locator("li[data-trial]").nth(1).waitFor();
            Chrome.button(page, "Over all").click();
            page.locator("[data-point]").nth(1).waitFor();
            check(page, "all trials in a table and a graph");
            page.navigate(App.address() + "/bench/reflex-timer");
            Chrome.button(page, "Begin").click();
            page.locator("[data-lamp]").waitFor();
            check(page, "somebody is answering");
            page.keyboard().press("Escape");
            Chrome.button(page, "Another set").waitFor();
            check(page, "a set of answers");
        }
    }

    @Test
    void theSchoolsViews() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = context.newPage();
            page.navigate(App.address() + "/enter");
            page.getByLabel("One-time code").waitFor();
            check(page, "enter");
            page = Chrome.signIn(context, "sigrun");
            page.getByText("Ines Halvard").waitFor();
            check(page, "people");
            Chrome.button(page, "Add people").click();
            page.getByRole(AriaRole.DIALOG).waitFor();
            check(page, "add people");
            page.keyboard().press("Escape");
            Chrome.link(page, "What was done").click();
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("What was done")).waitFor();
            check(page, "what was done");
        }
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            Chrome.ofClass(page, "Physics 10", Pattern.compile("roster")).click();
            page.getByText("Zofia Marr").waitFor();
            check(page, "roster");
            Chrome.button(page, "Sign-in slips").click();
            page.getByRole(AriaRole.DIALOG).waitFor();
            check(page, "slips");
        }
    }

    @Test
    void theStudentsViews() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = context.newPage();
            page.navigate(App.address());
            Chrome.button(page, "Sign in").waitFor();
            check(page, "sign in");
            Chrome.link(page, "Type your class code").click();
            check(page, "join");
            page = Chrome.signIn(context, "imre.saltzman");
            page.getByText("The lamp keeper's clock").waitFor();
            check(page, "my labs");
            Chrome.inItem(page, "The lamp keeper's clock", "Go on");
            for (String part : List.of("Aim", "Prediction", "Measure", "Analyse", "Explain")) {
                Chrome.button(page, part).click();
                check(page, part);
            }
            Chrome.button(page, "Measure").click();
            Chrome.button(page, "Ruler").click();
            Chrome.button(page, "Protractor").click();
            Chrome.button(page, "Stopwatch").click();
            check(page, "instruments");
            Chrome.button(page, "Column").click();
            check(page, "new column");
            page.keyboard().press("Escape");
            Chrome.button(page, "Column length: what to do with it").click();
            check(page, "menu of a column");
            page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Statistics")).click();
            check(page, "statistics");
            page.keyboard().press("Escape");
            Chrome.button(page, Pattern.compile("^Fits")).click();
            Chrome.button(page, "Add a fit").click();
            check(page, "fits");
            page.keyboard().press("Escape");
            Chrome.button(page, "View").click();
            check(page, "view of the graph");
            page.keyboard().press("Escape");
            page.getByLabel("Tool").selectOption("tangent");
            check(page, "tangent");
            Chrome.button(page, "Data").click();
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Data of the graph")).waitFor();
            check(page, "data behind the graph");
            page.getByLabel("File to bring in").setInputFiles(new FilePayload("a.csv", "text/csv", "length L / mm;wind\n3,5;2\n".getBytes(
                    java.nio.charset.StandardCharsets.UTF_8)));
            page.getByText("mm become cm").waitFor();
            check(page, "bringing in a file");
        }
    }

    @Test
    void theBenchWithEverythingOnIt() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            page.navigate(App.address() + "/bench/gas-cylinder");
            Chrome.button(page, "Run").waitFor();
            for (String instrument : List.of("Ruler", "Stopwatch", "Pressure gauge", "Thermometer")) {
                Chrome.button(page, instrument).click();
            }
            check(page, "gas with instruments and histogram");
            page.navigate(App.address() + "/bench/hanging-spring");
            for (String instrument : List.of("Position markers", "Magnifier", "Beam timer")) {
                Chrome.button(page, instrument).click();
            }
            Chrome.button(page, "Side by side").click();
            Chrome.button(page, "Ten frames forward").click();
            Chrome.button(page, "Draw").click();
            Chrome.button(page, "Trials").click();
            page.getByLabel("Name of trial 1").waitFor();
            check(page, "side by side, drawing, trials");
        }
    }

    @Test
    void theOtherLabs() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "arlo.venn");
            Chrome.inItem(page, "What the ferry's propeller can push", "Go on");
            Chrome.button(page, "Measure").click();
            page.getByLabel(Pattern.compile("^distance, row 2")).click();
            page.getByText("This is how").waitFor();
            check(page, "glider lab");
            Chrome.button(page, "Column").click();
            page.getByLabel("Formula").pressSequentially("me");
            page.getByRole(AriaRole.LISTBOX).waitFor();
            check(page, "completing a formula");
            page.keyboard().press("Escape");
            page.navigate(App.address());
            Chrome.inItem(page, "The trolley on its slip", "Go on");
            Chrome.part(page, "Coasting");
            Chrome.button(page, "Coasting rails").click();
            page.locator("[data-part=mark]").waitFor();
            check(page, "three views of a recording");
            Chrome.part(page, "Explain");
            page.getByText("What counts").click();
            check(page, "an explanation and what counts");
        }
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "eero.pascoe");
            page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("The slip's lost label")).getByRole(AriaRole.BUTTON).click();
            Chrome.button(page, "Prediction").click();
            page.getByRole(AriaRole.APPLICATION).press("Enter");
            check(page, "sketching a prediction");
        }
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "aino.brekke");
            Chrome.inItem(page, "The air in the fog signal", "Go on");
            Chrome.button(page, "Two gases").click();
            check(page, "gas lab");
            Chrome.button(page, Pattern.compile("^Trials, ")).click();
            check(page, "gas lab with trials");
        }
    }
}
