package cauldron.server.acts;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface ActRepository extends JpaRepository<AuditEntry, UUID> {

    List<AuditEntry> findBySeqLessThanOrderBySeqDesc(long seq, Limit most);
}
