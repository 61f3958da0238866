package cauldron.server.live;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HelpCallRepository extends JpaRepository<HelpCall, UUID> {

    /** Those that stand. */
    List<HelpCall> findByWorkIdInAndEndedAtIsNull(Collection<UUID> workIds);

    long countByWorkId(UUID workId);
}
