package cauldron.server.voices;

import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.server.assignments.Assignments;
import cauldron.server.platform.Person;
import cauldron.server.platform.Problems;
import java.io.ByteArrayOutputStream;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What students have spoken. Only its student and whoever teaches the class may hear it. */
@Service
public class Voices {

    /** What can be heard of a recording: all pieces up to the first that hasn't come yet. */
    record Heard(String media, byte[] bytes, int pieces) {
    }

    /** How often one can speak for one block. */
    private static final int MOST = 10;
    private static final int MOST_PIECES = 400;
    /** Five minutes at 96 kbit/s, three times what browsers take for a voice. */
    private static final long MOST_BYTES = 3_600_000;

    private final VoiceRepository voices;
    private final VoicePieceRepository pieces;
    private final Assignments assignments;
    private final Clock clock;

    Voices(VoiceRepository voices, VoicePieceRepository pieces, Assignments assignments, Clock clock) {
        this.voices = voices;
        this.pieces = pieces;
        this.assignments = assignments;
        this.clock = clock;
    }

    /** Keeps a piece, in whatever order pieces come after the first; one that is there stays as it is. */
    @Transactional
    public void keep(UUID workId, UUID voiceId, int number, String block, byte[] body, Person student) {
        Assignments.Held held = assignments.hold(workId, student);
        if (!(held.sheet().block(block) instanceof ExplanationBlock asked) || asked.spoken() == 0) {
            throw Problems.notFound("question that may be answered by speaking");
        }
        if (number < 0 || number >= MOST_PIECES || body.length == 0) {
            throw Problems.invalid("number", "A recording has pieces 0 to " + (MOST_PIECES - 1)
                    + ", none of them empty.");
        }
        Voice voice = voices.findById(voiceId).orElse(null);
        if (voice != null && (!voice.workId().equals(workId) || !voice.block().equals(block))) {
            throw Problems.notFound("recording");
        }
        if (voice == null) {
            begin(workId, voiceId, number, block, body);
        }
        VoicePiece.Key key = new VoicePiece.Key(voiceId, number);
        if (pieces.existsById(key)) {
            return;
        }
        if (pieces.bytes(voiceId) + body.length > MOST_BYTES) {
            throw Problems.tooLarge("A recording has at most " + MOST_BYTES / 1000 + " kB. Speak again, more briefly.");
        }
        pieces.save(new VoicePiece(key, body));
    }

    private void begin(UUID workId, UUID voiceId, int number, String block, byte[] body) {
        Sound sound = number == 0 ? Sound.of(body) : null;
        if (sound == null) {
            throw number == 0 ? Problems.invalid("body", "This is no sound that a browser records.")
                    : Problems.conflict("no-beginning", "The beginning of this recording has not come yet.");
        }
        if (voices.countByWorkIdAndBlock(workId, block) >= MOST) {
            throw Problems.conflict("too-many", "You have spoken " + MOST
                    + " times here, which is as often as can be kept. Write what you want to add.");
        }
        voices.saveAndFlush(new Voice(voiceId, workId, block, sound.media(), clock.instant()));
    }

    /** What was spoken, as far as it has come, for its student or their teacher. */
    @Transactional(readOnly = true)
    Heard hear(UUID workId, UUID voiceId, Person person) {
        assignments.open(workId, person);
        Voice voice = voices.findById(voiceId).filter(v -> v.workId().equals(workId))
                .orElseThrow(() -> Problems.notFound("recording"));
        List<VoicePiece> all = pieces.of(voiceId);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        int next = 0;
        while (next < all.size() && all.get(next).getId().number() == next) {
            bytes.writeBytes(all.get(next).body());
            next++;
        }
        return new Heard(voice.media(), bytes.toByteArray(), next);
    }
}
