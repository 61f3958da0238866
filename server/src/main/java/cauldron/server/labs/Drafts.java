package cauldron.server.labs;

import cauldron.core.apparatus.Manifest;
import cauldron.core.block.Block;
import cauldron.core.block.text.TextBlock;
import cauldron.core.form.Fault;
import cauldron.core.form.Oddities;
import cauldron.core.inventory.Inventory;
import cauldron.core.sheet.Sheet;
import cauldron.core.sheet.SheetException;
import cauldron.core.sheet.Skeleton;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Labs as their teachers write them: copied, changed with all states kept, and made a version once nothing is wrong. */
@Service
public class Drafts {

    /** How many states of a lab are kept; the oldest are forgotten. */
    static final int MOST_STATES = 200;
    private static final int MOST_LABS = 500;
    private static final int LONGEST_TITLE = 200;

    /** One of a teacher's own labs. */
    public record Own(UUID id, String title, Instant changedAt, int version, String folder, boolean shared) {
    }

    /**
     * A lab being written.
     *
     * @param number  of its newest state
     * @param version of the newest that can be given; 0 where there is none
     * @param changed whether the newest state differs from that version
     * @param sheet   as it was written, with all its faults
     * @param models  what has changed in its apparatus since that version, in words
     * @param faults  all that is wrong, each with its place
     * @param shown   as a student would see it; null where something is wrong
     */
    public record Open(int number, int version, boolean changed, Map<String, Object> sheet, List<String> models,
                       List<Fault> faults, Map<String, Object> shown) {
    }

    private final LabRepository labs;
    private final LabVersionRepository versions;
    private final DraftRepository drafts;
    private final Pictures pictures;
    private final Clock clock;

    Drafts(LabRepository labs, LabVersionRepository versions, DraftRepository drafts, Pictures pictures, Clock clock) {
        this.labs = labs;
        this.versions = versions;
        this.drafts = drafts;
        this.pictures = pictures;
        this.clock = clock;
    }

    /** Begins a lab of one's own as a copy of one that one may read. */
    @Transactional
    public UUID copy(UUID labId, Person teacher) {
        Lab from = labs.findById(labId).filter(l -> l.isReadableBy(teacher.id())).orElseThrow(() -> Problems.notFound("lab"));
        // A colleague's lab is copied as it was shared, not as it is being written.
        Map<String, Object> sheet = new LinkedHashMap<>(drafts.findFirstByLabIdOrderByNumberDesc(labId)
                .filter(d -> from.isOf(teacher.id())).map(Draft::sheet)
                .orElseGet(() -> versions.findFirstByLabIdAndNumberNotNullOrderByNumberDesc(labId)
                        .map(LabVersion::sheet)
                        .orElseThrow(() -> Problems.notFound("lab"))));
        String title = sheet.get("title") instanceof String t ? t : "lab";
        String copied = "Copy of " + title;
        sheet.put("title", copied.substring(0, Math.min(LONGEST_TITLE, copied.length())));
        return begun(sheet, teacher);
    }

    /** Begins a lab of one's own with an apparatus, from what every lab has. */
    @Transactional
    public UUID begin(String apparatus, Person teacher) {
        Manifest manifest;
        try {
            manifest = Inventory.get(apparatus).manifest();
        } catch (IllegalArgumentException e) {
            throw Problems.invalid("apparatus", e.getMessage() + ".");
        }
        return begun(Skeleton.of(manifest), teacher);
    }

    /** Begins a lab of one's own with a sheet. */
    UUID begun(Map<String, Object> sheet, Person teacher) {
        if (labs.countByOwnerIdAndRemovedAtNull(teacher.id()) >= MOST_LABS) {
            throw Problems.conflict("too-many", "You have " + MOST_LABS + " labs of your own, which is as many as can be kept.");
        }
        Lab own = labs.save(new Lab(teacher.id(), clock.instant()));
        drafts.save(new Draft(own.id(), 1, sheet, clock.instant()));
        return own.id();
    }

    /** A teacher's own labs, the one changed last first. */
    @Transactional(readOnly = true)
    public List<Own> own(Person teacher) {
        return drafts.ofOwner(teacher.id()).stream().map(l -> new Own(l.getId(), l.getTitle() == null || l.getTitle().isBlank()
                ? "Without a title" : l.getTitle(), l.getChanged(), l.getVersion(), l.getFolder(), l.getShared()))
                        .toList();
    }

    /** A lab of one's own, to go on writing. */
    @Transactional(readOnly = true)
    public Open open(UUID labId, Person teacher) {
        return opened(mine(labId, teacher), newest(labId));
    }

    /**
     * Keeps a further state.
     *
     * @param seen the number of the state that was changed; another one since then is told, and nothing is overwritten
     */
    @Transactional
    public Open save(UUID labId, Person teacher, Map<String, Object> sheet, int seen) {
        UUID lab = held(labId, teacher);
        String odd = Oddities.of(sheet);
        if (odd != null) {
            throw Problems.invalid("sheet", "This can't be kept: " + odd + ".");
        }
        Draft last = newest(lab);
        if (last.number() != seen) {
            throw Problems.conflict("changed-elsewhere", "This lab was changed in another window since you opened it here. "
                    + "Open it anew to go on from there; what you see here stays until then.");
        }
        return opened(lab, keep(lab, last, sheet));
    }

    /** When its states were kept, the newest first. */
    @Transactional(readOnly = true)
    public List<DraftRepository.State> states(UUID labId, Person teacher) {
        return drafts.states(mine(labId, teacher));
    }

    /** Goes back to a state: it becomes a further one, so that this can be gone back on as well. */
    @Transactional
    public Open back(UUID labId, Person teacher, int number) {
        UUID lab = held(labId, teacher);
        Draft then = drafts.findByLabIdAndNumber(lab, number).orElseThrow(() -> Problems.notFound("state"));
        return opened(lab, keep(lab, newest(lab), then.sheet()));
    }

    /** The newest state as a sheet; 409 where something is wrong in it. */
    @Transactional(readOnly = true)
    public Sheet sound(UUID labId, Person teacher) {
        Draft draft = newest(mine(labId, teacher));
        requireSound(opened(labId, draft));
        return Sheet.fromTree(Hidden.without(draft.sheet()));
    }

    /** Makes the newest state a version that can be given to classes. Those at work keep theirs. */
    @Transactional
    public Open publish(UUID labId, Person teacher) {
        UUID lab = held(labId, teacher);
        Draft draft = newest(lab);
        Open now = opened(lab, draft);
        requireSound(now);
        if (now.changed()) {
            versions.save(version(lab, now.version() + 1, draft));
        }
        return opened(lab, draft);
    }

    /** Holds a lab of one's own until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Lab hold(UUID labId, Person teacher) {
        return labs.hold(labId).filter(l -> l.isOf(teacher.id())).orElseThrow(() -> Problems.notFound("lab"));
    }

    /** The newest state as a version to be tried, not to be given; what was tried before is forgotten. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID toTry(UUID labId, Person teacher) {
        UUID lab = held(labId, teacher);
        Draft draft = newest(lab);
        Open now = opened(lab, draft);
        requireSound(now);
        versions.deleteByLabIdAndNumberNull(lab);
        return now.changed() ? versions.save(version(lab, null, draft)).id()
                : versions.findFirstByLabIdAndNumberNotNullOrderByNumberDesc(lab).orElseThrow().id();
    }

    private LabVersion version(UUID lab, Integer number, Draft draft) {
        Map<String, Object> tree = Hidden.without(draft.sheet());
        return new LabVersion(lab, number, tree, Models.of(Sheet.fromTree(tree)), clock.instant());
    }

    private static void requireSound(Open now) {
        if (!now.faults().isEmpty()) {
            throw Problems.conflict("faults", "Something is wrong in this lab yet: " + now.faults().get(0).text()
                    + ".");
        }
    }

    private Draft keep(UUID lab, Draft last, Map<String, Object> sheet) {
        if (sheet.equals(last.sheet())) {
            return last;
        }
        drafts.forget(lab, last.number() + 1 - MOST_STATES);
        return drafts.save(new Draft(lab, last.number() + 1, sheet, clock.instant()));
    }

    private Open opened(UUID lab, Draft draft) {
        LabVersion given = versions.findFirstByLabIdAndNumberNotNullOrderByNumberDesc(lab).orElse(null);
        boolean changed = given == null || !given.sheet().equals(Hidden.without(draft.sheet()));
        int version = given == null ? 0 : given.number();
        Map<String, Object> shown = null;
        List<String> models = List.of();
        List<Fault> faults = new ArrayList<>();
        try {
            Sheet sheet = Sheet.fromTree(Hidden.without(draft.sheet()));
            faults.addAll(missingPictures(sheet));
            models = given == null ? models : Models.changed(given.models(), sheet);
            shown = faults.isEmpty() ? Shown.toStudents(sheet) : null;
        } catch (SheetException e) {
            faults.addAll(e.faults());
        } catch (IllegalArgumentException e) {
            // What isn't even of the shape that migrations can look into.
            faults.add(new Fault("", e.getMessage()));
        }
        return new Open(draft.number(), version, changed || !models.isEmpty(), draft.sheet(), models, faults, shown);
    }

    /** Pictures of which texts speak and that aren't here, each where it is spoken of. */
    private List<Fault> missingPictures(Sheet sheet) {
        List<Fault> faults = new ArrayList<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (block instanceof TextBlock text && !pictures.missing(Pictures.spokenOf(text.markdown()))
                        .isEmpty()) {
                    faults.add(new Fault("part " + part.id() + ", block " + block.id(),
                            "a picture of which it speaks isn't here"));
                }
            }
        }
        return faults;
    }

    private Draft newest(UUID lab) {
        return drafts.findFirstByLabIdOrderByNumberDesc(lab).orElseThrow(() -> Problems.notFound("lab"));
    }

    private UUID mine(UUID labId, Person teacher) {
        return labs.findById(labId).filter(l -> l.isOf(teacher.id())).map(Lab::id)
                .orElseThrow(() -> Problems.notFound("lab"));
    }

    /** The same, held so that two windows don't keep a state at once. */
    private UUID held(UUID labId, Person teacher) {
        return hold(labId, teacher).id();
    }
}
