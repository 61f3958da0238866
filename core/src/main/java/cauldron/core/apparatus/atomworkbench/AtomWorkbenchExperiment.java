package cauldron.core.apparatus.atomworkbench;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Setting;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StepsExperiment;
import cauldron.core.chemistry.Nuclide;
import cauldron.core.chemistry.Nuclides;
import cauldron.core.chemistry.Shells;
import cauldron.core.drawing.Drawing;

/**
 * One atom, of which protons, neutrons and electrons are changed. What is said of it is in {@link Nuclides} and {@link
 * Shells}; nothing happens by itself: an unstable nucleus waits as long as it is looked at.
 */
final class AtomWorkbenchExperiment extends StepsExperiment {

    private static final double GRIP = 0.013;
    private static final double ATOMIC_MASS = 1.66053906660e-27;

    private final AtomWorkbench d;
    private final Register protons;
    private final Register neutrons;
    private final Register electrons;
    /** Nuclides of the chart as a crowd, which never changes. */
    private static final double[] CHART = chart();
    private static final double[] PERIODIC = AtomWorkbench.periodicTable();

    AtomWorkbenchExperiment(AtomWorkbench declared, Settings settings) {
        super(declared, settings);
        d = declared;
        protons = register(settings.count(d.protons));
        neutrons = register(settings.count(d.neutrons));
        electrons = register(Math.min(settings.count(d.electrons), most(settings.count(d.protons))));
    }

    private static int most(int protons) {
        return Math.min(Nuclides.HEAVIEST, protons + AtomWorkbench.MOST_EXTRA);
    }

    private static double[] chart() {
        int many = 0;
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            many += Nuclides.of(z).size();
        }
        double[] all = new double[3 * many];
        int at = 0;
        for (int z = 1; z <= Nuclides.HEAVIEST; z++) {
            for (Nuclide nuclide : Nuclides.of(z)) {
                double[] square = AtomWorkbench.square(z, nuclide.neutrons());
                all[at++] = square[0];
                all[at++] = square[1];
                all[at++] = nuclide.life().ordinal();
            }
        }
        return all;
    }

    private Atom atom() {
        return new Atom((int) protons.get(), (int) neutrons.get(), (int) electrons.get());
    }

    @Override
    public Drawing drawing() {
        return AtomDrawing.of(atom());
    }

    @Override
    protected void changed(Setting setting, Settings before, EventSink sink) {
        // What is asked for changes nothing on the bench.
    }

    @Override
    protected void performed(Act act, Settings with, EventSink sink) {
        Atom now = atom();
        int toProtons = now.protons() + (act == d.protonIn ? 1 : act == d.protonOut ? -1 : 0);
        int toNeutrons = now.neutrons() + (act == d.neutronIn ? 1 : act == d.neutronOut ? -1 : 0);
        int toElectrons = now.electrons() + (act == d.electronIn ? 1 : act == d.electronOut ? -1 : 0);
        if (act == d.nucleus) {
            toProtons = with.count(d.wantedProtons);
            toNeutrons = with.count(d.wantedNeutrons);
        } else if (act == d.hull) {
            toElectrons = with.count(d.wantedElectrons);
        }
        if (toElectrons > most(toProtons)) {
            throw new IllegalArgumentException("A nucleus of " + toProtons + (toProtons == 1 ? " proton" : " protons")
                    + " can't hold " + toElectrons + " electrons: take some out first");
        }
        protons.set(toProtons);
        neutrons.set(toNeutrons);
        electrons.set(toElectrons);
        sink.event(d.changed, time());
    }

    @Override
    public void read(Readings out) {
        Atom atom = atom();
        out.put(d.z, atom.protons());
        out.put(d.a, atom.massNumber());
        out.put(d.charge, atom.charge());
        out.put(d.n, atom.neutrons());
        out.put(d.e, atom.electrons());
        out.put(d.mass, atom.mass() * ATOMIC_MASS);
        out.put(d.mean, Nuclides.meanMass(atom.protons()) * ATOMIC_MASS);
        out.put(d.share, atom.nuclide() == null ? Double.NaN : atom.nuclide().abundance());
    }

    @Override
    public void outcomes(Outcomes out) {
        Atom atom = atom();
        Nuclide nuclide = atom.nuclide();
        out.put(d.element, atom.protons() - 1);
        out.put(d.kind, atom.kind().ordinal());
        out.put(d.lasting, atom.lasting().ordinal());
        out.put(d.decay, d.placeOf(atom.decays()));
        out.put(d.halfLife, nuclide == null || nuclide.isStable() ? Double.NaN : nuclide.halfLife());
        Challenge asked = settings().value(d.challenge);
        out.put(d.asked, (asked == null ? AtomWorkbench.Asked.NONE : asked.isMetBy(atom) ? AtomWorkbench.Asked.MET
                : AtomWorkbench.Asked.NOT_YET).ordinal());
    }

    @Override
    public int crowdSize() {
        return CHART.length / 3;
    }

    @Override
    public int crowd(double[] out) {
        System.arraycopy(CHART, 0, out, 0, CHART.length);
        return CHART.length / 3;
    }

    @Override
    public void scene(Scene out) {
        Atom atom = atom();
        double[] square = AtomWorkbench.square(atom.protons(), atom.neutrons());
        out.put(d.here, square[0], square[1]);
        out.put(d.atom, AtomWorkbench.ATOM_X, AtomWorkbench.ATOM_Y);
        out.put(d.store, AtomWorkbench.STORE_X, AtomWorkbench.STORE_Y);
        out.put(d.map, AtomWorkbench.MAP_X, AtomWorkbench.MAP_Y);
        out.put(d.table, AtomWorkbench.TABLE_X, AtomWorkbench.TABLE_Y);
        out.put(d.cell, AtomWorkbench.CELL);
        out.put(d.tableCell, AtomWorkbench.TABLE_CELL);
        out.put(d.grip, GRIP);
        out.put(d.protonsNow, atom.protons());
        out.put(d.neutronsNow, atom.neutrons());
        out.put(d.electronsNow, atom.electrons());
        out.put(d.chargeNow, atom.charge());
        int[] shells = atom.shells();
        int outermost = 0;
        for (int i = 0; i < Shells.MANY; i++) {
            out.put(d.shells.get(i), shells[i]);
            out.put(d.radii.get(i), AtomWorkbench.RADII[i]);
            outermost = shells[i] > 0 ? i : outermost;
        }
        // The first electron of each shell stands on top.
        out.put(d.outer, AtomWorkbench.ATOM_X, AtomWorkbench.ATOM_Y + AtomWorkbench.RADII[outermost]);
        int around = AtomWorkbench.AROUND;
        int at = 0;
        for (int up = around; up >= -around; up--) {
            for (int right = -around; right <= around; right++) {
                out.put(d.near.get(at++), AtomWorkbench.shown(Nuclides.of(atom.protons() + up, atom.neutrons()
                        + right)));
            }
        }
        Nuclide nuclide = atom.nuclide();
        out.put(d.life, AtomWorkbench.shown(nuclide));
        // 0 where there is no half-life to tell: a picture that is kept has only numbers in it.
        double unit = nuclide == null ? Double.NaN : HalfLife.unit(nuclide.halfLife());
        out.put(d.halfLifeNumber, Double.isNaN(unit) ? 0 : HalfLife.number(nuclide.halfLife()));
        out.put(d.halfLifeUnit, Double.isNaN(unit) ? 0 : unit);
        Challenge asked = settings().value(d.challenge);
        out.put(d.askedNow, asked == null ? 0 : 1 + asked.ordinal());
        out.put(d.periodic, PERIODIC);
        out.put(d.lightest, atom.protons() == 1);
        out.put(d.heaviest, atom.protons() == Nuclides.HEAVIEST);
        out.put(d.noNeutron, atom.neutrons() == 0);
        out.put(d.mostNeutrons, atom.neutrons() == AtomWorkbench.MOST_NEUTRONS);
        out.put(d.bare, atom.electrons() == 0);
        out.put(d.full, atom.electrons() >= most(atom.protons()));
    }
}
