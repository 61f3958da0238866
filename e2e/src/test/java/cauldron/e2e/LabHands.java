package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Pattern;

/** Hands at a lab: records, types into tables, calculates columns, fits lines. */
final class LabHands {

    private final Page page;

    LabHands(Page page) {
        this.page = page;
    }

    /** Chooses by name and option in turns, and records. */
    void record(String... choices) {
        StringBuilder chosen = new StringBuilder();
        for (int i = 0; i < choices.length; i += 2) {
            page.getByLabel(choices[i], new Page.GetByLabelOptions().setExact(true)).selectOption(choices[i + 1]);
            chosen.append(i == 0 ? "" : ", ").append(choices[i + 1]);
        }
        Chrome.button(page, "Record").click();
        assertThat(page.getByLabel("On the bench").locator("option:checked")).containsText(chosen.toString());
        page.locator("[aria-label^='Recording: '][aria-label*='" + chosen + "']").waitFor();
    }

    void type(String column, int row, String text) {
        Chrome.cell(page, column, row).fill(text);
    }

    void take(String column, int row) {
        Locator cell = Chrome.cell(page, column, row);
        cell.press("=");
        assertThat(cell).not().hasValue("");
    }

    double value(String column, int row) {
        return Double.parseDouble(Chrome.cell(page, column, row).inputValue());
    }

    void column(String name, String symbol, String formula) {
        Chrome.button(page, "Column").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("Name").fill(name);
        dialog.getByLabel("Symbol").fill(symbol);
        dialog.getByLabel("Formula").fill(formula);
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add the column")).click();
        assertThat(dialog).hasCount(0);
    }

    /** Types the unit of a column into its heading; without a hint it is to be right. */
    void findUnit(String column, String unit, String hint) {
        Locator field = page.getByLabel("Unit of " + column);
        field.fill(unit);
        field.press("Enter");
        if (hint.isEmpty()) {
            assertThat(field).hasCount(0);
        } else {
            assertThat(page.getByText(hint)).isVisible();
        }
    }

    /** Chooses axes, fits the line, and gives its gradient as the page prints it. */
    double gradient(String up, String along) {
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption(up);
        page.getByLabel("along", new Page.GetByLabelOptions().setExact(true)).selectOption(along);
        if (!page.getByLabel("line of best fit").isChecked()) {
            page.getByLabel("line of best fit").click();
        }
        Locator equation = page.getByTestId("equation");
        assertThat(equation).containsText("=");
        String text = equation.innerText();
        java.util.regex.Matcher m = Pattern.compile("= *\\(?([−-]?[0-9.]+)").matcher(text);
        assertThat(m.find()).as(text).isTrue();
        double slope = Double.parseDouble(m.group(1).replace('−', '-'));
        java.util.regex.Matcher power = Pattern.compile("^.*?× 10([⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+)\\)?").matcher(text);
        return power.find() && text.indexOf("10") < text.indexOf(along) ? slope * Math.pow(10,
                lifted(power.group(1))) : slope;
    }

    private static int lifted(String digits) {
        StringBuilder plain = new StringBuilder();
        for (char c : digits.toCharArray()) {
            plain.append(c == '⁻' ? '-' : (char) ('0' + "⁰¹²³⁴⁵⁶⁷⁸⁹".indexOf(c)));
        }
        return Integer.parseInt(plain.toString());
    }

    static String print(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    /** Answers a question of the part in front; it is to be right. */
    void right(String about, String number, String unit) {
        Locator question = Chrome.question(page, about);
        Chrome.answer(question, number, unit);
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    /** Types a slip; it is to meet its hint. */
    void slip(String about, String number, String unit, String hint) {
        Locator question = Chrome.question(page, about);
        Chrome.answer(question, number, unit);
        assertThat(question.locator("[data-verdict]")).containsText(hint);
    }

    /** Brings the table of all trials into the notebook; what is said of it is to begin so. */
    void overAllIntoTheNotebook(String said) {
        Chrome.button(page, Pattern.compile("^Trials")).click();
        Chrome.button(page, "Over all").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByText("Into the notebook").click();
        assertThat(dialog.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText(said))).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(dialog).hasCount(0);
        Chrome.button(page, Pattern.compile("^Trials")).click();
    }

    /** Explains in the last part and hands in; nothing is to be missing, and so many points are told. */
    void handIn(String words, String points) {
        Chrome.part(page, "Explain");
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("points$"))).fill(words);
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByText("Everything is there.")).isVisible();
        Chrome.button(page, "Hand in").click();
        assertThat(page.getByText(Pattern.compile("Handed in"))).containsText(points);
    }
}
