package cauldron.core.sheet;

import cauldron.core.block.Block;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Question;
import cauldron.core.form.Fault;
import cauldron.core.form.Where;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A lab: a sheet of parts in the order in which they are worked through. A part that holds a prediction
 * must be sealed before the next one opens.
 *
 * @param minutes  how long it takes
 * @param category practice, formative or graded
 */
public record Sheet(String title, String summary, int minutes, String apparatus, String category, Scheme scheme,
        List<Part> parts)
        implements Neighbours {

    /** The version in which sheets are written now. */
    public static final int VERSION = 2;
    private static final SheetForm FORM = new SheetForm();

    /** A stage of the work; {@code kind} is aim, predict, measure, analyse or explain. */
    public record Part(String id, String kind, String title, List<Block> blocks) {
    }

    /**
     * Reads and checks a sheet of any version.
     *
     * @throws SheetException telling all that is wrong, each with its place
     */
    public static Sheet fromTree(Map<String, Object> tree) {
        Where at = Where.strict();
        Map<String, Object> now = SheetMigrations.toNow(tree);
        Sheet sheet = FORM.read(now, at);
        if (sheet == null) {
            Where among = Where.strict();
            Among.checkReadable(now, among);
            List<Fault> all = new ArrayList<>(at.faults());
            among.faults().stream().filter(f -> !all.contains(f)).forEach(all::add);
            throw new SheetException(all);
        }
        return sheet;
    }

    /** How sheets are declared. */
    public static SheetForm form() {
        return FORM;
    }

    @Override
    public Block block(String id) {
        for (Part part : parts) {
            for (Block block : part.blocks()) {
                if (block.id().equals(id)) {
                    return block;
                }
            }
        }
        return null;
    }

    /** All blocks of a kind, in the order in which students come to them. */
    public <B extends Block> List<B> blocks(Class<B> kind) {
        return parts.stream().flatMap(p -> p.blocks().stream()).filter(kind::isInstance).map(kind::cast).toList();
    }

    /** A way to work: recordings that are measured, or an apparatus that is set and run. */
    public enum Way { RECORDINGS, BENCH }

    /** How students work in it, in the order in which they come to it. */
    public List<Way> ways() {
        List<Way> found = new ArrayList<>();
        for (Part part : parts) {
            for (Block block : part.blocks()) {
                Way way = block.type().equals("films") ? Way.RECORDINGS : block.type().equals("bench") ? Way.BENCH : null;
                if (way != null && !found.contains(way)) {
                    found.add(way);
                }
            }
        }
        return found;
    }

    /** The same lab, but so many tries at each question bring points. */
    public Sheet withTries(int tries) {
        return new Sheet(title, summary, minutes, apparatus, category, scheme, parts.stream().map(p -> new Part(p.id(),
                p.kind(), p.title(),
                p.blocks().stream().map(b -> b instanceof Question q ? q.withTries(tries) : b).toList())).toList());
    }

    /** All points of the lab. */
    public double points() {
        double sum = 0;
        for (Part part : parts) {
            for (Block block : part.blocks()) {
                sum += block.points();
            }
        }
        return sum;
    }

    /** As it is stored, in the version of now. */
    public Map<String, Object> toTree() {
        return FORM.write(this);
    }

    /** What a student's browser gets, without key and hidden values. */
    public Map<String, Object> forStudent() {
        return FORM.show(this);
    }
}
