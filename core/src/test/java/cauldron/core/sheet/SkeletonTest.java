package cauldron.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.apparatus.Apparatus;
import cauldron.core.block.table.TableBlock;
import cauldron.core.inventory.Inventory;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A lab to begin with can be given as it is, for every apparatus, and asks for what that one shows. */
class SkeletonTest {

    static Stream<Apparatus> apparatus() {
        return Inventory.all().stream();
    }

    @ParameterizedTest
    @MethodSource("apparatus")
    void nothingIsWrongInIt(Apparatus apparatus) {
        Sheet sheet = Sheet.fromTree(Skeleton.of(apparatus.manifest()));
        assertThat(sheet.apparatus()).isEqualTo(apparatus.manifest().id());
        assertThat(sheet.parts()).extracting(Sheet.Part::kind).containsExactly("aim", "predict", "measure", "analyse", "explain");
        List<Map<String, Object>> columns = ((TableBlock) sheet.block("readings")).columns();
        assertThat(columns).hasSizeGreaterThan(1);
        assertThat(columns.stream().map(c -> c.get("symbol")).distinct()).hasSameSizeAs(columns);
        assertThat(sheet.points()).isPositive();
        assertThat(new Progress(sheet, Map.of(), Map.of()).missing()).isNotEmpty();
    }
}
