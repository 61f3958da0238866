package cauldron.core.form;

/** The fields of a form as they were read, soundly. */
public final class Filled {

    private final Object[] values;

    Filled(Object[] values) {
        this.values = values;
    }

    /** What a field holds. */
    @SuppressWarnings("unchecked")
    public <V> V get(Field<?, V> field) {
        return (V) values[field.index()];
    }
}
