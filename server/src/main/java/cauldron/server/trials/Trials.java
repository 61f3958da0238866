package cauldron.server.trials;

import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.apparatus.Film;
import cauldron.core.apparatus.OtherModelException;
import cauldron.core.apparatus.Recipe;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.TableJudgements;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.time.Clock;
import java.util.Collection;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

    private final Cameras cameras = new Cameras(Runtime.getRuntime().availableProcessors());
    private final TrialRepository trials;
    private final Assignments assignments;
    private final Clock clock;

    Trials(TrialRepository trials, Assignments assignments, Clock clock) {
        this.trials = trials;
        this.assignments = assignments;
        this.clock = clock;
    }

    /** Makes a trial of what a student chose; with the same id again, gives back the one made before. */
    @Transactional
    public TrialInfo make(UUID id, UUID workId, Person student, String block, Map<String, Object> chosen) {
        Assignments.Held held = assignments.hold(workId, student);
        Trial before = trials.findById(id).orElse(null);
        if (before != null) {
            if (!before.workId().equals(workId)) {
                throw Problems.notFound("trial");
            }
            return before.info();
        }
        if (!(held.sheet().block(block) instanceof FilmsBlock)) {
            throw Problems.notFound("recording");
        }
        Progress progress = new Progress(held.sheet(), seals(held.sealed()), Map.of());
        if (!progress.isOpen(progress.partOf(block).id())) {
            throw Problems.conflict("not-open", "Seal your prediction first; then recordings can be made.");
        }
        int number = trials.countByWorkIdAndBlock(workId, block) + 1;
        if (number > MOST) {
            throw Problems.conflict("too-many-trials", "There are already " + MOST + " recordings here.");
        }
        FilmPlan plan = ((FilmsBlock) held.sheet().block(block)).plan();
        String kept = plan.kept(chosen);
        if (kept != null && held.assignment().triedBy() == null) {
            throw Problems.invalid("chosen", kept + " is your teacher's example: choose another.");
        }
        Recipe recipe;
        try {
            recipe = plan.recipe(chosen, held.work().seed(), number);
        } catch (IllegalArgumentException e) {
            throw Problems.invalid("chosen", e.getMessage() + ".");
        }
        Map<String, Object> names = new LinkedHashMap<>();
        plan.choices().forEach(c -> names.put(c.id(), chosen.get(c.id())));
        return trials.save(new Trial(id, workId, block, number, names, recipe, clock.instant())).info();
    }

    private static Map<String, Map<String, Object>> seals(Set<String> sealed) {
        Map<String, Map<String, Object>> map = new LinkedHashMap<>();
        sealed.forEach(b -> map.put(b, Map.of("seal", Map.of("sealed", true))));
        return map;
    }

    /**
     * The film of a trial through one of its views, for its student or their teacher. Shooting takes a while, so no
     * connection is held meanwhile, and what was shot lately is kept: a class asks for the same films again and again.
     */
    public Film film(UUID trialId, String view, Person person) {
        Trial trial = trials.findById(trialId).orElseThrow(() -> Problems.notFound("trial"));
        FilmPlan plan = ((FilmsBlock) assignments.open(trial.workId(), person).sheet().block(trial.block())).plan();
        if (!view.isEmpty() && !plan.views().contains(view)) {
            throw Problems.notFound("view");
        }
        String through = view.isEmpty() ? plan.views().get(0) : view;
        try {
            return cameras.film(trialId + " " + through,
                    () -> Inventory.shoot(trial.recipe(), through, plan.rate(), plan.seconds()));
        } catch (OtherModelException e) {
            throw Problems.gone("other-model", e.getMessage());
        }
    }

    /** The trials of works. */
    @Transactional(readOnly = true)
    public Map<UUID, List<TrialInfo>> ofWorks(Collection<UUID> workIds) {
        return trials.findByWorkIdInOrderByNumber(workIds).stream().map(Trial::info)
                .collect(Collectors.groupingBy(TrialInfo::workId, LinkedHashMap::new, Collectors.toList()));
    }

    /**
     * The recordings of a work with what is behind them, by their ids, for whoever judges what was read off them.
     */
    @Transactional(readOnly = true)
    public Map<String, TableJudgements.Filmed> filmed(UUID workId) {
        Map<String, TableJudgements.Filmed> map = new LinkedHashMap<>();
        for (Trial trial : trials.findByWorkIdInOrderByNumber(List.of(workId))) {
            map.put(trial.info().id().toString(), new TableJudgements.Filmed(trial.block(), trial.info().chosen(),
                    trial.recipe()));
        }
        return map;
    }

    /** How many different choices have been filmed for each block. */
    public static Map<String, Integer> distinct(List<TrialInfo> list) {
        Map<String, List<Object>> chosen = new LinkedHashMap<>();
        list.forEach(t -> chosen.computeIfAbsent(t.block(), b -> new ArrayList<>()).add(t.chosen()));
        Map<String, Integer> counts = new LinkedHashMap<>();
        chosen.forEach((block, all) -> counts.put(block, BenchBlock.distinct(all)));
        return counts;
    }
}
