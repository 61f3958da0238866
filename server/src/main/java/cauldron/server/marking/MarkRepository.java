package cauldron.server.marking;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MarkRepository extends JpaRepository<Mark, UUID> {

    List<Mark> findByWorkIdInOrderByMarkedAt(Collection<UUID> workIds);
}
