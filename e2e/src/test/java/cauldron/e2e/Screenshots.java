package cauldron.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;

/** Makes docs/screenshots from the demo data; run by {@code ./cauldron screenshots}, not with the tests. */
class Screenshots {

    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    private static void shoot(Page page, String name) {
        Chrome.quiet(page);
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }

    @Test
    void teacher() throws IOException {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            page.getByText("Physics 11").waitFor();
            shoot(page, "classes");
            Chrome.ofClass(page, "Physics 11", Pattern.compile("^gradebook$")).click();
            page.getByText("median of what").waitFor();
            shoot(page, "gradebook");
            page.goBack();
            Chrome.link(page, "Catalogue").click();
            page.getByLabel("Quantity").selectOption("volume");
            shoot(page, "catalogue");
            Chrome.button(page, "Show all").click();
            Chrome.inItem(page, "The lamp keeper's clock", "Read and give");
            Chrome.button(page, "Give to a class").waitFor();
            Chrome.button(page, "Copy and change").click();
            page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("The sheet"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Recordings")))
                            .click();
            shoot(page, "maker");
            page.navigate(App.address());
            Chrome.ofClass(page, "Physics 10", Pattern.compile("^The lamp keeper's clock$")).click();
            page.getByText("Zofia Marr").waitFor();
            shoot(page, "class-list");
            live(page);
            page.goBack();
            Chrome.link(page, "Question by question").click();
            page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Answer")).waitFor();
            shoot(page, "by-question");
            page.goBack();
            Chrome.link(page, "In one graph").click();
            page.locator("[data-series]").nth(5).waitFor();
            shoot(page, "pool");
            page.goBack();
            Chrome.link(page, Pattern.compile("the work of Aino Brekke")).click();
            Chrome.button(page, "To the bench").click();
            page.getByTestId("film-time").waitFor();
            page.getByLabel(Pattern.compile("^length, row 3")).click();
            page.getByText("This is how").waitFor();
            shoot(page, "marking");
            Page work = page;
            Path report = page.waitForDownload(() -> Chrome.button(work, "Report").click()).path();
            try (PDDocument pdf = Loader.loadPDF(Files.readAllBytes(report))) {
                ImageIO.write(new PDFRenderer(pdf).renderImageWithDPI(1, 72), "png", FOLDER.resolve("report.png").toFile());
            }
            page.navigate(App.address() + "/bench/rail-run");
            page.getByLabel("Rail", new Page.GetByLabelOptions().setExact(true)).selectOption("your own");
            new BenchHands(page).set("Friction coefficient", "0.02");
            show(page, "Show", "Energy band along the rail", "Force arrows");
            show(page, "Graph", "Energy along the rail");
            new BenchHands(page).runTo("a time", "4.25");
            shoot(page, "bench");
            // First the size: the projector takes the whole screen, which can't be resized.
            page.setViewportSize(1024, 768);
            Chrome.button(page, "Projector").click();
            shoot(page, "projector");
        }
    }

    /** The class at work, one student of which asks for help. */
    private static void live(Page page) {
        try (BrowserContext bench = Chrome.context(1280, 800)) {
            Page student = Chrome.measuring(bench, "calla.munro");
            Chrome.button(student, "Ask for help").click();
            student.getByLabel("In your words").fill("Which end of the ruler is zero?");
            student.getByRole(AriaRole.DIALOG).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
                    .setName("Ask for help"))
                    .click();
            Chrome.link(page, "Watch live").click();
            page.getByText("Which end of the ruler is zero?").waitFor();
            page.getByText("1 of 26 here").waitFor();
            shoot(page, "live");
            Chrome.button(student, "take back").click();
        }
    }

    @Test
    void school() throws IOException {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            Chrome.ofClass(page, "Physics 10", Pattern.compile("roster")).click();
            page.getByText("Zofia Marr").waitFor();
            Chrome.button(page, "What to do with Esi Lund").click();
            page.getByRole(AriaRole.MENU).waitFor();
            shoot(page, "roster");
        }
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "sigrun");
            page.getByText("Ines Halvard").waitFor();
            Chrome.button(page, "Add people").click();
            page.getByRole(AriaRole.TEXTBOX).last().fill("Hedvig Roe\nAnders Pell, a.pell\nRagna Søby");
            Chrome.button(page, "Show what this makes").click();
            Chrome.button(page, "Make 3 accounts").waitFor();
            shoot(page, "administrator");
        }
    }

    @Test
    void student() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.measuring(context, "kofi.strand");
            page.getByLabel(Pattern.compile("^20 swings, row 2")).click();
            page.getByText("This is how").waitFor();
            Chrome.button(page, "Protractor").click();
            Chrome.button(page, "Ruler").click();
            shoot(page, "student-lab");
            Chrome.button(page, Pattern.compile("^Fits")).click();
            Chrome.button(page, "Add a fit").click();
            page.getByLabel("Kind", new Page.GetByLabelOptions().setExact(true)).last().selectOption("power");
            page.keyboard().press("Escape");
            Chrome.button(page, "Enlarge the graph").click();
            page.getByRole(AriaRole.DIALOG).getByLabel("Tool").selectOption("tangent");
            page.getByTestId("tangent").waitFor();
            shoot(page, "fits");
        }
    }

    private static void show(Page page, String menu, String... items) {
        Chrome.button(page, menu).click();
        for (String item : items) {
            page.getByLabel(item, new Page.GetByLabelOptions().setExact(true)).check();
        }
        page.keyboard().press("Escape");
    }

    @Test
    void benches() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            page.navigate(App.address() + "/bench/gas-cylinder");
            Chrome.button(page, "Run").waitFor();
            new BenchHands(page).set("Molecules of gas 2", "500");
            new BenchHands(page).set("Length of", "60");
            page.getByText("Partition in the middle").click();
            show(page, "Show", "Tagged molecule", "Path of the tagged molecule", "Molecules drawn larger than life");
            show(page, "Graph", "Gas 1 in the left half", "Gas 2 in the left half");
            Chrome.button(page, "Pressure gauge").click();
            new BenchHands(page).runTo("a time", "150");
            Chrome.button(page, "Take the partition out").click();
            new BenchHands(page).runTo("a time", "420");
            shoot(page, "gas");
            page.navigate(App.address() + "/bench/hanging-spring");
            Chrome.button(page, "Side by side").click();
            page.getByLabel("Settings of bench").selectOption("B");
            new BenchHands(page).set("Hung mass", "400");
            show(page, "Show", "Natural length and equilibrium", "Force arrows");
            show(page, "Graph", "Extension");
            Chrome.button(page, "Energy").click();
            new BenchHands(page).runTo("a time", "2.2");
            shoot(page, "side-by-side");
        }
    }

    @Test
    void otherLabs() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "nadia.pike");
            Chrome.inItem(page, "The store in the tower", "Go on");
            Chrome.button(page, "Heights").click();
            page.getByLabel(Pattern.compile("^height, row 5")).click();
            page.getByText("This is how").waitFor();
            shoot(page, "run-table");
        }
    }
}
