package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** A student works a whole analysis in the notebook: types, pastes, calculates, fits, reads off, saves. */
@ResourceLock("imre.saltzman")
class NotebookTest {

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.measuring(context, "imre.saltzman");
    }

    @AfterEach
    void close() {
        context.close();
    }

    private Locator dialog() {
        return page.getByRole(AriaRole.DIALOG);
    }

    private void column(String kind, String name, String symbol, String unitOrFormula, String uncertainty) {
        Chrome.button(page, "Column").click();
        dialog().getByLabel(kind).check();
        dialog().getByLabel("Name").fill(name);
        dialog().getByLabel("Symbol").fill(symbol);
        boolean calculated = kind.startsWith("calculated");
        dialog().getByLabel(calculated ? "Formula" : "Unit", new Locator.GetByLabelOptions().setExact(true)).fill(unitOrFormula);
        if (!uncertainty.isEmpty()) {
            dialog().getByLabel("Uncertainty").fill(uncertainty);
        }
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add the column")).click();
        assertThat(dialog()).hasCount(0);
    }

    private Locator cell(String column, int row) {
        return Chrome.cell(page, column, row);
    }

    /** Pastes text into a cell as a person does, and confirms what is shown. */
    private void paste(String column, int row, String text, String button) {
        cell(column, row).evaluate("(input, text) => { const data = new DataTransfer(); data.setData('text/plain', text);"
                + " input.focus(); input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })); }", text);
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button)).click();
        assertThat(dialog()).hasCount(0);
    }

    private void axes(String up, String along) {
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption(up);
        page.getByLabel("along", new Page.GetByLabelOptions().setExact(true)).selectOption(along);
    }

    /** The first number after a sign of equality. */
    private static double number(String text) {
        Matcher m = Pattern.compile("[=a-z] \\(?([−-]?[0-9.]+)").matcher(text);
        assertThat(m.find()).as(text).isTrue();
        return Double.parseDouble(m.group(1).replace('−', '-'));
    }

    private void fitLine() {
        if (!page.getByLabel("line of best fit").isChecked()) {
            page.getByLabel("line of best fit").click();
        }
    }

    private void undoAll() {
        Locator undo = Chrome.button(page, "Undo");
        while (undo.isEnabled()) {
            undo.click();
        }
        // The next test finds on the server what this one left.
        assertThat(page.getByText(Pattern.compile("^(All kept|Kept, .*)$"))).isVisible(
                new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions().setTimeout(90_000));
    }

    @Test
    void forceAndExtensionTypedByKeysAloneGiveGradientAndAreaWithUnits() {
        column("for readings", "extension", "x", "cm", "");
        column("for readings", "force", "F", "N", "0.05");
        double[] x = {1.2, 2.4, 3.5, 4.9, 6.0};
        double[] force = {0.31, 0.60, 0.88, 1.22, 1.50};
        // From here on no mouse: the first cell is come to by Tab from the table's own buttons.
        cell("extension", 1).focus();
        for (int i = 0; i < x.length; i++) {
            page.keyboard().type(String.format(Locale.ROOT, "%.1f", x[i]));
            page.keyboard().press("Enter");
        }
        cell("extension", 1).focus();
        page.keyboard().press("ArrowRight");
        assertThat(cell("force", 1)).isFocused();
        for (double f : force) {
            page.keyboard().type(String.format(Locale.ROOT, "%.2f", f));
            page.keyboard().press("ArrowDown");
        }
        axes("F", "x");
        Locator line = page.getByLabel("line of best fit");
        if (!line.isChecked()) {
            line.focus();
            page.keyboard().press("Space");
        }
        Locator equation = page.getByTestId("equation");
        assertThat(equation).containsText("F = (");
        assertThat(number(equation.innerText())).isCloseTo(0.2475, within(0.002));
        assertThat(equation).containsText(") N/cm · x");
        assertThat(page.locator("[data-bar=up]")).hasCount(5);
        page.getByLabel("Tool").selectOption("area");
        Locator from = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Area from")));
        Locator to = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Area to")));
        from.focus();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("ArrowLeft");
        }
        to.focus();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("ArrowRight");
        }
        // Trapeziums from the first point to the last.
        double area = 0;
        for (int i = 1; i < x.length; i++) {
            area += 0.5 * (force[i] + force[i - 1]) * (x[i] - x[i - 1]);
        }
        assertThat(number(page.getByTestId("read-off").innerText())).isCloseTo(area, within(0.002));
        assertThat(page.getByTestId("read-off")).containsText("N · cm from x = 1.2 to 6 cm");
        page.getByLabel("Tool").selectOption("tangent");
        assertThat(page.getByTestId("read-off")).containsText("gradient 0.24");
        assertThat(page.getByTestId("read-off")).containsText("N/cm");
        undoAll();
    }

    @Test
    void positionAndTimeGiveVelocityAndAccelerationWithARowLeftOut() {
        column("for readings", "instant", "τ", "s", "");
        column("for readings", "place", "s", "cm", "");
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 8; i++) {
            double t = 0.1 * i;
            double s = 3 + 12 * t + 0.5 * 84 * t * t + (i == 4 ? 6 : 0);
            text.append(String.format(Locale.ROOT, "%.1f\t%.2f\n", t, s));
        }
        paste("instant", 1, text.toString().replace('.', ','), "Paste 8 rows");
        column("calculated from others", "velocity", "v", "rate(s; τ)", "");
        axes("v", "τ");
        fitLine();
        Chrome.button(page, "Row 5: what to do with it").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Leave it out …")).click();
        dialog().getByLabel("Why?").fill("misread by a finger's width");
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Leave it out")).click();
        Locator equation = page.getByTestId("equation");
        assertThat(equation).containsText("7 points");
        // 84 cm/s² is 0.84 m/s², and the column is in m/s.
        assertThat(number(equation.innerText())).isCloseTo(0.84, within(0.005));
        assertThat(equation).containsText("m s⁻²");
        axes("s", "τ");
        assertThat(page.locator("[data-out]")).hasCount(1);
        Chrome.button(page, Pattern.compile("^Fits")).click();
        page.getByLabel("Kind", new Page.GetByLabelOptions().setExact(true)).selectOption("quadratic");
        page.keyboard().press("Escape");
        assertThat(equation).containsText("s = 42.0000 cm/s² · τ²");
        undoAll();
    }

    /** Five runs: from position and time to velocity, from its gradient the acceleration, and at last the mass. */
    @Test
    void fiveRunsFromPositionAndTimeToForceAgainstAcceleration() {
        context.close();
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "dunya.shore");
        Chrome.inItem(page, "The slip's lost label", "Go on");
        Chrome.button(page, "By rhythm").click();
        column("for readings", "instant", "τ", "s", "");
        column("for readings", "place", "s", "cm", "");
        column("calculated from others", "velocity", "v", "rate(s; τ)", "");
        axes("v", "τ");
        fitLine();
        double mass = 0.412;
        double[] forces = {0.15, 0.30, 0.45, 0.60, 0.75};
        double[] accelerations = new double[forces.length];
        Locator equation = page.getByTestId("equation");
        for (int run = 0; run < forces.length; run++) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < 9; i++) {
                double t = 0.15 * i;
                // Read to a millimetre.
                text.append(String.format(Locale.ROOT, "%.2f\t%.1f\n", t, 4 + 50 * forces[run] / mass * t * t));
            }
            paste("instant", 1, text.toString(), "Paste 9 rows");
            assertThat(cell("place", 9)).hasValue(String.format(Locale.ROOT, "%.1f", 4 + 50 * forces[run] / mass * 1.44));
            assertThat(equation).containsText("9 points");
            assertThat(equation).containsText("m s⁻²");
            accelerations[run] = number(equation.innerText());
        }
        Chrome.button(page, "By weights").click();
        column("for readings", "push", "P", "N", "");
        column("for readings", "acceleration", "a", "m/s^2", "");
        for (int run = 0; run < forces.length; run++) {
            cell("push", run + 1).fill(String.valueOf(forces[run]));
            cell("acceleration", run + 1).fill(String.format(Locale.ROOT, "%.3f", accelerations[run]));
        }
        axes("P", "a");
        fitLine();
        assertThat(equation).containsText("5 points");
        assertThat(equation).containsText("kg · a");
        assertThat(number(equation.innerText())).isCloseTo(mass, within(0.01));
        undoAll();
    }

    @Test
    void periodAgainstRootOfLengthGivesGWithItsUncertainty() {
        column("calculated from others", "period", "T", "t/20", "");
        column("calculated from others", "root of length", "w", "√L", "");
        axes("T", "w");
        fitLine();
        Locator equation = page.getByTestId("equation");
        assertThat(equation).containsText("T = (");
        assertThat(number(equation.innerText())).isCloseTo(2.006, within(0.08));
        // T = 2π/√g · √L, so g = 4π²/m², and its uncertainty follows from that of the gradient.
        page.getByLabel("Parameters of fit 1").click();
        Chrome.button(page, "Work out a quantity").click();
        dialog().getByLabel("Symbol of quantity 1").fill("g");
        dialog().getByLabel("Formula of quantity 1").fill("4π²/(m + c)");
        assertThat(dialog().getByTestId("quantity")).containsText("Can't add");
        dialog().getByLabel("Formula of quantity 1").fill("4π²/m²");
        assertThat(dialog().getByTestId("quantity")).containsText(Pattern.compile("= [0-9.]+ ± [0-9.]+ m s⁻²"));
        dialog().getByText("Compare g", new Locator.GetByTextOptions().setExact(true)).click();
        Locator compare = dialog().locator("details").filter(new Locator.FilterOptions().setHasText("Compare g")).last();
        compare.getByLabel("Value", new Locator.GetByLabelOptions().setExact(true)).fill("9,81");
        assertThat(compare.getByTestId("comparison")).containsText("%");
        assertThat(compare.getByTestId("comparison")).containsText(Pattern.compile("agree"));
        page.keyboard().press("Escape");
        // Found by students: 2π/2.006 per root of metre and second.
        Locator follows = page.getByTestId("follows");
        assertThat(follows).containsText(Pattern.compile("^g = [0-9.]+ ± [0-9.]+ m s⁻²$"));
        assertThat(number(follows.innerText())).isCloseTo(9.8, within(0.9));
        page.getByLabel("line of best fit").click();
        undoAll();
        assertThat(page.getByText("root of length")).hasCount(0);
    }

    @Test
    void thirtyReactionTimesAreAHistogramWithANormalCurve() {
        column("for readings", "reaction", "r", "ms", "");
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 30; i++) {
            text.append(200 + (i * 37) % 90 + (i * 11) % 40).append('\n');
        }
        paste("reaction", 1, text.toString(), "Paste 30 rows");
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("r");
        Chrome.button(page, "View").click();
        page.getByLabel("Show", new Page.GetByLabelOptions().setExact(true)).selectOption("histogram");
        page.getByLabel("Bin width").fill("20");
        page.keyboard().press("Escape");
        Object sum = page.evaluate("[...document.querySelectorAll('[data-bin]')].reduce((n, b) => n + Number(b.dataset.bin), 0)");
        assertThat(((Number) sum).intValue()).isEqualTo(30);
        assertThat(page.getByTestId("normal")).hasCount(1);
        Chrome.button(page, "View").click();
        page.getByLabel("Show", new Page.GetByLabelOptions().setExact(true)).selectOption("points");
        page.keyboard().press("Escape");
        undoAll();
    }

    @Test
    void tableAndGraphAreSavedAsFilesThatOthersOpen() throws IOException {
        String csv = Files.readString(saved("Save the table", "as CSV"));
        assertThat(csv).startsWith("\ufeffcord,length L / cm,20 swings t / s\r\nTern,");
        try (ZipFile ods = new ZipFile(saved("Save the table", "as ODS, for spreadsheets").toFile())) {
            String content = new String(ods.getInputStream(ods.getEntry("content.xml")).readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
            assertThat(content).contains("office:value-type=\"float\"").contains("swings", "Tern");
        }
        try (ZipFile xlsx = new ZipFile(saved("Save the table", "as XLSX, for spreadsheets").toFile())) {
            assertThat(xlsx.getEntry("xl/worksheets/sheet1.xml")).isNotNull();
        }
        BoundingBox box = page.locator("svg[aria-label^=Graph]").boundingBox();
        var picture = ImageIO.read(saved("Save the graph", "as PNG").toFile());
        assertThat(picture.getWidth()).isCloseTo((int) Math.round(4 * box.width), within(8));
        // Ink is there: axes, titles and points on white.
        int dark = 0;
        for (int i = 0; i < picture.getWidth(); i += 3) {
            for (int j = 0; j < picture.getHeight(); j += 3) {
                dark += (picture.getRGB(i, j) & 0xff) < 100 ? 1 : 0;
            }
        }
        assertThat(dark).isGreaterThan(200);
        byte[] svg = Files.readAllBytes(saved("Save the graph", "as SVG"));
        Page alone = context.newPage();
        alone.navigate("data:image/svg+xml;base64," + Base64.getEncoder().encodeToString(svg));
        assertThat((String) alone.evaluate("document.documentElement.tagName + document.querySelectorAll('circle').length"))
                .isEqualTo("svg5");
        assertThat(new String(svg, java.nio.charset.StandardCharsets.UTF_8)).doesNotContain("var(");
        alone.close();
    }

    private Path saved(String button, String format) {
        Download download = page.waitForDownload(() -> {
            Chrome.button(page, button).click();
            page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(format)).click();
        });
        return download.path();
    }

    @Test
    void tenThousandRowsScrollAndOnlyThoseInViewAreDrawn() {
        column("for readings", "count", "n", "", "");
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 10_000; i++) {
            text.append(i % 97).append('\n');
        }
        paste("count", 1, text.toString(), "Paste 10000 rows");
        assertThat(page.getByRole(AriaRole.GRID)).hasAttribute("aria-rowcount", "10002");
        assertThat((Integer) page.evaluate("document.querySelectorAll('[role=grid] tbody tr').length")).isLessThan(100);
        cell("count", 1).focus();
        page.keyboard().press("Control+End");
        assertThat(cell("count", 10_001)).isVisible();
        assertThat(cell("count", 10_000)).hasValue(String.valueOf(9_999 % 97));
        undoAll();
        assertThat(page.getByRole(AriaRole.GRID)).hasAttribute("aria-rowcount", "7");
    }

    /** Centimetres become metres, figures kept; undone in one step. Or only the label was wrong. */
    @Test
    void aMeasuredColumnIsConvertedWhenItsUnitIsChanged() {
        column("for readings", "height", "h", "cm", "0.1");
        paste("height", 1, "12.50\n8.0\n", "Paste 2 rows");
        changeUnit("height", "mm", "125.0 mm", null);
        assertThat(cell("height", 1)).hasValue("125.0");
        assertThat(cell("height", 2)).hasValue("80");
        assertThat(page.getByText("± 1", new Page.GetByTextOptions().setExact(true))).isVisible();
        Chrome.button(page, "Undo").click();
        assertThat(cell("height", 1)).hasValue("12.50");
        changeUnit("height", "m", "0.1250 m", "Leave them: only the unit was wrong");
        assertThat(cell("height", 1)).hasValue("12.50");
        undoAll();
    }

    private void changeUnit(String column, String unit, String offered, String instead) {
        Chrome.button(page, "Column " + column + ": what to do with it").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Change …")).click();
        dialog().getByLabel("Unit", new Locator.GetByLabelOptions().setExact(true)).fill(unit);
        assertThat(dialog().getByText(offered)).isVisible();
        if (instead != null) {
            dialog().getByLabel(instead).check();
        }
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change the column")).click();
        assertThat(dialog()).hasCount(0);
    }

    @Test
    void aFormulaThatIsWrongPointsAtThePlaceAndPrettyOnesAreSet() {
        Chrome.button(page, "Column").click();
        dialog().getByLabel("Name").fill("sum");
        dialog().getByLabel("Symbol").fill("q");
        Locator formula = dialog().getByLabel("Formula", new Locator.GetByLabelOptions().setExact(true));
        formula.fill("L + t");
        assertThat(dialog().getByText("Can't add a quantity in s to a quantity in m")).isVisible();
        formula.fill("√(L/(9.81 \"m/s²\"))");
        assertThat(dialog().locator("math msqrt mfrac")).hasCount(1);
        assertThat(dialog().getByText("Unit: s")).isVisible();
        for (String name : List.of("rate: rate of change of one with another", "mean: mean of the column")) {
            assertThat(dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))).isVisible();
        }
        page.keyboard().press("Escape");
    }
}
