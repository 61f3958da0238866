package cauldron.server.marking;

import cauldron.core.block.Block;
import cauldron.core.block.Question;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.trials.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Checks answers, takes work in, keeps marks, and knows how far everyone has come. */
@Service
public class Marking {

    /** One try at a question. */
    public record Try(String number, String unit, String verdict, String feedback, Instant at) {
    }

    /** The newest try at a question. */
    public record Tried(String number, String unit, String verdict, String feedback, double points, int left,
                        List<Try> all) {

        /** Whether the last try was this one. */
        boolean endsWith(String sameNumber, String sameUnit, String sameVerdict) {
            Try last = all.get(all.size() - 1);
            return last.number().equals(sameNumber) && last.unit().equals(sameUnit) && last.verdict().equals(sameVerdict);
        }
    }

    /** The newest mark of a block. */
    public record Marked(double points, String comment) {
    }

    /** All that is known of one work besides its notebook. */
    public record Standing(Progress progress, List<Trials.TrialInfo> trials, Map<String, Tried> tried,
                    Map<String, Marked> marked, Notebooks.Notebook book) {

        public Instant lastEntry() {
            return book.lastEntry();
        }

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
        public boolean unmarked() {
            for (Sheet.Part part : progress.sheet().parts()) {
                for (Block block : part.blocks()) {
                    if (block.isMarkedByHand() && !marked.containsKey(block.id())) {
                        return true;
                    }
                }
            }
            return false;
        }
    }

    /** What was found of an answer, how many tries are left, and whether this one came too late to bring points. */
    public record Checked(AnswerCheck.Result result, int left, boolean beyond) {

        Checked(AnswerCheck.Result result, int left) {
            this(result, left, false);
        }
    }

    private static final Notebooks.Notebook EMPTY = new Notebooks.Notebook(Map.of(), List.of(), null, 0);
    private static final int LONGEST = 40;
    private static final int MOST_WORDS = 2000;

    private final AttemptRepository attempts;
    private final OpeningRepository openings;
    private final MarkRepository marks;
    private final Assignments assignments;
    private final Notebooks notebooks;
    private final Trials trials;
    private final Clock clock;

    Marking(AttemptRepository attempts, OpeningRepository openings, MarkRepository marks, Assignments assignments, Notebooks notebooks,
            Trials trials, Clock clock) {
        this.attempts = attempts;
        this.openings = openings;
        this.marks = marks;
        this.assignments = assignments;
        this.notebooks = notebooks;
        this.trials = trials;
        this.clock = clock;
    }

    /** Checks an answer and keeps the try. The work is held meanwhile, so that no two tries count as one. */
    @Transactional
    public Checked check(UUID workId, Person student, String blockId, String number, String unit) {
        Assignments.Held held = assignments.hold(workId, student);
        if (!(held.sheet().block(blockId) instanceof Question question)) {
            throw Problems.notFound("question");
        }
        Progress progress = new Progress(held.sheet(), notebooks.notebook(workId, held.sheet()).slots(), Map.of());
        if (!progress.isOpen(progress.partOf(blockId).id())) {
            throw Problems.conflict("not-open", "Seal your prediction first; then this question opens.");
        }
        AnswerCheck.Result result = found(question, progress, held.work().seed(), number, unit);
        Tried before = tried(List.of(workId), Map.of(workId, held.sheet())).getOrDefault(workId, Map.of()).get(blockId);
        int left = before == null ? question.tries() : before.left();
        // A drawing is checked as it is kept; what was sent beside it says nothing.
        String said = question instanceof DrawingBlock drawn ? shortened(drawn.drawing(progress.written()).words()) : number;
        String verdict = result.verdict().name().toLowerCase().replace('_', '-');
        // Pressing twice isn't trying twice. A right answer counts again: it may have come before the question was opened anew.
        boolean again = !result.right() && before != null && before.endsWith(said, unit, verdict);
        if (!result.counts() || again || number.length() > LONGEST || unit.length() > LONGEST) {
            return new Checked(result, left);
        }
        attempts.save(new Attempt(workId, blockId, said, unit, verdict, result.feedback(),
                left > 0 ? result.points(question.points()) : 0, clock.instant()));
        return new Checked(result, Math.max(0, left - 1), left == 0);
    }

    private static String shortened(String words) {
        return words.length() <= MOST_WORDS ? words : words.substring(0, MOST_WORDS - 1) + "…";
    }

    private static AnswerCheck.Result found(Question question, Progress progress, int seed, String number, String unit) {
        if (question instanceof ChoiceBlock choice) {
            return choice.check(number);
        }
        if (question instanceof DrawingBlock drawn) {
            return drawn.check(progress.written());
        }
        if (question instanceof ComparisonBlock cases) {
            return cases.check(number);
        }
        NumberBlock asked = (NumberBlock) question;
        String waitsFor = progress.waitsFor(asked);
        if (waitsFor != null) {
            throw Problems.conflict("not-measured", waitsFor);
        }
        return AnswerCheck.check(number, unit, progress.key(asked, seed));
    }

    /** Opens a question again whose tries are used up. */
    @Transactional
    public void open(UUID workId, Person teacher, String blockId) {
        Assignments.Opened opened = assignments.open(workId, teacher);
        if (opened.own() || !(opened.sheet().block(blockId) instanceof Question)) {
            throw Problems.notFound("question");
        }
        openings.save(new Opening(workId, blockId, teacher.id(), clock.instant()));
    }

    /** Takes a work in, even if something is missing: the student was shown what. */
    @Transactional
    public void submit(UUID workId, Person student) {
        assignments.hold(workId, student);
        // The time is read while the work is held: all that was kept came before it.
        assignments.submit(workId, clock.instant());
    }

    /** Lets a student go on with what is handed in, as long as nobody has marked it. */
    @Transactional
    public void takeBack(UUID workId, Person student) {
        if (!marks.findByWorkIdInOrderByMarkedAt(List.of(workId)).isEmpty()) {
            throw Problems.conflict("marked",
                    "Your teacher has begun to mark this, so it can't be taken back any more.");
        }
        assignments.takeBack(workId, student);
    }

    /** Gives a work back to its student. */
    @Transactional
    public Assignments.WorkInfo reopen(UUID workId, Person teacher) {
        return assignments.reopen(workId, teacher);
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

    /** A teacher's own comments, the most used first. */
    @Transactional(readOnly = true)
    public List<String> comments(Person teacher, int most) {
        return marks.comments(teacher.id(), Limit.of(most));
    }

    /** Tries at each question: the best, how many, and how many more can bring points. */
    private Map<UUID, Map<String, Tried>> tried(Collection<UUID> ids, Map<UUID, Sheet> sheets) {
        Map<String, Instant> opened = new LinkedHashMap<>();
        for (Opening o : openings.findByWorkIdIn(ids)) {
            opened.merge(o.workId() + o.block(), o.openedAt(), (x, y) -> x.isAfter(y) ? x : y);
        }
        Map<UUID, Map<String, List<Attempt>>> all = new LinkedHashMap<>();
        for (Attempt a : attempts.findByWorkIdInOrderByMadeAt(ids)) {
            all.computeIfAbsent(a.workId(), w -> new LinkedHashMap<>())
                    .computeIfAbsent(a.block(), b -> new ArrayList<>()).add(a);
        }
        Map<UUID, Map<String, Tried>> map = new LinkedHashMap<>();
        all.forEach((work, blocks) -> blocks.forEach((block, list) -> {
            if (sheets.get(work).block(block) instanceof Question question) {
                Instant since = opened.getOrDefault(work + block, Instant.MIN);
                long used = list.stream().filter(a -> a.madeAt().isAfter(since)).count();
                Attempt best = list.get(0);
                for (Attempt a : list) {
                    best = a.points() >= best.points() ? a : best;
                }
                map.computeIfAbsent(work, w -> new LinkedHashMap<>()).put(block, new Tried(best.number(), best.unit(),
                        best.verdict(), best.feedback(), best.points(), (int) Math.max(0, question.tries() - used),
                        list.stream().map(a -> new Try(a.number(), a.unit(), a.verdict(), a.feedback(), a.madeAt()))
                                .toList()));
            }
        }));
        return map;
    }

    /** How works stand, each with its sheet, in few queries however many they are. */
    @Transactional(readOnly = true)
    public Map<UUID, Standing> standings(Map<UUID, Sheet> sheets) {
        List<UUID> ids = List.copyOf(sheets.keySet());
        Map<UUID, Notebooks.Notebook> books = notebooks.notebooks(sheets);
        Map<UUID, List<Trials.TrialInfo>> filmed = trials.ofWorks(ids);
        Map<UUID, Map<String, Tried>> tried = tried(ids, sheets);
        Map<UUID, Map<String, Marked>> marked = new LinkedHashMap<>();
        for (Mark m : marks.findByWorkIdInOrderByMarkedAt(ids)) {
            marked.computeIfAbsent(m.workId(), w -> new LinkedHashMap<>()).put(m.block(),
                    new Marked(m.points(), m.comment()));
        }
        Map<UUID, Standing> map = new LinkedHashMap<>();
        sheets.forEach((work, sheet) -> {
            Notebooks.Notebook book = books.getOrDefault(work, EMPTY);
            List<Trials.TrialInfo> list = filmed.getOrDefault(work, List.of());
            map.put(work, new Standing(new Progress(sheet, book.slots(), Trials.distinct(list)), list,
                    tried.getOrDefault(work, Map.of()), marked.getOrDefault(work, Map.of()), book));
        });
        return map;
    }

    /** How one work stands. */
    @Transactional(readOnly = true)
    public Standing standing(Assignments.Opened opened) {
        return standings(Map.of(opened.work().id(), opened.sheet())).get(opened.work().id());
    }
}
