package cauldron.server.assignments;

import java.time.Instant;

/**
 * How a lab is given.
 *
 * @param openAt   from when it can be begun; null at once
 * @param dueAt    until when it is to be handed in; null where nothing is said
 * @param lateRule what happens after that
 * @param again    whether a student may take back what is handed in, as long as it isn't due
 * @param tries    how many tries at a question bring points; null as the lab says
 * @param together whether points and marks appear to students all together, when the teacher says so; else at once
 */
public record Terms(Instant openAt, Instant dueAt, LateRule lateRule, boolean again, Integer tries, boolean together) {

    /** What happens after the due time: nothing, work counts as late, or work is closed. */
    public enum LateRule { OPEN, MARKED, CLOSED }

    /** The most tries at a question that can be asked for. */
    public static final int MOST_TRIES = 20;

    /** At once, until a time, late work counted as such, tries as the lab says. */
    public static Terms due(Instant at) {
        return new Terms(null, at, LateRule.MARKED, false, null, false);
    }

    /**
     * The same for a student who has until a time; one who has none of their own, or less than all others, has theirs.
     */
    public Terms extended(Instant until) {
        return until == null || dueAt == null || until.isBefore(dueAt) ? this
                : new Terms(openAt, until, lateRule, again, tries, together);
    }

    /** Whether it can't be begun yet. */
    public boolean waits(Instant now) {
        return openAt != null && now.isBefore(openAt);
    }

    /** Whether a time lies after the due time, where that matters. */
    public boolean late(Instant at) {
        return dueAt != null && lateRule != LateRule.OPEN && at.isAfter(dueAt);
    }

    /** Whether the due time has ended all work, but for what was opened again after it. */
    public boolean closed(Instant reopenedAt, Instant now) {
        return lateRule == LateRule.CLOSED && late(now) && (reopenedAt == null || reopenedAt.isBefore(dueAt));
    }

    /** Whether a student may take back what is handed in. */
    public boolean takesBack(Instant now) {
        return again && (dueAt == null || now.isBefore(dueAt));
    }
}
