package cauldron.server.accounts;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface WayInRepository extends JpaRepository<WayIn, UUID> {

    Optional<WayIn> findByCodeHash(String codeHash);

    /** Uses a way in up; 0 where someone else just did. */
    @Modifying
    @Query("update WayIn w set w.usedAt = :now where w.id = :id and w.usedAt is null")
    int use(UUID id, Instant now);

    /** Ends what was made before for the same person, or for the first administrator. */
    @Modifying
    @Query("update WayIn w set w.usedAt = :now where w.usedAt is null"
            + " and (w.accountId = :account or :account is null and w.accountId is null)")
    int end(UUID account, Instant now);
}
