package cauldron.server.worksheets;

import cauldron.core.drawing.Paper;
import cauldron.core.drawing.Shape;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.List;
import javax.imageio.ImageIO;

/** Empty axes on squared paper, and the figures of a drawing, as pictures without words. */
final class Squares {

    /** Picture elements a millimetre. */
    private static final int DOTS = 8;
    private static final int ACROSS = 150;
    private static final int UP = 90;
    private static final Color FAINT = new Color(0xC9, 0xCE, 0xD4);
    private static final Color INK = new Color(0x1B, 0x24, 0x30);
    /** Picture elements a unit of a drawing's paper. */
    private static final int SCALE = 8;

    private Squares() {
    }

    private static final String AXES = drawnAxes();

    /** Axes in the corner of squares of five millimetres, as a data address. */
    static String axes() {
        return AXES;
    }

    private static String drawnAxes() {
        BufferedImage picture = new BufferedImage(ACROSS * DOTS + DOTS, UP * DOTS + DOTS, BufferedImage.TYPE_INT_RGB);
        Graphics2D to = begun(picture);
        for (int mm = 0; mm <= ACROSS; mm += 5) {
            line(to, mm % 10 == 0 ? 2 : 1, mm * DOTS + DOTS / 2, 0, mm * DOTS + DOTS / 2, UP * DOTS);
        }
        for (int mm = 0; mm <= UP; mm += 5) {
            line(to, mm % 10 == 0 ? 2 : 1, DOTS / 2, mm * DOTS, ACROSS * DOTS, mm * DOTS);
        }
        to.setColor(INK);
        line(to, 5, DOTS / 2, 0, DOTS / 2, UP * DOTS);
        line(to, 5, DOTS / 2, UP * DOTS, ACROSS * DOTS, UP * DOTS);
        return address(picture, to);
    }

    /** What stands on a drawing's paper from the beginning. */
    static String figures(Paper paper) {
        BufferedImage picture = new BufferedImage((int) Paper.WIDTH * SCALE, (int) Paper.HEIGHT * SCALE,
                BufferedImage.TYPE_INT_RGB);
        Graphics2D to = begun(picture);
        to.setColor(INK);
        to.scale(SCALE, SCALE);
        for (Shape shape : paper.shapes()) {
            to.setStroke(shape.dashed() ? new BasicStroke(0.5f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1,
                    new float[] {2, 1.5f}, 0) : new BasicStroke(0.5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            java.awt.Shape outline = outline(shape);
            if (shape.filled()) {
                to.fill(outline);
            }
            to.draw(outline);
        }
        return address(picture, to);
    }

    private static java.awt.Shape outline(Shape shape) {
        if (!shape.circle().isEmpty()) {
            double r = shape.circle().get(2);
            return new Ellipse2D.Double(shape.circle().get(0) - r, shape.circle().get(1) - r, 2 * r, 2 * r);
        }
        List<Double> at = shape.line();
        Path2D path = new Path2D.Double();
        path.moveTo(at.get(0), at.get(1));
        for (int i = 2; i < at.size(); i += 2) {
            path.lineTo(at.get(i), at.get(i + 1));
        }
        if (shape.closed()) {
            path.closePath();
        }
        return path;
    }

    private static Graphics2D begun(BufferedImage picture) {
        Graphics2D to = picture.createGraphics();
        to.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        to.setColor(Color.WHITE);
        to.fillRect(0, 0, picture.getWidth(), picture.getHeight());
        to.setColor(FAINT);
        return to;
    }

    private static void line(Graphics2D to, int wide, int x, int y, int x2, int y2) {
        to.setStroke(new BasicStroke(wide));
        to.drawLine(x, y, x2, y2);
    }

    private static String address(BufferedImage picture, Graphics2D to) {
        to.dispose();
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", png);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return "data:image/png;base64," + Base64.getEncoder().encodeToString(png.toByteArray());
    }
}
