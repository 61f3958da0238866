package cauldron.server.demo;

import cauldron.server.accounts.Accounts;
import cauldron.server.assignments.Assignments;
import cauldron.server.assignments.Terms;
import cauldron.server.classes.Classes;
import cauldron.server.labs.Labs;
import cauldron.server.platform.Person;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
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
    private final EntityManager entities;
    private final Clock clock;

    DemoSchool(Accounts accounts, Classes classes, Labs labs, Assignments assignments, DemoStudent student,
            EntityManager entities, Clock clock) {
        this.accounts = accounts;
        this.classes = classes;
        this.labs = labs;
        this.assignments = assignments;
        this.student = student;
        this.entities = entities;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Order(0)
    @Transactional
    public void load() {
        if (!accounts.none()) {
            return;
        }
        // One hash for all of them: hashing is slow on purpose, and this secret is no secret.
        String hash = accounts.hash(SECRET);
        accounts.create("sigrun", "Sigrun Aldous", Person.Role.ADMINISTRATOR, hash);
        Person ines = accounts.create("ines", "Ines Halvard", Person.Role.TEACHER, hash);
        Person tobiah = accounts.create("tobiah", "Tobiah Marsh", Person.Role.TEACHER, hash);
        Classes.ClassInfo ten = classes.create(ines.id(), "Physics 10", "HARK47");
        Classes.ClassInfo eleven = classes.create(ines.id(), "Physics 11", "TERN96");
        Classes.ClassInfo nine = classes.create(tobiah.id(), "Science 9", "KEEP34");
        List<Person> tens = join("HARK47", TEN, hash);
        List<Person> elevens = join("TERN96", ELEVEN, hash);
        List<Person> nines = join("KEEP34", NINE, hash);
        // What is given last stands first in a class.
        give(ines, ten, tens, new DemoGas(), Duration.ofDays(9), DemoStudent.IN_THE_FOG);
        give(ines, ten, tens, new DemoBuffer(), Duration.ofDays(6), DemoStudent.AT_THE_PRESS);
        give(ines, ten, tens, new DemoClock(), Duration.ofDays(2), DemoStudent.SPREAD);
        give(ines, eleven, elevens, new DemoTrolley(), Duration.ofDays(23), DemoStudent.ON_THE_SLIP);
        give(ines, eleven, elevens, new DemoShaft(), Duration.ofDays(20), DemoStudent.IN_THE_SHAFT);
        give(ines, eleven, elevens, new DemoCrash(), Duration.ofDays(17), DemoStudent.IN_THE_SHOP);
        give(ines, eleven, elevens, new DemoRail(), Duration.ofDays(14), DemoStudent.ON_THE_RAIL);
        give(ines, eleven, elevens, new DemoGlider(), Duration.ofDays(11), DemoStudent.UNDER_WAY);
        give(ines, eleven, elevens, new DemoSpring(), Duration.ofDays(4), DemoStudent.UNDER_WAY);
        give(ines, eleven, elevens, new DemoClock(), Duration.ofDays(-3), DemoStudent.FINISHED);
        give(tobiah, nine, nines, new DemoProton(), Duration.ofDays(33), DemoStudent.AT_THE_RELAY);
        give(tobiah, nine, nines, new DemoBrass(), Duration.ofDays(30), DemoStudent.AT_THE_TABLE);
        give(tobiah, nine, nines, new DemoBothWays(), Duration.ofDays(27), DemoStudent.AT_THE_LOFT);
        give(tobiah, nine, nines, new DemoCupboard(), Duration.ofDays(24), DemoStudent.AT_THE_CUPBOARD);
        give(tobiah, nine, nines, new DemoBridge(), Duration.ofDays(21), DemoStudent.IN_THE_FUEL_STORE);
        give(tobiah, nine, nines, new DemoTanks(), Duration.ofDays(18), DemoStudent.IN_THE_BOATHOUSE);
        give(tobiah, nine, nines, new DemoShot(), Duration.ofDays(15), DemoStudent.OVER_THE_WATER);
        give(tobiah, nine, nines, new DemoWatch(), Duration.ofDays(12), DemoStudent.ON_THE_WATCH);
        give(tobiah, nine, nines, new DemoTower(), Duration.ofDays(8), DemoStudent.IN_THE_TOWER);
        give(tobiah, nine, nines, new DemoClock(), Duration.ofDays(6), DemoStudent.BEGINNING);
        LOG.info("The demo school of Skerry Point is loaded");
    }

    private List<Person> join(String code, List<String> names, String hash) {
        return names.stream().map(name -> classes.join(code, name, hash)).toList();
    }

    private void give(Person teacher, Classes.ClassInfo to, List<Person> students, DemoScript script, Duration due,
            int[] stages) {
        Instant dueAt = clock.instant().plus(due).truncatedTo(ChronoUnit.HOURS);
        Assignments.AssignmentInfo given = assignments.give(teacher.id(), to.id(), labs.shipped(script.slug()).id(),
                Terms.due(dueAt));
        for (int i = 0; i < students.size(); i++) {
            int stage = stages[i % stages.length];
            if (stage > DemoStudent.NOT_STARTED) {
                student.work(given, script, students.get(i), teacher, stage,
                        students.get(i).displayName().hashCode());
                // Else every question to the database looks through all that came before.
                entities.flush();
                entities.clear();
            }
        }
    }
}
