package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/**
 * What people should know about a setting as things stand, told beside it: that it does nothing now, or what it will lead
 * to; where a press of a button helps, with that.
 *
 * @param words  for people
 * @param button what the button says; empty for none
 * @param change settings that the button sets, by their ids
 * @param first  whether it has to be known before the run begins, and so is told over the picture, too
 */
public record Advice(String words, String button, Map<String, Object> change, boolean first) {

    /** Told beside the setting. */
    public static Advice told(String words) {
        return new Advice(words, "", Map.of(), false);
    }

    /** Told beside the setting, and over the picture until the run begins. */
    public static Advice first(String words) {
        return new Advice(words, "", Map.of(), true);
    }

    /** With a button that sets a choice. */
    public <T> Advice offering(String pressed, Choice<T> choice, T value) {
        return new Advice(words, pressed, Map.of(choice.id(), choice.idOf(value)), first);
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("words", words, "button", button, "change", change, "first", first);
    }
}
