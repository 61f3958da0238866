package cauldron.server.assignments;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ExtensionRepository extends JpaRepository<Extension, UUID> {

    Optional<Extension> findByAssignmentIdAndStudentId(UUID assignmentId, UUID studentId);

    List<Extension> findByAssignmentIdIn(Collection<UUID> assignmentIds);

    List<Extension> findByAssignmentIdInAndStudentId(Collection<UUID> assignmentIds, UUID studentId);
}
