package cauldron.server.labs;

import cauldron.core.sheet.Sheet;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeping one's own labs: in folders, on the shelf of the school, as files for another Cauldron, or no more. */
@Service
public class OwnLabs {

    /** A lab on the shelf; {@code own} where the one who looks put it there. */
    public record OnShelf(UUID id, Sheet sheet, UUID owner, boolean own) {
    }

    /** A lab as a file. */
    public record Packed(String title, byte[] zip) {
    }

    /** As many as a page can show; the newest come first. */
    private static final int MOST_SHARED = 300;

    private final LabRepository labs;
    private final Labs given;
    private final Drafts drafts;
    private final Pictures pictures;
    private final JsonMapper json;
    private final Clock clock;

    OwnLabs(LabRepository labs, Labs given, Drafts drafts, Pictures pictures, JsonMapper json, Clock clock) {
        this.labs = labs;
        this.given = given;
        this.drafts = drafts;
        this.pictures = pictures;
        this.json = json;
        this.clock = clock;
    }

    /** Lays a lab into a folder; an empty name takes it out of all. */
    @Transactional
    public void file(UUID labId, Person teacher, String folder) {
        drafts.hold(labId, teacher).fileUnder(folder.strip());
    }

    /** Puts a lab on the shelf of the school, or takes it down. What colleagues copied stays theirs. */
    @Transactional
    public void shelve(UUID labId, Person teacher, boolean shared) {
        Lab lab = drafts.hold(labId, teacher);
        if (shared) {
            // Only what can be given can be shared.
            given.newest(labId, teacher.id());
        }
        lab.share(shared ? clock.instant() : null);
    }

    /** Takes a lab away. Classes that were given it keep it. */
    @Transactional
    public void remove(UUID labId, Person teacher) {
        drafts.hold(labId, teacher).remove(clock.instant());
    }

    /** What teachers of this school put on the shelf, the newest first. */
    @Transactional(readOnly = true)
    public List<OnShelf> shelf(Person teacher) {
        Map<UUID, UUID> owners = new LinkedHashMap<>();
        labs.shared(MOST_SHARED).forEach(l -> owners.put(l.id(), l.ownerId()));
        Map<UUID, Labs.LabInfo> newest = given.newest(owners.keySet());
        return owners.entrySet().stream().filter(o -> newest.containsKey(o.getKey())).map(o -> new OnShelf(o.getKey(),
                newest.get(o.getKey()).sheet(), o.getValue(), o.getValue().equals(teacher.id()))).toList();
    }

    /** The newest version of a lab that one may read, as a file. */
    @Transactional(readOnly = true)
    public Packed pack(UUID labId, Person teacher) {
        return packed(given.newest(labId, teacher.id()).sheet().toTree());
    }

    /** A lab of one's own as it is written now, as a file. */
    @Transactional(readOnly = true)
    public Packed packWritten(UUID labId, Person teacher) {
        Map<String, Object> tree = drafts.open(labId, teacher).sheet();
        try {
            // In the order in which sheets are declared; what is hidden goes along as it is written.
            return packed(Hidden.without(tree).equals(tree) ? Sheet.fromTree(tree).toTree() : tree);
        } catch (IllegalArgumentException e) {
            return packed(tree);
        }
    }

    private Packed packed(Map<String, Object> tree) {
        return new Packed(tree.get("title") instanceof String title && !title.isBlank() ? title : "lab",
                LabFile.write(tree, pictures.of(tree), json));
    }

    /** Takes in a lab from a file, with its pictures; what is wrong in its sheet is told where it is written on. */
    @Transactional
    public UUID unpack(byte[] file, Person teacher) {
        LabFile brought = LabFile.read(file, json);
        Map<String, String> names = new LinkedHashMap<>();
        brought.pictures().forEach((name, bytes) -> names.put(name, pictures.keep(bytes, teacher)));
        return drafts.begun(renamed(brought.sheet(), names), teacher);
    }

    /** The sheet, speaking of its pictures by the names under which they are kept here. */
    @SuppressWarnings("unchecked")
    private static <T> T renamed(T value, Map<String, String> names) {
        if (value instanceof Map<?, ?> map) {
            Map<Object, Object> next = new LinkedHashMap<>();
            map.forEach((k, v) -> next.put(k, renamed(v, names)));
            return (T) next;
        }
        if (value instanceof List<?> list) {
            return (T) list.stream().map(v -> renamed(v, names)).toList();
        }
        if (value instanceof String text && text.contains(Pictures.SCHEME)) {
            String next = text;
            for (Map.Entry<String, String> name : names.entrySet()) {
                next = next.replace(Pictures.SCHEME + name.getKey(), Pictures.SCHEME + name.getValue());
            }
            return (T) next;
        }
        return value;
    }
}
