package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.marking.Grades.Entry;
import cauldron.core.marking.Grades.State;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class GradesTest {

    private static Entry in(String category, double points, double of) {
        return new Entry(category, points, of, State.SUBMITTED, true, false);
    }

    @Test
    void pointsAreAddedUpWithinACategoryAndCategoriesWeighed() {
        // By hand: labs (6 + 2)/(8 + 12) = 0.4, tests 9/10 = 0.9; three to one: (3 · 0.4 + 0.9)/4 = 0.525.
        List<Entry> entries = List.of(in("labs", 6, 8), in("labs", 2, 12), in("tests", 9, 10));
        assertThat(Grades.percent(entries, Map.of("labs", 3.0, "tests", 1.0))).isEqualTo(52.5);
        assertThat(Grades.percent(entries, Map.of())).as("alike where nothing is said").isEqualTo(65);
        assertThat(Grades.percent(entries, Map.of("labs", 0.0, "tests", 2.0))).isEqualTo(90);
        assertThat(Grades.percent(entries, Map.of("labs", 0.0, "tests", 0.0))).isNull();
    }

    @Test
    void aCategoryOfWhichNothingCountsLeavesItsWeightToTheOthers() {
        Entry later = new Entry("tests", 0, 10, State.NOT_STARTED, false, false);
        assertThat(Grades.percent(List.of(in("labs", 6, 8), later), Map.of("labs", 1.0, "tests", 9.0))).isEqualTo(75);
        assertThat(Grades.percent(List.of(later), Map.of())).isNull();
    }

    @Test
    void whatIsMissingCountsAsNothingAndWhatIsExcusedNotAtAll() {
        Entry missing = new Entry("", 3, 8, State.WORKING, true, false);
        assertThat(missing.missing()).isTrue();
        assertThat(Grades.percent(List.of(in("", 8, 8), missing), Map.of())).isEqualTo(50);
        Entry excused = new Entry("", 3, 8, State.WORKING, true, true);
        assertThat(Grades.percent(List.of(in("", 8, 8), excused), Map.of())).isEqualTo(100);
        Entry working = new Entry("", 3, 8, State.WORKING, false, false);
        assertThat(Grades.percent(List.of(in("", 8, 8), working), Map.of())).as("not due yet").isEqualTo(100);
        Entry returned = new Entry("", 4, 8, State.RETURNED, true, false);
        assertThat(returned.missing()).isFalse();
        assertThat(Grades.percent(List.of(in("", 8, 8), returned), Map.of())).isEqualTo(75);
    }

    @Test
    void aLabWithoutPointsDoesntCountAndHalfATenthGoesUp() {
        assertThat(Grades.percent(List.of(in("", 0, 0)), Map.of())).isNull();
        assertThat(Grades.percent(List.of(in("", 1.25, 100)), Map.of())).isEqualTo(1.3);
        assertThat(Grades.percent(1.25, 100)).as("one lab alone").isEqualTo(1.3);
        assertThat(Grades.percent(2, 3)).isEqualTo(66.7);
        assertThat(Grades.percent(0, 0)).isNull();
    }
}
