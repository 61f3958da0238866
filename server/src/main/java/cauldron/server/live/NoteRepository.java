package cauldron.server.live;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NoteRepository extends JpaRepository<Note, UUID> {

    /** Notes with some works, and those to all who have the labs, oldest first. */
    @Query("select n from Note n where n.workId in :works or n.workId is null and n.assignmentId in :assignments"
            + " order by n.writtenAt, n.id")
    List<Note> of(Collection<UUID> works, Collection<UUID> assignments);

    /** Those to one student. */
    long countByWorkId(UUID workId);

    /** Those to all who have a lab. */
    long countByAssignmentIdAndWorkIdIsNull(UUID assignmentId);
}
