package cauldron.core.quantity;

/** A unit that can't be read. The message is for the person who typed it and says what to write. */
public final class UnitSyntaxException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final int position;

    UnitSyntaxException(String message, int position) {
        super(message);
        this.position = position;
    }

    /** Where in the text the trouble is, counted in characters from 0. */
    public int position() {
        return position;
    }
}
