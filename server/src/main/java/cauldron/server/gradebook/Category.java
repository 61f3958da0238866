package cauldron.server.gradebook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/**
 * A kind of labs of a class, weighed against the others. Its id is the page's, so that labs can be put into a new
 * one.
 */
@Entity
class Category {

    @Id
    private UUID id;
    private UUID classId;
    private String name;
    private double weight;
    private int place;

    protected Category() {
    }

    Category(UUID id, UUID classId) {
        this.id = id;
        this.classId = classId;
    }

    void set(String newName, double newWeight, int newPlace) {
        name = newName;
        weight = newWeight;
        place = newPlace;
    }

    UUID id() {
        return id;
    }

    UUID classId() {
        return classId;
    }

    String name() {
        return name;
    }

    double weight() {
        return weight;
    }
}
