package cauldron.core.block;

/** One thing on a sheet. */
public interface Block {

    /** Its name on the sheet, which no other has. */
    String id();

    /** The id of its kind. */
    String type();

    /** Points it can bring; 0 where it isn't marked. */
    default double points() {
        return 0;
    }
}
