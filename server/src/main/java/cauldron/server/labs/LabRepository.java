package cauldron.server.labs;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LabRepository extends JpaRepository<Lab, UUID> {

    Optional<Lab> findBySlug(String slug);
}
