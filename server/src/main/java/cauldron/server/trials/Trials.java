package cauldron.server.trials;

import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.Recipe;
import cauldron.core.sheet.Block;
import cauldron.core.sheet.FilmPlan;
import cauldron.core.sheet.Progress;
import cauldron.server.assignments.Assignments;
import cauldron.server.notebooks.Notebooks;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.time.Clock;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Trials and their films. */
@Service
public class Trials {

    /** A trial as its student may know it: by the names that were chosen. */
    public record TrialInfo(UUID id, UUID workId, String block, int number, Map<String, Object> chosen) {
    }

    /** The most trials for one block, so that nobody fills the database by accident. */
    private static final int MOST = 200;

    private final TrialRepository trials;
    private final Assignments assignments;
    private final Notebooks notebooks;
    private final Clock clock;

    Trials(TrialRepository trials, Assignments assignments, Notebooks notebooks, Clock clock) {
        this.trials = trials;
        this.assignments = assignments;
        this.notebooks = notebooks;
        this.clock = clock;
    }

    /** Makes a trial of what a student chose; with the same id again, gives back the one made before. */
    @Transactional
    public TrialInfo make(UUID id, UUID workId, Person student, String block, Map<String, Object> chosen) {
        Assignments.Opened opened = assignments.openForChange(workId, student);
        Trial before = trials.findById(id).orElse(null);
        if (before != null) {
            if (!before.workId().equals(workId)) {
                throw Problems.notFound("trial");
            }
            return before.info();
        }
        if (!(opened.sheet().block(block) instanceof Block.Films)) {
            throw Problems.notFound("recording");
        }
        Progress progress = new Progress(opened.sheet(), notebooks.notebook(workId).slots(), Map.of());
        if (!progress.isOpen(progress.partOf(block).id())) {
            throw Problems.conflict("not-open", "Seal your prediction first; then recordings can be made.");
        }
        assignments.lock(workId);
        int number = trials.countByWorkIdAndBlock(workId, block) + 1;
        if (number > MOST) {
            throw Problems.conflict("too-many-trials", "There are already " + MOST + " recordings here.");
        }
        FilmPlan plan = ((Block.Films) opened.sheet().block(block)).plan();
        Recipe recipe;
        try {
            recipe = plan.recipe(chosen, opened.work().seed(), number);
        } catch (IllegalArgumentException e) {
            throw Problems.invalid("chosen", e.getMessage() + ".");
        }
        Map<String, Object> names = new LinkedHashMap<>();
        plan.choices().forEach(c -> names.put(c.id(), chosen.get(c.id())));
        return trials.save(new Trial(id, workId, block, number, names, recipe, clock.instant())).info();
    }

    /** The film of a trial through one of its views, for its student or their teacher. */
    @Transactional(readOnly = true)
    public Film film(UUID trialId, String view, Person person) {
        Trial trial = trials.findById(trialId).orElseThrow(() -> Problems.notFound("trial"));
        FilmPlan plan = ((Block.Films) assignments.open(trial.workId(), person).sheet().block(trial.block())).plan();
        if (!view.isEmpty() && !plan.views().contains(view)) {
            throw Problems.notFound("view");
        }
        return Film.shoot(trial.recipe(), view.isEmpty() ? plan.views().get(0) : view, plan.rate(), plan.seconds());
    }

    /** The trials of works. */
    @Transactional(readOnly = true)
    public Map<UUID, List<TrialInfo>> ofWorks(Collection<UUID> workIds) {
        return trials.findByWorkIdInOrderByNumber(workIds).stream().map(Trial::info)
                .collect(Collectors.groupingBy(TrialInfo::workId, LinkedHashMap::new, Collectors.toList()));
    }

    /** How many different choices have been filmed for each block. */
    public static Map<String, Integer> distinct(List<TrialInfo> list) {
        return list.stream().collect(Collectors.groupingBy(TrialInfo::block, Collectors.mapping(TrialInfo::chosen,
                Collectors.collectingAndThen(Collectors.toSet(), java.util.Set::size))));
    }
}
