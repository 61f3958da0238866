package cauldron.core.block;

import cauldron.core.Tree;

/** A block in which something is predicted and sealed: what follows on its sheet opens with the seal. */
public interface Sealable extends Block {

    /** The place in the notebook that says whether it is sealed. */
    String SEAL = "seal";

    /** Whether it is sealed in a notebook. */
    default boolean isSealed(Written written) {
        return Tree.flag(written.slot(id(), SEAL), "sealed");
    }

    /** What it still lacks before it can be sealed, in words; null where it is whole. */
    String unsealable(Written written);

    /** Whether a place in the notebook can be written only before the seal; the others only after it. */
    boolean isPredicted(String slot);
}
