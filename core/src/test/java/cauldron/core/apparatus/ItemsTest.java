package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A setting that is a list of things: read whole, refused with its place, named. */
class ItemsTest {

    private static final Manifest M = Inventory.get("raised-loads").manifest();
    private static final Items LOADS = (Items) M.setting("loads");

    private static Map<String, Object> load(Object... fields) {
        return Tree.of(fields);
    }

    @Test
    void rowsAreReadWithAllTheirFields() {
        Object read = LOADS.check(List.of(load("thing", "drum", "mass", "250 g"), load("thing", "box"), load()));
        assertThat(read).isEqualTo(List.of(Map.of("thing", "drum", "mass", 0.25), Map.of("thing", "box", "mass", 5.0),
                Map.of("thing", "drum", "mass", 5.0)));
        Settings settings = Settings.of(M, Map.of("loads", read));
        assertThat(settings.toTree()).containsEntry("loads", read);
        assertThat(settings.items(LOADS)).hasSize(3);
        assertThat(settings.items(LOADS)).isSameAs(settings.items(LOADS));
    }

    @Test
    void whatIsWrongIsToldWithItsPlaceAndRange() {
        List<Map<String, Object>> three = List.of(load(), load(), load("mass", 41.0));
        assertThatThrownBy(() -> LOADS.check(three)).isInstanceOf(SettingException.class)
                .hasMessage("Load 3: Mass: can't be 41 kg. Allowed: 0.005 to 40 kg");
        assertThatThrownBy(() -> LOADS.check(List.of())).hasMessage("Loads: can't be 0 of them. Allowed: 1 to 5");
        assertThatThrownBy(() -> LOADS.check("drum")).hasMessageContaining("needs a list");
        assertThatThrownBy(() -> LOADS.check(List.of("drum", "box", "line"))).hasMessageContaining("number 1 needs its fields");
        assertThatThrownBy(() -> LOADS.check(List.of(load(), load(), load("colour", "red"))))
                .hasMessage("Load 3: Load has no setting “colour”");
        assertThatThrownBy(() -> M.setting("landings").check(List.of(load("height", 3.0), load("height", 3.5))))
                .hasMessage("Landing 2: Height must be at least 0.8 m more than that of landing 1, which is 3 m");
    }

    @Test
    void eachIsCalledByItsFieldAndNumberedWhereTwoAreAlike() {
        Settings s = Settings.of(M, Map.of("loads", List.of(load("thing", "line"), load("thing", "box"), load("thing", "line"))));
        List<String> names = new ArrayList<>();
        M.bodies().forEach(b -> names.add(b.nameNow(s)));
        assertThat(names).containsExactly("Lead line 1", "Box of charts", "Lead line 2", "", "");
    }

    private static final class Faulty extends Apparatus {
        private static final class Fields extends Declaration {
            final Amount one = amount("one", "a", "One", "m").within(1, 2).first(3);
            final Amount again = amount("one", "a", "One", "m").within(1, 2);
        }

        private final Fields fields = new Fields();
        final Items items = items("items", "Items", "item", fields).between(3, 2).with(fields.one, 1.0);
        final Act act = act("do", "Do it");
        final Amount argument = act.amount("with", "w", "With", "parsnip").within(0, 1);
        final Pick picked = act.pick("which", "Which", items);
        final Body body = body("b", "B").oneOf((Items) M.setting("loads"), 0);
        final Ledger empty = ledger("empty", "Empty");
        final Ledger mixed = ledger("mixed", "Mixed");
        final Channel joules = channel("j", "E", "Energy", "J").in(mixed);
        final Channel metres = channel("m", "x", "Place", "m").in(mixed).of(M.bodies().get(0));
        final Outcome odd = outcome("odd", "o", "Odd", "parsnip").decimals(-2);

        Faulty() {
            super("faulty", 1, "Faulty");
        }

        @Override
        public Experiment prepare(Settings settings, int seed) {
            throw new IllegalStateException("Nobody runs it");
        }

        @Override
        public Frame frame(View view, Settings settings) {
            return new Frame(0, 0, 1, 1);
        }
    }

    @Test
    void faultsOfListsActsBodiesAndLedgersAreToldTogether() {
        DeclarationException told = catchThrowableOfType(DeclarationException.class, () -> new Faulty().manifest());
        assertThat(told.getMessage()).contains("setting “one”: begins with 3, outside its range", "has the field “one” twice",
                "needs a range of how many", "act “do”: isn't told with its setting “which”", "its unit can't be read",
                "body “b”: names setting “loads”, which isn't declared here", "ledger “empty”: has no entry",
                "ledger “mixed”: adds up J and m", "channel “m”: names body “load.1”, which isn't declared here",
                "outcome “odd”: has 0 to 9 decimals");
    }
}
