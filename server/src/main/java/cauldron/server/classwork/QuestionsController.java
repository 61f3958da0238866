package cauldron.server.classwork;

import cauldron.core.Tree;
import cauldron.core.block.Block;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.core.block.number.KeyWords;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.marking.HowItWent;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.marking.Marking;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A lab of a class, question by question: what all students answered to one, and marks for it. */
@RestController
@RequestMapping("/api/teaching/assignments/{id}/questions")
class QuestionsController {

    /**
     * A question that can be marked.
     *
     * @param byHand   whether only a teacher can say what it brings
     * @param answered how many have answered it
     * @param toMark   how many handed in answers wait for a mark
     */
    record QuestionLine(@NotNull String block, @NotNull String type, @NotNull String part, @NotNull String prompt,
                        @NotNull Double points, @NotNull Boolean byHand, @NotNull Integer answered,
                        @NotNull Integer toMark) {
    }

    /** Questions in the order of the lab, and what of them to talk about with the class. */
    record QuestionList(@NotNull UUID id, @NotNull String title, @NotNull String className,
                        @NotNull List<QuestionLine> questions, @NotNull List<String> talkAbout) {
    }

    record MetSlip(@NotNull String said, @NotNull Integer students) {
    }

    /** How far an answer came out from the truth, as a share of it. */
    record OffBy(@NotNull Double off, @NotNull Boolean right) {
    }

    /**
     * How a question went, over the students who tried it.
     *
     * @param minutes what was spent on it at the median; null where that can't be seen
     * @param band    how far an answer may be off to be right, as a share of the truth; null where that can't be said
     * @param spread  where the last answers lie around the truth, each student's own, without names
     */
    record QuestionWent(@NotNull Integer tried, @NotNull Integer rightAtFirst, @NotNull Integer rightAtLast,
                        @NotNull Double medianTries, @NotNull List<MetSlip> slips, Double minutes, Double band,
                        @NotNull List<OffBy> spread) {
    }

    record AnswerTried(@NotNull String verdict, @NotNull String feedback, @NotNull Double points,
            @NotNull Integer tries) {
    }

    record AnswerMark(@NotNull Double points, @NotNull String comment) {
    }

    /**
     * What a student answered.
     *
     * @param text  in words; of a question with tries the best one
     * @param slots what a drawing is made of, or what was spoken; empty for all else
     */
    record AnswerLine(@NotNull UUID workId, @NotNull String student, @NotNull Boolean submitted, @NotNull Boolean late,
                      @NotNull String text, @NotNull Map<String, Object> slots, AnswerTried tried, AnswerMark mark) {
    }

    /**
     * A question with all answers, in an order that tells nothing of who gave them and is the same at every look.
     *
     * @param shown    the block as students see it, rubric included
     * @param right    what is right, in words; empty where only a teacher can say
     * @param slips    what is known to go wrong, in words
     * @param went     how it went
     * @param comments the teacher's own, the most used first
     */
    record QuestionView(@NotNull String block, @NotNull Map<String, Object> shown, @NotNull Double points,
                        @NotNull List<String> right, @NotNull List<String> slips,
                        @NotNull List<AnswerLine> answers, QuestionWent went, @NotNull List<String> comments) {
    }

    /** The same mark for one or several who answered alike. */
    record SameMark(@NotNull @NotEmpty(message = "Choose whose answers to mark")
                    @Size(max = 400, message = "At most 400 answers are marked at once") List<@NotNull UUID> works,
                    @NotNull(message = "Give points") Double points,
                    @NotNull @Size(max = 4000, message = "A comment has at most 4000 characters") String comment) {
    }

    private static final int BANK = 12;

    private final Classes classes;
    private final Assignments assignments;
    private final ClassWorks classWorks;
    private final Marking marking;
    private final Accounts accounts;
    private final Clock clock;

    QuestionsController(Classes classes, Assignments assignments, ClassWorks classWorks, Marking marking,
            Accounts accounts, Clock clock) {
        this.classes = classes;
        this.assignments = assignments;
        this.classWorks = classWorks;
        this.marking = marking;
        this.accounts = accounts;
        this.clock = clock;
    }

    @GetMapping
    QuestionList questions(@PathVariable UUID id, @AuthenticationPrincipal Person me) {
        Assignments.AssignmentInfo a = assignments.ownedBy(id, me.id());
        Map<UUID, Assignments.WorkInfo> works = classWorks.works(a);
        Map<UUID, Marking.Standing> stands = classWorks.standings(a, works);
        Sheet now = assignments.sheet(a);
        List<QuestionLine> list = new ArrayList<>();
        for (Sheet.Part part : now.parts()) {
            for (Block block : part.blocks()) {
                if (block.points() > 0) {
                    list.add(line(part, block, works, stands));
                }
            }
        }
        return new QuestionList(id, now.title(), classes.ownedBy(a.classId(), me.id()).name(), list,
                ClassWorks.toTalkAbout(now, stands.values()));
    }

    private static QuestionLine line(Sheet.Part part, Block block, Map<UUID, Assignments.WorkInfo> works,
            Map<UUID, Marking.Standing> stands) {
        int answered = 0;
        int waiting = 0;
        for (Map.Entry<UUID, Marking.Standing> e : stands.entrySet()) {
            Block own = e.getValue().progress().sheet().block(block.id());
            if (own == null) {
                continue;
            }
            answered += answer(own, e.getValue()).isEmpty() ? 0 : 1;
            waiting += own.isMarkedByHand() && e.getValue().progress().sheet().scheme().looksAt(own)
                    && !e.getValue().marked().containsKey(block.id())
                    && works.get(e.getKey()).submittedAt() != null ? 1 : 0;
        }
        return new QuestionLine(block.id(), block.type(), part.title(), block.prompt(), block.points(),
                block.isMarkedByHand(), answered, waiting);
    }

    @GetMapping("/{block}")
    QuestionView question(@PathVariable UUID id, @PathVariable String block, @AuthenticationPrincipal Person me) {
        Assignments.AssignmentInfo a = assignments.ownedBy(id, me.id());
        Sheet now = assignments.sheet(a);
        Block asked = pointed(now, block);
        Map<UUID, Assignments.WorkInfo> works = classWorks.works(a);
        Map<UUID, Person> people = accounts.people(Set.copyOf(works.values().stream()
                .map(Assignments.WorkInfo::studentId)
                .toList()));
        List<AnswerLine> answers = new ArrayList<>();
        Map<UUID, Marking.Standing> stands = classWorks.standings(a, works);
        stands.forEach((work, s) -> {
            Block own = s.progress().sheet().block(block);
            if (own != null && own.type().equals(asked.type())) {
                answers.add(answer(works.get(work), a, people.get(works.get(work).studentId()).displayName(), own, s));
            }
        });
        // Another order for each question, so that a student's place in one tells nothing of the next.
        answers.sort(Comparator.comparingInt(l -> Objects.hash(l.workId().getLeastSignificantBits(),
                block) * 0x9E3779B9));
        return new QuestionView(block, shown(now, block), asked.points(),
                asked instanceof NumberBlock number ? KeyWords.right(number.key(), now) : List.of(),
                asked instanceof NumberBlock number ? KeyWords.slips(number.key(), now) : List.of(), answers,
                told(ClassWorks.went(stands.values(), block), marking.minutes(stands, block), asked,
                        spread(works, stands, block)), marking.comments(me, BANK));
    }

    private static QuestionWent told(HowItWent went, Double minutes, Block asked, List<OffBy> spread) {
        double band = asked instanceof NumberBlock number ? AnswerCheck.band(number.key()) : Double.NaN;
        return new QuestionWent(went.tried(), went.rightAtFirst(), went.rightAtLast(), went.medianTries(),
                went.slips().stream().map(slip -> new MetSlip(slip.said(), slip.students())).toList(), minutes,
                Double.isFinite(band) ? band : null, spread);
    }

    /** Where each student's last answer lies around that student's own truth, from the smallest on. */
    private static List<OffBy> spread(Map<UUID, Assignments.WorkInfo> works, Map<UUID, Marking.Standing> stands,
            String block) {
        List<OffBy> list = new ArrayList<>();
        stands.forEach((work, s) -> {
            Marking.Tried tried = s.tried().get(block);
            if (tried != null && s.progress().sheet().block(block) instanceof NumberBlock number) {
                Marking.Try last = tried.all().get(tried.all().size() - 1);
                double off = AnswerCheck.off(last.number(), last.unit(),
                        s.progress().key(number, works.get(work).seed()));
                if (Double.isFinite(off)) {
                    list.add(new OffBy(off, last.verdict().equals("right")));
                }
            }
        });
        list.sort(Comparator.comparingDouble(OffBy::off));
        return list;
    }

    private AnswerLine answer(Assignments.WorkInfo work, Assignments.AssignmentInfo a, String student, Block own,
            Marking.Standing s) {
        Marking.Tried tried = s.tried().get(own.id());
        Marking.Marked mark = s.marked().get(own.id());
        Instant now = clock.instant();
        return new AnswerLine(work.id(), student, work.submittedAt() != null, a.late(work, now), answer(own, s),
                own instanceof DrawingBlock || own instanceof ExplanationBlock
                        ? s.progress().written().slots().getOrDefault(own.id(), Map.of()) : Map.of(),
                tried == null ? null
                        : new AnswerTried(tried.verdict(), tried.feedback(), tried.points(), tried.all().size()),
                mark == null ? null : new AnswerMark(mark.points(), mark.comment()));
    }

    /** In words: what was tried best, where only tries tell. */
    private static String answer(Block own, Marking.Standing s) {
        Progress progress = s.progress();
        String text = own.answer(progress.written());
        Marking.Tried tried = s.tried().get(own.id());
        return text.isEmpty() && tried != null ? (tried.number() + " " + tried.unit()).strip() : text;
    }

    @PostMapping("/{block}/marks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void mark(@PathVariable UUID id, @PathVariable String block, @AuthenticationPrincipal Person me,
            @Valid @RequestBody SameMark form) {
        Set<UUID> on = classWorks.works(assignments.ownedBy(id, me.id())).keySet();
        for (UUID work : Set.copyOf(form.works())) {
            if (!on.contains(work)) {
                throw Problems.notFound("work");
            }
            marking.mark(work, me, block, form.points(), form.comment(), "");
        }
    }

    private static Block pointed(Sheet sheet, String id) {
        Block block = sheet.block(id);
        if (block == null || block.points() == 0) {
            throw Problems.notFound("question");
        }
        return block;
    }

    /** A question as students see it, without its key; none has words to set. */
    private static Map<String, Object> shown(Sheet sheet, String id) {
        return Tree.maps(sheet.forStudent(), "parts").stream().flatMap(part -> Tree.maps(part, "blocks").stream())
                .filter(block -> id.equals(block.get("id"))).findFirst().orElseThrow(() ->
                        Problems.notFound("question"));
    }
}
