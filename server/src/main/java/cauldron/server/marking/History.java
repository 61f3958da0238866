package cauldron.server.marking;

import cauldron.core.block.Block;
import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All that was done with a work besides writing in it: handing in, giving back, marks, questions opened again. */
@Service
public class History {

    /** What was done. */
    public enum Deed { HANDED_IN, TAKEN_BACK, GIVEN_BACK, MARKED, OPENED }

    /**
     * Something that was done.
     *
     * @param about  what the question asks; empty where it is about none
     * @param points of a mark, else null
     * @param words  a mark's comment, or what to do again; may be empty
     * @param reason why a mark took the place of another; may be empty
     * @param submission of handing in, by which it can be looked at as it was; else null
     */
    public record Done(Instant at, String by, Deed deed, String about, Double points, String words, String reason,
            UUID submission) {
    }

    /** A work that was given back, with what to do again. */
    public record GivenBack(String by, Instant at, String words) {
    }

    private final SubmissionRepository submissions;
    private final MarkRepository marks;
    private final OpeningRepository openings;
    private final Accounts accounts;

    History(SubmissionRepository submissions, MarkRepository marks, OpeningRepository openings, Accounts accounts) {
        this.submissions = submissions;
        this.marks = marks;
        this.openings = openings;
        this.accounts = accounts;
    }

    /** The history of a work, newest first; its student sees marks only when they are shown. */
    @Transactional(readOnly = true)
    public List<Done> of(Assignments.Opened opened) {
        UUID work = opened.work().id();
        UUID student = opened.work().studentId();
        List<Submission> in = submissions.findByWorkIdOrderBySubmittedAt(work);
        boolean showsMarks = !opened.own() || opened.assignment().showsPoints();
        List<Mark> marked = showsMarks ? marks.findByWorkIdInOrderByMarkedAt(List.of(work)) : List.of();
        List<Opening> again = openings.findByWorkIdIn(List.of(work));
        Set<UUID> who = new LinkedHashSet<>(List.of(student));
        in.forEach(s -> who.add(s.endedBy() == null ? student : s.endedBy()));
        marked.forEach(m -> who.add(m.markedBy()));
        again.forEach(o -> who.add(o.openedBy()));
        Map<UUID, Person> people = accounts.people(who);
        List<Done> all = new ArrayList<>();
        for (Submission s : in) {
            all.add(new Done(s.submittedAt(), people.get(student).displayName(), Deed.HANDED_IN, "", null, "", "",
                    s.id()));
            if (s.endedAt() != null) {
                all.add(new Done(s.endedAt(), people.get(s.endedBy()).displayName(), s.endedBy().equals(student)
                        ? Deed.TAKEN_BACK : Deed.GIVEN_BACK, "", null, s.words(), "", null));
            }
        }
        Sheet sheet = opened.sheet();
        marked.forEach(m -> all.add(new Done(m.markedAt(), people.get(m.markedBy()).displayName(), Deed.MARKED,
                prompt(sheet, m.block()), m.points(), m.comment(), m.reason(), null)));
        again.forEach(o -> all.add(new Done(o.openedAt(), people.get(o.openedBy()).displayName(), Deed.OPENED,
                prompt(sheet, o.block()), null, "", "", null)));
        all.sort(Comparator.comparing(Done::at).reversed());
        return all;
    }

    private static String prompt(Sheet sheet, String id) {
        Block block = sheet.block(id);
        return block == null ? id : block.prompt();
    }

    /** How far a work's journal went when it was handed in. */
    @Transactional(readOnly = true)
    public long seqOf(UUID workId, UUID submission) {
        return submissions.findById(submission).filter(s -> s.workId().equals(workId)).map(Submission::seq)
                .orElseThrow(() -> Problems.notFound("hand-in"));
    }

    /** The last time a work was given back that wasn't handed in again since; null where there is none. */
    @Transactional(readOnly = true)
    public GivenBack givenBack(Assignments.Opened opened) {
        if (opened.work().submittedAt() != null || opened.work().reopenedAt() == null) {
            return null;
        }
        List<Submission> in = submissions.findByWorkIdOrderBySubmittedAt(opened.work().id());
        Submission last = in.isEmpty() ? null : in.get(in.size() - 1);
        if (last == null || last.endedAt() == null || last.endedBy().equals(opened.work().studentId())) {
            return null;
        }
        return new GivenBack(accounts.people(Set.of(last.endedBy())).get(last.endedBy()).displayName(), last.endedAt(),
                last.words());
    }
}
