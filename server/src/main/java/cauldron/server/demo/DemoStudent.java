package cauldron.server.demo;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.marking.Marking;
import cauldron.server.marking.TableMarks;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.trials.Trials;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** A made-up student at work on a lab, as far as a stage. */
@Component
@ConditionalOnProperty("cauldron.demo")
class DemoStudent {

    static final int NOT_STARTED = 0;
    private static final int BEGUN = 2;
    private static final int MEASURED = 3;
    private static final int ANALYSED = 4;
    private static final int HANDED_IN = 5;
    private static final int MARKED = 6;

    static final int[] SPREAD = {5, 3, 2, 6, 0, 4, 2, 5, 3, 1, 4, 2, 0, 5, 3, 2, 1, 6, 4, 2, 3, 5, 0, 2, 4, 1};
    static final int[] FINISHED = {6, 6, 5, 6, 6, 5, 6, 6, 4, 6, 5, 6};
    static final int[] BEGINNING = {0, 1, 2, 0, 1, 0, 2, 1};
    static final int[] IN_THE_TOWER = {5, 3, 6, 2, 4, 0, 6, 3};
    static final int[] ON_THE_RAIL = {5, 2, 3, 0, 4, 6, 1, 3, 0, 5, 2, 0};
    static final int[] IN_THE_SHOP = {3, 5, 6, 2, 4, 0, 5, 1, 3, 6, 0, 2};
    static final int[] ON_THE_WATCH = {3, 5, 2, 6, 0, 4, 5, 3};
    static final int[] AT_THE_PRESS = {2, 0, 5, 0, 3, 0, 0, 4, 0, 6, 0, 5, 0};
    static final int[] IN_THE_SHAFT = {5, 2, 0, 3, 4, 6, 0, 3, 5, 0, 2, 0};
    static final int[] ON_THE_SLIP = {3, 5, 0, 2, 4, 0, 6, 3, 0, 5, 0, 2};
    static final int[] IN_THE_BOATHOUSE = {5, 2, 3, 0, 4, 6, 3, 0};
    static final int[] IN_THE_FUEL_STORE = {4, 0, 6, 3, 2, 5, 0, 3};
    static final int[] AT_THE_CUPBOARD = {3, 4, 0, 5, 6, 0, 2, 3};
    static final int[] AT_THE_LOFT = {2, 3, 4, 0, 0, 5, 6, 3};
    static final int[] AT_THE_TABLE = {5, 3, 2, 4, 0, 6, 0, 3};
    static final int[] AT_THE_RELAY = {2, 0, 5, 3, 4, 6, 3, 0};
    static final int[] OVER_THE_WATER = {2, 5, 0, 3, 4, 6, 0, 5};
    /** Fewer than elsewhere: molecule by molecule, each takes seconds. */
    static final int[] IN_THE_FOG = {3, 5, 0, 2, 0, 4, 1, 0, 6, 0, 2, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0, 0, 0};
    static final int[] UNDER_WAY = {3, 5, 0, 2, 0, 4, 1, 0, 6, 0, 2, 0, 0};

    private final Assignments assignments;
    private final Notebooks notebooks;
    private final Trials trials;
    private final Marking marking;
    private final TableMarks tables;
    private final Clock clock;

    DemoStudent(Assignments assignments, Notebooks notebooks, Trials trials, Marking marking,
            TableMarks tables, Clock clock) {
        this.assignments = assignments;
        this.notebooks = notebooks;
        this.trials = trials;
        this.marking = marking;
        this.tables = tables;
        this.clock = clock;
    }

    void work(Assignments.AssignmentInfo given, DemoScript script, Person student, Person teacher, int stage,
            int seed) {
        RandomSource chance = RandomSource.named(seed, "demo student");
        Assignments.WorkInfo work = assignments.begin(given.id(), student.id(), seed);
        Sheet sheet = assignments.sheet(given);
        DemoJournal journal = new DemoJournal(work, student, sheet, notebooks, trials, clock.instant());
        int choice = chance.below(script.predictions().size());
        journal.add("expect", "answer", Tree.of("choice", (double) choice, "reason", script.predictions().get(choice)));
        List<Double> sketch = script.sketch(choice, chance);
        if (!sketch.isEmpty()) {
            journal.add("expect", "sketch", Tree.of("strokes", List.of(sketch)));
        }
        journal.add("expect", "seal", Tree.of("sealed", true));
        journal.send();
        if (stage >= BEGUN) {
            script.measure(journal, stage >= MEASURED, chance);
        }
        if (stage >= ANALYSED) {
            for (DemoScript.Answer answer : script.analyse(journal)) {
                boolean chosen = sheet.block(answer.block()) instanceof ChoiceBlock;
                if (chosen) {
                    journal.add(answer.block(), "answer", Tree.of("chosen",
                            Arrays.stream(answer.number().split(", ")).map(Double::valueOf).toList(), "reason", answer.unit()));
                } else if (sheet.block(answer.block()) instanceof NumberBlock) {
                    journal.add(answer.block(), "answer", Tree.of("number", answer.number(), "unit", answer.unit()));
                }
                journal.send();
                marking.check(work.id(), student, answer.block(), answer.number(), chosen ? "" : answer.unit());
            }
        }
        if (stage >= HANDED_IN) {
            journal.add("why", "answer",
                    Tree.of("text", script.explanations().get(chance.below(script.explanations().size()))));
        }
        journal.send();
        if (stage >= HANDED_IN) {
            marking.submit(work.id(), student);
            tables.atHandIn(work.id(), student);
        }
        if (stage >= MARKED) {
            int points = 2 + chance.below(3);
            marking.mark(work.id(), teacher, "why", points, script.comments().get(points - 2), "");
        }
    }
}
