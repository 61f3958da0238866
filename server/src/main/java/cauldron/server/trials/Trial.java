package cauldron.server.trials;

import cauldron.core.apparatus.Recipe;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A trial: what was chosen, and the recipe that was made of it. The recipe never leaves the server. */
@Entity
class Trial {

    @Id
    private UUID id;
    private UUID workId;
    private String block;
    private int number;
    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, Object> chosen;
    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, Object> recipe;
    private Instant createdAt;

    protected Trial() {
    }

    Trial(UUID id, UUID workId, String block, int number, Map<String, Object> chosen, Recipe recipe,
            Instant createdAt) {
        this.id = id;
        this.workId = workId;
        this.block = block;
        this.number = number;
        this.chosen = chosen;
        this.recipe = recipe.toTree();
        this.createdAt = createdAt;
    }

    UUID workId() {
        return workId;
    }

    String block() {
        return block;
    }

    Recipe recipe() {
        return Recipe.fromTree(recipe);
    }

    Trials.TrialInfo info() {
        return new Trials.TrialInfo(id, workId, block, number, chosen);
    }
}
