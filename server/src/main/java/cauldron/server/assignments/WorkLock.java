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
            select w.assignment_id, w.student_id, w.seed, w.started_at, w.submitted_at, w.first_submitted_at,
              w.reopened_at, w.sealed, a.class_id, a.lab_version_id, a.due_at, a.late_rule,
              c.archived_at is not null as archived
            from work w join assignment a on a.id = w.assignment_id join school_class c on c.id = a.class_id
              join membership m on m.class_id = c.id and m.student_id = w.student_id
            where w.id = ? and w.student_id = ? and m.left_at is null and a.removed_at is null
            for no key update of w""";

    /**
     * A held work, with all that says whether it may be changed.
     *
     * @param sealed a JSON list of block ids
     */
    record Row(Assignments.WorkInfo work, Assignments.AssignmentInfo assignment, Instant submittedAt, String sealed,
               boolean archived) {
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
                new Assignments.WorkInfo(workId, assignment, r.getObject("student_id", UUID.class), r.getInt("seed"),
                        instant(r, "started_at"), null, instant(r, "first_submitted_at"), instant(r, "reopened_at")),
                new Assignments.AssignmentInfo(assignment, r.getObject("class_id", UUID.class),
                        r.getObject("lab_version_id", UUID.class), instant(r, "due_at"),
                        Assignments.LateRule.valueOf(r.getString("late_rule")), null),
                instant(r, "submitted_at"), r.getString("sealed"), r.getBoolean("archived"));
    }

    private static Instant instant(ResultSet r, String column) throws SQLException {
        Timestamp time = r.getTimestamp(column);
        return time == null ? null : time.toInstant();
    }
}
