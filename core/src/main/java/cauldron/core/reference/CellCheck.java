package cauldron.core.reference;

/**
 * One value held against what the apparatus showed.
 *
 * @param row       id of the row
 * @param column    id of the column
 * @param truth     what the apparatus showed, as it would be typed there; empty where that isn't known
 * @param divisions how far the value is off in divisions of the scale, more being positive; NaN where that has no
 *                  meaning
 * @param unlooked  whether it was typed with no trial before the eyes, although it can only be had by looking
 * @param words     what is wrong, in plain words for whoever marks; empty where nothing is
 */
public record CellCheck(String row, String column, Verdict verdict, String truth, double divisions, boolean unlooked,
                        String words) {
}
