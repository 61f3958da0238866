package cauldron.server.voices;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VoiceRepository extends JpaRepository<Voice, UUID> {

    /** How often somebody has spoken for a block. */
    int countByWorkIdAndBlock(UUID workId, String block);
}
