package cauldron.server.assignments;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A lab given to a class. */
@Entity
class Assignment {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID classId;
    private UUID labVersionId;
    private Instant dueAt;
    @Enumerated(EnumType.STRING)
    private Assignments.LateRule lateRule = Assignments.LateRule.MARKED;
    private UUID onlyStudent;
    private Instant createdAt;
    private Instant removedAt;

    protected Assignment() {
    }

    Assignment(UUID classId, UUID labVersionId, Instant dueAt, Instant createdAt) {
        this.classId = classId;
        this.labVersionId = labVersionId;
        this.dueAt = dueAt;
        this.createdAt = createdAt;
    }

    /** The same lab with the same times in another class, for one student alone. */
    Assignment forOne(UUID otherClass, UUID student, Instant now) {
        Assignment copy = new Assignment(otherClass, labVersionId, dueAt, now);
        copy.lateRule = lateRule;
        copy.onlyStudent = student;
        return copy;
    }

    void due(Instant at, Assignments.LateRule rule) {
        dueAt = at;
        lateRule = rule;
    }

    void remove(Instant now) {
        removedAt = now;
    }

    boolean removed() {
        return removedAt != null;
    }

    Assignments.AssignmentInfo info() {
        return new Assignments.AssignmentInfo(id, classId, labVersionId, dueAt, lateRule, onlyStudent);
    }
}
