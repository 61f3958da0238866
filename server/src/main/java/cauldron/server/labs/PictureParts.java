package cauldron.server.labs;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/** Looks through the parts of a PNG or JPEG file for anything but what the picture is made of. */
final class PictureParts {

    private static final long PNG = 0x89504E470D0A1A0AL;
    private static final Set<String> CHUNKS = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");
    private static final int FRAME = 12;
    private static final int SOI = 0xFFD8;
    private static final int EOI = 0xFFD9;
    private static final int SOS = 0xFFDA;
    /** The header of JFIF, tables, a plain or a progressive frame, the interval of restarts. */
    private static final Set<Integer> SEGMENTS = Set.of(0xFFE0, 0xFFDB, 0xFFC0, 0xFFC2, 0xFFC4, 0xFFDD, SOS);
    private static final int JFIF_HEADER = 16;

    private PictureParts() {
    }

    /** Whether a file is made of nothing but its picture. */
    static boolean onlyPicture(byte[] file) {
        ByteBuffer in = ByteBuffer.wrap(file);
        if (file.length > FRAME && in.getLong(0) == PNG) {
            return onlyChunks(in.position(8));
        }
        return file.length > FRAME && unsigned(in, 0) == SOI && onlySegments(in.position(2));
    }

    private static boolean onlyChunks(ByteBuffer in) {
        while (in.remaining() >= FRAME) {
            int length = in.getInt();
            byte[] type = new byte[4];
            in.get(type);
            String name = new String(type, StandardCharsets.ISO_8859_1);
            if (length < 0 || length > in.remaining() - 4 || !CHUNKS.contains(name)) {
                return false;
            }
            in.position(in.position() + length + 4);
            if (name.equals("IEND")) {
                return !in.hasRemaining();
            }
        }
        return false;
    }

    private static boolean onlySegments(ByteBuffer in) {
        while (in.remaining() >= 4) {
            int marker = unsigned(in, in.position());
            int length = unsigned(in, in.position() + 2);
            if (!SEGMENTS.contains(marker) || length < 2 || length > in.remaining() - 2
                    || marker == 0xFFE0 && length > JFIF_HEADER) {
                return false;
            }
            in.position(in.position() + 2 + length);
            if (marker == SOS && !skipScan(in)) {
                return false;
            }
            if (in.remaining() >= 2 && unsigned(in, in.position()) == EOI) {
                return in.remaining() == 2;
            }
        }
        return false;
    }

    /** Goes to the next marker that isn't part of what was scanned. */
    private static boolean skipScan(ByteBuffer in) {
        for (int i = in.position(); i + 1 < in.limit(); i++) {
            int next = in.get(i + 1) & 0xFF;
            if ((in.get(i) & 0xFF) == 0xFF && next != 0 && !(next >= 0xD0 && next <= 0xD7)) {
                in.position(i);
                return true;
            }
        }
        return false;
    }

    private static int unsigned(ByteBuffer in, int at) {
        return in.getShort(at) & 0xFFFF;
    }
}
