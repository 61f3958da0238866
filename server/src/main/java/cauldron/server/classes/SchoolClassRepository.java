package cauldron.server.classes;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SchoolClassRepository extends JpaRepository<SchoolClass, UUID> {

    List<SchoolClass> findByTeacherIdOrderByName(UUID teacherId);

    Optional<SchoolClass> findByIdAndTeacherId(UUID id, UUID teacherId);

    Optional<SchoolClass> findByCode(String code);
}
