package cauldron.core.apparatus;

import cauldron.core.apparatus.Setting.Option;
import java.util.List;

/**
 * The choice of gravity that several apparatus offer. Earth has the value schools use; Moon, Mars
 * and Jupiter (at 1 bar) have GM/R² at the mean radius, without the effect of their spin.
 */
public final class Gravity {

    private Gravity() {
    }

    /** The settings {@code place} and, for a value of one's own, {@code gravity}. */
    public static List<Setting> settings() {
        return List.of(
                new Setting.Choice("place", "Gravity", List.of(new Option("earth", "Earth, 9.81 m/s²"),
                        new Option("moon", "Moon, 1.62 m/s²"), new Option("mars", "Mars, 3.73 m/s²"),
                        new Option("jupiter", "Jupiter, 25.9 m/s²"), new Option("own", "your own value")),
                        "earth", "", true, ""),
                new Setting.Amount("gravity", "g", "Gravity, your own", "m/s²", 0.5, 30, 0.1, 9.81, false, "", true,
                        "place=own"));
    }

    /** The field strength in N/kg that the settings stand for. */
    public static double of(Settings settings) {
        switch (settings.choice("place")) {
            case "moon":
                return 1.62;
            case "mars":
                return 3.73;
            case "jupiter":
                return 25.92;
            case "own":
                return settings.amount("gravity");
            default:
                return 9.81;
        }
    }
}
