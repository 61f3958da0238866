package cauldron.core.reference;

import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Outcome;
import cauldron.core.apparatus.Setting;
import cauldron.core.instrument.Instrument;
import cauldron.core.instrument.springscale.SpringScale;
import cauldron.core.instrument.stopwatch.Stopwatch;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.List;

/** What an apparatus showed where a value was read, worked out from the trial had again. All in SI. */
final class Showing {

    private static final Unit METRE = Units.parse("m");

    /**
     * What is to be known of one value.
     *
     * @param truth    what the apparatus showed
     * @param division one division of the scale it was to be read on; NaN where nothing is known of one
     * @param seen     what the instruments showed as they lay or were set; empty where that isn't known
     * @param astray   how far off the scale's zero lay; NaN where none lay there
     * @param each     how long one repeat takes on the average; NaN where none is timed
     */
    record Shown(double truth, double division, List<Double> seen, double astray, double each) {
        private Shown(double truth, double division) {
            this(truth, division, List.of(), Double.NaN, Double.NaN);
        }
    }

    private final Trace trace;
    private final Reading reading;
    private final double time;

    /**
     * A place to look.
     *
     * @param reading as it was made; null where it was typed without one
     * @param frame   the frame to look at where nothing was read
     */
    Showing(Trace trace, Reading reading, double frame) {
        this.trace = trace;
        this.reading = reading;
        time = (reading == null ? frame : reading.frame()) / trace.trial().rate();
    }

    /** The same place a hair before, where something was changed at its moment; else null. */
    Showing beforeChange() {
        return trace.isChangedAt(time) ? new Showing(trace, time - 2 * Trace.SAME_MOMENT * trace.manifest().interval(), reading)
                : null;
    }

    private Showing(Trace trace, double time, Reading reading) {
        this.trace = trace;
        this.reading = reading;
        this.time = time;
    }

    /**
     * What was shown there.
     *
     * @throws IllegalArgumentException in words, where that can't be known
     */
    Shown of(Reference r) {
        switch (r.shows()) {
            case SETTING:
                return setting(trace.manifest().setting(r.of()));
            case CHANNEL:
                Channel channel = trace.manifest().channel(r.of());
                return new Shown(known(trace.at(time).read(channel)), division(channel.unit(), channel.decimals()));
            case OUTCOME:
                Outcome outcome = trace.manifest().outcome(r.of());
                return new Shown(known(trace.atEnd().outcome(outcome)), division(outcome.unit(), outcome.decimals()));
            case DISTANCE:
                return distance(trace.place(r.of(), time), trace.place(r.to(), time));
            case POINTER:
                return pointer(r);
            case TRAVEL:
                return distance(trace.place(r.of(), since(r)), trace.place(r.of(), time));
            case TIME:
                return new Shown(time - since(r), tick(), watch(), Double.NaN, Double.NaN);
            case REPEATS:
                return repeats(r);
            default:
                throw new IllegalArgumentException("a name is held against no value");
        }
    }

    private Shown setting(Setting setting) {
        if (!(setting instanceof Amount amount)) {
            throw new IllegalArgumentException("“" + setting.name() + "” is no amount");
        }
        return new Shown(trace.at(time).settingsNow().si(amount), Double.NaN);
    }

    private static double known(double value) {
        if (Double.isNaN(value)) {
            throw new IllegalArgumentException("the apparatus shows nothing there at that moment");
        }
        return value;
    }

    /** A last digit of a channel, or the division of what lay there and measures such things: the coarser. */
    private double division(String unit, int decimals) {
        double digit = Units.parse(unit).factor() * Math.pow(10, -decimals);
        double scale = onTray(Units.parse(unit));
        return Double.isNaN(scale) ? digit : Math.max(digit, scale);
    }

    /** The smallest division on the tray that measures such a thing, in SI; NaN where nothing does. */
    private double onTray(Unit like) {
        double finest = Double.NaN;
        for (String id : trace.trial().tray()) {
            Instrument one = trace.manifest().instruments().stream().filter(i -> i.id().equals(id)).findFirst()
                    .orElse(null);
            if (one != null && !one.kind().hooked() && one.division() > 0 && Units.parse(one.unit()).sameKind(like)) {
                double d = one.division() * Units.parse(one.unit()).factor();
                finest = Double.isNaN(finest) ? d : Math.min(finest, d);
            }
        }
        return finest;
    }

    /** A pointer before a printed scale: how far it is from its zero, by the length that stands for one unit. */
    private Shown pointer(Reference r) {
        double[] zero = trace.place(r.of(), time);
        double[] point = trace.place(r.to(), time);
        double along = Double.isNaN(zero[0]) ? point[1] - zero[1] : point[0] - zero[0];
        return new Shown(along / trace.length(r.per(), time), graduated());
    }

    /** The division of a spring scale, whose unit is that of force. */
    private double graduated() {
        return trace.manifest().instruments().stream().filter(i -> i.kind() == SpringScale.KIND)
                .mapToDouble(i -> i.division() * Units.parse(i.unit()).factor()).findFirst().orElse(Double.NaN);
    }

    private Shown distance(double[] one, double[] other) {
        // A mark across the picture is as far along as what it is measured from.
        double[] from = {Double.isNaN(one[0]) ? other[0] : one[0], Double.isNaN(one[1]) ? other[1] : one[1]};
        double[] to = {Double.isNaN(other[0]) ? from[0] : other[0], Double.isNaN(other[1]) ? from[1] : other[1]};
        double truth = Math.hypot(to[0] - from[0], to[1] - from[1]);
        double division = onTray(METRE);
        double astray = Double.NaN;
        List<Double> seen = new ArrayList<>();
        if (reading != null) {
            double scale = trace.scale(reading.view());
            double[] a = trace.picture(from, reading.view());
            double[] b = trace.picture(to, reading.view());
            for (LaidScale laid : reading.scales(trace.manifest())) {
                double atEnd = Math.abs(laid.at(b[0], b[1])) / scale;
                double atBeginning = laid.at(a[0], a[1]) / scale;
                seen.add(atEnd);
                // A scale may lie anywhere if both its ends are read.
                seen.add(Math.abs(laid.at(b[0], b[1]) - laid.at(a[0], a[1])) / scale);
                if (Double.isNaN(astray) || Math.abs(atBeginning) < Math.abs(astray)) {
                    astray = atBeginning;
                    division = laid.instrument().division() * laid.graduation()
                            * Units.parse(laid.instrument().unit()).factor();
                }
            }
        }
        return new Shown(truth, division, seen, astray, Double.NaN);
    }

    /** When something began from which is counted, in model seconds. */
    private double since(Reference r) {
        double begun = !r.since().isEmpty() ? trace.first(r.since())
                : reading == null ? Double.NaN : reading.zero() / trace.trial().rate();
        if (Double.isNaN(begun)) {
            throw new IllegalArgumentException(r.since().isEmpty() ? "no stopwatch was set to zero when it was typed"
                    : "what it is counted from never came in this trial");
        }
        return begun;
    }

    /** The watch's last digit, or the time from one picture to the next where that is longer. */
    private double tick() {
        double digit = trace.manifest().instruments().stream().filter(i -> i.kind() == Stopwatch.KIND)
                .mapToDouble(i -> i.division() * Units.parse(i.unit()).factor()).findFirst().orElse(0);
        return Math.max(digit, 1 / trace.trial().rate());
    }

    /** What the stopwatch stood at. */
    private List<Double> watch() {
        double zero = reading == null ? Double.NaN : reading.zero();
        return Double.isNaN(zero) ? List.of() : List.of((reading.frame() - zero) / trace.trial().rate());
    }

    /**
     * How long repeats take from the stopwatch's zero, wherever in one that is: places in between are found by shares
     * of the way from one event to the next.
     */
    private Shown repeats(Reference r) {
        Event kind = trace.manifest().event(r.of());
        double[] times = trace.times(kind);
        int wanted = r.times() * r.every();
        double zero = reading == null ? Double.NaN : reading.zero() / trace.trial().rate();
        int first = 0;
        double share = 0;
        if (times.length > 1 && zero > times[0]) {
            while (first + 2 < times.length && times[first + 1] <= zero) {
                first++;
            }
            share = (zero - times[first]) / (times[first + 1] - times[first]);
        }
        double begun = share == 0 && times.length > 0 ? times[0] : zero;
        if (first + wanted + (share > 0 ? 1 : 0) >= times.length) {
            throw new IllegalArgumentException("fewer than " + r.times() + " are left in this trial from there on");
        }
        double at = times[first + wanted];
        double end = share > 0 ? at + share * (times[first + wanted + 1] - at) : at;
        return new Shown(end - begun, tick(), watch(), Double.NaN, (end - begun) / r.times());
    }

    /** Whether a reference can be kept with a column of some unit; throws what is wrong in words. */
    static void check(Reference r, Manifest m, Unit unit) {
        String of;
        switch (r.shows()) {
            case SETTING:
                if (!(m.setting(r.of()) instanceof Amount amount)) {
                    throw new IllegalArgumentException("“" + r.of() + "” is no amount");
                }
                of = amount.unit();
                break;
            case CHANNEL:
                of = m.channel(r.of()).unit();
                break;
            case OUTCOME:
                of = m.outcome(r.of()).unit();
                break;
            case DISTANCE:
            case TRAVEL:
            case POINTER:
                Trace.checkPlace(m, r.of());
                if (!r.to().isEmpty()) {
                    Trace.checkPlace(m, r.to());
                }
                if (r.shows() == Reference.Shows.POINTER) {
                    m.sceneField(r.per());
                    return;
                }
                of = "m";
                break;
            default:
                if (r.shows() == Reference.Shows.REPEATS) {
                    m.event(r.of());
                }
                of = "s";
        }
        if (!Units.parse(of).sameKind(unit)) {
            throw new IllegalArgumentException("what is shown is in " + (of.isEmpty() ? "no unit" : of)
                    + ", the column in "
                    + (unit.symbol().isEmpty() ? "none" : unit.symbol()));
        }
        if (!r.since().isEmpty() && m.acts().stream().noneMatch(a -> a.id().equals(r.since()))) {
            m.event(r.since());
        }
    }
}
