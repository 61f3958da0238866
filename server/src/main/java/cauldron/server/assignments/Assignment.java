package cauldron.server.assignments;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** A lab given to a class, or tried by a teacher. */
@Entity
class Assignment {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    /** Null where a teacher tries the lab. */
    private UUID classId;
    private UUID labVersionId;
    private Instant openAt;
    private Instant dueAt;
    @Enumerated(EnumType.STRING)
    private Terms.LateRule lateRule;
    private boolean again;
    private Integer tries;
    private boolean together;
    private Instant pointsShownAt;
    private UUID onlyStudent;
    private UUID triedBy;
    private Instant createdAt;
    private Instant removedAt;

    protected Assignment() {
    }

    Assignment(UUID classId, UUID labVersionId, Terms terms, Instant createdAt) {
        this.classId = classId;
        this.labVersionId = labVersionId;
        this.createdAt = createdAt;
        on(terms);
    }

    /** A lab that a teacher tries. */
    static Assignment tried(UUID teacher, UUID labVersionId, Instant now) {
        Assignment own = new Assignment(null, labVersionId, Terms.due(null), now);
        own.triedBy = teacher;
        return own;
    }

    /** The same lab with the same terms in another class, for one student alone. */
    Assignment forOne(UUID otherClass, UUID student, Instant now) {
        Assignment copy = new Assignment(otherClass, labVersionId, terms(), now);
        copy.onlyStudent = student;
        return copy;
    }

    void on(Terms terms) {
        openAt = terms.openAt();
        dueAt = terms.dueAt();
        lateRule = terms.lateRule();
        again = terms.again();
        tries = terms.tries();
        together = terms.together();
    }

    /** Whoever begins from now on begins another version. */
    void begunWith(UUID otherVersion) {
        labVersionId = otherVersion;
    }

    /** Points appear to students from now on; null: no more. */
    void pointsShown(Instant now) {
        pointsShownAt = now;
    }

    void remove(Instant now) {
        removedAt = now;
    }

    private Terms terms() {
        return new Terms(openAt, dueAt, lateRule, again, tries, together);
    }

    Assignments.AssignmentInfo info() {
        return new Assignments.AssignmentInfo(id, classId, labVersionId, terms(), onlyStudent, triedBy, pointsShownAt);
    }
}
