package cauldron.server.marking;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MarkRepository extends JpaRepository<Mark, UUID> {

    List<Mark> findByWorkIdInOrderByMarkedAt(Collection<UUID> workIds);

    /** What a teacher has written to answers, the most used first. */
    @Query("""
            select m.comment from Mark m where m.markedBy = :teacher and m.comment <> ''
            group by m.comment order by count(m) desc, max(m.markedAt) desc""")
    List<String> comments(UUID teacher, Limit most);
}
