package cauldron.server.assignments;

import jakarta.persistence.EntityManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Holds a work until the transaction ends. Whatever changes a work holds it first: seals, handing in and the due time
 * are read from the very row that is held, never from before the wait. Every entry that is kept asks for this, so it
 * goes past Hibernate, in the same transaction.
 */
@Component
class WorkLock {

    private static final String HOLD = """
            select w.assignment_id, w.student_id, w.lab_version_id, w.seed, w.started_at, w.submitted_at,
              w.first_submitted_at, w.reopened_at, w.sealed, a.class_id, a.lab_version_id as now_given, a.open_at,
              case when a.due_at is null then null else greatest(a.due_at, e.due_at) end as due_at,
              a.late_rule, a.again, a.tries, a.together, a.points_shown_at, a.tried_by,
              c.archived_at is not null as archived
            from work w join assignment a on a.id = w.assignment_id
              left join extension e on e.assignment_id = a.id and e.student_id = w.student_id
              left join school_class c on c.id = a.class_id
              left join membership m on m.class_id = c.id and m.student_id = w.student_id and m.left_at is null
            where w.id = ? and w.student_id = ? and a.removed_at is null
              and (m.id is not null or a.tried_by = w.student_id)
            for no key update of w""";

    /**
     * A held work, with all that says whether it may be changed.
     *
     * @param sealed a JSON list of block ids
     */
    record Row(Assignments.WorkInfo work, Assignments.AssignmentInfo assignment, String sealed, boolean archived) {
    }

    private final JdbcClient jdbc;
    private final EntityManager entities;

    WorkLock(JdbcClient jdbc, EntityManager entities) {
        this.jdbc = jdbc;
        this.entities = entities;
    }

    /** The row, or nothing where the student has no such work. */
    Optional<Row> hold(UUID workId, UUID student) {
        // What this transaction changed through Hibernate must be in the database before it is read past it.
        entities.flush();
        return jdbc.sql(HOLD).param(workId).param(student).query((r, n) -> row(workId, r)).optional();
    }

    private static Row row(UUID workId, ResultSet r) throws SQLException {
        UUID assignment = r.getObject("assignment_id", UUID.class);
        return new Row(
                new Assignments.WorkInfo(workId, assignment, r.getObject("student_id", UUID.class),
                        r.getObject("lab_version_id", UUID.class), r.getInt("seed"), instant(r, "started_at"),
                        instant(r, "submitted_at"), instant(r, "first_submitted_at"), instant(r, "reopened_at")),
                new Assignments.AssignmentInfo(assignment, r.getObject("class_id", UUID.class),
                        r.getObject("now_given", UUID.class), terms(r), null, r.getObject("tried_by", UUID.class),
                        instant(r, "points_shown_at")),
                r.getString("sealed"), r.getBoolean("archived"));
    }

    private static Terms terms(ResultSet r) throws SQLException {
        return new Terms(instant(r, "open_at"), instant(r, "due_at"), Terms.LateRule.valueOf(r.getString("late_rule")),
                r.getBoolean("again"), r.getObject("tries", Integer.class), r.getBoolean("together"));
    }

    private static Instant instant(ResultSet r, String column) throws SQLException {
        Timestamp time = r.getTimestamp(column);
        return time == null ? null : time.toInstant();
    }
}
