package cauldron.core.apparatus.railrun;

import cauldron.core.apparatus.Scene;

/** The energy a wagon has, or would have, at each place of the rail, as bands upon it of one scale. */
final class EnergyBand {

    /** How high all of it stands over the rail, in metres. */
    private static final double HIGH = 1.3;

    private EnergyBand() {
    }

    /**
     * Puts the bands into a scene.
     *
     * @param weight     in N
     * @param mechanical kinetic and potential energy together, counted from the ground, in J
     * @param heat       thermal energy, in J
     */
    static void draw(RailRun d, Scene out, Rail rail, double weight, double mechanical, double heat) {
        double[] outline = rail.outline();
        double low = weight * rail.lowest();
        double now = mechanical - low;
        double scale = HIGH / Math.max(1e-9, now + heat);
        double[] potential = outline.clone();
        double[] kinetic = outline.clone();
        double[] thermal = outline.clone();
        for (int i = 1; i < outline.length; i += 2) {
            double stored = Math.min(now, weight * outline[i] - low);
            potential[i] += scale * stored;
            kinetic[i] += scale * now;
            thermal[i] += scale * (now + heat);
        }
        out.put(d.bandPotential, potential);
        out.put(d.bandKinetic, kinetic);
        out.put(d.bandThermal, thermal);
    }
}
