package cauldron.server.assignments;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AssignmentRepository extends JpaRepository<Assignment, UUID> {

    List<Assignment> findByClassIdInAndRemovedAtIsNullOrderByCreatedAtDesc(Collection<UUID> classIds);

    Optional<Assignment> findByIdAndRemovedAtIsNull(UUID id);
}
