package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The atom workbench: piece by piece, along the chart by mouse, challenges, and its lab. */
class AtomTest {

    private BrowserContext context;
    private Page page;

    @AfterEach
    void close() {
        context.close();
    }

    private void as(String person) {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, person);
    }

    private Locator part(String name) {
        return page.locator("[data-part=" + name + "]").locator("visible=true").first();
    }

    private Locator came(String outcome) {
        return new BenchHands(page).came(outcome);
    }

    @Test
    void pieceByPieceTheAtomBecomesAnother() {
        as("ines");
        page.navigate(App.address() + "/bench/atom-workbench");
        Chrome.button(page, "Neutron in").waitFor();
        assertThat(came("Element")).hasText("hydrogen");
        assertThat(came("It is")).hasText("a bare nucleus, a positive ion");
        assertThat(part("charge")).hasText("+");
        Chrome.button(page, "Neutron in").click();
        assertThat(part("charge")).hasText("+");
        Chrome.button(page, "Electron in").click();
        assertThat(page.locator("[data-part=charge]").first()).hasText("");
        assertThat(came("It is")).hasText("a neutral atom");
        Chrome.button(page, "Proton in").click();
        assertThat(came("Element")).hasText("helium");
        assertThat(page.locator("[data-lit=He]")).hasCount(1);
        assertThat(page.locator("[data-near='He-3']")).isVisible();
        // The electron is dragged out of its shell: the nucleus is bare.
        Eyes eyes = new Eyes(page);
        BoundingBox store = part("store").boundingBox();
        double[] outer = eyes.middle("circle[aria-label^='the outermost electron']");
        eyes.drag(outer, new double[] {store.x + store.width / 2, store.y});
        assertThat(part("charge")).hasText("2+");
        eyes.drag(eyes.middle("circle[aria-label^='an electron from the store']"), new double[] {outer[0], outer[1]
                + 30});
        assertThat(part("charge")).hasText("+");
        assertThat(page.getByTestId("step")).containsText("5 of 5");
        Chrome.button(page, "One step back").click();
        assertThat(part("charge")).hasText("2+");
    }

    @Test
    void alongTheChartNucleiCeaseToLast() {
        as("ines");
        page.navigate(App.address() + "/bench/atom-workbench");
        Chrome.button(page, "Make the nucleus …").click();
        Chrome.button(page, "Do it").click();
        page.keyboard().press("Escape");
        assertThat(part("life")).hasText("stable");
        // Two squares to the right on the chart, by its own handle.
        Locator atom = page.locator("circle[aria-label^='the atom on the chart']");
        BoundingBox at = atom.boundingBox();
        BoundingBox lit = page.locator("[data-part=neighbours]").boundingBox();
        assertThat(lit.width).isGreaterThan(100);
        double square = (double) page.evaluate("() => { const r = [...document.querySelectorAll('rect')]"
                + ".find((r) => r.getAttribute('stroke') === 'var(--copper)' && !r.dataset.lit); return "
                + "r.getBoundingClientRect().width; }");
        Eyes eyes = new Eyes(page);
        double[] from = {at.x + at.width / 2, at.y + at.height / 2};
        eyes.drag(from, new double[] {from[0] + 2 * square, from[1]});
        assertThat(page.getByTestId("step")).containsText("6 protons, 8 neutrons");
        assertThat(came("Its nucleus is")).hasText("not stable");
        assertThat(came("It decays by")).hasText("β⁻: a neutron turns into a proton");
        assertThat(part("half-life")).hasText("5730 years");
        page.getByLabel("To be built").selectOption("A nucleus that turns into nitrogen-14 by one decay");
        assertThat(came("To be built")).hasText("built");
    }

    @Test
    void theLabTakesStepsAndNamesSlips() {
        as("nadia.pike");
        Chrome.sealed(page, "One proton more", 2, "Build");
        for (String piece : new String[] {"Neutron in", "Proton in", "Electron in", "Electron in", "Electron in",
                "Neutron in",
            "Electron out", "Proton in"}) {
            Chrome.button(page, piece).click();
        }
        Chrome.button(page, "Into the notebook").click();
        assertThat(Chrome.cell(page, "atomic number", 9)).hasValue("3");
        assertThat(Chrome.cell(page, "charge", 6)).hasValue(Pattern.compile("[−-]1"));
        Chrome.part(page, "Analyse");
        Locator ion = Chrome.question(page, "An ion has 16 protons");
        Chrome.answer(ion, "16", "");
        assertThat(ion).containsText("Neutrons have none");
        Chrome.answer(ion, "2", "");
        assertThat(ion).containsText("Which sign have electrons?");
        new LabHands(page).right("An ion has 16 protons", "-2", "");
        Locator mean = Chrome.question(page, "What is the relative atomic mass of chlorine");
        Chrome.answer(mean, "35.97", "u");
        assertThat(mean).containsText("Three atoms in four");
        new LabHands(page).right("What is the relative atomic mass of chlorine", "35.45", "u");
        drawn();
        // A choice question: a hint to what is wrong, not all, all; and its reason is asked for at handing in.
        Locator choice = page.locator("section").filter(new Locator.FilterOptions().setHasText("Which of these change "
                + "the charge"))
                .last();
        Locator check = choice.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Check"));
        choice.getByLabel("A neutron in").check();
        check.click();
        assertThat(choice).containsText("did the charge change when a neutron came in?");
        choice.getByLabel("A neutron in").uncheck();
        choice.getByLabel("A proton out").check();
        check.click();
        assertThat(choice).containsText("it isn't all");
        assertThat(choice).containsText("Your tries are used up");
        choice.getByLabel("An electron in").check();
        choice.getByLabel("A neutron and a proton for each other").check();
        check.click();
        assertThat(choice.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByText("Analyse: give your reason")).isVisible();
        assertThat(page.getByText("Aim: answer the opening question")).isVisible();
    }

    /** The ion of the drawing question: taken from the bench, labelled by the mouse, written below by hand, checked. */
    private void drawn() {
        Locator drawing = page.locator("main section")
                .filter(new Locator.FilterOptions().setHasText("Draw an ion with 8 protons")).last();
        // What stands on the bench is neon-20 until an electron less and other nucleons are there.
        Chrome.button(page, "To the bench").click();
        Chrome.button(page, "Proton out").click();
        Chrome.button(page, "Proton out").click();
        drawing.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Draw …")).click();
        Chrome.button(page, "Take from the bench").click();
        assertThat(page.getByLabel("proton, in the middle")).hasValue("8");
        assertThat(page.getByLabel("electron, on the outer ring")).hasValue("8");
        BoundingBox paper = page.getByRole(AriaRole.APPLICATION).boundingBox();
        double scale = paper.width / 160;
        Eyes eyes = new Eyes(page);
        String[] labels = {"nucleus", "electron", "outer shell"};
        // The electron that is labelled is the one on top of the outer ring.
        double[][] ways = {{64, 50, 120, 16}, {64, 10, 20, 12}, {103, 55, 124, 70}};
        for (int i = 0; i < labels.length; i++) {
            page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(labels[i])).last()
                    .check(new Locator.CheckOptions().setForce(true));
            eyes.drag(new double[] {paper.x + scale * ways[i][0], paper.y + scale * ways[i][1]},
                    new double[] {paper.x + scale * ways[i][2], paper.y + scale * ways[i][3]});
        }
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Mass number")).fill("18");
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Charge")).fill("2+");
        AxeTest.check(page, "the paper of a drawing");
        page.keyboard().press("Escape");
        Locator check = drawing.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Check"));
        check.click();
        assertThat(drawing).containsText("8 of 9 things are as they should be. Charge is protons less electrons");
        drawing.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change the drawing …")).click();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Charge")).fill("2-");
        page.keyboard().press("Escape");
        check.click();
        assertThat(drawing.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    @Test
    void theLabelledDrawingIsSavedAsAFile() throws IOException {
        as("ines");
        page.navigate(App.address() + "/bench/atom-workbench");
        Chrome.button(page, "Labelled drawing").click();
        Download saved = page.waitForDownload(() -> Chrome.button(page, "Save as SVG").click());
        String svg = Files.readString(saved.path());
        assertThat(saved.suggestedFilename()).isEqualTo("Atom workbench, labelled drawing.svg");
        assertThat(svg).contains("hydrogen, H", "1 proton", "viewBox=\"0 0 160 124\"").doesNotContain("var(");
    }
}
