package cauldron.core.reference;

/**
 * What a column's values are held against: where the apparatus shows what stands in it.
 *
 * @param column    id of the column
 * @param shows     in which way the apparatus shows it
 * @param of        what it is of: a choice, a setting, a channel, an outcome, an event, or a place, as {@code shows}
 *                  says
 * @param to        the other place of a distance, or a pointer; else empty
 * @param per       the length in the picture that stands for one SI unit of a pointer's scale; else empty
 * @param since     the act or event from which a time or a way is counted; empty: the stopwatch's zero
 * @param times     how many repeats are timed
 * @param every     how many of its events one repeat has: a swing passes its lowest point twice
 * @param divisions of the scale that a reading may be off
 * @param percent   of the value that a reading may be off; the wider of both counts
 */
public record Reference(String column, Shows shows, String of, String to, String per, String since, int times,
        int every,
                        double divisions, double percent) {

    /** In which way an apparatus shows a value. */
    public enum Shows {
        /** The name of what was chosen for a recording, in a column of words. */
        OPTION,
        /** A setting of the trial, as it stood then. */
        SETTING,
        /** A channel at the moment of the reading. */
        CHANNEL,
        /** What the trial came to. */
        OUTCOME,
        /** The straight way between two places of the picture. */
        DISTANCE,
        /** A pointer before a printed scale, from its zero. */
        POINTER,
        /** How far a place has come since a moment. */
        TRAVEL,
        /** The time since a moment. */
        TIME,
        /** The time that so many repeats take. */
        REPEATS;

        /** As labs write it. */
        String word() {
            return name().toLowerCase();
        }
    }

    /** Whether a value can only be had by looking at the apparatus: a choice and a setting are told by their names. */
    boolean needsLooking() {
        return shows != Shows.OPTION && shows != Shows.SETTING;
    }
}
