package cauldron.core.marking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class MedianTest {

    @Test
    void theMiddleInAnyOrder() {
        assertThat(Median.of(List.of())).isNull();
        assertThat(Median.of(List.of(7.0))).isEqualTo(7);
        assertThat(Median.of(List.of(7.4, 7.5))).as("not 7.449999999999999").isEqualTo(7.45);
        assertThat(Median.of(List.of(9.0, 1.0, 4.0))).isEqualTo(4);
        assertThat(Median.of(List.of(9.0, 1.0, 4.0, 2.0))).isEqualTo(3);
        assertThat(Median.of(List.of(1e9, 1.0, 2.0))).as("one who is far off").isEqualTo(2);
    }
}
