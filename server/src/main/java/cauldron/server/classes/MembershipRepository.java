package cauldron.server.classes;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MembershipRepository extends JpaRepository<Membership, UUID> {

    List<Membership> findByClassIdInAndLeftAtIsNull(Collection<UUID> classIds);

    List<Membership> findByClassIdOrderByJoinedAt(UUID classId);

    List<Membership> findByStudentIdAndLeftAtIsNull(UUID studentId);

    Optional<Membership> findByClassIdAndStudentId(UUID classId, UUID studentId);

    boolean existsByClassIdAndStudentIdAndLeftAtIsNull(UUID classId, UUID studentId);
}
