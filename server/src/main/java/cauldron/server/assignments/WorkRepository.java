package cauldron.server.assignments;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface WorkRepository extends JpaRepository<Work, UUID> {

    Optional<Work> findByAssignmentIdAndStudentId(UUID assignmentId, UUID studentId);

    /** Holds a work until the transaction ends, before anything else of it is read. */
    @Query(nativeQuery = true, value = "select id from work where id = :id for no key update")
    Optional<UUID> hold(UUID id);

    List<Work> findByAssignmentIdIn(Collection<UUID> assignmentIds);

    List<Work> findByStudentId(UUID studentId);

    @Modifying
    @Query(nativeQuery = true, value = "update work set sealed = sealed || to_jsonb(cast(:block as text)) where id = :id")
    void seal(UUID id, String block);
}
