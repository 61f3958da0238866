package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.analysis.Comparison;
import cauldron.core.analysis.Fit;
import cauldron.core.analysis.FitKind;
import cauldron.core.analysis.Formula;
import cauldron.core.analysis.FormulaException;
import cauldron.core.analysis.Series;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Inventory;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.gas.Discs;
import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.LightGate;
import cauldron.core.quantity.Conversion;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.UnitCheck;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import cauldron.core.sheet.Progress;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.typedarrays.Float64Array;

/**
 * What TypeScript can ask of the core. Structures go in and out as plain objects; what people may type
 * wrongly answers {@code {error}} instead of throwing.
 */
public final class Door {

    private Door() {
    }

    /** Entry point that TeaVM asks for; nothing is done at load time. */
    public static void main(String[] args) {
        // TeaVM loses the class of String[] unless one is made by reflection somewhere.
        java.lang.reflect.Array.newInstance(String.class, 0);
    }

    /** The manifests of all apparatus. */
    @JSExport
    public static JSObject manifests() {
        List<Object> list = new ArrayList<>();
        Inventory.all().forEach(a -> list.add(a.manifest().toTree()));
        return Trees.toJs(list);
    }

    /** All instruments. */
    @JSExport
    public static JSObject instruments() {
        List<Object> list = new ArrayList<>();
        Instrument.ALL.forEach(i -> list.add(i.toTree()));
        return Trees.toJs(list);
    }

    /** The uncertainty of a value read with some instruments: {@code {instrument, name, text}}, or nothing of it. */
    @JSExport
    public static JSObject uncertainty(String lying, String columnUnit) {
        return guarded(() -> Instrument.uncertainty(lying.isEmpty() ? List.of() : List.of(lying.split(" ")), columnUnit));
    }

    /** What an instrument shows of an SI value: {@code {text, unit, typed}}, or {@code {error}}. */
    @JSExport
    public static JSObject shown(String instrument, double si, String columnUnit) {
        return guarded(() -> Instrument.get(instrument).shown(si, columnUnit));
    }

    /** A beam across a path of x, y pairs: passages by a time, and the last period before it (NaN if none). */
    @JSExport
    public static Float64Array lightGate(Float64Array path, int n, double interval, double x1, double y1, double x2,
                                         double y2, double time) {
        LightGate gate = LightGate.of(path.toJavaArray(), n, interval, x1, y1, x2, y2);
        return Float64Array.fromJavaArray(new double[] {gate.passages(time), gate.period(time)});
    }

    /** Checks a typed setting: {@code {value}} or {@code {error}}. */
    @JSExport
    public static JSObject checkSetting(String apparatus, String setting, JSObject value) {
        return guarded(() -> Tree.of("value",
                Inventory.get(apparatus).manifest().setting(setting).check(Trees.fromJs(value))));
    }

    /** What a handle moved before the run means for the settings. */
    @JSExport
    public static JSObject placed(String apparatus, String handle, double x, double y, JSObject settings) {
        Apparatus a = Inventory.get(apparatus);
        return Trees.toJs(a.placed(handle, x, y, Settings.of(a.manifest(), Trees.mapFromJs(settings))));
    }

    /** How many of some settings differ, as handing in counts them. */
    @JSExport
    public static int distinct(JSObject settings) {
        Object all = Trees.fromJs(settings);
        return all instanceof List ? Progress.distinct((List<?>) all) : 0;
    }

    /** A fresh run. */
    @JSExport
    public static RunDoor openRun(String apparatus, JSObject settings, int seed) {
        Apparatus a = Inventory.get(apparatus);
        return new RunDoor(new Run(a, Settings.of(a.manifest(), Trees.mapFromJs(settings)), seed));
    }

    /** A run replayed from its recipe up to a time. */
    @JSExport
    public static RunDoor replay(JSObject recipe, double until) {
        return new RunDoor(Run.replay(Recipe.fromTree(Trees.mapFromJs(recipe)), until));
    }

    /**
     * Elastic discs run for so many frames of 1/60 s, for {@code ./cauldron bench}: energy before and after,
     * collisions, then the places (x, y) they began at.
     */
    @JSExport
    public static Float64Array discs(int n, double side, double diameter, double speed, int frames, int seed) {
        Discs discs = new Discs(n, side, diameter, speed, seed);
        double before = discs.energy();
        double[] places = discs.places();
        for (int i = 0; i < frames; i++) {
            discs.advance(1.0 / 60);
        }
        double[] out = new double[3 + places.length];
        out[0] = before;
        out[1] = discs.energy();
        out[2] = discs.collisions();
        System.arraycopy(places, 0, out, 3, places.length);
        return Float64Array.fromJavaArray(out);
    }

    /** An empty table. */
    @JSExport
    public static TableDoor openTable() {
        return new TableDoor();
    }

    /** The kinds of curve that can be fitted. */
    @JSExport
    public static JSObject fitKinds() {
        List<Object> list = new ArrayList<>();
        FitKind.ALL.forEach(k -> list.add(Tree.of("id", k.id(), "name", k.name())));
        return Trees.toJs(list);
    }

    /** The parameters of a typed model: {@code {names}}. */
    @JSExport
    public static JSObject parameters(String typed, String symbol) {
        return guarded(() -> Tree.of("names", Fit.parameters(typed, symbol)));
    }

    /** A formula as MathML, with what should be known of it: {@code {mathMl, note}}, or {@code {error, at}}. */
    @JSExport
    public static JSObject formula(String typed, String[] symbols) {
        try {
            Formula formula = Formula.parse(typed, new LinkedHashSet<>(List.of(symbols)));
            return Trees.toJs(Tree.of("mathMl", formula.mathMl(), "note", formula.note() == null ? "" : formula.note()));
        } catch (FormulaException e) {
            return Trees.toJs(Tree.of("error", e.getMessage(), "at", (double) e.position()));
        }
    }

    /** A value held against another, in words, or {@code {error}}; units as typed, NaN for no uncertainty. */
    @JSExport
    public static JSObject compare(double value, double u, String unit, double reference, double uReference, String referenceUnit) {
        return guarded(() -> Comparison.of(value, u, Units.parse(unit), reference, uReference, Units.parse(referenceUnit)));
    }

    /** A series of typed numbers: {@code {texts}}, or {@code {error}}. */
    @JSExport
    public static JSObject series(String start, String step, String end) {
        return guarded(() -> Tree.of("texts", Series.of(start, step, end)));
    }

    /** A number as typed: {@code {value}}, or {@code {error}}. */
    @JSExport
    public static JSObject readNumber(String typed) {
        return guarded(() -> Tree.of("value", Numbers.read(typed)));
    }

    /** A unit as typed: {@code {symbol}} in its printed form, or {@code {error}}. */
    @JSExport
    public static JSObject readUnit(String text) {
        return guarded(() -> {
            Unit unit = Units.parse(text);
            return Tree.of("symbol", unit.symbol(), "nice", Units.coherent(unit.dimension()).symbol());
        });
    }

    /** A unit that was asked for, held against one of the right kind: {@code {right, note}}, or {@code {error}}. */
    @JSExport
    public static JSObject checkUnit(String typed, String due) {
        return guarded(() -> {
            UnitCheck check = UnitCheck.of(typed, Units.parse(due));
            return Tree.of("right", check.right(), "note", check.note());
        });
    }

    /** Typed numbers in another unit, uncertainties as intervals: {@code {texts}}, or {@code {error}}. */
    @JSExport
    public static JSObject convert(String[] typed, String from, String to, boolean uncertainties) {
        return guarded(() -> {
            Conversion conversion = new Conversion(Units.parse(from), Units.parse(to));
            List<Object> texts = new ArrayList<>();
            for (String text : typed) {
                texts.add(uncertainties ? conversion.uncertainty(text) : conversion.value(text));
            }
            return Tree.of("texts", texts);
        });
    }

    /** A place on an axis in another unit: {@code {value}}, or {@code {error}}. */
    @JSExport
    public static JSObject inUnit(double value, String from, String to) {
        return guarded(() -> Tree.of("value", Conversion.between(value, Units.parse(from), Units.parse(to))));
    }

    /** A number printed with a fixed number of decimals and a real minus. */
    @JSExport
    public static String printFixed(double value, int decimals) {
        return Numbers.fixed(value, decimals);
    }

    /** A number printed with significant figures. */
    @JSExport
    public static String printFigures(double value, int figures) {
        return Numbers.print(value, figures);
    }

    /** A number printed without zeros that say nothing. */
    @JSExport
    public static String printShort(double value) {
        return Numbers.printShort(value);
    }

    /** Words in a text, counted as the completeness check counts them. */
    @JSExport
    public static int words(String text) {
        return Progress.words(text);
    }

    static JSObject guarded(Supplier<Map<String, Object>> work) {
        try {
            return Trees.toJs(work.get());
        } catch (IllegalArgumentException e) {
            return Trees.toJs(Tree.of("error", e.getMessage()));
        }
    }

}
