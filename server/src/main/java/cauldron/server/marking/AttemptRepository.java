package cauldron.server.marking;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AttemptRepository extends JpaRepository<Attempt, UUID> {

    List<Attempt> findByWorkIdInOrderByMadeAt(Collection<UUID> workIds);
}
