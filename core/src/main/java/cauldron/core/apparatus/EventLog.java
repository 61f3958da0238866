package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.List;

/** The events of a run so far, in order of time. */
final class EventLog {

    private final List<Event> kinds = new ArrayList<>();
    private final List<Double> times = new ArrayList<>();

    /** Takes note of one, unless it was met before: going over the past again meets the same events again. */
    void note(Event event, double time, double head) {
        int last = times.size() - 1;
        if (time > head || last < 0 || time > times.get(last)) {
            add(event, time);
        }
    }

    void add(Event event, double time) {
        kinds.add(event);
        times.add(time);
    }

    /** When an event happens for the nth time after a time; infinity if it isn't known to. */
    double nthAfter(double from, Event event, int n) {
        int left = n;
        for (int i = 0; i < kinds.size(); i++) {
            if (kinds.get(i) == event && times.get(i) > from && --left == 0) {
                return times.get(i);
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** When an event happened for the nth time before a time, counted backwards; NaN if it didn't. */
    double nthBefore(double time, Event event, int n) {
        int left = n;
        for (int i = kinds.size() - 1; i >= 0; i--) {
            if (kinds.get(i) == event && times.get(i) < time && --left == 0) {
                return times.get(i);
            }
        }
        return Double.NaN;
    }

    /** How often an event happened in (from, to]. */
    int count(Event event, double from, double to) {
        int n = 0;
        for (int i = 0; i < kinds.size(); i++) {
            n += kinds.get(i) == event && times.get(i) > from && times.get(i) <= to ? 1 : 0;
        }
        return n;
    }

    /** How many there are up to a time. */
    int countTo(double time) {
        int n = 0;
        while (n < times.size() && times.get(n) <= time) {
            n++;
        }
        return n;
    }

    /** Forgets all but the first so many. */
    void keep(int count) {
        while (times.size() > count) {
            times.remove(times.size() - 1);
            kinds.remove(kinds.size() - 1);
        }
    }

    /** Forgets those after a time. */
    void dropAfter(double time) {
        while (!times.isEmpty() && times.get(times.size() - 1) > time) {
            times.remove(times.size() - 1);
            kinds.remove(kinds.size() - 1);
        }
    }

    /** Which event (its place in the manifest) and when, one after the other. */
    double[] toArray() {
        double[] out = new double[2 * kinds.size()];
        for (int i = 0; i < kinds.size(); i++) {
            out[2 * i] = kinds.get(i).index();
            out[2 * i + 1] = times.get(i);
        }
        return out;
    }
}
