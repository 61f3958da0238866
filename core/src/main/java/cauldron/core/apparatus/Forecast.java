package cauldron.core.apparatus;

/**
 * What a setting will bring about, told before the run: a place on a scale and a word.
 *
 * @param share from 0, hardly to be seen, to 1, it decides everything
 * @param words what will come of it, for people
 */
public record Forecast(double share, String words) {
}
