package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class WorkTimeTest {

    @Test
    void breaksDontCount() {
        assertThat(WorkTime.seconds(List.of(0.0, 60.0, 90.0))).isEqualTo(90);
        assertThat(WorkTime.seconds(List.of(90.0, 0.0, 60.0))).as("in any order").isEqualTo(90);
        assertThat(WorkTime.seconds(List.of(0.0, 60.0, 3600.0, 3660.0))).as("an hour's break").isEqualTo(120);
        assertThat(WorkTime.seconds(List.of(0.0, 300.0))).isEqualTo(300);
        assertThat(WorkTime.seconds(List.of(0.0, 300.5))).isZero();
        assertThat(WorkTime.seconds(List.of(5.0))).isZero();
        assertThat(WorkTime.seconds(List.of())).isZero();
    }

    @Test
    void theMedianIsOfThoseWhoSpentAnyTime() {
        assertThat(WorkTime.medianMinutes(List.of(0.0, 60.0, 120.0, 600.0))).isEqualTo(2);
        assertThat(WorkTime.medianMinutes(List.of(60.0, 90.0))).isEqualTo(1.3);
        assertThat(WorkTime.medianMinutes(List.of(0.0))).isNull();
    }
}
