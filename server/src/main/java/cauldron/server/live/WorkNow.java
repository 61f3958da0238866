package cauldron.server.live;

import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * What concerns one who is at work just now.
 *
 * @param call     what help was asked for, or null
 * @param seq      for the teacher, who follows the work: the number of the newest entry; null for the student
 * @param added    for the teacher: how many tries, marks, openings and trials there are; null for the student
 * @param followed for the student: whether the teacher follows, so that the page tells of its bench
 * @param bench    for the teacher: how the student's bench stands now; null until it was told, and for the student
 */
record WorkNow(Seen.PauseView paused, Seen.CallView call, @NotNull List<NoteView> notes, Long seq, Long added,
               @NotNull Boolean followed, Followings.BenchView bench) {

    /** A note of the teacher's. */
    record NoteView(@NotNull UUID id, @NotNull String words, @NotNull String by, @NotNull Instant at,
                    @NotNull Boolean toAll, @NotNull Boolean read) {
    }
}
