package cauldron.server.marking;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.UuidGenerator;

/** One try at a numeric question, and what was found. Never changed. */
@Entity
class Attempt {

    @Id
    @UuidGenerator(style = UuidGenerator.Style.VERSION_7)
    private UUID id;
    private UUID workId;
    private String block;
    private String number;
    private String unit;
    private String verdict;
    private String feedback;
    private double points;
    private Instant madeAt;

    protected Attempt() {
    }

    Attempt(UUID workId, String block, String number, String unit, String verdict, String feedback, double points,
            Instant madeAt) {
        this.workId = workId;
        this.block = block;
        this.number = number;
        this.unit = unit;
        this.verdict = verdict;
        this.feedback = feedback;
        this.points = points;
        this.madeAt = madeAt;
    }

    UUID workId() {
        return workId;
    }

    String block() {
        return block;
    }

    String number() {
        return number;
    }

    String unit() {
        return unit;
    }

    String verdict() {
        return verdict;
    }

    String feedback() {
        return feedback;
    }

    double points() {
        return points;
    }

    Instant madeAt() {
        return madeAt;
    }
}
