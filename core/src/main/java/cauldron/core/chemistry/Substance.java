package cauldron.core.chemistry;

/**
 * A substance as it takes part in reactions.
 *
 * @param called  its name, in small letters
 * @param formula what it is made of
 * @param phase   how it is there
 */
public record Substance(String called, Formula formula, Phase phase) {

    /** How a substance is there. */
    public enum Phase {
        /** As a gas. */
        GAS,
        /** As a pure liquid. */
        LIQUID,
        /** As a solid. */
        SOLID,
        /** Dissolved in water. */
        DISSOLVED
    }

    /** A gas. */
    public static Substance gas(String called, String formula) {
        return new Substance(called, Formula.of(formula), Phase.GAS);
    }

    /** A pure liquid. */
    public static Substance liquid(String called, String formula) {
        return new Substance(called, Formula.of(formula), Phase.LIQUID);
    }

    /** A solid. */
    public static Substance solid(String called, String formula) {
        return new Substance(called, Formula.of(formula), Phase.SOLID);
    }

    /** Something dissolved in water. */
    public static Substance dissolved(String called, String formula) {
        return new Substance(called, Formula.of(formula), Phase.DISSOLVED);
    }

    /** Molar mass in kg/mol. */
    public double molarMass() {
        return formula.molarMass();
    }

    /** Whether it is a gas. */
    public boolean isGas() {
        return phase == Phase.GAS;
    }

    @Override
    public String toString() {
        return formula.printed();
    }
}
