package cauldron.server.gradebook;

import cauldron.core.marking.Grades;
import cauldron.core.marking.Median;
import cauldron.core.sheet.Sheet;
import cauldron.server.accounts.Accounts;
import cauldron.server.acts.Acts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.classwork.Standings;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gradebooks of classes, for their teacher and, each with one line, for their students. */
@Service
class Gradebooks {

    /** A category as the page sends it. */
    record Wanted(UUID id, String name, double weight) {
    }

    private final Classes classes;
    private final Assignments assignments;
    private final Accounts accounts;
    private final Standings standings;
    private final CategoryRepository categories;
    private final Acts acts;
    private final JdbcClient jdbc;
    private final Clock clock;

    Gradebooks(Classes classes, Assignments assignments, Accounts accounts, Standings standings,
            CategoryRepository categories, Acts acts, JdbcClient jdbc, Clock clock) {
        this.classes = classes;
        this.assignments = assignments;
        this.accounts = accounts;
        this.standings = standings;
        this.categories = categories;
        this.acts = acts;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A class's, for its teacher. */
    Gradebook of(UUID classId, Person teacher) {
        Classes.ClassInfo c = classes.ownedBy(classId, teacher.id());
        return book(c, classes.students(Set.of(classId)).getOrDefault(classId, Set.of()), false);
    }

    /** Those of a student's classes, each with the student's own line. */
    List<Gradebook> ofStudent(Person student) {
        return classes.byId(classes.ofStudent(student.id())).values().stream().filter(c -> !c.archived())
                .sorted(Comparator.comparing(Classes.ClassInfo::name))
                .map(c -> book(c, Set.of(student.id()), true)).toList();
    }

    /**
     * What is known of a class's term.
     *
     * @param own   whether a student looks, who sees only what is shown
     * @param works assignment → student → work
     */
    private record Term(boolean own, List<Assignments.AssignmentInfo> given,
            Map<UUID, Map<UUID, Assignments.WorkInfo>> works, Map<UUID, Sheet> sheets,
            Map<UUID, Standings.Standing> stands, Map<UUID, Map<UUID, Instant>> until, Set<String> excused,
            Map<UUID, UUID> kinds, Map<String, Double> weights) {
    }

    private Gradebook book(Classes.ClassInfo c, Set<UUID> students, boolean own) {
        List<Category> ofClass = categories.findByClassIdInOrderByPlace(Set.of(c.id()));
        Term term = term(c, students, own, ofClass);
        Instant now = clock.instant();
        List<Gradebook.Line> lines = accounts.people(students).values().stream()
                .sorted(Comparator.comparing(Person::displayName)).map(p -> line(p, term, now)).toList();
        List<Gradebook.Column> columns = new ArrayList<>();
        for (int i = 0; i < term.given().size(); i++) {
            Assignments.AssignmentInfo a = term.given().get(i);
            Sheet sheet = assignments.sheet(a);
            columns.add(new Gradebook.Column(a.id(), sheet.title(), a.dueAt(), sheet.points(),
                    term.kinds().get(a.id()), own ? null : median(lines, i)));
        }
        return new Gradebook(c.id(), c.name(), columns,
                ofClass.stream().map(k -> new Gradebook.Kind(k.id(), k.name(), k.weight())).toList(), lines);
    }

    private Term term(Classes.ClassInfo c, Set<UUID> students, boolean own, List<Category> ofClass) {
        List<Assignments.AssignmentInfo> given = new ArrayList<>(assignments.ofClasses(Set.of(c.id())));
        // The oldest stands first, as in a book.
        Collections.reverse(given);
        if (own) {
            given.removeIf(a -> students.stream().noneMatch(a::isFor));
        }
        Map<UUID, Assignments.AssignmentInfo> byId = new LinkedHashMap<>();
        given.forEach(a -> byId.put(a.id(), a));
        Map<UUID, Map<UUID, Assignments.WorkInfo>> works = new HashMap<>();
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        for (Assignments.WorkInfo w : assignments.worksOn(byId.keySet())) {
            if (students.contains(w.studentId())) {
                works.computeIfAbsent(w.assignmentId(), a -> new HashMap<>()).put(w.studentId(), w);
                sheets.put(w.id(), assignments.sheet(byId.get(w.assignmentId()), w));
            }
        }
        Map<String, Double> weights = new HashMap<>();
        ofClass.forEach(k -> weights.put(k.id().toString(), k.weight()));
        return new Term(own, given, works, sheets, standings.of(sheets, new Standings.Memory()),
                assignments.extensions(byId.keySet()), excused(byId.keySet()), kinds(byId.keySet()), weights);
    }

    private Gradebook.Line line(Person p, Term term, Instant now) {
        List<Gradebook.Cell> cells = new ArrayList<>();
        List<Grades.Entry> entries = new ArrayList<>();
        for (Assignments.AssignmentInfo a : term.given()) {
            if (!a.isFor(p.id())) {
                cells.add(null);
                continue;
            }
            Assignments.WorkInfo work = term.works().getOrDefault(a.id(), Map.of()).get(p.id());
            Standings.Standing s = work == null ? null : term.stands().get(work.id());
            Assignments.AssignmentInfo theirs = a.extended(term.until().getOrDefault(a.id(), Map.of()).get(p.id()));
            Sheet sheet = work == null ? assignments.sheet(a) : term.sheets().get(work.id());
            boolean hidden = term.own() && !a.showsPoints();
            Grades.Entry entry = new Grades.Entry(String.valueOf(term.kinds().get(a.id())), s == null ? 0 : s.points(),
                    sheet.points(), state(work), theirs.dueAt() != null && theirs.dueAt().isBefore(now),
                    term.excused().contains(a.id() + " " + p.id()));
            if (!hidden) {
                entries.add(entry);
            }
            cells.add(new Gradebook.Cell(work == null ? null : work.id(), entry.state(),
                    work == null || hidden ? null : s.points(), work != null && theirs.late(work, now),
                    entry.missing(), entry.excused(),
                    entry.state() == Grades.State.SUBMITTED && s.unmarked() && !hidden));
        }
        return new Gradebook.Line(p.id(), p.displayName(), p.userName(), cells,
                Grades.percent(entries, term.weights()));
    }

    private static Grades.State state(Assignments.WorkInfo work) {
        return work == null ? Grades.State.NOT_STARTED : work.submittedAt() != null ? Grades.State.SUBMITTED
                : work.reopenedAt() != null ? Grades.State.RETURNED : Grades.State.WORKING;
    }

    private static Double median(List<Gradebook.Line> lines, int lab) {
        return Median.of(lines.stream().map(l -> l.cells().get(lab)).filter(cell -> cell != null
                && cell.state() == Grades.State.SUBMITTED && !cell.excused()).map(Gradebook.Cell::points).toList());
    }

    private Set<String> excused(Collection<UUID> assignmentIds) {
        return assignmentIds.isEmpty() ? Set.of() : new HashSet<>(jdbc.sql("select assignment_id || ' ' || student_id"
                + " from excused where assignment_id in (:ids)").param("ids", assignmentIds).query(String.class)
                .list());
    }

    private Map<UUID, UUID> kinds(Collection<UUID> assignmentIds) {
        Map<UUID, UUID> map = new HashMap<>();
        if (!assignmentIds.isEmpty()) {
            jdbc.sql("select assignment_id, category_id from graded_as where assignment_id in (:ids)")
                    .param("ids", assignmentIds)
                    .query((r, n) -> map.put(r.getObject(1, UUID.class), r.getObject(2, UUID.class))).list();
        }
        return map;
    }

    /**
     * Other categories for a class, and which labs are in which; those that aren't named any more are gone, and their
     * labs are in none.
     *
     * @param labs assignment → category
     */
    @Transactional
    public void weigh(UUID classId, Person teacher, List<Wanted> wanted, Map<UUID, UUID> labs) {
        Classes.ClassInfo c = classes.ownedBy(classId, teacher.id());
        Set<String> names = new HashSet<>();
        Map<UUID, Category> known = new LinkedHashMap<>();
        categories.findByClassIdInOrderByPlace(Set.of(classId)).forEach(k -> known.put(k.id(), k));
        for (Wanted w : wanted) {
            if (!names.add(w.name().strip().toLowerCase())) {
                throw Problems.invalid("name", "Name: there are two categories “" + w.name().strip() + "”.");
            }
            if (!known.containsKey(w.id()) && categories.existsById(w.id())) {
                throw Problems.notFound("category");
            }
        }
        Set<UUID> given = new HashSet<>();
        assignments.ofClasses(Set.of(classId)).forEach(a -> given.add(a.id()));
        Set<UUID> named = new HashSet<>(wanted.stream().map(Wanted::id).toList());
        if (!given.containsAll(labs.keySet()) || !named.containsAll(labs.values())) {
            throw Problems.notFound("lab or category");
        }
        try {
            keep(classId, wanted, known, named);
        } catch (DataIntegrityViolationException e) {
            throw Problems.conflict("changed", "The categories were changed in another tab just now. Open them again.");
        }
        if (!given.isEmpty()) {
            jdbc.sql("delete from graded_as where assignment_id in (:ids)").param("ids", given).update();
        }
        labs.forEach((lab, category) -> jdbc.sql("insert into graded_as (assignment_id, category_id) values (?, ?)")
                .params(lab, category).update());
        acts.keep(teacher, "changed the categories of", c.name());
    }

    private void keep(UUID classId, List<Wanted> wanted, Map<UUID, Category> known, Set<UUID> named) {
        known.values().stream().filter(k -> !named.contains(k.id())).forEach(categories::delete);
        // Names may go round among them: the old ones are let go of before any is taken.
        known.values().forEach(k -> k.set(k.id().toString(), k.weight(), 0));
        categories.flush();
        for (int i = 0; i < wanted.size(); i++) {
            Wanted w = wanted.get(i);
            Category category = known.getOrDefault(w.id(), new Category(w.id(), classId));
            category.set(w.name().strip(), w.weight(), i);
            categories.save(category);
        }
        categories.flush();
    }

    /** A student needn't do a lab, or has to again. */
    @Transactional
    public void excuse(UUID assignmentId, Person teacher, UUID student, boolean excused) {
        Assignments.AssignmentInfo a = assignments.ownedBy(assignmentId, teacher.id());
        if (!a.isFor(student) || !classes.isMember(a.classId(), student)) {
            throw Problems.notFound("student");
        }
        if (excused) {
            jdbc.sql("insert into excused (assignment_id, student_id, excused_by, excused_at) values (?, ?, ?, ?)"
                    + " on conflict do nothing").params(assignmentId, student, teacher.id(),
                    Timestamp.from(clock.instant()))
                    .update();
        } else {
            jdbc.sql("delete from excused where assignment_id = ? and student_id = ?").params(assignmentId, student)
                    .update();
        }
        acts.keep(teacher, (excused ? "excused " : "no longer excused ")
                + accounts.people(Set.of(student)).get(student).displayName() + " from", assignments.sheet(a).title());
    }
}
