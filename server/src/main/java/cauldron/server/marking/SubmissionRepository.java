package cauldron.server.marking;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SubmissionRepository extends JpaRepository<Submission, UUID> {

    /** Those of a work, oldest first. */
    List<Submission> findByWorkIdOrderBySubmittedAt(UUID workId);
}
