package cauldron.core.apparatus;

import cauldron.core.apparatus.gas.GasCylinder;
import cauldron.core.apparatus.glider.PropellerGlider;
import cauldron.core.apparatus.pendulum.Pendulum;
import cauldron.core.apparatus.spring.HangingSpring;
import java.util.List;

/** Every apparatus there is. A new one adds its line here. */
public final class Inventory {

    private static final List<Apparatus> ALL = List.of(
            new Pendulum(),
            new HangingSpring(),
            new GasCylinder(),
            new PropellerGlider());

    private Inventory() {
    }

    public static List<Apparatus> all() {
        return ALL;
    }

    /** The apparatus of that id; refuses one it doesn't have. */
    public static Apparatus get(String id) {
        for (Apparatus apparatus : ALL) {
            if (apparatus.manifest().id().equals(id)) {
                return apparatus;
            }
        }
        throw new IllegalArgumentException("There is no apparatus “" + id + "”");
    }
}
