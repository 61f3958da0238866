package cauldron.server.labs;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PictureRepository extends JpaRepository<Picture, String> {

    long countByBroughtBy(UUID teacher);

    @Query("select p.id from Picture p where p.id in ?1")
    List<String> known(Collection<String> ids);
}
