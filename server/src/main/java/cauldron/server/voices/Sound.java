package cauldron.server.voices;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * The kinds of file that browsers record sound in. A recording is told by its first bytes, not by what is said of it.
 */
enum Sound {
    /** EBML header (RFC 8794). */
    WEBM("audio/webm", 0, new byte[] {0x1A, 0x45, (byte) 0xDF, (byte) 0xA3}),
    /** Capture pattern of a page (RFC 3533). */
    OGG("audio/ogg", 0, "OggS".getBytes(StandardCharsets.US_ASCII)),
    /** File type box (ISO/IEC 14496-12). */
    MP4("audio/mp4", 4, "ftyp".getBytes(StandardCharsets.US_ASCII));

    private final String media;
    private final int at;
    private final byte[] mark;

    Sound(String media, int at, byte[] mark) {
        this.media = media;
        this.at = at;
        this.mark = mark;
    }

    String media() {
        return media;
    }

    /** What begins so; null where it is none of them. */
    static Sound of(byte[] beginning) {
        for (Sound sound : values()) {
            int end = sound.at + sound.mark.length;
            if (beginning.length > end && Arrays.equals(beginning, sound.at, end, sound.mark, 0, sound.mark.length)) {
                return sound;
            }
        }
        return null;
    }
}
