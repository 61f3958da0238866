package cauldron.core.block;

/** A block whose answer is checked as soon as it is given, so many times for points. */
public interface Question extends Block {

    /** How many tries can bring points. */
    int tries();

    /** The same question with as many tries; what isn't checked stays so. */
    Question withTries(int other);
}
