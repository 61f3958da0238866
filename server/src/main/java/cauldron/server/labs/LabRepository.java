package cauldron.server.labs;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface LabRepository extends JpaRepository<Lab, UUID> {

    Optional<Lab> findBySlug(String slug);

    long countByOwnerIdAndRemovedAtNull(UUID ownerId);

    @Query("select l from Lab l where l.sharedAt is not null and l.removedAt is null order by l.sharedAt desc limit ?1")
    List<Lab> shared(int most);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Lab l where l.id = ?1")
    Optional<Lab> hold(UUID id);
}
