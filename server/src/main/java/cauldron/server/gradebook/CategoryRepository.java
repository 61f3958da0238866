package cauldron.server.gradebook;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CategoryRepository extends JpaRepository<Category, UUID> {

    List<Category> findByClassIdInOrderByPlace(Collection<UUID> classIds);
}
