package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** Tables come in from files, and a whole work goes out as one. */
@ResourceLock("imre.saltzman")
class FilesTest {

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

    private Locator cell(String column, int row) {
        return Chrome.cell(page, column, row);
    }

    private void bring(String name, byte[] file) {
        page.getByLabel("File to bring in").setInputFiles(new FilePayload(name, "application/octet-stream", file));
    }

    private void confirm(String button) {
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button)).click();
        assertThat(dialog()).hasCount(0);
    }

    private void undo() {
        Chrome.button(page, "Undo").click();
        assertThat(Chrome.button(page, "Undo")).isDisabled();
        assertThat(page.getByText(Pattern.compile("^(All kept|Kept, .*)$"))).isVisible();
    }

    /** As a spreadsheet of the continent writes it: semicolons, decimal commas, no Unicode; millimetres become the table's centimetres. */
    @Test
    void aTextFileIsShownFirstThenTakenInWithItsUnitsConverted() {
        String text = "Länge L / mm;20 swings t / s;Wind (m/s)\r\n612;31,38;2,5\r\n905;38,1;\r\n";
        bring("swings.csv", text.getBytes(Charset.forName("windows-1252")));
        assertThat(dialog().getByLabel("Cells are separated by a")).hasValue(";");
        assertThat(dialog().getByLabel("Decimals are written with a")).hasValue(",");
        assertThat(dialog().getByLabel("Where Länge goes")).hasValue("L");
        assertThat(dialog().getByText("mm become cm")).isVisible();
        // A place that is taken twice, and one of another kind, are refused with a reason.
        dialog().getByLabel("Where Wind goes").selectOption("to 20 swings");
        assertThat(dialog().getByText("Two columns go to the same place.")).isVisible();
        dialog().getByLabel("Where 20 swings goes").selectOption("leave it behind");
        assertThat(dialog().getByText("Can't convert m/s to s")).isVisible();
        assertThat(dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Bring in 2 rows"))).isDisabled();
        dialog().getByLabel("Where Wind goes").selectOption("a new column");
        dialog().getByLabel("Where 20 swings goes").selectOption("to 20 swings");
        confirm("Bring in 2 rows");
        assertThat(cell("length", 6)).hasValue("61.2");
        assertThat(cell("length", 7)).hasValue("90.5");
        assertThat(cell("20 swings", 7)).hasValue("38.1");
        assertThat(cell("Wind", 6)).hasValue("2.5");
        undo();
        assertThat(page.getByRole(AriaRole.GRID)).hasAttribute("aria-rowcount", "7");
        assertThat(cell("Wind", 6)).hasCount(0);
    }

    @Test
    void whatWasSavedAsASpreadsheetComesBackTheSame() throws IOException {
        for (String format : new String[] {"as XLSX", "as ODS"}) {
            Download download = page.waitForDownload(() -> {
                Chrome.button(page, "Save the table").click();
                page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(format)).click();
            });
            bring(download.suggestedFilename(), Files.readAllBytes(download.path()));
            assertThat(dialog().getByLabel("Where length goes")).hasValue("L");
            confirm("Bring in 5 rows");
            for (String column : new String[] {"cord", "length", "20 swings"}) {
                String first = cell(column, 2).inputValue();
                String again = cell(column, 7).inputValue();
                if (column.equals("cord")) {
                    assertThat(again).isEqualTo(first);
                } else {
                    assertThat(Double.parseDouble(again)).as(format).isEqualTo(Double.parseDouble(first));
                }
            }
            undo();
        }
    }

    @Test
    void whatIsNoTableIsRefusedInWordsAndChangesNothing() {
        bring("film.xlsx", "not a spreadsheet".getBytes(StandardCharsets.UTF_8));
        assertThat(dialog().getByRole(AriaRole.ALERT)).hasText("File: it can't be read as .xlsx. Is it a whole spreadsheet file?");
        page.keyboard().press("Escape");
        bring("picture.csv", new byte[] {1, 0, 2});
        assertThat(dialog().getByRole(AriaRole.ALERT)).hasText("File: this is no text. Save it as .csv, .xlsx or .ods.");
        page.keyboard().press("Escape");
        assertThat(Chrome.button(page, "Undo")).isDisabled();
    }

    /** The student and the teacher get the same pages, with the graph drawn and its fit in words. */
    @Test
    void theWholeWorkIsAReport() throws IOException {
        if (!page.getByLabel("line of best fit").isChecked()) {
            page.getByLabel("line of best fit").click();
        }
        String equation = page.getByTestId("equation").first().innerText().replaceAll("\\s+", " ").replaceAll(" r² = .*", "").strip();
        assertThat(equation).contains(" = ");
        String own = report(page);
        assertThat(own).contains("The lamp keeper's clock", "Imre Saltzman", "Prediction", "length L / cm", equation + ", r² = ", cell("length", 3).inputValue());
        try (BrowserContext teachers = Chrome.context(1280, 800)) {
            Page teacher = Chrome.signIn(teachers, "ines");
            Chrome.ofClass(teacher, "Physics 10", Pattern.compile("^The lamp keeper's clock$")).click();
            Chrome.link(teacher, Pattern.compile("the work of Imre Saltzman")).click();
            Chrome.button(teacher, "To the bench").waitFor();
            assertThat(report(teacher)).isEqualTo(own);
        }
    }

    private static String report(Page page) throws IOException {
        Path file = page.waitForDownload(() -> Chrome.button(page, "Report").click()).path();
        try (PDDocument pdf = Loader.loadPDF(Files.readAllBytes(file))) {
            int pictures = 0;
            for (PDPage p : pdf.getPages()) {
                for (COSName name : p.getResources().getXObjectNames()) {
                    pictures += p.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
            assertThat(pictures).isEqualTo(1);
            // The minute in which it was made stands on the first page of work that isn't handed in.
            PDFTextStripper reader = new PDFTextStripper();
            reader.setSortByPosition(true);
            return reader.getText(pdf).replaceAll("\\s+", " ").replaceAll("as it stood on [^·]*", "");
        }
    }
}
