package cauldron.server.marking;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OpeningRepository extends JpaRepository<Opening, UUID> {

    List<Opening> findByWorkIdIn(Collection<UUID> workIds);
}
