package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.analysis.Comparison;
import cauldron.core.analysis.Fit;
import cauldron.core.analysis.FitKind;
import cauldron.core.analysis.Formula;
import cauldron.core.analysis.FormulaException;
import cauldron.core.analysis.Series;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.Words;
import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.beamtimer.LightGate;
import cauldron.core.quantity.Conversion;
import cauldron.core.quantity.Numbers;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.UnitCheck;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.typedarrays.Float64Array;

/**
 * What a notebook can ask of the core: numbers, units, tables, fits, instruments. It reaches no model, so that a lab
 * whose values come from recordings doesn't wait for any ({@link BenchDoor} has them). Structures go in and out as
 * plain objects; what people may type wrongly answers {@code {error}} instead of throwing.
 */
public final class NotebookDoor {

    private NotebookDoor() {
    }

    /** Entry point that TeaVM asks for; nothing is done at load time. */
    public static void main(String[] args) {
        Trees.mend();
    }

    /**
     * The uncertainty of a value read with some instruments: {@code {instrument, name, text}}, or nothing of it.
     *
     * @param lying {@code [{instrument, graduation}]}, each instrument as its manifest says it
     */
    @JSExport
    public static JSObject uncertainty(JSObject[] lying, String columnUnit) {
        return Trees.guarded(() -> {
            List<Instrument.Laid> laid = new ArrayList<>();
            for (JSObject one : lying) {
                Map<String, Object> t = Trees.mapFromJs(one);
                laid.add(new Instrument.Laid(Instrument.read(Tree.map(t, "instrument")), Tree.number(t, "graduation")));
            }
            return Instrument.uncertainty(laid, columnUnit);
        });
    }

    /** What an instrument shows of an SI value: {@code {text, unit, typed}}, or {@code {error}}. */
    @JSExport
    public static JSObject shown(JSObject instrument, double si, String columnUnit) {
        return Trees.guarded(() -> Instrument.read(Trees.mapFromJs(instrument)).shown(si, columnUnit));
    }

    /** A beam across a path of x, y pairs: passages by a time, and the last period before it (NaN if none), to a digit. */
    @JSExport
    public static Float64Array lightGate(Float64Array path, int n, double interval, double x1, double y1, double x2,
                                         double y2, double time, double digit) {
        LightGate gate = LightGate.of(path.toJavaArray(), n, interval, x1, y1, x2, y2);
        return Float64Array.fromJavaArray(new double[] {gate.passages(time), gate.period(time, digit)});
    }

    /** How many different trials stand in the slots of a bench, as handing in counts them. */
    @JSExport
    public static int trialsMade(JSObject slots) {
        return BenchBlock.made(Trees.mapFromJs(slots));
    }

    /** A sheet as the server gives it to students, to ask how far one has come. */
    @JSExport
    public static SheetDoor openSheet(JSObject sheet) {
        return new SheetDoor(Trees.mapFromJs(sheet));
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
        return Trees.guarded(() -> Tree.of("names", Fit.parameters(typed, symbol)));
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
        return Trees.guarded(() -> Comparison.of(value, u, Units.parse(unit), reference, uReference, Units.parse(referenceUnit)));
    }

    /** A series of typed numbers: {@code {texts}}, or {@code {error}}. */
    @JSExport
    public static JSObject series(String start, String step, String end) {
        return Trees.guarded(() -> Tree.of("texts", Series.of(start, step, end)));
    }

    /** A number as typed: {@code {value}}, or {@code {error}}. */
    @JSExport
    public static JSObject readNumber(String typed) {
        return Trees.guarded(() -> Tree.of("value", Numbers.read(typed)));
    }

    /** A unit as typed: {@code {symbol}} in its printed form, or {@code {error}}. */
    @JSExport
    public static JSObject readUnit(String text) {
        return Trees.guarded(() -> {
            Unit unit = Units.parse(text);
            return Tree.of("symbol", unit.symbol(), "nice", Units.coherent(unit.dimension()).symbol());
        });
    }

    /** A unit that was asked for, held against one of the right kind: {@code {right, note}}, or {@code {error}}. */
    @JSExport
    public static JSObject checkUnit(String typed, String due) {
        return Trees.guarded(() -> {
            UnitCheck check = UnitCheck.of(typed, Units.parse(due));
            return Tree.of("right", check.right(), "note", check.note());
        });
    }

    /** Typed numbers in another unit, uncertainties as intervals: {@code {texts}}, or {@code {error}}. */
    @JSExport
    public static JSObject convert(String[] typed, String from, String to, boolean uncertainties) {
        return Trees.guarded(() -> {
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
        return Trees.guarded(() -> Tree.of("value", Conversion.between(value, Units.parse(from), Units.parse(to))));
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
        return Words.in(text);
    }
}
