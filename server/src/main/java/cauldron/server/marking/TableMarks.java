package cauldron.server.marking;

import cauldron.core.block.Block;
import cauldron.core.block.table.TableBlock;
import cauldron.core.reference.Judgement;
import cauldron.core.reference.Judging;
import cauldron.core.sheet.Sheet;
import cauldron.core.sheet.TableJudgements;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.trials.Trials;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Tables held against what their apparatus showed: for whoever marks, and at handing in for points. All trials of a
 * work are run again for it, so only two are judged at once, each for a few seconds at most, and no connection is held
 * meanwhile.
 */
@Service
public class TableMarks {

    private static final Logger LOG = LoggerFactory.getLogger(TableMarks.class);
    private static final int AT_ONCE = 2;
    private static final Duration LONGEST = Duration.ofSeconds(8);
    private static final long LONGEST_WAIT = 10;

    private final Semaphore hands = new Semaphore(AT_ONCE, true);
    private final AttemptRepository attempts;
    private final Assignments assignments;
    private final Marking marking;
    private final Trials trials;
    private final Clock clock;

    TableMarks(AttemptRepository attempts, Assignments assignments, Marking marking, Trials trials, Clock clock) {
        this.attempts = attempts;
        this.assignments = assignments;
        this.marking = marking;
        this.trials = trials;
        this.clock = clock;
    }

    /** Judges a table of a work as it stands, or stood when it was handed in. */
    Judgement of(Assignments.Opened opened, Marking.Standing standing, String block) {
        if (!(opened.sheet().block(block) instanceof TableBlock table)) {
            throw Problems.notFound("table");
        }
        if (!reached()) {
            throw Problems.busy("Many tables are being looked at just now. Try again in a moment.", 5);
        }
        try {
            Instant end = clock.instant().plus(LONGEST);
            return TableJudgements.of(opened.sheet(), table, standing.progress().written(),
                    trials.filmed(opened.work().id()), () -> clock.instant().isBefore(end));
        } finally {
            hands.release();
        }
    }

    private boolean reached() {
        try {
            return hands.tryAcquire(LONGEST_WAIT, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /**
     * Judges those tables of a work just handed in that bring points. The work is handed in whatever comes of it: one
     * that can't be judged waits for its teacher.
     */
    public void atHandIn(UUID workId, Person student) {
        Assignments.Opened opened = assignments.open(workId, student);
        for (Sheet.Part part : opened.sheet().parts()) {
            for (Block block : part.blocks()) {
                if (block instanceof TableBlock table && table.points() > 0 && !table.judging().equals(Judging.NONE)) {
                    judge(opened, table);
                }
            }
        }
    }

    private void judge(Assignments.Opened opened, TableBlock table) {
        try {
            Judgement found = of(opened, marking.standing(opened), table.id());
            double points = Math.rint(found.share() * table.points() * 10) / 10;
            attempts.save(new Attempt(opened.work().id(), table.id(), found.right() + " of " + found.held(), "",
                    found.share() == 1 ? "right" : "within-reading-error", found.words(), points, clock.instant()));
        } catch (RuntimeException e) {
            LOG.warn("table {} of work {} could not be judged", table.id(), opened.work().id(), e);
        }
    }
}
