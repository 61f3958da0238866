package cauldron.core.analysis;

/** A formula that can't be read or has no meaning. The message says what to do. */
public final class FormulaException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final int position;

    FormulaException(String message, int position) {
        super(message);
        this.position = position;
    }

    /** Where in the text the trouble is, counted in characters from 0. */
    public int position() {
        return position;
    }
}
