package cauldron.server.assignments;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface WorkRepository extends JpaRepository<Work, UUID> {

    Optional<Work> findByAssignmentIdAndStudentId(UUID assignmentId, UUID studentId);

    List<Work> findByAssignmentIdIn(Collection<UUID> assignmentIds);

    List<Work> findByStudentId(UUID studentId);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select w from Work w where w.id = :id")
    Optional<Work> lock(UUID id);
}
