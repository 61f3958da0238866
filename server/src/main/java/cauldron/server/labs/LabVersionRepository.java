package cauldron.server.labs;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LabVersionRepository extends JpaRepository<LabVersion, UUID> {

    Optional<LabVersion> findFirstByLabIdAndNumberNotNullOrderByNumberDesc(UUID labId);

    /** Which lab a version is of, without what it says. */
    record OfLab(UUID id, UUID labId) {
    }

    @Query("select new cauldron.server.labs.LabVersionRepository$OfLab(v.id, v.labId) from LabVersion v where v.id in ?1")
    List<OfLab> labsOf(Collection<UUID> ids);

    @Query("select v.labId from LabVersion v where v.id = ?1")
    Optional<UUID> labOf(UUID id);

    @Query("select v.id from LabVersion v join Lab l on l.id = v.labId where l.id = (select w.labId from LabVersion w"
            + " where w.id = ?1) and v.number is not null and l.removedAt is null"
            + " and (l.ownerId is null or l.ownerId = ?2 or l.sharedAt is not null) order by v.number desc limit 1")
    Optional<UUID> newestOf(UUID id, UUID teacher);

    void deleteByLabIdAndNumberNull(UUID labId);

    @Query("select v from LabVersion v where v.labId in ?1 and v.number = (select max(w.number) from LabVersion w"
            + " where w.labId = v.labId)")
    List<LabVersion> newestOfEach(Collection<UUID> labIds);

    @Query("select v from LabVersion v join Lab l on l.id = v.labId where v.number = (select max(w.number) from LabVersion w"
            + " where w.labId = v.labId) and l.ownerId is null order by v.createdAt")
    List<LabVersion> newestShipped();
}
