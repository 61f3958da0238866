package cauldron.core.inventory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.tape.LongTape;
import java.util.List;
import org.junit.jupiter.api.Test;

class InstrumentKindsTest {

    @Test
    void everyInstrumentOnATrayIsOfAKindOnTheList() {
        assertThat(Inventory.all()).allSatisfy(a -> assertThat(a.manifest().instruments())
                .allSatisfy(i -> assertThat(InstrumentKinds.get(i.kind().id())).isSameAs(i.kind())));
    }

    @Test
    void aSecondKindOfAnIdIsRefused() {
        assertThatThrownBy(() -> InstrumentKinds.listed(List.of(Ruler.KIND, LongTape.KIND, Ruler.KIND)))
                .hasMessage("There are two kinds of instrument “ruler”");
        assertThatThrownBy(() -> InstrumentKinds.get("astrolabe")).hasMessage("There is no kind of instrument “astrolabe”");
    }
}
