package cauldron.server.demo;

import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.classes.Classes;
import cauldron.server.labs.Labs;
import cauldron.server.platform.Person;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The school of Skerry Point: made-up people, loaded once into an empty database. Their readings are
 * honest: recipes are replayed and read with a student's error.
 */
@Component
@ConditionalOnProperty("cauldron.demo")
class DemoSchool {

    static final String SECRET = "lantern-harbour";

    private static final Logger LOG = LoggerFactory.getLogger(DemoSchool.class);

    private static final List<String> TEN = List.of("Aino Brekke", "Bashir Odell", "Calla Munro", "Dag Ferrier",
            "Esi Lund", "Farid Kemp", "Greta Oyelaran", "Hanno Vik", "Imre Saltzman", "Juno Petrie", "Kofi Strand",
            "Lin Aldous", "Marit Quaye", "Nils Ambrose", "Oona Tait", "Pilar Wick", "Quentin Asare", "Runa Holt",
            "Samir Dahl", "Tova Lisle", "Umar Fenn", "Vesna Crowe", "Wim Okafor", "Ximena Rask", "Yusuf Hale",
            "Zofia Marr");
    private static final List<String> ELEVEN = List.of("Arlo Venn", "Benedikta Noor", "Cyril Haas", "Dunya Shore",
            "Eero Pascoe", "Fenna Idris", "Goran Lyle", "Hedda Amin", "Ivo Castell", "Jola Reyes", "Kian Thorsen",
            "Leda Moss");
    private static final List<String> NINE = List.of("Mirko Salt", "Nadia Pike", "Orla Benning", "Piet Hassan",
            "Rosa Eklund", "Sunniva Grey", "Tariq Bell", "Una Corrie");

    private final Accounts accounts;
    private final Classes classes;
    private final Labs labs;
    private final Assignments assignments;
    private final DemoStudent student;
    private final Clock clock;

    DemoSchool(Accounts accounts, Classes classes, Labs labs, Assignments assignments, DemoStudent student,
            Clock clock) {
        this.accounts = accounts;
        this.classes = classes;
        this.labs = labs;
        this.assignments = assignments;
        this.student = student;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Order(0)
    @Transactional
    public void load() {
        if (!accounts.none()) {
            return;
        }
        Person ines = accounts.create("ines", "Ines Halvard", Person.Role.TEACHER, SECRET);
        Person tobiah = accounts.create("tobiah", "Tobiah Marsh", Person.Role.TEACHER, SECRET);
        fill(ines, "Physics 10", "HARK47", TEN, Duration.ofDays(2), DemoStudent.SPREAD);
        fill(ines, "Physics 11", "TERN96", ELEVEN, Duration.ofDays(-3), DemoStudent.FINISHED);
        fill(tobiah, "Science 9", "KEEP34", NINE, Duration.ofDays(6), DemoStudent.BEGINNING);
        LOG.info("The demo school of Skerry Point is loaded");
    }

    private void fill(Person teacher, String name, String code, List<String> names, Duration due, int[] stages) {
        Classes.ClassInfo c = classes.create(teacher.id(), name, code);
        Instant dueAt = clock.instant().plus(due).truncatedTo(java.time.temporal.ChronoUnit.HOURS);
        Assignments.AssignmentInfo given = assignments.give(teacher.id(), c.id(), labs.newest().get(0).id(), dueAt);
        for (int i = 0; i < names.size(); i++) {
            Person person = classes.join(code, names.get(i), SECRET);
            int stage = stages[i % stages.length];
            if (stage > DemoStudent.NOT_STARTED) {
                student.work(given, person, teacher, stage, names.get(i).hashCode());
            }
        }
    }
}
