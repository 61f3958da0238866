package cauldron.e2e;

import cauldron.core.inventory.Inventory;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The whole order of work once: the teacher gives a lab, a student does it, the teacher marks it. */
@Order(4)
class JourneyTest {

    private static final String NAME = "Ylva Sandoval";
    private static final String SECRET = "three-wet-oars";
    private static final String REASON = "The line of T squared against L goes through the origin, so the length for two"
            + " seconds is where the line reaches four square seconds, which is a little below one metre. The ruler"
            + " limits the result, because half a millimetre at each end is a larger share than one frame of the film"
            + " in twenty swings.";

    /** Everything the student's browser was sent, by address. */
    private final Map<String, byte[]> received = new LinkedHashMap<>();

    @Test
    void fromTheTeachersBenchToTheMarkedNotebook() throws Exception {
        try (BrowserContext atDesk = Chrome.context(1280, 800); BrowserContext atHome = Chrome.context(1280, 800)) {
            Page teacher = Chrome.signIn(atDesk, "ines");
            String code = teacherGivesTheLab(teacher);

            Chrome.answering(atHome, "**/*", route -> {
                String url = route.request().url();
                if (url.contains("/live")) {
                    // A stream never ends; what it tells is read on a way that does.
                    received.put(received.size() + " " + url,
                            atHome.request().get(url.replace("/live", "/now")).body());
                    route.resume();
                    return;
                }
                APIResponse answer = route.fetch();
                received.put(received.size() + " " + route.request().url(), answer.body());
                route.fulfill(new com.microsoft.playwright.Route.FulfillOptions().setResponse(answer));
            });
            Page student = studentJoins(atHome, code);
            studentPredicts(student);
            List<Double> lengths = studentMeasures(student);
            studentSeesHowAValueWasRead(student);
            studentAnalyses(student);
            studentComesBackLater(student);
            studentHandsIn(student);
            hiddenValuesStayedHidden(lengths);

            teacherMarks(teacher);
            student.reload();
            Chrome.button(student, "Explain").click();
            assertThat(student.getByTestId("mark")).containsText("3 of 4 points");
            assertThat(student.getByTestId("mark")).containsText("Compare the two in per cent.");
            assertThat(student.locator("header")).containsText("7 of 8 points");
        }
    }

    private static String teacherGivesTheLab(Page page) {
        Chrome.button(page, "New class").click();
        page.getByLabel("Name").fill("Journey " + System.identityHashCode(page));
        Chrome.button(page, "Make the class").click();
        Locator card = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("Journey")));
        assertThat(card).isVisible();
        String code = card.locator("b.mono").innerText();
        Chrome.link(page, "Catalogue").click();
        Chrome.inItem(page, "The lamp keeper's clock", "Read and give");
        assertThat(page.getByText("Five cords are left in the lamp room")).isVisible();
        Chrome.button(page, "Give to a class").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Journey"))).check();
        page.getByLabel(Pattern.compile("^Due, Journey")).fill(LocalDateTime.now().plusDays(3)
                .format(DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm")));
        Chrome.button(page, "Give it").click();
        assertThat(page.getByText("Nobody is in this class yet")).isVisible();
        return code;
    }

    private static Page studentJoins(BrowserContext context, String code) {
        Page page = context.newPage();
        page.navigate(App.address());
        Chrome.link(page, "Type your class code").click();
        page.getByLabel("Class code").fill(code.toLowerCase(Locale.ROOT));
        page.getByLabel("Your name").fill(NAME);
        page.getByLabel("Choose a secret").fill(SECRET);
        Chrome.button(page, "Join").click();
        assertThat(page.getByTestId("user-name")).hasText("ylva.sandoval");
        Chrome.button(page, "Go to my labs").click();
        Chrome.button(page, "Begin").click();
        assertThat(page.getByText("the time of one whole swing")).isVisible();
        return page;
    }

    private static void studentPredicts(Page page) {
        assertThat(Chrome.button(page, Pattern.compile("Measure"))).isDisabled();
        assertThat(page.getByText("The bench opens when you have sealed your prediction")).isVisible();
        Chrome.button(page, "Prediction").click();
        assertThat(Chrome.button(page, "Seal my prediction")).isDisabled();
        page.getByLabel("It doubles").check();
        page.getByLabel("Why do you think so?").fill("It is slower but not by four.");
        Chrome.button(page, "Seal my prediction").click();
        assertThat(page.getByLabel("It doubles")).isDisabled();
        Chrome.button(page, "Measure").click();
    }

    private static List<Double> studentMeasures(Page page) {
        List<Double> lengths = new ArrayList<>();
        String[] cords = {"Tern", "Petrel", "Gannet", "Shag", "Skua"};
        Measuring hands = new Measuring(page);
        for (int i = 0; i < cords.length; i++) {
            page.getByLabel("Cord", new Page.GetByLabelOptions().setExact(true)).selectOption(cords[i]);
            Chrome.button(page, "Record").click();
            assertThat(page.getByLabel("On the bench")).containsText("Trial " + (i + 1) + ": " + cords[i]);
            assertThat(page.getByLabel("Recording: Trial " + (i + 1))).isVisible();
            if (i == 0) {
                allInViewWithoutScrolling(page);
                Chrome.button(page, "Ruler").click();
                Chrome.button(page, "Stopwatch").click();
            }
            hands.frame(0);
            double cm = hands.layRulerAlongCord();
            lengths.add(cm / 100);
            page.getByLabel(Pattern.compile("^cord, row " + (i + 1))).fill(cords[i]);
            page.getByLabel(Pattern.compile("^length, row " + (i + 1))).fill(String.format(Locale.ROOT, "%.1f", cm));
            String seconds = hands.timeTwentySwings();
            page.getByLabel(Pattern.compile("^20 swings, row " + (i + 1))).fill(seconds);
        }
        assertThat(page.locator("[data-point]")).hasCount(5);
        assertThat(page.getByText("5 of 5 rows")).isVisible();
        return lengths;
    }

    private static void allInViewWithoutScrolling(Page page) {
        assertThat(page.evaluate("document.documentElement.scrollHeight <= innerHeight"
                + " && document.documentElement.scrollWidth <= innerWidth")).isEqualTo(true);
        for (String label : new String[] {"Go to a frame", "cord, row 1"}) {
            assertThat(page.getByLabel(label).boundingBox().y).as(label).isLessThan(790);
        }
        assertThat(Chrome.button(page, "Ruler")).isVisible();
        assertThat(page.getByText("Points appear here as you type rows.")).isVisible();
    }

    private static void studentSeesHowAValueWasRead(Page page) {
        Locator value = page.getByLabel("length, row 2");
        value.click();
        assertThat(page.getByText("This is how")).isVisible();
        assertThat(page.getByLabel("On the bench")).containsText("Trial 2: Petrel");
        assertThat(page.getByLabel("Go to a frame")).hasValue("0");
        double[] ends = {Double.parseDouble(value.inputValue()), new Measuring(page).layRulerAlongCord()};
        assertThat(ends[1]).as("the ruler still lies as it did").isCloseTo(ends[0], within(0.06));
        Chrome.button(page, "Back").click();
    }

    private static void addColumn(Page page, String name, String symbol, String formula, String unit) {
        Chrome.button(page, "Column").click();
        page.getByLabel("Name").fill(name);
        page.getByLabel("Symbol").fill(symbol);
        page.getByLabel("Formula").fill(formula);
        assertThat(page.getByRole(AriaRole.DIALOG).locator("p b").first()).hasText(unit);
        Chrome.button(page, "Add the column").click();
    }

    private static void studentAnalyses(Page page) {
        Chrome.button(page, "Analyse").click();
        addColumn(page, "period", "T", "t/20", "s");
        addColumn(page, "period squared", "T²", "T^2", "s²");
        page.getByLabel("up", new Page.GetByLabelOptions().setExact(true)).selectOption("T²");
        page.getByLabel("along", new Page.GetByLabelOptions().setExact(true)).selectOption("L");
        page.getByLabel("line of best fit").click();
        Locator equation = page.getByTestId("equation");
        assertThat(equation).containsText(Pattern.compile("^T² = \\(0\\.04\\d+ ± 0\\.000\\d+\\) s²/cm · L"));
        double gradient = Double.parseDouble(equation.innerText().replaceAll("^T² = \\(([0-9.]+).*", "$1")
                .split("\n")[0]);
        double g = 4 * Math.PI * Math.PI / (100 * gradient);
        assertThat(g).as("from readings on the picture").isCloseTo(9.81, within(0.1));

        // A little off, so that the search for the true value doesn't find the student's own words.
        double typed = 0.994 * g;
        answer(page, "4.03", "s²/m", "upside-down");
        answer(page, String.format(Locale.ROOT, "%.0f", 100 * typed), "m/s^2", "power-of-ten");
        answer(page, String.format(Locale.ROOT, "%.2f", -typed), "m/s^2", "sign");
        answer(page, String.format(Locale.ROOT, "%.2f", typed), "m/s", "other-quantity");
        answer(page, String.format(Locale.ROOT, "%.2f", typed), "N kg^-1", "right");
    }

    private static void answer(Page page, String number, String unit, String verdict) {
        page.getByLabel("Number", new Page.GetByLabelOptions().setExact(true)).fill(number);
        page.getByLabel("Unit", new Page.GetByLabelOptions().setExact(true)).fill(unit);
        Chrome.button(page, "Check").click();
        assertThat(page.locator("[data-verdict=" + verdict + "]")).isVisible();
    }

    private static void studentComesBackLater(Page page) {
        assertThat(page.locator("[data-keeping=kept]")).isVisible();
        Chrome.link(page, "Back").click();
        Chrome.button(page, "Sign out").click();
        page.getByLabel("User name").fill("ylva.sandoval");
        page.getByLabel("Secret").fill(SECRET);
        Chrome.button(page, "Sign in").click();
        assertThat(page.getByText("at: Explain")).isVisible();
        Chrome.inItem(page, "The lamp keeper's clock", "Go on");
        assertThat(page.getByLabel("20 swings, row 5")).not().hasValue("");
    }

    private static void studentHandsIn(Page page) {
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Explain: 0 of at least 40 words written");
        Chrome.button(page, "Go on working").click();
        Chrome.button(page, "Explain").click();
        page.getByLabel("The keeper wants the new pendulum").fill(REASON);
        Chrome.button(page, "Hand in …").click();
        assertThat(page.getByText("Everything is there.")).isVisible();
        Chrome.button(page, "Hand in").click();
        assertThat(page.getByText("Handed in")).isVisible();
        assertThat(page.getByLabel("The keeper wants the new pendulum")).not().isEditable();
    }

    /**
     * Looks at every byte the student's browser was sent. The names of what is hidden must be in no
     * answer of the server; its numbers in nothing at all. The one exception is 9.81 in the program
     * itself, which anyone may read there as the gravity of the Earth on the open bench.
     */
    private void hiddenValuesStayedHidden(List<Double> measured) throws Exception {
        List<String> numbers = new ArrayList<>();
        try (Connection c = App.database(); ResultSet rows = c.createStatement().executeQuery(
                "select (t.recipe->'settings'->>'length')::float8, (t.recipe->'settings'->>'angle')::float8,"
                        + " (t.recipe->'actions'->0->>'time')::float8, w.seed, t.recipe::text from trial t join work w on w.id = t.work_id"
                        + " join account a on a.id = w.student_id where a.user_name = 'ylva.sandoval' order by t.number")) {
            int trial = 0;
            while (rows.next()) {
                assertThat(measured.get(trial++)).isCloseTo(rows.getDouble(1), within(0.002));
                for (int i = 1; i <= 3; i++) {
                    // Seven figures: no rounding of a measured value comes that close by chance.
                    numbers.add(String.valueOf(rows.getDouble(i)).substring(0, 8));
                }
                numbers.add(String.valueOf(rows.getInt(4)));
                numbers.addAll(eventTimes(rows.getString(5)));
            }
            assertThat(trial).isEqualTo(5);
        }
        numbers.addAll(List.of("0.025330", "0.402", "0.458", "0.583", "0.641", "0.862", "0.924", "1.131", "1.204,",
                "1.463", "1.541"));
        assertThat(received).hasSizeGreaterThan(20);
        received.forEach((address, body) -> {
            String text = new String(body, StandardCharsets.ISO_8859_1);
            boolean answer = address.contains("/api/");
            for (String number : numbers) {
                // A seed is few digits, and the program is full of those.
                if (answer || number.contains(".")) {
                    assertThat(occurs(text, number)).as(number + " in " + address).isFalse();
                }
            }
            if (answer) {
                for (String name : List.of("tolerance", "\"key\"", "slips", "recipe", "\"seed\"", "\"set\"", "\"fixed\"",
                        "open-catch", "\"length\":", "\"friction\":", "\"settings\"", "9.81")) {
                    assertThat(text).as(name + " in " + address).doesNotContain(name);
                }
            }
        });
    }

    /** When the bob passed its highest and lowest points, to seven figures. */
    private static List<String> eventTimes(String recipe) {
        double[] events = Inventory.replay(Recipe.fromTree(JsonMapper.builder().build().readValue(recipe,
                new TypeReference<Map<String, Object>>() { })), 60).events();
        List<String> times = new ArrayList<>();
        for (int i = 1; i < events.length; i += 2) {
            times.add(String.valueOf(events[i]).substring(0, 8));
        }
        assertThat(times).hasSizeGreaterThan(80);
        return times;
    }

    private static boolean occurs(String text, String number) {
        return text.contains(number)
                && Pattern.compile("(?<![0-9.])" + Pattern.quote(number)).matcher(text).find();
    }

    private static void teacherMarks(Page page) {
        page.reload();
        assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(NAME)))
                .containsText("handed in");
        Chrome.link(page, "Mark the work of " + NAME).click();
        page.getByLabel("length, row 3").click();
        assertThat(page.getByText("This is how")).isVisible();
        assertThat(page.locator("[data-instrument=ruler]")).isVisible();
        assertThat(page.getByText("Trial 3: Gannet")).isVisible();
        Chrome.button(page, "Explain").click();
        page.getByLabel("Points, 0 to 4").fill("3");
        page.getByLabel("Comment").fill("Compare the two in per cent.");
        Chrome.button(page, "Give the mark").click();
        assertThat(page.getByTestId("mark")).containsText("3 of 4 points");
    }
}
