package cauldron.server.voices;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface VoicePieceRepository extends JpaRepository<VoicePiece, VoicePiece.Key> {

    @Query("select p from VoicePiece p where p.id.voiceId = :voice order by p.id.number")
    List<VoicePiece> of(UUID voice);

    /** Bytes of a recording so far. */
    @Query(nativeQuery = true,
            value = "select coalesce(sum(octet_length(body)), 0) from voice_piece where voice_id = :voice")
    long bytes(UUID voice);
}
