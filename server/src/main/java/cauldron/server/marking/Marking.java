package cauldron.server.marking;

import cauldron.core.block.Block;
import cauldron.core.block.Question;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.marking.WorkTime;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Score;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import cauldron.server.trials.Trials;
import java.time.Clock;
import java.time.Duration;
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

        /** What it brings so far: of each question a mark where there is one, else what the best try brought. */
        public Score score() {
            Map<String, Double> got = new LinkedHashMap<>();
            tried.forEach((block, t) -> got.put(block, t.points()));
            marked.forEach((block, m) -> got.put(block, m.points()));
            return Score.of(progress, got, marked::containsKey);
        }

        /** The same as a student sees it whose marks aren't shown yet. */
        public Standing withoutMarks() {
            return new Standing(progress, trials, tried, Map.of(), book);
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
    /** Whoever changes a mark sooner is still marking. */
    private static final Duration SETTLED = Duration.ofMinutes(10);
    private static final int MOST_WORDS = 2000;

    private final AttemptRepository attempts;
    private final OpeningRepository openings;
    private final MarkRepository marks;
    private final SubmissionRepository submissions;
    private final Assignments assignments;
    private final Notebooks notebooks;
    private final Trials trials;
    private final Clock clock;

    Marking(AttemptRepository attempts, OpeningRepository openings, MarkRepository marks,
            SubmissionRepository submissions,
            Assignments assignments, Notebooks notebooks, Trials trials, Clock clock) {
        this.attempts = attempts;
        this.openings = openings;
        this.marks = marks;
        this.submissions = submissions;
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
        // Once it has brought all its points nothing that is checked afterwards takes tries away.
        boolean whole = before != null && question.points() > 0 && before.points() >= question.points();
        if (!result.counts() || again || whole || number.length() > LONGEST || unit.length() > LONGEST) {
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
        Instant now = clock.instant();
        assignments.submit(workId, now);
        submissions.save(new Submission(workId, now, notebooks.lastSeq(workId)));
    }

    /** Lets a student go on with what is handed in, as long as nobody has marked it. */
    @Transactional
    public void takeBack(UUID workId, Person student) {
        // Whose work it is comes first: nobody else learns whether it is marked.
        assignments.takeBack(workId, student);
        if (!marks.findByWorkIdInOrderByMarkedAt(List.of(workId)).isEmpty()) {
            throw Problems.conflict("marked",
                    "Your teacher has begun to mark this, so it can't be taken back any more.");
        }
        end(workId, student, "");
    }

    /**
     * Gives a work back to its student.
     *
     * @param words what to do again; may be empty
     */
    @Transactional
    public Assignments.WorkInfo reopen(UUID workId, Person teacher, String words) {
        Assignments.WorkInfo work = assignments.reopen(workId, teacher);
        end(workId, teacher, words.strip());
        return work;
    }

    private void end(UUID workId, Person by, String words) {
        submissions.findByWorkIdOrderBySubmittedAt(workId).stream().filter(s -> s.endedAt() == null)
                .forEach(s -> s.end(by.id(), words, clock.instant()));
    }

    /**
     * Marks a block of a student's work.
     *
     * @param comment for the student; may be empty
     * @param reason  for the history; where the mark changes what a rule brought, or what has stood for a while, it or
     *                the comment says why
     */
    @Transactional
    public void mark(UUID workId, Person teacher, String blockId, double points, String comment, String reason) {
        Assignments.Opened opened = assignments.open(workId, teacher);
        Block block = opened.sheet().block(blockId);
        if (opened.own() || block == null || block.points() == 0) {
            throw Problems.notFound("question");
        }
        if (!(points >= 0 && points <= block.points())) {
            throw Problems.invalid("points", "Points: 0 to " + Numbers.printShort(block.points())
                    + " for this question.");
        }
        if (comment.isBlank() && reason.isBlank()) {
            needsNoReason(workId, opened.sheet(), block, points);
        }
        marks.save(new Mark(workId, blockId, points, comment.strip(), reason.strip(), teacher.id(), clock.instant()));
    }

    private void needsNoReason(UUID workId, Sheet sheet, Block block, double points) {
        Mark last = marks.findByWorkIdInOrderByMarkedAt(List.of(workId)).stream()
                .filter(m -> m.block().equals(block.id()))
                .reduce((one, later) -> later).orElse(null);
        Tried tried = tried(List.of(workId), Map.of(workId, sheet)).getOrDefault(workId, Map.of()).get(block.id());
        if (last == null && tried != null && tried.points() != points) {
            throw Problems.invalid("reason", "Say why, in a comment or a reason: the answer brought "
                    + Numbers.printShort(tried.points()) + " by its key.");
        }
        if (last != null && last.points() != points && last.markedAt().isBefore(clock.instant().minus(SETTLED))) {
            throw Problems.invalid("reason", "Say why, in a comment or a reason: a mark of "
                    + Numbers.printShort(last.points()) + " stood here for a while.");
        }
    }

    /** How long students were at a question, in minutes at the median; null where that can't be seen. */
    @Transactional(readOnly = true)
    public Double minutes(Map<UUID, Standing> stands, String block) {
        Map<UUID, List<Double>> times = notebooks.times(stands.keySet(), block);
        List<Double> spent = new ArrayList<>();
        stands.forEach((work, s) -> {
            List<Double> instants = new ArrayList<>(times.getOrDefault(work, List.of()));
            Tried tried = s.tried().get(block);
            if (tried != null) {
                tried.all().forEach(t -> instants.add(t.at().toEpochMilli() / 1000.0));
            }
            spent.add(WorkTime.seconds(instants));
        });
        return WorkTime.medianMinutes(spent);
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
            Block asked = sheets.get(work).block(block);
            if (asked instanceof TableBlock) {
                // Judged anew at each handing in: what stood there before counts no more.
                map.computeIfAbsent(work, w -> new LinkedHashMap<>()).put(block,
                        tried(list.get(list.size() - 1), 0, list));
            } else if (asked instanceof Question question) {
                Instant since = opened.getOrDefault(work + block, Instant.MIN);
                long used = list.stream().filter(a -> a.madeAt().isAfter(since)).count();
                Attempt best = list.get(0);
                for (Attempt a : list) {
                    best = a.points() >= best.points() ? a : best;
                }
                map.computeIfAbsent(work, w -> new LinkedHashMap<>()).put(block,
                        tried(best, (int) Math.max(0, question.tries() - used), list));
            }
        }));
        return map;
    }

    private static Tried tried(Attempt counts, int left, List<Attempt> all) {
        return new Tried(counts.number(), counts.unit(), counts.verdict(), counts.feedback(), counts.points(), left,
                all.stream().map(a -> new Try(a.number(), a.unit(), a.verdict(), a.feedback(), a.madeAt())).toList());
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

    /** How one work stood when its journal had come so far; tries, marks and trials are those of now. */
    @Transactional(readOnly = true)
    public Standing standing(Assignments.Opened opened, long seq) {
        Standing now = standing(opened);
        Notebooks.Notebook then = notebooks.upTo(opened.work().id(), opened.sheet(), seq);
        return new Standing(new Progress(opened.sheet(), then.slots(), now.progress().written().recordings()),
                now.trials(),
                now.tried(), now.marked(), then);
    }

    /** How one work stands. */
    @Transactional(readOnly = true)
    public Standing standing(Assignments.Opened opened) {
        return standings(Map.of(opened.work().id(), opened.sheet())).get(opened.work().id());
    }
}
