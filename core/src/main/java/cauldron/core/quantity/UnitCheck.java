package cauldron.core.quantity;

/**
 * A unit that a student was asked to find, held against the one that follows.
 *
 * @param right whether it is of the right kind; km/h is as right as m/s
 * @param note  what to look at, without giving it away; empty where nothing was typed
 */
public record UnitCheck(boolean right, String note) {

    /**
     * Checks what was typed; a pure number's unit is typed as 1.
     *
     * @param due a unit of the right kind
     */
    public static UnitCheck of(String typed, Unit due) {
        if (typed.isBlank()) {
            return new UnitCheck(false, "");
        }
        Dimension found;
        try {
            found = Units.parse(typed).dimension();
        } catch (UnitSyntaxException e) {
            return new UnitCheck(false, e.getMessage());
        }
        if (found.equals(due.dimension())) {
            return new UnitCheck(true, "Right");
        }
        return new UnitCheck(false, "Not yet. " + hint(found, due.dimension()));
    }

    private static String hint(Dimension found, Dimension due) {
        if (found.equals(Dimension.NONE.over(due))) {
            return "It is upside down";
        }
        if (due.isNone()) {
            return "See what is left when the units cancel";
        }
        if (found.isNone()) {
            return "The units don't all cancel";
        }
        StringBuilder wrong = new StringBuilder();
        for (int i = 0; i < Dimension.BASE.length; i++) {
            if (found.twelfths(i) != due.twelfths(i)) {
                wrong.append(wrong.length() == 0 ? "" : " and ").append(Dimension.BASE[i]);
            }
        }
        return "Written in base units, look again at the power of " + wrong;
    }
}
