package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.quantity.Units;
import java.util.Map;

/** Where a run is to pause by itself, exactly. */
public sealed interface StopAt permits StopAt.Time, StopAt.Happening, StopAt.Crossing, StopAt.Settling {

    /**
     * Refuses a condition that going on from a moment never meets; without a word a run would go on to its end.
     *
     * @param run where it stands now
     * @throws IllegalArgumentException in words
     */
    default void checkAhead(Run run) {
        Act first = run.waitsFor();
        if (first != null) {
            throw new IllegalArgumentException("Nothing happens before that: press “" + first.name() + "” first");
        }
    }

    /** At a time in model seconds. */
    record Time(double time) implements StopAt {

        @Override
        public void checkAhead(Run run) {
            if (time <= run.time()) {
                throw new IllegalArgumentException("That time is over already: go back to before it, or restart");
            }
        }
    }

    /**
     * At an event; {@code count} 1 is the next one after the present, 2 the one after.
     *
     * @param before whether just before it, where something leaps at it
     */
    record Happening(Event event, int count, boolean before) implements StopAt {

        /** Just after it, which is where it has happened. */
        public Happening(Event event, int count) {
            this(event, count, false);
        }
    }

    /** Where a channel next crosses a value (SI), either way. */
    record Crossing(Channel channel, double value) implements StopAt {
    }

    /** Where an outcome is settled next: it had no value, or another one. */
    record Settling(Outcome outcome) implements StopAt {
    }

    /** Reads a condition from its tree: times in the manifest's unit of time, values in that of their channel. */
    static StopAt fromTree(Map<String, Object> tree, Manifest manifest) {
        String type = Tree.text(tree, "type");
        if (manifest.clock() == Clock.STEPS) {
            throw new IllegalArgumentException("Steps are gone to one by one: nothing happens between them");
        }
        switch (type) {
            case "time":
                return new Time(Tree.number(tree, "time") * Units.parse(manifest.timeUnit()).factor());
            case "event":
                return new Happening(manifest.event(Tree.text(tree, "event")), (int) Tree.number(tree, "count", 1),
                        Boolean.TRUE.equals(tree.get("before")));
            case "crossing":
                Channel channel = manifest.channel(Tree.text(tree, "channel"));
                return new Crossing(channel, channel.read().toSi(Tree.number(tree, "value")));
            case "outcome":
                return new Settling(manifest.outcome(Tree.text(tree, "outcome")));
            default:
                throw new IllegalArgumentException("type: can't stop at “" + type + "”");
        }
    }
}
