package cauldron.server.reports;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Checks pictures that come from a page before anything unpacks them. */
final class Pictures {

    /** The most picture elements along a side: an A4 page at 400 dots an inch is 3300 wide. */
    static final int MOST_ACROSS = 6000;
    /** The most in all: unpacked, each takes four bytes. */
    static final int MOST_ELEMENTS = 12_000_000;

    private Pictures() {
    }

    /** Whether it is a PNG whose header tells of a size that can be printed. */
    static boolean isPng(byte[] bytes) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return false;
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                return reader.getFormatName().equalsIgnoreCase("png") && reader.getWidth(0) <= MOST_ACROSS
                        && reader.getHeight(0) <= MOST_ACROSS
                        && (long) reader.getWidth(0) * reader.getHeight(0) <= MOST_ELEMENTS;
            } finally {
                reader.dispose();
            }
        } catch (IOException e) {
            return false;
        }
    }
}
