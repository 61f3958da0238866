package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.Map;

/** A setting that is a number with a unit, or a count. */
public final class Amount extends Setting {

    private final String symbol;
    private final String unit;
    private final boolean whole;
    private double min;
    private double max;
    private double step = 1;
    private Double first;
    private String note = "";
    private boolean forecast;
    private Amount ceiling;
    private double factor;
    /** The SI value of its zero: of a temperature in °C. */
    private double zero;
    /** How many of its unit make one of SI, where that is a whole number; else 0. */
    private double perSi;

    Amount(Declaration owner, String id, String symbol, String name, String unit, boolean whole) {
        super(owner, id, name);
        this.symbol = symbol;
        this.unit = unit;
        this.whole = whole;
    }

    /** Allows values from one to another, both in its unit. */
    public Amount within(double from, double to) {
        stillOpen();
        min = from;
        max = to;
        return this;
    }

    /** What one press of an arrow key changes; 1 unless said. */
    public Amount step(double by) {
        stillOpen();
        step = by;
        return this;
    }

    /** The value it begins with; the lowest unless said. */
    public Amount first(double value) {
        stillOpen();
        first = value;
        return this;
    }

    /** What whoever sets it should know, beside its range. */
    public Amount note(String text) {
        stillOpen();
        note = text;
        return this;
    }

    /** What people should know of it as things stand is told beside it, by {@link Apparatus#advice}. */
    public Amount advised() {
        setAdvised();
        return this;
    }

    /** What it will bring about is told beside it, by {@link Apparatus#forecast}. */
    public Amount forecast() {
        stillOpen();
        forecast = true;
        return this;
    }

    /**
     * It is never more than another setting, declared above it in the same unit: a parachute doesn't open above the place
     * it is dropped from. Where the other one comes down, it comes down with it.
     */
    public Amount noMoreThan(Amount other) {
        stillOpen();
        ceiling = other;
        return this;
    }

    /** It may change while the apparatus runs. */
    public Amount live() {
        setLive();
        return this;
    }

    /** Shown in a group of its own. */
    public Amount in(String group) {
        setGroup(group);
        return this;
    }

    /** Shown only while a choice stands on one of some options. */
    @SafeVarargs
    public final <T> Amount when(Choice<T> choice, T... options) {
        setShownWhen(Condition.of(choice, (Object[]) options));
        return this;
    }

    /** Shown only while a switch is on. */
    public Amount when(Switch toggle) {
        setShownWhen(Condition.of(toggle, true));
        return this;
    }

    /** The quantity's symbol, as printed in formulas. */
    public String symbol() {
        return symbol;
    }

    /** The unit it is set and shown in. */
    public String unit() {
        return unit;
    }

    /** The lowest value allowed, in its unit. */
    public double min() {
        return min;
    }

    /** The highest value allowed, in its unit. */
    public double max() {
        return max;
    }

    /** What one press of an arrow key changes, in its unit. */
    public double step() {
        return step;
    }

    @Override
    public Double initial() {
        return first == null ? (Double) min : first;
    }

    /** The value it takes among others: its own, or the highest that they allow. */
    double among(double own, Object[] values) {
        return ceiling == null ? own : Math.min(own, (Double) values[ceiling.index()]);
    }

    /** What it can't be more than; null where nothing but its range bounds it. */
    Amount ceiling() {
        return ceiling;
    }

    /**
     * Checks a value among the others that rule, which may bound it more closely than its range does.
     *
     * @throws SettingException naming this setting and what it can take with them
     */
    public Object check(Object value, Settings now) {
        double number = (Double) check(value);
        if (ceiling != null && number > (Double) now.kept(ceiling)) {
            throw new SettingException(id(), name() + ": can't be " + print(number) + " while " + ceiling.name()
                    + " is " + ceiling.print((Double) now.kept(ceiling)) + ". Allowed: " + Numbers.printShort(min) + " to "
                    + ceiling.print((Double) now.kept(ceiling)));
        }
        return number;
    }

    /** A value in SI, from one in its unit. */
    double si(double own) {
        // Division by a whole number is rounded once: 70 g are 0.07 kg, not 0.07 and a bit.
        return perSi != 0 ? own / perSi : own * factor + zero;
    }

    /** A value in its unit, kept within its range, from one in SI. */
    double own(double si) {
        return Math.max(min, Math.min(max, perSi != 0 ? si * perSi : (si - zero) / factor));
    }

    /** A value in its unit, as people read it. */
    String print(double own) {
        return Numbers.printShort(own) + (unit.isEmpty() ? "" : " " + unit);
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        if (faults.readable(this, unit)) {
            factor = Units.parse(unit).factor();
            zero = Units.parse(unit).offset();
            double parts = 1 / factor;
            perSi = parts > 1 && parts == Math.rint(parts) ? parts : 0;
        }
        if (!(min < max)) {
            faults.add(this, "needs a range, the lower end first");
        } else if (!(initial() >= min && initial() <= max)) {
            faults.add(this, "begins with " + Numbers.printShort(initial()) + ", outside its range");
        }
        if (!(step > 0)) {
            faults.add(this, "needs a step above 0");
        }
        if (ceiling != null && !ceiling.unit().equals(unit)) {
            faults.add(this, "is bounded by a setting in another unit");
        }
        if (ceiling != null && min > ceiling.min()) {
            faults.add(this, "can't come down as far as what bounds it");
        }
        if (whole && (initial() != Math.rint(initial()) || step != Math.rint(step))) {
            faults.add(this, "is a count, but begins or steps between whole numbers");
        }
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
        return new SettingException(id(), name() + ": " + what + ". Allowed: " + Numbers.printShort(min) + " to "
                + Numbers.printShort(max) + (unit.isEmpty() ? "" : " " + unit));
    }

    @Override
    public Map<String, Object> toTree() {
        return Tree.of("type", "amount", "id", id(), "symbol", symbol, "name", name(), "unit", unit, "min", min,
                "max", max, "step", step, "initial", initial(), "whole", whole, "group", group(), "live", isLive(),
                "shownWhen", shownWhen(), "note", note, "forecast",
                forecast, "advised", isAdvised(), "noMoreThan", ceiling == null ? "" : ceiling.id());
    }
}
