package cauldron.server.classwork;

import cauldron.core.Tree;
import cauldron.core.analysis.FitKind;
import cauldron.core.pooling.Constant;
import cauldron.core.pooling.Pool;
import cauldron.core.pooling.PoolException;
import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.marking.Marking;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The tables of a class in one graph, and what their fits come to. */
@RestController
@RequestMapping("/api/teaching/assignments/{id}/pool")
class PoolController {

    /** Something to choose. */
    record Offer(@NotNull String id, @NotNull String name) {
    }

    /**
     * What can be pooled of one table.
     *
     * @param axes formulas that make an axis, with what they are
     * @param by   what its rows can be grouped by
     */
    record PoolTable(@NotNull String id, @NotNull String title, @NotNull List<Offer> axes, @NotNull List<Offer> by) {
    }

    record PoolAxis(@NotNull String formula, @NotNull String name, @NotNull String unit) {
    }

    /**
     * One student's points in one group.
     *
     * @param constants the fitted values in the order of the constants; empty where there is no fit
     * @param told      the same as they are read, with their units
     */
    record PoolSeries(@NotNull UUID workId, @NotNull String student, @NotNull String group, @NotNull List<Double> x,
                      @NotNull List<Double> y, @NotNull List<Double> constants, @NotNull List<String> told,
                      @NotNull String trouble) {
    }

    record PoolSpread(@NotNull String group, @NotNull Integer count, Double median, @NotNull String middle,
                      @NotNull String mean,
                      @NotNull String sd, @NotNull String text) {
    }

    /** One fitted constant over the class; bins begin at {@code start}, each {@code width} wide. */
    record PoolConstant(@NotNull String name, @NotNull String meaning, @NotNull String unit,
                        @NotNull List<PoolSpread> spreads, @NotNull Double start, @NotNull Double width) {
    }

    /**
     * What is pooled, and what could be.
     *
     * @param equation of the fit of all points together; empty where there is none
     * @param trouble  why there is none
     */
    record PoolView(@NotNull UUID id, @NotNull String title, @NotNull String className, @NotNull List<PoolTable> tables,
                    @NotNull List<Offer> kinds, @NotNull String table, PoolAxis along, PoolAxis up,
                    @NotNull String kind,
                    @NotNull String by, @NotNull List<PoolSeries> series, @NotNull List<PoolConstant> constants,
                    @NotNull String equation, @NotNull String trouble, @NotNull List<Double> curveX,
                    @NotNull List<Double> curveY) {
    }

    private final Classes classes;
    private final Assignments assignments;
    private final ClassWorks classWorks;
    private final Accounts accounts;

    PoolController(Classes classes, Assignments assignments, ClassWorks classWorks, Accounts accounts) {
        this.classes = classes;
        this.assignments = assignments;
        this.classWorks = classWorks;
        this.accounts = accounts;
    }

    /**
     * Pools.
     *
     * @param table id of the table; without it, the first that has numbers
     * @param along formula over the lab's columns; without it, as the lab's graph begins
     * @param up    formula over the lab's columns
     * @param kind  of curve that is fitted; {@code none} for none
     * @param by    a choice of recordings or a column of words by which rows are grouped; empty: not at all
     */
    @GetMapping
    PoolView pool(@PathVariable UUID id, @RequestParam(defaultValue = "") @Size(max = 60) String table,
            @RequestParam(defaultValue = "") @Size(max = 2000) String along,
            @RequestParam(defaultValue = "") @Size(max = 2000) String up,
            @RequestParam(defaultValue = "line") @Size(max = 60) String kind,
            @RequestParam(defaultValue = "") @Size(max = 60) String by, @AuthenticationPrincipal Person me) {
        Assignments.AssignmentInfo a = assignments.ownedBy(id, me.id());
        String className = classes.ownedBy(a.classId(), me.id()).name();
        Poolable lab = new Poolable(assignments.sheet(a));
        List<Offer> kinds = FitKind.ALL.stream().map(k -> new Offer(k.id(), k.name())).toList();
        if (!kind.equals("none") && kinds.stream().noneMatch(k -> k.id().equals(kind))) {
            throw Problems.invalid("kind", "There is no fit “" + kind + "”.");
        }
        Poolable.Table chosen = lab.table(table);
        if (chosen == null) {
            return new PoolView(id, lab.title(), className, List.of(), kinds, "", null, null, kind, "", List.of(),
                    List.of(),
                    "", "", List.of(), List.of());
        }
        Pool.Asked asked = new Pool.Asked(along.isBlank() ? chosen.along() : along, up.isBlank() ? chosen.up() : up,
                kind.equals("none") ? "" : kind);
        Map<UUID, Assignments.WorkInfo> works = classWorks.works(a);
        Map<UUID, Marking.Standing> stands = classWorks.standings(a, works);
        Pool pool;
        try {
            pool = Pool.of(asked, chosen.block().columns(), lab.sources(chosen, by, stands));
        } catch (PoolException e) {
            throw Problems.invalid(e.axis(), e.getMessage() + ".");
        }
        return view(id, className, lab, chosen, kinds, kind, by, pool, students(works));
    }

    private Map<UUID, String> students(Map<UUID, Assignments.WorkInfo> works) {
        Map<UUID, Person> people = accounts.people(Set.copyOf(works.values().stream()
                .map(Assignments.WorkInfo::studentId).toList()));
        Map<UUID, String> names = new LinkedHashMap<>();
        works.forEach((work, info) -> names.put(work, people.get(info.studentId()).displayName()));
        return names;
    }

    private static PoolView view(UUID id, String className, Poolable lab,
            Poolable.Table chosen, List<Offer> kinds, String kind, String by, Pool pool, Map<UUID, String> students) {
        // In an order that tells nothing of who is who, and is the same at every look.
        List<PoolSeries> series = pool.series().stream().sorted(Comparator.comparingInt(s -> s.who()
        .hashCode() * 0x9E3779B9))
                .map(s -> new PoolSeries(UUID.fromString(s.who()),
                students.get(UUID.fromString(s.who())), s.group(), boxed(s.x()), boxed(s.y()), boxed(s.constants()),
                pool.told(s), s.trouble())).toList();
        return new PoolView(id, lab.title(), className, lab.tables().stream().map(t -> new PoolTable(t.block().id(),
                t.block().title(), t.axes(), t.by())).toList(), kinds, chosen.block().id(),
                axis(chosen, pool.along()), axis(chosen, pool.up()), kind, by, series,
                pool.constants().stream().map(PoolController::view).toList(), Tree.text(pool.whole(), "equation", ""),
                Tree.text(pool.whole(), "trouble", ""), boxed(pool.curve()[0]), boxed(pool.curve()[1]));
    }

    private static PoolAxis axis(Poolable.Table table, Pool.Axis axis) {
        return new PoolAxis(axis.formula(), table.axes().stream().filter(o -> o.id().equals(axis.formula()))
                .map(Offer::name)
                .findFirst().orElse(axis.formula()), axis.unit());
    }

    private static PoolConstant view(Constant c) {
        return new PoolConstant(c.name(), c.meaning(), c.unit(), c.spreads().stream().map(s -> new PoolSpread(s.group(),
                s.count(), Double.isNaN(s.median()) ? null : (Double) s.median(), s.middle(), s.mean(), s.sd(),
                s.text())).toList(),
                c.start(), c.width());
    }

    private static List<Double> boxed(double[] values) {
        return Arrays.stream(values).boxed().toList();
    }
}
