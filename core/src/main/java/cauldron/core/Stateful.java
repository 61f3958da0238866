package cauldron.core;

/** Something whose whole state is so many numbers, which a snapshot holds. */
public interface Stateful {

    /** How many numbers it is now. */
    int size();

    /** Writes its state into an array from a place on. */
    void save(double[] out, int at);

    /** Returns to a state that {@link #save} wrote; after that {@link #size} is what it was then. */
    void restore(double[] in, int at);
}
