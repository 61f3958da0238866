package cauldron.core.apparatus.reflextimer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.BoxPlots;
import cauldron.core.apparatus.Population;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.RunTable;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Sets of answers by a person whose times are known: what is counted, what isn't, and what the numbers come to. */
class ReflexTimerTest {

    private static final ReflexTimer TIMER = new ReflexTimer();
    /** In ms; their mean is 250 exactly and the squares of their deviations add up to 3000. */
    private static final double[] KNOWN = {230, 240, 250, 260, 270, 220, 280, 250, 240, 260};
    private static final double DISPLAY = 0.013;

    private static Run run(int seed, Object... settings) {
        return new Run(TIMER, Settings.of(TIMER.manifest(), Tree.of(settings)), seed);
    }

    private static void act(Run run, Act act) {
        run.act(new Action.Perform(act.id(), Map.of()));
    }

    private static void toCue(Run run) {
        assertThat(run.advance(60, new StopAt.Happening(TIMER.given, 1))).as("a cue comes").isTrue();
    }

    /** The next cue comes, is shown a little later, and answered so many ms after that. */
    private static void answer(Run run, double ms) {
        toCue(run);
        run.seek(run.time() + DISPLAY);
        act(run, TIMER.shown);
        run.seek(run.time() + ms / 1000);
        act(run, TIMER.answer);
    }

    private static Run whole(int seed, double... ms) {
        Run run = run(seed);
        act(run, TIMER.begin);
        for (double t : ms) {
            answer(run, t);
        }
        return run;
    }

    private static double[] times(Run run) {
        Population p = run.population(TIMER.times, 0);
        return Arrays.stream(Arrays.copyOf(p.values(), p.count())).map(t -> 1000 * t).toArray();
    }

    @Test
    void aSetIsWhatWasAnswered() {
        Run run = whole(1, KNOWN);
        assertThat(run.isOver()).isTrue();
        assertThat(times(run)).containsExactly(KNOWN, within(1e-9));
        assertThat(run.outcome(TIMER.answers)).isEqualTo(10);
        assertThat(run.outcome(TIMER.meanTime)).isCloseTo(0.25, within(1e-12));
        // s² is 3000 ms² over nine.
        assertThat(run.outcome(TIMER.spread)).isCloseTo(1e-3 * Math.sqrt(3000.0 / 9), within(1e-12));
        assertThat(run.outcome(TIMER.median)).isCloseTo(0.25, within(1e-12));
        assertThat(run.outcome(TIMER.fastest)).isCloseTo(0.22, within(1e-12));
        assertThat(run.outcome(TIMER.early)).isZero();
        assertThatThrownBy(() -> act(run, TIMER.answer)).hasMessageContaining("The run is over");
    }

    @Test
    void waitsLieBetweenTheTwoAndAreOtherOnesWithAnotherSeed() {
        List<Double> all = new ArrayList<>();
        for (int seed = 1; seed <= 40; seed++) {
            Run run = run(seed, "shortest", 2, "longest", 3.5);
            act(run, TIMER.begin);
            toCue(run);
            all.add(run.time());
        }
        assertThat(all).allSatisfy(wait -> assertThat(wait).isBetween(2.0, 3.5)).doesNotHaveDuplicates();
        assertThat(all.stream().mapToDouble(w -> w).average().orElseThrow()).as("within three standard errors of the middle")
                .isCloseTo(2.75, within(3 * 1.5 / Math.sqrt(12 * 40)));
        assertThat(run(1, "shortest", 8, "longest", 3).settings().si(TIMER.shortest)).as("not above the longest").isEqualTo(3);
    }

    @Test
    void anAnswerBeforeTheCueOrTooSoonAfterItIsAFalseStart() {
        Run run = run(3);
        act(run, TIMER.begin);
        run.seek(0.7);
        act(run, TIMER.answer);
        assertThat(run.read(TIMER.falseStarts)).isEqualTo(1);
        toCue(run);
        assertThat(run.time() - 0.7).as("the wait began anew").isBetween(1.5, 4.0);
        act(run, TIMER.answer);
        assertThat(run.read(TIMER.falseStarts)).as("due, but not shown yet").isEqualTo(2);
        answer(run, 99);
        assertThat(run.read(TIMER.falseStarts)).as("quicker than nerves").isEqualTo(3);
        answer(run, 101);
        assertThat(run.read(TIMER.falseStarts)).isEqualTo(3);
        assertThat(times(run)).containsExactly(new double[] {101}, within(1e-9));
        assertThat(run.read(TIMER.mean)).isCloseTo(0.101, within(1e-12));
        assertThat(run.read(TIMER.deviation)).as("one time doesn't scatter").isNaN();
    }

    @Test
    void aCueThatNobodyAnswersIsMissedAndSpent() {
        Run run = run(4, "events", 5);
        act(run, TIMER.begin);
        answer(run, 300);
        run.seek(600);
        assertThat(run.isOver()).isTrue();
        assertThat(run.outcome(TIMER.lost)).isEqualTo(4);
        assertThat(run.outcome(TIMER.answers)).isEqualTo(1);
        assertThat(run.outcome(TIMER.meanTime)).as("those missed are not in the mean").isCloseTo(0.3, within(1e-12));
        assertThat(run.time()).as("it ended by itself").isLessThan(5 * (4 + ReflexTimerExperiment.GIVEN_UP));
    }

    @Test
    void anInputIsCountedAtItsOwnInstantAlsoIfThePageHadGoneOn() {
        Run run = run(5);
        act(run, TIMER.begin);
        toCue(run);
        double shown = run.time() + 0.004;
        run.seek(shown);
        act(run, TIMER.shown);
        run.seek(shown + 0.9);
        run.seek(shown + 0.2346);
        act(run, TIMER.answer);
        assertThat(run.read(TIMER.last)).isCloseTo(0.2346, within(1e-12));
        assertThat(run.head()).isEqualTo(run.time());
    }

    @Test
    void aSetThatIsBrokenOffStandsAtWhatItHad() {
        Run run = whole(6, 230, 250);
        act(run, TIMER.stop);
        assertThat(run.isOver()).isTrue();
        assertThat(run.outcome(TIMER.answers)).isEqualTo(2);
        assertThat(run.scene().isUp(TIMER.counting)).isFalse();
    }

    @Test
    void theSameSetComesOfItsRecipeHoweverItIsGoneOver() {
        Run run = whole(7, KNOWN);
        Run again = Run.replay(TIMER, run.recipe(), run.head());
        again.seek(0);
        for (double t = 0; t < run.head(); t += 0.0173) {
            again.seek(t);
        }
        again.seek(run.head());
        assertThat(times(again)).containsExactly(times(run));
        assertThat(again.events()).containsExactly(run.events());
        again.seek(1);
        again.seek(run.head());
        assertThat(again.channels()).containsExactly(run.channels());
    }

    @Test
    void nothingOfThePictureTellsOfTheHorn() {
        Run run = run(8, "cue", "horn");
        act(run, TIMER.begin);
        toCue(run);
        assertThat(run.scene().isUp(TIMER.horn)).isTrue();
        assertThat(run.scene().isUp(TIMER.lit)).isFalse();
        Run both = run(8, "cue", "both", "where", "anywhere");
        act(both, TIMER.begin);
        toCue(both);
        assertThat(both.scene().isUp(TIMER.horn) && both.scene().isUp(TIMER.lit)).isTrue();
        assertThat(both.scene().of(TIMER.lamp.x())).isBetween(-3.2, 3.2).isNotZero();
    }

    @Test
    void theCurveBesideTheHistogramIsTheNormalOneOfItsMeanAndDeviation() {
        Run run = whole(9, KNOWN);
        Population p = run.population(TIMER.times, 0);
        double s = 1e-3 * Math.sqrt(3000.0 / 9);
        assertThat(p.marks()).containsExactly(new double[] {0.25 - s, 0.25, 0.25 + s}, within(1e-12));
        double area = 0;
        double within = 0;
        for (double t = 0; t < 0.5; t += 1e-4) {
            area += 1e-4 * p.density().applyAsDouble(t);
            within += Math.abs(t - 0.25) < s ? 1e-4 * p.density().applyAsDouble(t) : 0;
        }
        assertThat(area).isCloseTo(1, within(1e-9));
        assertThat(within).as("68 of a hundred").isCloseTo(0.6827, within(2e-3));
        assertThat(run(1).population(TIMER.times, 0).count()).isZero();
    }

    @Test
    void eachAnswerIsARow() {
        Run run = whole(10, 230, 250, 240);
        RunTable table = RunTable.of(run, RunTable.Plan.fromTree(Tree.of("rows", "events", "events", List.of("answered"),
                "channels", List.of("number", "last")), TIMER.manifest()));
        assertThat(table.rows()).extracting(row -> row[2]).containsExactly("1", "2", "3");
        assertThat(table.rows()).extracting(row -> row[3]).containsExactly("230", "250", "240");
    }

    @Test
    void setsAreComparedAsBoxesAndInWords() {
        Run lamp = whole(11, KNOWN);
        Run horn = whole(12, Arrays.stream(KNOWN).map(t -> t - 40).toArray());
        Run same = whole(13, Arrays.stream(KNOWN).map(t -> t + 3).toArray());
        BoxPlots plots = BoxPlots.of(TIMER, TIMER.times, List.of(trial("Lamp", lamp), trial("Horn", horn), trial("Again", same),
                Tree.of("name", "Odd", "recipe", Tree.of("apparatus", "kettle"))));
        assertThat(plots.boxes()).extracting(BoxPlots.Box::name).containsExactly("Lamp", "Horn", "Again", "Odd");
        // Type 7: the quartiles of 220 … 280 lie at places 2.25 and 6.75 of nine.
        assertThat(plots.boxes().get(0).statistics().lowerQuartile()).isCloseTo(240, within(1e-9));
        assertThat(plots.boxes().get(0).statistics().upperQuartile()).isCloseTo(260, within(1e-9));
        assertThat(plots.boxes().get(1).statistics().median()).isCloseTo(210, within(1e-9));
        // The standard error of each mean is √(3000/90) ms, that of the difference √2 times as much: 8.165 ms.
        assertThat(plots.words()).containsExactly("Horn: the mean is 40 ms less than in Lamp. The two means don't agree: the "
                + "difference is 4.9 times its standard error.", "Again: the mean is 3 ms more than in Lamp. The two means agree: "
                + "the difference is smaller than its standard error.");
        assertThat(plots.boxes().get(3).statistics().count()).isZero();
        List<Map<String, Object>> many = new ArrayList<>();
        for (int i = 0; i <= BoxPlots.MOST; i++) {
            many.add(trial("One", lamp));
        }
        assertThatThrownBy(() -> BoxPlots.of(TIMER, TIMER.times, many)).hasMessageContaining("Up to 24 trials");
    }

    private static Map<String, Object> trial(String name, Run run) {
        return Tree.of("name", name, "recipe", run.recipe().toTree(), "until", run.head());
    }
}
