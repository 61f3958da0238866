package cauldron.server.labs;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;

/**
 * A picture that holds nothing but its elements: no place where it was taken, no camera, no words, no script. One that
 * is such already and isn't too large is taken as it is, so that a picture goes from one Cauldron to another unchanged;
 * every other is decoded and written anew.
 *
 * @param media image/png or image/jpeg
 */
record CleanPicture(String media, int width, int height, byte[] bytes) {

    /** As wide as a page of a lab can show on a sharp screen. */
    static final int WIDEST = 1400;
    private static final int MOST_ACROSS = 8000;
    private static final long MOST_ELEMENTS = 24_000_000;
    /** Megabytes that all pictures being cleaned may take together; who needs more waits for the others, in turn. */
    private static final int MEGABYTES = 384;
    private static final Semaphore ROOM = new Semaphore(MEGABYTES, true);
    /** Bytes of an element of a picture that is being drawn smaller, beside those it came with. */
    private static final int DRAWN_BYTES = 5;
    private static final int BITS = 8;

    /**
     * Reads a PNG or JPEG.
     *
     * @throws IOException telling in words what is wrong with it
     */
    static CleanPicture of(byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            String format = reader == null ? "" : reader.getFormatName().toLowerCase(Locale.ROOT);
            if (!format.equals("png") && !format.equals("jpeg")) {
                throw new IOException("it is neither a PNG nor a JPEG");
            }
            try {
                return inTurn(reader, in, format, file);
            } finally {
                reader.dispose();
            }
        } catch (RuntimeException e) {
            // Readers of pictures throw anything at a damaged one.
            throw new IOException("it can't be read as a picture", e);
        }
    }

    /** Its size and depth are looked at first, then it waits until there is room for it unpacked. */
    private static CleanPicture inTurn(ImageReader reader, ImageInputStream in, String format, byte[] file)
            throws IOException {
        reader.setInput(in, true, true);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (width > MOST_ACROSS || height > MOST_ACROSS || (long) width * height > MOST_ELEMENTS) {
            throw new IOException("it is " + width + " by " + height + " picture elements; at most " + MOST_ACROSS
                    + " along a side and " + MOST_ELEMENTS / 1_000_000 + " million in all are taken");
        }
        int room = Math.min(MEGABYTES, 1 + (int) ((long) width * height * (bytesOf(reader) + DRAWN_BYTES) >> 20));
        ROOM.acquireUninterruptibly(room);
        try {
            return read(reader, width, format, file);
        } finally {
            ROOM.release(room);
        }
    }

    /** Bytes that each element takes unpacked. */
    private static int bytesOf(ImageReader reader) throws IOException {
        Iterator<ImageTypeSpecifier> types = reader.getImageTypes(0);
        return types.hasNext() ? (types.next().getColorModel().getPixelSize() + BITS - 1) / BITS : DRAWN_BYTES;
    }

    private static CleanPicture read(ImageReader reader, int width, String format, byte[] file) throws IOException {
        BufferedImage picture;
        try {
            picture = eightBits(reader.read(0));
        } catch (IOException e) {
            throw new IOException("it can't be read as a picture", e);
        }
        String media = "image/" + format;
        if (width <= WIDEST && PictureParts.onlyPicture(file)) {
            return new CleanPicture(media, width, picture.getHeight(), file);
        }
        BufferedImage fitting = width <= WIDEST ? picture : smaller(picture);
        return new CleanPicture(media, fitting.getWidth(), fitting.getHeight(), written(fitting, format));
    }

    /**
     * A picture of sixteen bits a colour with the upper eight of each. Drawing one as it is takes the library a
     * microsecond an element, and a page shows no more.
     */
    private static BufferedImage eightBits(BufferedImage deep) {
        Raster from = deep.getRaster();
        int bands = from.getNumBands();
        if (from.getTransferType() != DataBuffer.TYPE_USHORT || from.getSampleModel().getSampleSize(0) != 2 * BITS
                || bands > 4) {
            return deep;
        }
        boolean clear = bands % 2 == 0;
        BufferedImage plain = new BufferedImage(deep.getWidth(), deep.getHeight(), clear ? BufferedImage.TYPE_INT_ARGB
                : BufferedImage.TYPE_INT_RGB);
        int[] samples = new int[bands * deep.getWidth()];
        int[] row = new int[deep.getWidth()];
        for (int y = 0; y < deep.getHeight(); y++) {
            from.getPixels(0, y, deep.getWidth(), 1, samples);
            for (int x = 0; x < row.length; x++) {
                int at = bands * x;
                int red = samples[at] >> BITS;
                int green = bands > 2 ? samples[at + 1] >> BITS : red;
                int blue = bands > 2 ? samples[at + 2] >> BITS : red;
                int alpha = clear ? samples[at + bands - 1] >> BITS : 255;
                row[x] = alpha << 24 | red << 16 | green << 8 | blue;
            }
            plain.setRGB(0, y, row.length, 1, row, 0, row.length);
        }
        return plain;
    }

    /** By halves, so that no line between two elements is lost. */
    private static BufferedImage smaller(BufferedImage picture) {
        BufferedImage now = picture;
        while (now.getWidth() > WIDEST) {
            int width = Math.max(WIDEST, (now.getWidth() + 1) / 2);
            int height = Math.max(1, (int) Math.round((double) now.getHeight() * width / now.getWidth()));
            boolean clear = now.getColorModel().hasAlpha();
            BufferedImage next = new BufferedImage(width, height, clear ? BufferedImage.TYPE_INT_ARGB
                    : BufferedImage.TYPE_INT_RGB);
            Graphics2D to = next.createGraphics();
            to.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
            to.drawImage(now, 0, 0, width, height, null);
            to.dispose();
            now = next;
        }
        return now;
    }

    private static byte[] written(BufferedImage picture, String format) throws IOException {
        BufferedImage plain = picture;
        if (format.equals("jpeg") && (picture.getColorModel().hasAlpha()
                || picture.getType() != BufferedImage.TYPE_INT_RGB)) {
            plain = new BufferedImage(picture.getWidth(), picture.getHeight(), BufferedImage.TYPE_INT_RGB);
            Graphics2D to = plain.createGraphics();
            to.drawImage(picture, 0, 0, Color.WHITE, null);
            to.dispose();
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (!ImageIO.write(plain, format, out)) {
            throw new IOException("it can't be read as a picture");
        }
        return out.toByteArray();
    }
}
