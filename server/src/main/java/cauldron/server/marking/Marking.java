package cauldron.server.marking;

import cauldron.core.marking.AnswerCheck;
import cauldron.core.sheet.Block;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.trials.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Checks answers, takes work in, keeps marks, and knows how far everyone has come. */
@Service
public class Marking {

    /** The newest try at a question. */
    public record Tried(String number, String unit, String verdict, String feedback, double points) {
    }

    /** The newest mark of a block. */
    public record Marked(double points, String comment) {
    }

    /** All that is known of one work besides its notebook. */
    public record Standing(Progress progress, List<Trials.TrialInfo> trials, Map<String, Tried> tried,
                    Map<String, Marked> marked, Instant lastEntry) {

        /** Points so far: a mark where there is one, else what the best try brought. */
        public double points() {
            double sum = 0;
            for (Sheet.Part part : progress.sheet().parts()) {
                for (Block block : part.blocks()) {
                    Marked mark = marked.get(block.id());
                    Tried tried = this.tried.get(block.id());
                    sum += mark != null ? mark.points() : tried != null ? tried.points() : 0;
                }
            }
            return sum;
        }

        /** Whether a block waits for a teacher. */
        boolean unmarked() {
            for (Sheet.Part part : progress.sheet().parts()) {
                for (Block block : part.blocks()) {
                    if (block instanceof Block.Explanation && !marked.containsKey(block.id())) {
                        return true;
                    }
                }
            }
            return false;
        }
    }

    private static final int LONGEST = 40;

    private final AttemptRepository attempts;
    private final MarkRepository marks;
    private final Assignments assignments;
    private final Notebooks notebooks;
    private final Trials trials;
    private final Clock clock;

    Marking(AttemptRepository attempts, MarkRepository marks, Assignments assignments, Notebooks notebooks,
            Trials trials, Clock clock) {
        this.attempts = attempts;
        this.marks = marks;
        this.assignments = assignments;
        this.notebooks = notebooks;
        this.trials = trials;
        this.clock = clock;
    }

    /** Checks an answer and keeps the try. */
    @Transactional
    public AnswerCheck.Result check(UUID workId, Person student, String blockId, String number, String unit) {
        Assignments.Opened opened = assignments.openForChange(workId, student);
        if (!(opened.sheet().block(blockId) instanceof Block.NumberQuestion)) {
            throw Problems.notFound("question");
        }
        Progress progress = new Progress(opened.sheet(), notebooks.notebook(workId).slots(), Map.of());
        if (!progress.isOpen(progress.partOf(blockId).id())) {
            throw Problems.conflict("not-open", "Seal your prediction first; then this question opens.");
        }
        Block.NumberQuestion question = (Block.NumberQuestion) opened.sheet().block(blockId);
        AnswerCheck.Result result = AnswerCheck.check(number, unit,
                progress.key(question, opened.work().seed()));
        if (result.counts() && number.length() <= LONGEST && unit.length() <= LONGEST) {
            attempts.save(new Attempt(workId, blockId, number, unit,
                    result.verdict().name().toLowerCase().replace('_', '-'), result.feedback(),
                    result.right() ? question.points() : 0, clock.instant()));
        }
        return result;
    }

    /** Takes a work in, even if something is missing: the student was shown what. */
    @Transactional
    public void submit(UUID workId, Person student, Instant at) {
        assignments.openForChange(workId, student);
        assignments.submit(workId, at);
    }

    /** Marks a block of a student's work. */
    @Transactional
    public void mark(UUID workId, Person teacher, String blockId, double points, String comment) {
        Assignments.Opened opened = assignments.open(workId, teacher);
        Block block = opened.sheet().block(blockId);
        if (opened.own() || block == null || block.points() == 0) {
            throw Problems.notFound("question");
        }
        if (!(points >= 0 && points <= block.points())) {
            throw Problems.invalid("points", "Points: 0 to " + cauldron.core.quantity.Numbers.printShort(block.points())
                    + " for this question.");
        }
        marks.save(new Mark(workId, blockId, points, comment.strip(), teacher.id(), clock.instant()));
    }

    /** How works stand, in four queries however many they are. */
    @Transactional(readOnly = true)
    Map<UUID, Standing> standings(Collection<Assignments.WorkInfo> works, Map<UUID, Sheet> sheetOfAssignment) {
        List<UUID> ids = works.stream().map(Assignments.WorkInfo::id).toList();
        Map<UUID, Notebooks.Notebook> books = notebooks.notebooks(ids);
        Map<UUID, List<Trials.TrialInfo>> filmed = trials.ofWorks(ids);
        Map<UUID, Map<String, Tried>> tried = new LinkedHashMap<>();
        for (Attempt a : attempts.findByWorkIdInOrderByMadeAt(ids)) {
            tried.computeIfAbsent(a.workId(), w -> new LinkedHashMap<>()).merge(a.block(),
                    new Tried(a.number(), a.unit(), a.verdict(), a.feedback(), a.points()),
                    (old, next) -> next.points() >= old.points() ? next : old);
        }
        Map<UUID, Map<String, Marked>> marked = new LinkedHashMap<>();
        for (Mark m : marks.findByWorkIdInOrderByMarkedAt(ids)) {
            marked.computeIfAbsent(m.workId(), w -> new LinkedHashMap<>()).put(m.block(),
                    new Marked(m.points(), m.comment()));
        }
        Map<UUID, Standing> map = new LinkedHashMap<>();
        for (Assignments.WorkInfo work : works) {
            Notebooks.Notebook book = books.getOrDefault(work.id(), new Notebooks.Notebook(Map.of(), null));
            List<Trials.TrialInfo> list = filmed.getOrDefault(work.id(), List.of());
            map.put(work.id(), new Standing(
                    new Progress(sheetOfAssignment.get(work.assignmentId()), book.slots(), Trials.distinct(list)),
                    list, tried.getOrDefault(work.id(), Map.of()), marked.getOrDefault(work.id(), Map.of()),
                    book.lastEntry()));
        }
        return map;
    }

    /** How one work stands. */
    @Transactional(readOnly = true)
    public Standing standing(Assignments.Opened opened) {
        return standings(List.of(opened.work()), Map.of(opened.assignment().id(), opened.sheet()))
                .get(opened.work().id());
    }
}
