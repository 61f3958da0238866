package cauldron.server.trials;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialRepository extends JpaRepository<Trial, UUID> {

    List<Trial> findByWorkIdInOrderByNumber(Collection<UUID> workIds);

    int countByWorkIdAndBlock(UUID workId, String block);
}
