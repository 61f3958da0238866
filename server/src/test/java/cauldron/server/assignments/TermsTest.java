package cauldron.server.assignments;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.server.assignments.Terms.LateRule;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TermsTest {

    private static final Instant DUE = Instant.parse("2030-05-06T12:00:00Z");

    private static Instant hours(long from) {
        return DUE.plus(Duration.ofHours(from));
    }

    private static Terms with(LateRule rule) {
        return new Terms(hours(-48), DUE, rule, true, null, false);
    }

    @ParameterizedTest
    @CsvSource({"OPEN, -1, false, false", "OPEN, 1, false, false", "MARKED, -1, false, false", "MARKED, 1, true, false",
        "CLOSED, -1, false, false", "CLOSED, 0, false, false", "CLOSED, 1, true, true"})
    void whatComesAfterTheDueTimeIsTheRules(LateRule rule, long hours, boolean late, boolean closed) {
        assertThat(with(rule).late(hours(hours))).isEqualTo(late);
        assertThat(with(rule).closed(null, hours(hours))).isEqualTo(closed);
    }

    @Test
    void whatWasOpenedAgainAfterTheDueTimeIsOpenAndWhatWasBeforeIsNot() {
        assertThat(with(LateRule.CLOSED).closed(hours(2), hours(3))).isFalse();
        assertThat(with(LateRule.CLOSED).closed(hours(-2), hours(3))).isTrue();
    }

    @Test
    void withoutADueTimeNothingIsEverLateOrClosed() {
        Terms always = new Terms(null, null, LateRule.CLOSED, true, null, false);
        assertThat(always.late(hours(9_999))).isFalse();
        assertThat(always.closed(null, hours(9_999))).isFalse();
        assertThat(always.waits(hours(-9_999))).isFalse();
        assertThat(always.takesBack(hours(9_999))).isTrue();
        assertThat(always.extended(hours(1)).dueAt()).as("there is nothing to have more of").isNull();
    }

    @Test
    void aStudentsOwnTimeIsNeverShorterThanThatOfAllOthers() {
        assertThat(with(LateRule.CLOSED).extended(hours(5)).closed(null, hours(4))).isFalse();
        assertThat(with(LateRule.CLOSED).extended(hours(-5)).dueAt()).isEqualTo(DUE);
        assertThat(with(LateRule.CLOSED).extended(null).dueAt()).isEqualTo(DUE);
    }

    @Test
    void itOpensAtItsTimeAndIsTakenBackUntilItIsDueWhereThatIsAllowed() {
        assertThat(with(LateRule.OPEN).waits(hours(-49))).isTrue();
        assertThat(with(LateRule.OPEN).waits(hours(-48))).isFalse();
        assertThat(with(LateRule.OPEN).takesBack(hours(-1))).isTrue();
        assertThat(with(LateRule.OPEN).takesBack(hours(0))).isFalse();
        assertThat(Terms.due(DUE).takesBack(hours(-1))).isFalse();
    }
}
