package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A setting that is a list of things, each with fields of its own: loads, landings, gates. Its value is kept as a list
 * of maps, from the ids of the fields to what a setting of that kind keeps.
 */
public final class Items extends Setting {

    private final String one;
    private final Declaration fields;
    private final List<Map<String, Object>> first = new ArrayList<>();
    private int least;
    private int most = 10;
    private Choice<?> names;
    private Amount rising;
    private double gap;

    Items(Declaration owner, String id, String name, String one, Declaration fields) {
        super(owner, id, name);
        this.one = one;
        this.fields = fields;
    }

    /** How many there may be; up to ten unless said. */
    public Items between(int fewest, int largest) {
        stillOpen();
        least = fewest;
        most = largest;
        return this;
    }

    /** One that is there at first: fields and their values by turns, what isn't named as the field says. */
    public Items with(Object... fieldsAndValues) {
        stillOpen();
        Map<String, Object> row = new LinkedHashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            row.put(((Setting) fieldsAndValues[i]).id(), fieldsAndValues[i + 1]);
        }
        first.add(row);
        return this;
    }

    /** Each must lie at least so far above the one before, in the field's unit. */
    public Items rising(Amount field, double apart) {
        stillOpen();
        rising = field;
        gap = apart;
        return this;
    }

    /** Each is called what this field of it says; else they are numbered. */
    public Items namedBy(Choice<?> field) {
        stillOpen();
        names = field;
        return this;
    }

    /** There only while a choice stands on one of some options. */
    @SafeVarargs
    public final <T> Items when(Choice<T> choice, T... options) {
        setShownWhen(Condition.of(choice, (Object[]) options));
        return this;
    }

    /** It may change while the apparatus runs. */
    public Items live() {
        setLive();
        return this;
    }

    /** Shown in a group of its own. */
    public Items in(String group) {
        setGroup(group);
        return this;
    }

    /** What each of them has. */
    public List<Setting> fields() {
        return List.copyOf(fields.settings);
    }

    /** The most there may be. */
    public int most() {
        return most;
    }

    /** The fewest there may be. */
    public int least() {
        return least;
    }

    /** What one of them is called among all; a name that comes twice is numbered. */
    public String nameOf(List<Settings> all, int which) {
        String name = plainName(all, which);
        int before = 0;
        int alike = 0;
        for (int i = 0; i < all.size(); i++) {
            if (plainName(all, i).equals(name)) {
                alike++;
                before += i < which ? 1 : 0;
            }
        }
        return names == null || alike < 2 ? name : name + " " + (before + 1);
    }

    /** What each of them is called. */
    public List<String> names(Settings now) {
        List<Settings> all = now.items(this);
        List<String> called = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            called.add(nameOf(all, i));
        }
        return called;
    }

    private String plainName(List<Settings> all, int which) {
        return names == null ? one + " " + (which + 1) : names.nameOf(all.get(which).choice(names));
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        List<String> ids = new ArrayList<>();
        for (int i = 0; i < fields.settings.size(); i++) {
            Setting field = fields.settings.get(i);
            field.check(faults);
            field.index(i);
            if (field instanceof Items || field instanceof Pick) {
                faults.add(this, "a field is an amount, a choice or a switch");
            }
            if (ids.contains(field.id())) {
                faults.add(this, "has the field “" + field.id() + "” twice");
            }
            ids.add(field.id());
        }
        if (!(least >= 0 && most > least)) {
            faults.add(this, "needs a range of how many, the lower end first");
        } else if (first.size() < least || first.size() > most) {
            faults.add(this, "begins with " + first.size() + " of them, outside its range");
        }
        if (rising != null) {
            faults.known(this, rising, fields.settings);
        }
        if (names != null) {
            faults.known(this, names, fields.settings);
        }
        try {
            rows(first);
        } catch (IllegalArgumentException e) {
            faults.add(this, "begins with what it can't take: " + e.getMessage());
        }
    }

    @Override
    public Object initial() {
        return rows(first);
    }

    @Override
    @SuppressWarnings("unchecked")
    public Object check(Object value) {
        if (!(value instanceof List)) {
            throw refuse("needs a list");
        }
        List<?> list = (List<?>) value;
        if (list.size() < least || list.size() > most) {
            throw refuse("can't be " + list.size() + " of them");
        }
        List<Map<String, Object>> given = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            if (!(list.get(i) instanceof Map)) {
                throw refuse("number " + (i + 1) + " needs its fields");
            }
            given.add((Map<String, Object>) list.get(i));
        }
        return rows(given);
    }

    /**
     * A value with one thing more: as the fields begin, and where each must lie above the one before, where there is room.
     *
     * @throws SettingException where there may be no more of them
     */
    @SuppressWarnings("unchecked")
    public Object added(Object value) {
        List<Map<String, Object>> now = rows((List<Map<String, Object>>) check(value));
        if (now.size() >= most) {
            throw refuse("can't be " + (now.size() + 1) + " of them");
        }
        Map<String, Object> fresh = Settings.of(fields.settings, Map.of(), name()).toTree();
        int at = now.size();
        if (rising != null) {
            // Above the last one, or in the widest gap below.
            double last = at == 0 ? rising.min() : (Double) now.get(at - 1).get(rising.id()) + Math.max(gap, rising.step());
            for (int i = now.size() - 1; last > rising.max() && i > 0; i--) {
                double below = (Double) now.get(i - 1).get(rising.id());
                if ((Double) now.get(i).get(rising.id()) - below >= 2 * gap) {
                    last = below + gap;
                    at = i;
                }
            }
            fresh.put(rising.id(), last);
        }
        now.add(at, fresh);
        return check(now);
    }

    /** A field of one of them, kept where it may be: within its range, and clear of the ones before and after. */
    double kept(List<Map<String, Object>> rows, int which, Amount field, double own) {
        double low = field.min();
        double high = field.max();
        if (field == rising) {
            low = which > 0 ? (Double) rows.get(which - 1).get(field.id()) + gap : low;
            high = which < rows.size() - 1 ? (Double) rows.get(which + 1).get(field.id()) - gap : high;
        }
        return Math.max(low, Math.min(high, own));
    }

    /** Every row read, with all its fields. */
    private List<Map<String, Object>> rows(List<Map<String, Object>> given) {
        List<Map<String, Object>> whole = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            try {
                whole.add(Settings.of(fields.settings, given.get(i), capital(one)).toTree());
            } catch (SettingException e) {
                throw new SettingException(id(), capital(one) + " " + (i + 1) + ": " + e.getMessage());
            }
        }
        for (int i = 1; i < whole.size() && rising != null; i++) {
            double before = (Double) whole.get(i - 1).get(rising.id());
            if ((Double) whole.get(i).get(rising.id()) < before + gap) {
                throw new SettingException(id(), capital(one) + " " + (i + 1) + ": " + rising.name() + " must be at least "
                        + rising.print(gap) + " more than that of " + one + " " + i + ", which is " + rising.print(before));
            }
        }
        return whole;
    }

    /** Its value as settings of its fields. */
    @SuppressWarnings("unchecked")
    List<Settings> read(Object value) {
        List<Settings> all = new ArrayList<>();
        for (Map<String, Object> row : (List<Map<String, Object>>) value) {
            all.add(Settings.of(fields.settings, row, name()));
        }
        return all;
    }

    private SettingException refuse(String what) {
        return new SettingException(id(), name() + ": " + what + ". Allowed: " + least + " to " + most);
    }

    @Override
    public Map<String, Object> toTree() {
        List<Object> of = new ArrayList<>();
        fields.settings.forEach(field -> of.add(field.toTree()));
        return Tree.of("type", "items", "id", id(), "name", name(), "one", one, "fields", of, "least", (double) least,
                "most", (double) most, "rising", rising == null ? "" : rising.id(), "gap", gap, "namedBy", names == null ? "" : names.id(), "initial", initial(), "group",
                group(), "live", isLive(), "shownWhen", shownWhen());
    }
}
