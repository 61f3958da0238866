package cauldron.core.apparatus;

/** How a run comes to where it is to stop, forwards and backwards. */
final class Stopping {

    /** Samples gone over at a time in looking for a condition. */
    private static final int STRETCH = 60;
    /** Just before an event is so small a part of a sample's interval before it, or of the time if that is more. */
    private static final double JUST = 1e-9;

    private final Run run;
    private final EventLog events;

    Stopping(Run run, EventLog events) {
        this.run = run;
        this.events = events;
    }

    /**
     * Goes on by so many seconds, or to where it should stop, whichever is first.
     *
     * @param stop where to stop, or null
     * @return whether it stopped there
     */
    boolean advance(double seconds, StopAt stop) {
        double from = run.time();
        double to = run.reachable(from + seconds);
        if (stop instanceof StopAt.Time) {
            double at = ((StopAt.Time) stop).time();
            if (at > from && at <= to) {
                run.forward(at);
                return true;
            }
        } else if (stop instanceof StopAt.Happening) {
            StopAt.Happening event = (StopAt.Happening) stop;
            // In stretches: a long way may be allowed, and what is met is often near.
            while (run.time() < to && !run.isOver()) {
                run.forward(Math.min(to, run.time() + STRETCH * run.manifest().interval()));
                double at = events.nthAfter(event.before() ? from + 2 * just(from) : from, event.event(), event.count());
                if (at <= run.time()) {
                    run.seek(event.before() ? at - just(at) : at);
                    return true;
                }
            }
            return false;
        } else if (stop instanceof StopAt.Crossing) {
            return seekOr(new CrossingSearch(run).first((StopAt.Crossing) stop, from, to), to);
        } else if (stop instanceof StopAt.Settling) {
            return seekOr(new SettlingSearch(run).first(((StopAt.Settling) stop).outcome(), from, to), to);
        }
        run.forward(to);
        return false;
    }

    /**
     * Goes back to where a condition was last met before now.
     *
     * @return whether it ever was; if not, the moment stays as it is
     */
    boolean back(StopAt stop) {
        double now = run.time();
        if (stop instanceof StopAt.Time) {
            double at = ((StopAt.Time) stop).time();
            if (at < now) {
                run.seek(at);
            }
            return at < now;
        } else if (stop instanceof StopAt.Happening) {
            StopAt.Happening event = (StopAt.Happening) stop;
            double at = events.nthBefore(now, event.event(), event.count());
            if (!Double.isNaN(at)) {
                run.seek(event.before() ? at - just(at) : at);
            }
            return !Double.isNaN(at);
        } else if (stop instanceof StopAt.Settling) {
            return seekOr(new SettlingSearch(run).lastBefore(((StopAt.Settling) stop).outcome(), now), now);
        }
        StopAt.Crossing crossing = (StopAt.Crossing) stop;
        // Stretch by stretch backwards, each forwards: what is gone back over has to be computed again.
        CrossingSearch search = new CrossingSearch(run);
        double stretch = STRETCH * run.manifest().interval();
        double clear = now - 1e-6 * run.manifest().interval();
        for (double to = now; to > 0; to -= stretch) {
            double from = Math.max(0, to - stretch);
            double last = Double.NaN;
            for (double at = search.first(crossing, from, Math.min(to, clear)); at < clear;
                    at = search.first(crossing, at, Math.min(to, clear))) {
                last = at;
            }
            if (!Double.isNaN(last)) {
                run.seek(last);
                return true;
            }
        }
        run.seek(now);
        return false;
    }

    private double just(double time) {
        return JUST * Math.max(time, run.manifest().interval());
    }

    /** Goes to a moment that was found, or on to another where none was; whether one was. */
    private boolean seekOr(double found, double otherwise) {
        run.seek(Double.isNaN(found) ? otherwise : found);
        return !Double.isNaN(found);
    }
}
