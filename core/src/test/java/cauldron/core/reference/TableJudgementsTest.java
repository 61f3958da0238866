package cauldron.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Recipe;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.block.table.TableBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Notebook;
import cauldron.core.sheet.Sheet;
import cauldron.core.sheet.SheetException;
import cauldron.core.sheet.TableJudgements;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** A student's table held against the recordings it was read on. */
class TableJudgementsTest {

    private final ClockTable table = new ClockTable();

    @Test
    void whatIsReadWithCareIsWithinItsReadingError() {
        for (String cord : List.of("tern", "petrel", "gannet", "shag", "skua")) {
            table.row(table.film(cord), cord.toUpperCase());
        }
        table.calculated("T", "t/20");
        table.calculated("Q", "T^2");
        Judgement judged = table.judged();
        assertThat(judged.cells()).hasSize(15).allMatch(c -> c.verdict() == Verdict.RIGHT && !c.unlooked());
        assertThat(judged.worked()).hasSize(2).allMatch(WorkedCheck.Worked::follows);
        assertThat(judged.share()).isEqualTo(1);
        assertThat(judged.words()).isEqualTo("15 of 15 values are within reading error.");
        // The recording's own length, and the small-angle period with its first correction: 2π√(L/g)(1 + θ²/16).
        assertThat(judged.cells().get(1).truth()).isEqualTo("43.000");
        double period = 2 * Math.PI * Math.sqrt(0.43 / 9.80665) * (1 + Math.pow(Math.toRadians(5), 2) / 16);
        assertThat(Double.parseDouble(judged.cells().get(2).truth())).isCloseTo(20 * period, within(0.005));
    }

    /** The five faults of which every marker should be told, in one table, each by name. */
    @Test
    void fivePlantedFaultsAreAllNamed() {
        String tern = table.film("tern");
        String misread = table.row(tern, "Tern");
        table.length(misread, tern, 1, 0);
        String otherCord = table.row(table.film("gannet"), "Petrel");
        String unlooked = table.row(table.film("shag"), "Shag");
        table.type(unlooked, "t", "43.40");
        String skua = table.film("skua");
        String tens = table.row(skua, "Skua");
        String read = Tree.text(Tree.map(table.slots, "cell/" + tens + "/L"), "text");
        assertThat(read).isEqualTo("150.0");
        Tree.map(table.slots, "cell/" + tens + "/L").put("text", "15.0");
        table.calculated("T", "t/10");
        Judgement judged = table.judged();

        CellCheck length = table.cell(misread, "L");
        assertThat(length.verdict()).isEqualTo(Verdict.MISREAD);
        assertThat(length.divisions()).isCloseTo(10, within(0.6));
        assertThat(length.words())
                .startsWith("The scale, as it lay, shows 43.00 cm there. Off by 1.000 cm too much, 10");
        assertThat(table.cell(otherCord, "cord")).satisfies(c -> {
            assertThat(c.verdict()).isEqualTo(Verdict.OTHER_RECORDING);
            assertThat(c.words()).isEqualTo("It says “Petrel”, but the row was read on a recording of Cord Gannet.");
        });
        assertThat(table.cell(otherCord, "L").verdict()).isEqualTo(Verdict.RIGHT);
        assertThat(table.cell(unlooked, "t").unlooked()).isTrue();
        assertThat(table.cell(unlooked, "L").unlooked()).isFalse();
        assertThat(table.cell(tens, "L").verdict()).isEqualTo(Verdict.POWER_OF_TEN);
        assertThat(table.cell(tens, "L").words()).contains("10⁻¹", "cm");
        assertThat(judged.worked()).anySatisfy(w -> {
            assertThat(w.follows()).isFalse();
            assertThat(w.symbol()).isEqualTo("T");
            assertThat(w.words())
                    .isEqualTo("The period should be t/20, from the same readings. T is 2.00 times that in every"
                    + " row.");
        });
        assertThat(judged.words()).contains("1 under another recording's name", "1 off by a power of ten", "1 misread",
                "1 typed without looking", "formulas are wrong or missing");
        // A formula that is missing is told, too.
        assertThat(judged.worked()).anySatisfy(w -> assertThat(w.words())
        .startsWith("Nothing works out the period squared"));
    }

    @Test
    void aScaleLaidAstrayIsToldFromOneMisread() {
        String tern = table.film("tern");
        String row = table.row(tern, "Tern");
        table.length(row, tern, 0, 2);
        assertThat(table.cell(row, "L").verdict()).isEqualTo(Verdict.LAID_WRONG);
        assertThat(table.cell(row, "L").words()).isEqualTo(
                "Read right off the scale as it lay, but its zero lay 2.000 cm off: 2.000 cm too little.");
        // Whoever reads both ends may lay it anywhere.
        Tree.map(table.slots, "cell/" + row + "/L").put("text", "43.0");
        assertThat(table.cell(row, "L").verdict()).isEqualTo(Verdict.RIGHT);
    }

    @Test
    void miscountedSwingsAndAWatchStoppedLateAreToldApart() {
        String tern = table.film("tern");
        String row = table.row(tern, "Tern");
        table.swings(row, tern, 19);
        assertThat(table.cell(row, "t").verdict()).isEqualTo(Verdict.MISCOUNTED);
        assertThat(table.cell(row, "t").words()).isEqualTo("That is how long 19 take, not 20.");
        table.swings(row, tern, 10);
        assertThat(table.cell(row, "t").words()).isEqualTo("That is how long 10 take, not 20.");
        table.swings(row, tern, 20);
        Map<String, Object> cell = Tree.map(table.slots, "cell/" + row + "/t");
        Map<String, Object> reading = Tree.map(cell, "reading");
        double late = Tree.number(reading, "frame") + 36;
        double zero = Tree.number(Tree.map(Tree.map(reading, "instruments"), "stopwatch"), "zero");
        reading.put("frame", late);
        cell.put("text", String.valueOf(Math.rint((late - zero) / ClockTable.RATE * 100) / 100));
        assertThat(table.cell(row, "t").verdict()).isEqualTo(Verdict.LAID_WRONG);
        assertThat(table.cell(row, "t").words())
                .startsWith("Copied right from the stopwatch, but it was set or stopped at");
        cell.put("text", "26.9");
        assertThat(table.cell(row, "t").verdict()).isEqualTo(Verdict.MISREAD);
        assertThat(table.cell(row, "t").words()).startsWith("The stopwatch stood at 26.");
    }

    @Test
    void aRowReadOnTwoRecordingsIsTold() {
        String tern = table.film("tern");
        String row = table.row(tern, "Tern");
        table.swings(row, table.film("skua"), 20);
        assertThat(table.cell(row, "cord").words()).isEqualTo(
                "The values of this row were read on different recordings: Cord Tern and Skua.");
        assertThat(table.judged().cells()).filteredOn(c -> c.verdict() == Verdict.RIGHT).hasSize(2);
    }

    @Test
    void aRowWithoutAnyReadingIsHeldAgainstTheRecordingItsWordsName() {
        table.film("skua");
        table.film("tern");
        String row = table.newRow("tern ");
        table.type(row, "L", "43.1");
        table.type(row, "t", "26,33");
        assertThat(table.cell(row, "L")).satisfies(c -> {
            assertThat(c.verdict()).isEqualTo(Verdict.RIGHT);
            assertThat(c.unlooked()).isTrue();
        });
        assertThat(table.cell(row, "t").verdict()).isEqualTo(Verdict.RIGHT);
        table.type(row, "cord", "my own");
        assertThat(table.cell(row, "L").verdict()).isEqualTo(Verdict.NOT_HELD);
        assertThat(table.cell(row, "L").words()).contains("which trial");
        assertThat(table.judged().words()).startsWith("No value could be held against the apparatus; ");
    }

    @Test
    void fitsStandBesideWhatTheApparatusWouldHaveGiven() {
        for (String cord : List.of("tern", "petrel", "gannet", "shag", "skua")) {
            table.row(table.film(cord), cord);
        }
        String skua = table.film("skua");
        table.length("r5", skua, 5, 0);
        table.calculated("Q", "(t/20)^2");
        table.graph.put("view", Tree.of("x", "L", "y", "Q", "fits", List.of(Tree.of("kind", "line"))));
        FitCheck.Fitted fit = table.judged().fits().get(0);
        FitCheck.Parameter slope = fit.parameters().get(0);
        assertThat(slope.truth()).contains("0.0402");
        assertThat(slope.off()).isLessThan(-0.02);
        assertThat(fit.graph()).isEqualTo("graph");
    }

    @Test
    void oddCellsAreUnreadableAndNothingThrows() {
        String row = table.row(table.film("tern"), "Tern");
        table.type(row, "L", "about 4");
        assertThat(table.cell(row, "L").verdict()).isEqualTo(Verdict.UNREADABLE);
        table.slots.put("cell/" + row + "/t", Tree.of("text", "26.4", "reading", Tree.of("trial", "gone", "frame",
                3.0)));
        assertThat(table.cell(row, "t").unlooked()).isTrue();
        table.slots.put("cell/" + row + "/t", Tree.of("text", "26.4", "reading", Tree.of("trial", "trial1", "frame",
                1e300,
                "instruments", Tree.of("stopwatch", Tree.of("zero", -1e300), "ruler", 3.0))));
        assertThat(table.cell(row, "t").verdict()).isNotNull();
        table.slots.put("cell/" + row + "/t", Tree.of("text", "1e308", "reading", List.of()));
        assertThat(table.cell(row, "t").verdict()).isEqualTo(Verdict.OFF);
    }

    /**
     * What is changed after the reading, where the run stands still, belongs to what comes next: neither its very value
     * nor an old work in which it was taken into the trial is held against it.
     */
    private static void changedAfterwards(Run run, Map<String, Object> trial, Supplier<Judgement> judged) {
        run.act(new Action.Change("length", 0.7));
        trial.put("recipe", run.recipe().toTree());
        trial.put("until", run.time());
        assertThat(judged.get().right()).as("changed at its end").isEqualTo(2);
        run.seek(2);
        trial.put("recipe", run.recipe().toTree());
        trial.put("until", 2.0);
        assertThat(judged.get().right()).as("changed at the moment of the reading, and gone on").isEqualTo(2);
        assertThat(BenchBlock.made(Tree.of("trial/a", Tree.of("recipe", new Recipe("pendulum", 1, Map.of("length", 1.0), 1,
                List.of(new Recipe.Timed(2, new Action.Change("length", 0.7)))).toTree(), "until", 2.0, "settings",
                Tree.of("length", 0.7)), "trial/b", Tree.of("recipe", new Recipe("pendulum", 1, Map.of("length", 0.7), 1,
                List.of()).toTree(), "until", 3.0, "settings", Tree.of("length", 0.7))))).as("two trials").isEqualTo(2);
    }

    /** On an open bench the trial's recipe is in the notebook; one that was tampered with is no trial. */
    @Test
    void valuesOfAnOpenBenchAreHeldAgainstTheTrialKept() {
        Sheet sheet = Sheet.fromTree(Tree.of("title", "T", "summary", "S", "minutes", 5.0, "apparatus", "pendulum",
                "parts",
                List.of(Tree.of("id", "one", "kind", "measure", "title", "M", "blocks", List.of(
                        Tree.of("type", "bench", "id", "bench", "apparatus", "pendulum"),
                        Tree.of("type", "table", "id", "v", "title", "V", "rows", 1.0, "columns", List.of(
                                ClockTable.column("L", "cm", "measured"), ClockTable.column("v", "m/s", "measured")),
                                "judging", Tree.of("references", List.of(
                                        Tree.of("column", "L", "shows", "setting", "of", "length"),
                                        Tree.of("column", "v", "shows", "channel", "of", "speed")))))))));
        Run run = new Run(Inventory.get("pendulum"), Settings.of(Inventory.get("pendulum").manifest(),
                Tree.of("angle", 60.0)), 1);
        run.seek(2);
        double frame = Math.rint(0.5 / run.manifest().interval());
        Map<String, Object> reading = Tree.of("trial", "a", "frame", frame, "instruments", Tree.of());
        run.seek(frame * run.manifest().interval());
        String speed = Numbers.fixed(run.read(run.manifest().channel("speed")), 3);
        Map<String, Object> trial = Tree.of("recipe", run.recipe().toTree(), "until", 2.0);
        Map<String, Map<String, Object>> slots = Map.of("bench", Tree.of("trial/a", trial), "v", Tree.of("rows",
                Tree.of("order", List.of("r1")), "cell/r1/L", Tree.of("text", "100", "reading", reading), "cell/r1/v",
                Tree.of("text", speed, "reading", reading)));
        Supplier<Judgement> judged = () -> TableJudgements.of(sheet, (TableBlock) sheet.block("v"),
                new Notebook(slots, Map.of()), Map.of(), () -> true);
        assertThat(judged.get().right()).isEqualTo(2);
        // By the law of energy: v² = 2 g L (cos θ − cos 60°), at most √(g L).
        assertThat(Double.parseDouble(speed)).isBetween(0.5, Math.sqrt(9.81));
        changedAfterwards(run, trial, judged);
        trial.put("until", 1e12);
        assertThat(judged.get().cells()).allMatch(c -> c.verdict() == Verdict.NOT_HELD);
        assertThat(judged.get().cells().get(0).words()).contains("too long to be had again");
        for (Object odd : List.of("no recipe", Tree.of("apparatus", "gas-cylinder"), Tree.of("apparatus", "pendulum",
                "modelVersion", 2.0, "settings", Tree.of("length", 1e9), "seed", 1.0, "actions", List.of()))) {
            trial.put("recipe", odd);
            trial.put("until", 2.0);
            assertThat(judged.get().cells()).as(odd.toString()).allMatch(c -> c.verdict() == Verdict.NOT_HELD);
        }
    }

    @Test
    void whatTakesTooLongIsSaidAndLeft() {
        String row = table.row(table.film("tern"), "Tern");
        assertThat(TableJudgements.of(table.sheet(), (TableBlock) table.sheet().block("readings"),
                new Notebook(Map.of("readings", table.slots), Map.of()), Map.of(), () -> false).cells())
                        .allMatch(c -> c.verdict() == Verdict.NOT_HELD);
        assertThat(table.cell(row, "L").verdict()).isEqualTo(Verdict.RIGHT);
    }

    @Test
    void whatNothingOnTheSheetShowsIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> Sheet.fromTree(ClockTable.sheet(Tree.of("points", 2.0, "references", List.of(
                Tree.of("column", "cord", "shows", "option", "of", "rope"),
                Tree.of("column", "L", "shows", "distance", "of", "pivot", "to", "bobs"),
                Tree.of("column", "t", "shows", "channel", "of", "speed"),
                Tree.of("column", "x", "shows", "time")), "expected", List.of(Tree.of("name", "T", "formula",
                "u/20"))))))
                        .isInstanceOf(SheetException.class)
                        .hasMessageContaining("no recordings have a choice “rope”")
                        .hasMessageContaining("no place “bobs”")
                        .hasMessageContaining("what is shown is in m/s, the column in s")
                        .hasMessageContaining("there is no column “x”").hasMessageContaining("u");
        assertThatThrownBy(() -> Sheet.fromTree(ClockTable.sheet(Tree.of("points", 2.0))))
                .hasMessageContaining("say what the table is held against");
    }

    @Test
    void studentsAreToldThePointsAndNothingElse() {
        String told = Sheet.fromTree(ClockTable.sheet(Tree.of("points", 2.0, "references", List.of(
                Tree.of("column", "t", "shows", "repeats", "of", "lowest", "times", 20.0))))).forStudent().toString();
        assertThat(told).contains("points=2.0").doesNotContain("lowest");
    }
}
