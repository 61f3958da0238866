package cauldron.server.assignments;

import cauldron.server.labs.Drafts;
import cauldron.server.labs.Labs;
import cauldron.server.platform.Person;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Labs tried by the teachers who write or give them: worked through as a student would, hand-in included. A try is of
 * no class, so no list of a class, no marks and no pool can hold it; one that is begun anew takes the one before with
 * it.
 */
@Service
public class Trying {

    private static final String OF_LAB = " from assignment a join lab_version v on v.id = a.lab_version_id"
            + " where v.lab_id = :lab and a.tried_by = :teacher";

    private final Assignments assignments;
    private final Drafts drafts;
    private final Labs labs;
    private final JdbcClient jdbc;

    Trying(Assignments assignments, Drafts drafts, Labs labs, JdbcClient jdbc) {
        this.assignments = assignments;
        this.drafts = drafts;
        this.labs = labs;
        this.jdbc = jdbc;
    }

    /**
     * Begins a try, with other personal values each time.
     *
     * @param asWritten the newest state of a lab of one's own; else the newest version of any lab one may read
     */
    @Transactional
    public UUID begin(UUID labId, Person teacher, boolean asWritten) {
        if (asWritten) {
            drafts.hold(labId, teacher);
        }
        jdbc.sql("delete from work where assignment_id in (select a.id" + OF_LAB + ")")
                .param("lab", labId).param("teacher", teacher.id()).update();
        jdbc.sql("delete from assignment where id in (select a.id" + OF_LAB + ")")
                .param("lab", labId).param("teacher", teacher.id()).update();
        UUID version = asWritten ? drafts.toTry(labId, teacher) : labs.newest(labId, teacher.id()).versionId();
        return assignments.tryOut(teacher.id(), version).id();
    }

    /** The lab that is tried, or null where the work is a student's. */
    @Transactional(readOnly = true)
    public UUID labOf(Assignments.Opened opened) {
        return opened.assignment().triedBy() == null ? null : labs.labOf(opened.work().labVersionId());
    }
}
