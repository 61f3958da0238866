package cauldron.server.classwork;

import cauldron.core.block.Block;
import cauldron.core.block.Question;
import cauldron.core.marking.HowItWent;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.marking.Marking;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** All work of a class on a lab, and how its questions went. */
@Service
class ClassWorks {

    private final Classes classes;
    private final Assignments assignments;
    private final Marking marking;

    ClassWorks(Classes classes, Assignments assignments, Marking marking) {
        this.classes = classes;
        this.assignments = assignments;
        this.marking = marking;
    }

    /** The works of those who are in the class now. */
    Map<UUID, Assignments.WorkInfo> works(Assignments.AssignmentInfo a) {
        Set<UUID> students = classes.students(Set.of(a.classId())).getOrDefault(a.classId(), Set.of());
        Map<UUID, Assignments.WorkInfo> works = new LinkedHashMap<>();
        assignments.worksOn(Set.of(a.id())).stream().filter(w -> students.contains(w.studentId()))
                .forEach(w -> works.put(w.id(), w));
        return works;
    }

    /** How works of an assignment stand. */
    Map<UUID, Marking.Standing> standings(Assignments.AssignmentInfo a, Map<UUID, Assignments.WorkInfo> works) {
        Map<UUID, Sheet> sheets = new LinkedHashMap<>();
        works.forEach((work, info) -> sheets.put(work, assignments.sheet(a, info)));
        return sheets.isEmpty() ? Map.of() : marking.standings(sheets);
    }

    /** How a question that is checked went. */
    static HowItWent went(Collection<Marking.Standing> stands, String block) {
        return HowItWent.of(stands.stream().map(s -> s.tried().get(block)).filter(Objects::nonNull).map(t -> t.all()
                .stream().map(one -> new HowItWent.Found(one.verdict(), one.feedback())).toList()).toList());
    }

    /** What of a lab's questions to talk about. */
    static List<String> toTalkAbout(Sheet sheet, Collection<Marking.Standing> stands) {
        List<HowItWent.Asked> asked = new ArrayList<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (block.points() > 0 && block instanceof Question && !block.isMarkedByHand()) {
                    asked.add(new HowItWent.Asked(block.prompt(), went(stands, block.id())));
                }
            }
        }
        return HowItWent.toTalkAbout(asked);
    }
}
