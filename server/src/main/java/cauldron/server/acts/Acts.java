package cauldron.server.acts;

import cauldron.server.platform.Person;
import java.time.Clock;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was done, in the same transaction as the deed: the one never stands without the other. */
@Service
public class Acts {

    private static final int PAGE = 100;

    private final ActRepository acts;
    private final Clock clock;

    Acts(ActRepository acts, Clock clock) {
        this.acts = acts;
        this.clock = clock;
    }

    /**
     * Keeps an act.
     *
     * @param what  in words that go on after the name: "reset the secret of"
     * @param about whom or what it was done to
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(Person who, String what, String about) {
        acts.save(new AuditEntry(who.id(), who.displayName() + " (" + who.userName() + ")", what, about, clock.instant()));
    }

    /** The newest before one, newest first. */
    @Transactional(readOnly = true)
    List<ActController.ActView> before(long seq) {
        return acts.findBySeqLessThanOrderBySeqDesc(seq, Limit.of(PAGE)).stream().map(AuditEntry::view).toList();
    }
}
