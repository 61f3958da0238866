package cauldron.server.labs;

import cauldron.core.apparatus.Film;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.json.JsonMapper;

/**
 * A film as it is sent: the length of the header as a 32-bit little-endian number, the header as JSON padded with
 * spaces to an even length, then the body as 16-bit little-endian numbers.
 */
public final class FilmBytes {

    private FilmBytes() {
    }

    public static byte[] of(Film film, JsonMapper json) {
        String header = json.writeValueAsString(film.header());
        byte[] head = (header.length() % 2 == 0 ? header : header + " ").getBytes(StandardCharsets.UTF_8);
        ByteBuffer out = ByteBuffer.allocate(4 + head.length + 2 * film.body().length).order(ByteOrder.LITTLE_ENDIAN);
        out.putInt(head.length).put(head);
        for (short value : film.body()) {
            out.putShort(value);
        }
        return out.array();
    }
}
