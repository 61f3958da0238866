package cauldron.core.apparatus.railrun;

import cauldron.core.apparatus.Forecast;
import cauldron.core.quantity.Numbers;

/** How far a wagon will come before friction has taken all its energy, by a {@link Forerun}: a place on a scale and words. */
final class FrictionForecast {

    private static final double NEAR = 10;

    private FrictionForecast() {
    }

    static Forecast of(Rail rail, double height, double friction, double gravity) {
        if (friction == 0) {
            return new Forecast(0, "without friction it never comes to rest");
        }
        Forerun run = Forerun.of(rail, height, friction, gravity);
        if (!Double.isNaN(run.leaves)) {
            return new Forecast(0.5, "it leaves the rail before friction stops it");
        }
        if (run.travelled >= Forerun.FAR) {
            return new Forecast(0.02, "at rest only after more than " + Numbers.printShort(Forerun.FAR) + " m");
        }
        double share = 1 - Math.log(Math.max(run.travelled, NEAR) / NEAR) / Math.log(Forerun.FAR / NEAR);
        return new Forecast(share, "at rest after about " + Numbers.print(run.travelled, 2) + " m of rail");
    }
}
