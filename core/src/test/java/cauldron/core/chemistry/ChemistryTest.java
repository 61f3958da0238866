package cauldron.core.chemistry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;

class ChemistryTest {

    @Test
    void molarMassesAreThoseOfTheTables() {
        // CRC Handbook of Chemistry and Physics, g/mol.
        Map<String, Double> known = Map.of("CaCO3", 100.087, "H2O", 18.015, "Fe3O4", 231.533, "C6H8O7", 192.124, "NH3",
                17.031,
                "CH3COOC2H5", 88.106, "Ca(OH)2", 74.093, "Al2(SO4)3", 342.151, "CuSO4(H2O)5", 249.685);
        known.forEach((formula, grams) -> assertThat(1000 * Formula.of(formula).molarMass()).as(formula)
                .isCloseTo(grams, within(2e-4 * grams)));
    }

    @Test
    void bracketsCountAndChargesAreRead() {
        Formula ion = Formula.of("Fe(SCN)2^+");
        assertThat(ion.atoms()).containsEntry(Element.of("S"), 2).containsEntry(Element.of("Fe"), 1).hasSize(4);
        assertThat(ion.charge()).isEqualTo(1);
        assertThat(Formula.of("SO4^2-").printed()).isEqualTo("SO₄²⁻");
        assertThat(Formula.of("Al2(SO4)3").atoms()).containsEntry(Element.of("O"), 12);
    }

    @Test
    void whatIsNoFormulaIsRefusedWithItsPlace() {
        for (String odd : new String[] {"", "h2o", "Xy2", "Ca(OH", "Ca)2", "Fe^x", "2H2", "H 2"}) {
            assertThatThrownBy(() -> Formula.of(odd)).as("“%s”", odd).isInstanceOf(IllegalArgumentException.class);
        }
    }

    @Test
    void aReactionThatLosesAnAtomOrAChargeCanNotBeDeclared() {
        Substance rust = Substance.solid("magnetite", "Fe3O4");
        Reaction off = Reaction.called("Rusting").takes(3, Substance.solid("iron", "Fe")).takes(1, Substances.OXYGEN)
                .gives(1, rust);
        assertThatThrownBy(off::balanced).hasMessageContaining("2 O more");
        Reaction charged = Reaction.called("Losing").takes(1, Substance.dissolved("iron", "Fe^3+")).gives(1,
                Substance.dissolved("iron", "Fe^2+"));
        assertThatThrownBy(charged::balanced).hasMessageContaining("charge of -1");
    }

    @Test
    void theScarcerOneLimits() {
        Reaction reaction = Reaction.called("Burning").takes(2, Substances.HYDROGEN).takes(1, Substances.OXYGEN)
                .gives(2, Substances.WATER).balanced();
        assertThat(reaction.furthest(4, 1)).isEqualTo(1);
        assertThat(reaction.furthest(1, 4)).isEqualTo(0.5);
        assertThat(reaction.equation("→")).isEqualTo("2 H₂ + O₂ → 2 H₂O");
    }

    @Test
    void elementsStandInTheirOrder() {
        assertThat(Element.all()).hasSize(118);
        assertThat(Element.number(26).name()).isEqualTo("iron");
        assertThat(Element.of("Kr").number()).isEqualTo(36);
        assertThatThrownBy(() -> Element.number(119)).hasMessageContaining("1 to 118");
    }
}
