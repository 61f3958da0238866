package cauldron.core.apparatus.crashrig;

import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.crashrig.CrashRig.Met;

/**
 * How the sled comes to where a run begins: shortly before first contact, slower where it has braked. The brake acts
 * steadily, v² = v₀² − 2 a s, and lets go just before contact.
 */
final class Approach {

    /** A run begins so long before first contact, in seconds; a hair less, so that the row at 20 ms has met. */
    static final double BEFORE = 0.02 - 1e-12;
    private static final double LEAST = 0.02;

    /** What was set, in m/s. */
    final double wanted;
    /** What is left of it. */
    final double speed;
    /** Of the second sled towards the first, in m/s. */
    final double against;
    /** Where the sled's front is at the beginning, in metres; first contact is at 0. */
    final double from;

    Approach(CrashRig d, Settings s) {
        wanted = s.si(d.speed);
        boolean brakes = s.on(d.brake);
        double saved = brakes ? 2 * s.si(d.braking) * s.si(d.brakingWay) : 0;
        speed = Math.sqrt(Math.max(0, wanted * wanted - saved));
        against = s.value(d.met) == Met.SLED ? s.si(d.secondSpeed) : 0;
        double gap = Math.max(LEAST, BEFORE * (speed + against));
        double left = brakes && speed == 0 ? s.si(d.brakingWay) - wanted * wanted / (2 * s.si(d.braking)) : 0;
        from = -Math.max(gap, Math.min(left, MOST_LEFT));
    }

    /** A sled that has come to a stand is seen; further away than this it isn't shown. */
    private static final double MOST_LEFT = 1.2;
}
