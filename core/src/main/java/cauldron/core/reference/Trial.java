package cauldron.core.reference;

import cauldron.core.apparatus.Recipe;
import java.util.List;
import java.util.Map;

/**
 * A trial that values were read on.
 *
 * @param recipe all it takes to have it again
 * @param until  how long it is, in model seconds
 * @param rate   frames a second that readings are counted in
 * @param view   the first view, for readings that name none
 * @param tray   what lay on the tray
 * @param chosen what was chosen, by the names of choices: the name of the option; empty on a bench
 */
public record Trial(Recipe recipe, double until, double rate, String view, List<String> tray, Map<String,
        Chosen> chosen) {

    /**
     * What was chosen, and what else there was.
     *
     * @param of   what there was to choose: “Cord”
     * @param name of what was chosen
     * @param all  names of all there was
     */
    public record Chosen(String of, String name, List<String> all) {
    }
}
