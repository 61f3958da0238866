package cauldron.server.classes;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SchoolClassRepository extends JpaRepository<SchoolClass, UUID> {

    List<SchoolClass> findByTeacherIdOrderByName(UUID teacherId);

    Optional<SchoolClass> findByIdAndTeacherId(UUID id, UUID teacherId);

    Optional<SchoolClass> findByCode(String code);

    /** Held until the transaction ends, so that two students of one name can't both join at once. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select c from SchoolClass c where c.code = :code")
    Optional<SchoolClass> hold(String code);

    Optional<SchoolClass> findByCalendarKey(String key);
}
