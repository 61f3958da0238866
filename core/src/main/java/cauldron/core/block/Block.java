package cauldron.core.block;

/** One thing on a sheet. */
public interface Block {

    /** Its name on the sheet, which no other has. */
    String id();

    /** The id of its kind. */
    String type();

    /** What is asked; empty where nothing is. */
    default String prompt() {
        return "";
    }

    /** What is still to do, in plain words after the part's title; null where nothing is. */
    default String lack(Written written) {
        return null;
    }

    /** How far it has come, in a few words beside it; empty where nothing is counted. */
    default String counted(Written written) {
        return "";
    }

    /**
     * What was answered, in plain words and a line for each thing; empty where nothing was, or where only tries tell.
     */
    default String answer(Written written) {
        return "";
    }

    /** The value that was read off last, with its name and unit; empty where none was, or where none is read off. */
    default String lastReading(Written written) {
        return "";
    }

    /** Whether only a teacher can say what it brings. */
    default boolean isMarkedByHand() {
        return false;
    }

    /** Points it can bring; 0 where it isn't marked. */
    default double points() {
        return 0;
    }
}
