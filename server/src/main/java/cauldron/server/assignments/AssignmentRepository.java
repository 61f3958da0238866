package cauldron.server.assignments;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AssignmentRepository extends JpaRepository<Assignment, UUID> {

    List<Assignment> findByClassIdInOrderByCreatedAtDesc(Collection<UUID> classIds);
}
