package cauldron.core.block;

/** The other blocks of a sheet. */
public interface Neighbours {

    /** The block of an id, or null. */
    Block block(String id);

    /** The block of an id if it is of a kind, or null. */
    default <B extends Block> B block(String id, Class<B> kind) {
        Block found = block(id);
        return kind.isInstance(found) ? kind.cast(found) : null;
    }
}
