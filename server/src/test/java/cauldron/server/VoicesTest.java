package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * What was spoken comes in pieces, whole and in order, and is heard by nobody but its student and the class's teacher.
 */
@ExtendWith(ServerExtension.class)
class VoicesTest {

    private static final String LAB = "The slip's lost label";
    private static final byte[] BEGINNING = {0x1A, 0x45, (byte) 0xDF, (byte) 0xA3, 1, 2, 3, 4};

    private final Room room = Room.of("ines", LAB);
    private final String voice = "/api/works/" + room.work() + "/voices/" + UUID.randomUUID();

    private HttpResponse<String> put(Visitor who, String recording, int number, String block, byte[] body) {
        return who.putFile(recording + "/pieces/" + number + "?block=" + block, body);
    }

    private int kept(int number, byte... body) {
        return put(room.student(), voice, number, "why", body).statusCode();
    }

    @Test
    void piecesComeInAnyOrderAfterTheFirstAndEachOnce() {
        assertThat(kept(1, new byte[] {9})).as("before the first").isEqualTo(409);
        assertThat(kept(0, BEGINNING)).isEqualTo(204);
        assertThat(kept(2, new byte[] {7, 7})).isEqualTo(204);
        HttpResponse<byte[]> gap = room.teacher().file(voice);
        assertThat(gap.body()).as("up to what is missing").isEqualTo(BEGINNING);
        assertThat(gap.headers().firstValue("Pieces")).hasValue("1");
        assertThat(kept(1, new byte[] {9})).isEqualTo(204);
        assertThat(kept(1, new byte[] {8})).as("again").isEqualTo(204);
        for (Visitor who : List.of(room.teacher(), room.student())) {
            HttpResponse<byte[]> heard = who.file(voice);
            assertThat(heard.body()).endsWith(new byte[] {9, 7, 7}).hasSize(BEGINNING.length + 3);
            assertThat(heard.headers().firstValue("Content-Type")).hasValue("audio/webm");
            assertThat(heard.headers().firstValue("Cache-Control")).hasValue("no-store");
            assertThat(heard.headers().firstValue("X-Content-Type-Options")).hasValue("nosniff");
        }
    }

    @Test
    void nobodyElseHearsOrSpeaks() {
        assertThat(kept(0, BEGINNING)).isEqualTo(204);
        Room other = Room.of("ines", LAB);
        for (Visitor who : List.of(other.student(), Visitor.signedIn("tobiah"), Visitor.signedIn("sigrun"))) {
            assertThat(who.file(voice).statusCode()).isEqualTo(404);
            assertThat(put(who, voice, 1, "why", new byte[] {1}).statusCode()).isEqualTo(404);
        }
        assertThat(new Visitor().file(voice).statusCode()).isEqualTo(401);
        assertThat(put(room.teacher(), voice, 1, "why", new byte[] {1}).statusCode()).as("the teacher").isEqualTo(404);
        // Another's recording by one's own work.
        String borrowed = voice.replace(room.work(), other.work());
        assertThat(other.student().file(borrowed).statusCode()).isEqualTo(404);
        assertThat(put(other.student(), borrowed, 1, "why", new byte[] {1}).statusCode()).isEqualTo(404);
        assertThat(other.teacher().file(borrowed).statusCode()).isEqualTo(404);
    }

    @Test
    void whatIsNoSoundOrTooMuchIsRefusedInWords() {
        assertThat(kept(0, "<script>alert(1)</script>".getBytes())).isEqualTo(400);
        assertThat(kept(0)).isEqualTo(400);
        assertThat(kept(-1, BEGINNING)).isEqualTo(400);
        assertThat(kept(400, BEGINNING)).isEqualTo(400);
        assertThat(put(room.student(), voice, 0, "k", BEGINNING).statusCode()).as("a question of numbers")
                .isEqualTo(404);
        assertThat(put(room.student(), voice, 0, "nothing", BEGINNING).statusCode()).isEqualTo(404);
        assertThat(kept(0, BEGINNING)).isEqualTo(204);
        assertThat(kept(1, new byte[257_000])).as("one piece").isEqualTo(413);
        int status = 204;
        int number = 1;
        while (status == 204 && number < 30) {
            status = kept(number++, new byte[250_000]);
        }
        assertThat(status).as("all pieces").isEqualTo(413);
        assertThat(number).isEqualTo(16);
        for (int i = 1; i < 10; i++) {
            assertThat(put(room.student(), voice.replaceAll("[^/]+$", UUID.randomUUID().toString()), 0, "why",
                    BEGINNING)
                    .statusCode()).isEqualTo(204);
        }
        assertThat(put(room.student(), voice.replaceAll("[^/]+$", UUID.randomUUID().toString()), 0, "why", BEGINNING)
                .statusCode()).as("the eleventh").isEqualTo(409);
    }

    @Test
    void whatIsSpokenCountsAsAnAnswerAndIsToldWhereTheTeacherMarks() {
        String id = voice.substring(voice.lastIndexOf('/') + 1);
        room.seal();
        room.keep("why", "spoken", Map.of("recording", id, "seconds", 21.5, "pieces", 1));
        assertThat(kept(0, BEGINNING)).isEqualTo(204);
        assertThat(room.student().json("/api/works/" + room.work() + "/missing").toString()).doesNotContain("\"why\"");
        room.student().post("/api/works/" + room.work() + "/submission", Map.of());
        assertThat(kept(1, new byte[] {1})).as("after handing in").isEqualTo(409);
        var answer = room.teacher().json("/api/teaching/assignments/" + room.assignment() + "/questions/why")
                .at("/answers/0");
        assertThat(answer.get("text").asString()).isEqualTo("(Spoken, 21 s)");
        assertThat(answer.at("/slots/spoken/recording").asString()).isEqualTo(id);
    }
}
