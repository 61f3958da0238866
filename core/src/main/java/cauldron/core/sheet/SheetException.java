package cauldron.core.sheet;

/** A sheet that can't be used. The message begins with the place: part, block, field. */
public final class SheetException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final String place;

    SheetException(String place, String message) {
        super(place + ": " + message);
        this.place = place;
    }

    /** Where in the sheet, such as {@code part measure, block films}. */
    public String place() {
        return place;
    }
}
