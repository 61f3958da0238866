package cauldron.server.classes;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MembershipRepository extends JpaRepository<Membership, UUID> {

    List<Membership> findByClassIdIn(Collection<UUID> classIds);

    List<Membership> findByStudentId(UUID studentId);

    boolean existsByClassIdAndStudentId(UUID classId, UUID studentId);
}
