package cauldron.server.live;

import cauldron.core.sheet.Sheet;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What concerns those at work: notes, calls, pauses; and, for who follows one, what was added to it. */
@Service
class LiveWorks {

    /**
     * A work that somebody listens to.
     *
     * @param followed whether by the teacher, who wants to know of what is added
     */
    record Heard(UUID work, UUID assignment, UUID classId, Sheet sheet, boolean followed) {

        /** By whose work it is: comparing whole sheets would take a while. */
        @Override
        public boolean equals(Object other) {
            return other instanceof Heard h && h.work.equals(work) && h.followed == followed;
        }

        @Override
        public int hashCode() {
            return work.hashCode();
        }
    }

    // Looked for a little further back than a tick, as what is written is seen only when its transaction has ended.
    private static final String CHANGED = """
            select work_id as id from help_call where changed_at > now() - interval '15 seconds'
            union select coalesce(work_id, assignment_id) from note where written_at > now() - interval '15 seconds'
            union select work_id from note_read where read_at > now() - interval '15 seconds'
            union select work_id from following where since > now() - interval '15 seconds'
              or until between now() - interval '15 seconds' and now()
            union select class_id from pause where changed_at > now() - interval '15 seconds'
              or until between now() - interval '15 seconds' and now()""";
    private static final String ADDED = """
            select w.id, coalesce((select max(seq) from entry e where e.work_id = w.id), 0),
              (select count(*) from attempt x where x.work_id = w.id)
                + (select count(*) from mark x where x.work_id = w.id)
                + (select count(*) from opening x where x.work_id = w.id)
                + (select count(*) from trial x where x.work_id = w.id)
                + case when w.submitted_at is null then 0 else 1000000 end
            from work w where w.id in (:ids)""";

    private final Helping helping;
    private final Pauses pauses;
    private final Followings followings;
    private final JdbcClient jdbc;

    LiveWorks(Helping helping, Pauses pauses, Followings followings, JdbcClient jdbc) {
        this.helping = helping;
        this.pauses = pauses;
        this.followings = followings;
        this.jdbc = jdbc;
    }

    /** Works, assignments and classes for which something was changed of late. */
    Set<UUID> changed() {
        return Set.copyOf(jdbc.sql(CHANGED).query(UUID.class).list());
    }

    /** What concerns each of some works now. */
    @Transactional(readOnly = true)
    public Map<Heard, WorkNow> now(Collection<Heard> several) {
        Map<UUID, UUID> assignmentOf = new LinkedHashMap<>();
        several.forEach(h -> assignmentOf.put(h.work(), h.assignment()));
        Map<UUID, Helping.Call> calls = helping.calls(assignmentOf.keySet());
        Map<UUID, List<Helping.Told>> notes = helping.notes(assignmentOf);
        Map<UUID, Pauses.Pause> paused = pauses.of(several.stream().map(Heard::classId).distinct().toList());
        List<UUID> followed = several.stream().filter(Heard::followed).map(Heard::work).distinct().toList();
        Map<UUID, long[]> added = new LinkedHashMap<>();
        if (!followed.isEmpty()) {
            jdbc.sql(ADDED).param("ids", followed).query((r, n) -> added.put(r.getObject(1, UUID.class),
                    new long[] {r.getLong(2), r.getLong(3)})).list();
        }
        Map<UUID, Followings.BenchView> benches = followings.benches(followed);
        Set<UUID> lookedOn = followings.among(several.stream().filter(h -> !h.followed()).map(Heard::work).distinct()
                .toList());
        Map<Heard, WorkNow> map = new LinkedHashMap<>();
        for (Heard h : several) {
            Helping.Call call = calls.get(h.work());
            long[] more = h.followed() ? added.get(h.work()) : null;
            map.put(h, new WorkNow(h.followed() ? null : Seen.PauseView.of(paused.get(h.classId())),
                    call == null ? null : new Seen.CallView(call.about(h.sheet()), call.words(), call.askedAt()),
                    notes.getOrDefault(h.work(), List.of()).stream().map(t -> new WorkNow.NoteView(t.id(), t.words(),
                            t.by(), t.at(), t.toAll(), t.read())).toList(),
                    more == null ? null : more[0], more == null ? null : more[1],
                    !h.followed() && lookedOn.contains(h.work()), h.followed() ? benches.get(h.work()) : null));
        }
        return map;
    }
}
