package cauldron.server.labs;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
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
    /** Unpacked, one takes a hundred megabytes: they are cleaned one after the other. */
    private static final Object ONE_AT_A_TIME = new Object();

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
                synchronized (ONE_AT_A_TIME) {
                    return read(reader, in, format, file);
                }
            } finally {
                reader.dispose();
            }
        } catch (RuntimeException e) {
            // Readers of pictures throw anything at a damaged one.
            throw new IOException("it can't be read as a picture", e);
        }
    }

    private static CleanPicture read(ImageReader reader, ImageInputStream in, String format,
            byte[] file) throws IOException {
        reader.setInput(in, true, true);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (width > MOST_ACROSS || height > MOST_ACROSS || (long) width * height > MOST_ELEMENTS) {
            throw new IOException("it is " + width + " by " + height + " picture elements; at most " + MOST_ACROSS
                    + " along a side and " + MOST_ELEMENTS / 1_000_000 + " million in all are taken");
        }
        BufferedImage picture;
        try {
            picture = reader.read(0);
        } catch (IOException e) {
            throw new IOException("it can't be read as a picture", e);
        }
        String media = "image/" + format;
        if (width <= WIDEST && PictureParts.onlyPicture(file)) {
            return new CleanPicture(media, width, height, file);
        }
        BufferedImage fitting = width <= WIDEST ? picture : smaller(picture);
        return new CleanPicture(media, fitting.getWidth(), fitting.getHeight(), written(fitting, format));
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
