package cauldron.server.gradebook;

import cauldron.core.marking.Grades;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * The labs of a class and what its students have of them.
 *
 * @param students each with a cell for each lab, in the same order
 */
record Gradebook(UUID id, String name, List<Column> labs, List<Kind> categories, List<Line> students) {

    /** A category. */
    record Kind(UUID id, String name, double weight) {
    }

    /**
     * A lab that was given.
     *
     * @param category null where it is in none
     * @param median   of those who have handed in, in points; null where nobody has, or where one student looks
     */
    record Column(UUID assignmentId, String title, Instant dueAt, double of, UUID category, Double median) {
    }

    /**
     * A student's lab.
     *
     * @param points  null where it wasn't begun, or where points aren't shown to the student who looks
     * @param waiting whether it is handed in and something waits to be marked
     */
    record Cell(UUID workId, Grades.State state, Double points, boolean late, boolean missing, boolean excused,
                boolean waiting) {
    }

    /**
     * A student.
     *
     * @param cells   one is null where the lab isn't for this student
     * @param percent of all that counts; null where nothing does yet
     */
    record Line(UUID id, String name, String userName, List<Cell> cells, Double percent) {
    }
}
