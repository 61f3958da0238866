package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Something that can be set on an apparatus. Values are kept as {@link Double} (in the setting's own
 * unit, which is what people see and type), {@link String} (a choice's id) or {@link Boolean}.
 */
public sealed interface Setting permits Setting.Amount, Setting.Choice, Setting.Switch {

    String id();

    String name();

    /** Which settings are shown together; empty for the main group. */
    String group();

    /** May change while it runs; otherwise a change starts a new trial. */
    boolean live();

    /** Shown only while another setting, a choice, has a value: {@code "place=own"}; empty: always. */
    String shownWhen();

    Object initial();

    /**
     * Checks a value and brings it to the form in which it is kept.
     *
     * @throws SettingException naming this setting and what it can take
     */
    Object check(Object value);

    Map<String, Object> toTree();

    /**
     * A number with a unit.
     *
     * @param symbol the quantity's symbol, as printed in formulas
     * @param unit   the unit it is set and shown in
     * @param step   what one press of an arrow key changes
     * @param whole  only whole numbers: a count
     * @param note   what whoever sets it should know, beside its range; may be empty
     */
    record Amount(String id, String symbol, String name, String unit, double min, double max, double step,
                  Double initial, boolean whole, String group, boolean live, String shownWhen, String note)
            implements Setting {

        public Amount(String id, String symbol, String name, String unit, double min, double max, double step,
                Double initial, boolean whole, String group, boolean live, String shownWhen) {
            this(id, symbol, name, unit, min, max, step, initial, whole, group, live, shownWhen, "");
        }

        @Override
        public Object check(Object value) {
            double number;
            if (value instanceof Number) {
                number = ((Number) value).doubleValue();
            } else if (value instanceof String) {
                number = read((String) value);
            } else {
                throw refuse("needs a number");
            }
            if (!(number >= min - 1e-12 * Math.abs(min) && number <= max + 1e-12 * Math.abs(max))) {
                throw refuse("can't be " + Numbers.printShort(number) + " " + unit);
            }
            if (whole && number != Math.rint(number)) {
                throw refuse("needs a whole number");
            }
            return number;
        }

        /** Reads what was typed, with its unit or without: {@code 85 cm} for a length set in metres. */
        private double read(String typed) {
            String text = typed.strip();
            int split = text.length();
            while (split > 0 && !Character.isDigit(text.charAt(split - 1)) && text.charAt(split - 1) != '.') {
                split--;
            }
            // A power belongs to the unit, so the split is at the first letter after the number instead.
            for (int i = 0; i < text.length(); i++) {
                char c = text.charAt(i);
                if (Character.isLetter(c) && c != 'e' && c != 'E' || c == '°' || c == '%') {
                    split = i;
                    break;
                }
            }
            double number;
            try {
                number = Numbers.read(text.substring(0, split));
            } catch (IllegalArgumentException e) {
                throw refuse(e.getMessage().startsWith("Type") ? "needs a number" : "can't be “" + text + "”");
            }
            String typedUnit = text.substring(split).strip();
            if (typedUnit.isEmpty()) {
                return number;
            }
            Unit own = Units.parse(unit);
            Unit other;
            try {
                other = Units.parse(typedUnit);
            } catch (IllegalArgumentException e) {
                throw refuse(e.getMessage());
            }
            if (!own.sameKind(other)) {
                throw refuse("can't be in " + other.symbol());
            }
            return own.fromSi(other.toSi(number));
        }

        private SettingException refuse(String what) {
            return new SettingException(id, name + ": " + what + ". Allowed: " + Numbers.printShort(min) + " to "
                    + Numbers.printShort(max) + (unit.isEmpty() ? "" : " " + unit));
        }

        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "amount", "id", id, "symbol", symbol, "name", name, "unit", unit, "min", min,
                    "max", max, "step", step, "initial", initial, "whole", whole, "group", group, "live", live,
                    "shownWhen", shownWhen, "note", note);
        }
    }

    /** One of several named things. */
    record Choice(String id, String name, List<Option> options, String initial, String group, boolean live,
                  String shownWhen) implements Setting {

        @Override
        public Object check(Object value) {
            List<String> names = new ArrayList<>();
            for (Option option : options) {
                if (option.id().equals(value)) {
                    return value;
                }
                names.add(option.name());
            }
            throw new SettingException(id, name + ": choose one of " + String.join(", ", names));
        }

        @Override
        public Map<String, Object> toTree() {
            List<Object> list = new ArrayList<>();
            for (Option option : options) {
                list.add(Tree.of("id", option.id(), "name", option.name()));
            }
            return Tree.of("type", "choice", "id", id, "name", name, "options", list, "initial", initial, "group",
                    group, "live", live, "shownWhen", shownWhen);
        }
    }

    /** What a choice offers. */
    record Option(String id, String name) {
    }

    /** On or off. */
    record Switch(String id, String name, Boolean initial, String group, boolean live, String shownWhen)
            implements Setting {

        @Override
        public Object check(Object value) {
            if (value instanceof Boolean) {
                return value;
            }
            throw new SettingException(id, name + ": must be on or off");
        }

        @Override
        public Map<String, Object> toTree() {
            return Tree.of("type", "switch", "id", id, "name", name, "initial", initial, "group", group, "live",
                    live, "shownWhen", shownWhen);
        }
    }
}
