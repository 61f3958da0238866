package cauldron.core.apparatus.atomworkbench;

import cauldron.core.Tree;
import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Coordinate;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Experiment;
import cauldron.core.apparatus.Flag;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Place;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.SceneCurve;
import cauldron.core.apparatus.SceneNumber;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.View;
import cauldron.core.chemistry.Decay;
import cauldron.core.chemistry.Element;
import cauldron.core.chemistry.Nuclide;
import cauldron.core.chemistry.Nuclides;
import cauldron.core.chemistry.Shells;
import cauldron.core.instrument.magnifier.Magnifier;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Atoms on the chart of nuclides: their declaration; what becomes of them is in {@link AtomWorkbenchExperiment}. */
public final class AtomWorkbench extends Apparatus {

    static final int MOST_NEUTRONS = 66;
    /** So many electrons more than protons is the most that any ion has. */
    static final int MOST_EXTRA = 4;
    /** So many squares either way are shown large. */
    static final int AROUND = 2;
    /** Layout of the picture, in its own lengths. */
    static final double MAP_X = 0.06;
    static final double MAP_Y = 0.06;
    static final double CELL = 0.0136;
    static final double TABLE_X = 0.075;
    static final double TABLE_Y = 0.558;
    static final double TABLE_CELL = 0.0172;
    static final double ATOM_X = 0.2;
    static final double ATOM_Y = 0.785;
    static final double STORE_X = 0.42;
    static final double STORE_Y = 0.64;
    static final double ATOM_RADIUS = 0.19;
    static final double[] RADII = {0.075, 0.108, 0.141, 0.174};
    private static final int[] GASES = {2, 10, 18};

    /** Nothing asked for, or something. */
    enum Asked { NONE, NOT_YET, MET }

    final Amount protons = count("protons", "Z", "Protons").within(1, Nuclides.HEAVIEST).first(1);
    final Amount neutrons = count("neutrons", "N", "Neutrons").within(0, MOST_NEUTRONS).first(0);
    final Amount electrons = count("electrons", "e", "Electrons").within(0, Nuclides.HEAVIEST).first(0);
    final Choice<Challenge> challenge = challenges();

    final Channel z = channel("atomic-number", "Z", "Atomic number", "").typically(0, 36).decimals(0);
    final Channel a = channel("mass-number", "A", "Mass number", "").typically(0, 100).decimals(0);
    final Channel charge = channel("charge", "q", "Charge, in elementary charges", "").typically(-4, 36).decimals(0);
    final Channel n = channel("neutron-number", "N", "Neutrons", "").typically(0, 66).decimals(0);
    final Channel e = channel("electron-number", "n_e", "Electrons", "").typically(0, 36).decimals(0);
    final Channel mass = channel("mass", "m", "Mass of this atom or ion", "u").typically(0, 100).decimals(4);
    final Channel mean = channel("mean-mass", "m_r", "Mean mass of the element's atoms in nature", "u").typically(0,
            100)
            .decimals(3);
    final Channel share = channel("share", "x", "Share of the element's atoms in nature", "%").typically(0, 100)
            .decimals(3);

    final Event changed = event("changed", "changed");

    final Outcome element = outcome("element", "E", "Element", "").words(names());
    final Outcome kind = outcome("kind", "i", "It is", "").words(Stream.of(Atom.Kind.values()).map(k -> k.inWords)
            .toArray(String[]::new));
    final Outcome lasting = outcome("lasting", "s", "Its nucleus is", "").words(Stream.of(Atom.Lasting.values())
            .map(k -> k.inWords).toArray(String[]::new));
    final Outcome decay = outcome("decay", "d", "It decays by", "").words(decays());
    final Outcome halfLife = outcome("half-life", "T_½", "Half-life", "s").decimals(3).aside();
    final Outcome asked = outcome("asked", "c", "To be built", "").words("nothing was asked for", "not there yet", "built");

    final View front = view("front", "Atom, neighbours and chart");
    final Place here = place("here");
    final Place atom = place("atom");
    final Place store = place("store");
    final Place outer = place("outer");
    final Place map = place("map");
    final Place table = place("table");
    final Coordinate cell = length("cell");
    final Coordinate tableCell = length("table-cell");
    final Coordinate grip = length("grip");
    final SceneNumber protonsNow = number("protons").words(symbols());
    final SceneNumber neutronsNow = number("neutrons");
    final SceneNumber electronsNow = number("electrons");
    final SceneNumber chargeNow = number("charge");
    final List<SceneNumber> shells = each(Shells.MANY, i -> number("shell." + i));
    final List<Coordinate> radii = each(Shells.MANY, i -> length("radius." + i));
    final List<SceneNumber> near = each((2 * AROUND + 1) * (2 * AROUND + 1), i -> number("near." + i));
    final SceneNumber askedNow = number("asked").words(Stream.concat(Stream.of(""), Stream.of(Challenge.values())
            .map(c -> c.inWords)).toArray(String[]::new));
    final SceneNumber life = number("life").words("stable", "100 million years or more", "a year or more", "a day or "
            + "more",
            "a minute or more", "less than a minute", "half-life not in the table");
    final SceneNumber halfLifeNumber = number("half-life");
    final SceneNumber halfLifeUnit = number("half-life-unit").words(HalfLife.UNITS);
    final SceneCurve periodic = curve("periodic");
    final Flag lightest = flag("lightest");
    final Flag heaviest = flag("heaviest");
    final Flag noNeutron = flag("no-neutron");
    final Flag mostNeutrons = flag("most-neutrons");
    final Flag bare = flag("bare");
    final Flag full = flag("full");
    final Layer labels = layer("labels", "Labels of the atom");

    final Act protonIn = act("proton-in", "Proton in").unless(heaviest).told("a proton in");
    final Act protonOut = act("proton-out", "Proton out").unless(lightest).told("a proton out");
    final Act neutronIn = act("neutron-in", "Neutron in").unless(mostNeutrons).told("a neutron in");
    final Act neutronOut = act("neutron-out", "Neutron out").unless(noNeutron).told("a neutron out");
    final Act electronIn = act("electron-in", "Electron in").unless(full).told("an electron in");
    final Act electronOut = act("electron-out", "Electron out").unless(bare).told("an electron out");
    final Act nucleus = act("nucleus", "Make the nucleus …").told("{protons} protons, {neutrons} neutrons");
    final Amount wantedProtons = nucleus.amount("protons", "Z", "Protons", "").within(1, Nuclides.HEAVIEST).step(1)
            .first(6);
    final Amount wantedNeutrons = nucleus.amount("neutrons", "N", "Neutrons", "").within(0, MOST_NEUTRONS).step(1)
            .first(6);
    final Act hull = act("electrons", "Set the electrons …").told("{electrons} electrons");
    final Amount wantedElectrons = hull.amount("electrons", "n_e", "Electrons", "").within(0, Nuclides.HEAVIEST)
            .step(1).first(6);

    /** Atom workbench. */
    public AtomWorkbench() {
        super("atom-workbench", 2, "Atom workbench");
        about("An atom stands on the chart of nuclides and moves a square with each proton or neutron; electrons come "
                + "and go at "
                + "its shells.", "atoms", "isotopes", "ions", "periodic table", "radioactivity");
        steps();
        schematic();
        nucleus.dragging(here, grip, "the atom on the chart");
        electronIn.dragging(store, grip, "an electron from the store");
        electronOut.dragging(outer, grip, "the outermost electron");
        tray(Magnifier.glass());
        slips("Neutrons thought to change the charge", "Mass number taken for the atomic mass",
                "An ion thought to be a new element", "Sign of the charge the other way round");
        portrait().with(protons, 11.0).with(neutrons, 12.0).with(electrons, 10.0).through(0, 0.58, 0.42, 0.4);
        setUp("from-one", "From one proton on", "A proton alone: is that an atom? Ask for what comes next before you "
                + "do it: a "
                + "neutron, an electron, another proton. When does the charge change, when the element?")
                .reading(z, a, charge);
        setUp("off-the-line", "Off the line", "Carbon with six neutrons. Put neutrons in, one at a time, and ask each "
                + "time: does "
                + "it last? Where on the chart are those that do?")
                .with(protons, 6.0).with(neutrons, 6.0).with(electrons, 6.0).reading(a, share, mass);
    }

    private Choice<Challenge> challenges() {
        Choice<Challenge> all = choice("challenge", "To be built", Challenge.class).option("none", "as you like", null);
        for (Challenge one : Challenge.values()) {
            all.option(one.id, one.inWords, one);
        }
        return all.live();
    }

    private static String[] names() {
        return IntStream.rangeClosed(1, Nuclides.HEAVIEST).mapToObj(i -> Element.number(i).name())
                .toArray(String[]::new);
    }

    /** Symbols by atomic number; the neutron's for 0. */
    private static String[] symbols() {
        return Stream.concat(Stream.of("n"), IntStream.rangeClosed(1, Nuclides.HEAVIEST)
                .mapToObj(i -> Element.number(i).symbol()))
                .toArray(String[]::new);
    }

    /** Each way alone, and at the end both ways of β. */
    private static String[] decays() {
        return Stream.concat(Arrays.stream(Decay.values()).map(d -> d.inWords),
                Stream.of("β⁻, or β⁺ or electron capture", "β⁻ or electron capture", "a neutron or a proton "
                        + "leaves")).toArray(String[]::new);
    }

    /** Where in the words of {@link #decay} some ways stand; NaN for none. */
    double placeOf(List<Decay> ways) {
        if (ways.isEmpty()) {
            return Double.NaN;
        }
        if (ways.size() == 1) {
            return ways.get(0).ordinal();
        }
        int single = Decay.values().length;
        return ways.get(1) == Decay.BETA_PLUS ? single : ways.get(1) == Decay.CAPTURE ? single + 1 : single + 2;
    }

    /** The first version had older half-lives, and the units they are told in counted otherwise; all else is the same. */
    @Override
    protected Recipe migrate(Recipe older) {
        return older.ofVersion(2);
    }

    @Override
    public Experiment prepare(Settings settings, int seed) {
        return new AtomWorkbenchExperiment(this, settings);
    }

    @Override
    public Frame frame(View view, Settings settings) {
        return new Frame(0, -0.045, 1, 1.025);
    }

    /** Middle of a square of the chart. */
    static double[] square(int protons, int neutrons) {
        return new double[] {MAP_X + (neutrons + 0.5) * CELL, MAP_Y + (protons + 0.5) * CELL};
    }

    /** Middles of the elements' places in the periodic table, one after the other. */
    static double[] periodicTable() {
        double[] places = new double[2 * Nuclides.HEAVIEST];
        for (int number = 1; number <= Nuclides.HEAVIEST; number++) {
            int row = 0;
            int first = 1;
            while (row < GASES.length && number > GASES[row]) {
                first = GASES[row++] + 1;
            }
            int inRow = number - first + 1;
            int last = row < GASES.length ? GASES[row] : Nuclides.HEAVIEST;
            int group = row == 3 ? inRow : inRow <= Math.min(2, last - first) ? inRow : 18 - (last - number);
            places[2 * number - 2] = TABLE_X + (group - 0.5) * TABLE_CELL;
            places[2 * number - 1] = TABLE_Y - (row + 0.5) * TABLE_CELL;
        }
        return places;
    }

    @Override
    protected Map<String, Object> dragged(Act act, int which, double x, double y, Settings settings) {
        if (act == nucleus) {
            double toNeutrons = Math.floor((x - MAP_X) / CELL);
            double toProtons = Math.floor((y - MAP_Y) / CELL);
            boolean onChart = toNeutrons >= 0 && toNeutrons <= MOST_NEUTRONS;
            boolean on = onChart && toProtons >= 1 && toProtons <= Nuclides.HEAVIEST;
            return on ? Tree.of(wantedProtons.id(), toProtons, wantedNeutrons.id(), toNeutrons) : null;
        }
        boolean inside = Math.hypot(x - ATOM_X, y - ATOM_Y) < ATOM_RADIUS;
        return inside == (act == electronIn) ? Tree.of() : null;
    }

    /** How a chart shows a nuclide: its step of life; -1 where there is none. */
    static int shown(Nuclide nuclide) {
        return nuclide == null ? -1 : nuclide.life().ordinal();
    }
}
