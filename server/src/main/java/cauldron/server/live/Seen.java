package cauldron.server.live;

import cauldron.core.marking.GettingOn;
import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What a teacher sees of a class at work. */
final class Seen {

    /** A pause of the class. */
    record PauseView(@NotNull String words, @NotNull Instant since, @NotNull Instant until) {

        static PauseView of(Pauses.Pause pause) {
            return pause == null ? null : new PauseView(pause.words(), pause.since(), pause.until());
        }
    }

    /** A call for help, with what it is about in words. */
    record CallView(@NotNull String about, @NotNull String words, @NotNull Instant askedAt) {
    }

    /**
     * One student.
     *
     * @param state    not-started, working or submitted
     * @param here     whether the lab is open on some device
     * @param part     the part that is looked at; of who isn't here the first that isn't complete
     * @param done     parts that are complete from the beginning on
     * @param reading  the value that was read off last, in words; may be empty
     * @param lastDeed when anything was written, tried or recorded last
     * @param signs    signs that the student doesn't get on, in words
     */
    record LiveLine(@NotNull UUID studentId, @NotNull String name, UUID workId, @NotNull String state,
                    @NotNull Boolean here, @NotNull String part, @NotNull Integer done, @NotNull String reading,
                    Instant lastDeed, @NotNull Integer tries, @NotNull Double points, @NotNull Boolean toMark,
                    @NotNull List<String> signs, CallView call) {
    }

    /**
     * A class at work on a lab; as an event, only the lines that changed.
     *
     * @param whole whether all students are told, and whoever isn't among them is no more in the class
     * @param parts titles of the lab's parts
     */
    record LiveClass(@NotNull UUID id, @NotNull String title, @NotNull UUID classId, @NotNull String className,
                     @NotNull String code, @NotNull List<String> parts, @NotNull Double of, PauseView paused,
                     @NotNull Boolean whole, @NotNull List<LiveLine> students) {
    }

    /**
     * All that was seen of a class at one moment, before somebody's own limit of quiet is laid on it.
     *
     * @param since when each student who is here came, by work
     */
    record Moment(LiveClass all, Map<UUID, Instant> since, Instant at) {

        /** With signs of those who are here and from whom nothing has come for so many minutes. */
        LiveClass with(double quietMinutes) {
            List<LiveLine> lines = new ArrayList<>();
            for (LiveLine l : all.students()) {
                Instant came = l.workId() == null ? null : since.get(l.workId());
                String quiet = came == null || !l.state().equals("working") ? ""
                        : GettingOn.ofQuiet(minutes(l.lastDeed() == null || came.isAfter(l.lastDeed()) ? came
                                : l.lastDeed()), quietMinutes);
                if (quiet.isEmpty()) {
                    lines.add(l);
                } else {
                    List<String> signs = new ArrayList<>(l.signs());
                    signs.add(quiet);
                    lines.add(new LiveLine(l.studentId(), l.name(), l.workId(), l.state(), l.here(), l.part(), l.done(),
                            l.reading(), l.lastDeed(), l.tries(), l.points(), l.toMark(), signs, l.call()));
                }
            }
            return new LiveClass(all.id(), all.title(), all.classId(), all.className(), all.code(), all.parts(),
                    all.of(), all.paused(), true, lines);
        }

        private double minutes(Instant from) {
            return Duration.between(from, at).toSeconds() / 60.0;
        }
    }

    private Seen() {
    }
}
