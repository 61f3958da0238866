package cauldron.core.apparatus;

import cauldron.core.quantity.Numbers;

/** A setting as a column of a table, whose cells hold what it was set to; empty where it didn't count. */
final class SettingCell {

    /** What the ids of such columns begin with, so that no channel or outcome is taken for a setting. */
    static final String PREFIX = "set.";

    private interface Print {
        String of(Settings set);
    }

    private final Setting setting;
    private final RunTable.Column column;
    private final Print print;

    /**
     * A setting's column.
     *
     * @throws IllegalArgumentException for a setting that is a list of things
     */
    SettingCell(Setting setting) {
        this.setting = setting;
        String id = PREFIX + setting.id();
        if (setting instanceof Amount amount) {
            column = new RunTable.Column(id, amount.name(), amount.symbol(), amount.unit(), false);
            print = set -> Numbers.printShort((Double) set.kept(amount));
        } else if (setting instanceof Choice<?> choice) {
            column = new RunTable.Column(id, choice.name(), choice.name(), "", true);
            print = set -> choice.nameOf(set.choice(choice));
        } else if (setting instanceof Switch toggle) {
            column = new RunTable.Column(id, toggle.name(), toggle.name(), "", true);
            print = set -> set.on(toggle) ? "on" : "off";
        } else {
            throw new IllegalArgumentException(setting.name() + " doesn't fit into a column");
        }
    }

    RunTable.Column column() {
        return column;
    }

    /** Whether it counts as things are set. */
    private boolean counts(Settings set) {
        return setting.condition() == null || setting.condition().holds(set);
    }

    /** What it was set to, in its own unit and as people read it. */
    String text(Settings set) {
        return counts(set) ? print.of(set) : "";
    }

    /** The same as a number, in its own unit; NaN where it is none or didn't count. */
    double number(Settings set) {
        return setting instanceof Amount amount && counts(set) ? (Double) set.kept(amount) : Double.NaN;
    }
}
